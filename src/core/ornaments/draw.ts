import { BLACK, type Colour, type LayerBuilder, type Path, PathBuilder } from '../marks'
import type { OrnamentName } from './names'

/** Draws an ornament around a centre; `size` is the text's, points. All are ours, drawn for this set. */
// eslint-disable-next-line max-params
export function drawOrnament(
  out: LayerBuilder,
  kind: OrnamentName,
  cx: number,
  cy: number,
  size: number,
  colour: Colour = BLACK,
): void {
  if (kind === 'none') return
  for (const path of drawings[kind](cx, cy, size)) out.add({ kind: 'path', path, fill: colour })
}

const drawings: Record<Exclude<OrnamentName, 'none'>, (cx: number, cy: number, s: number) => Path[]> = {
  'three lights': (x, y, s) =>
    [
      [-1.7, 0.15],
      [0, 0.2],
      [1.7, 0.15],
    ].map(([dx, r]) => light(x + dx! * s, y, r! * s)),
  'single light': (x, y, s) => [
    light(x, y, 0.46 * s),
    ...[-1, 1].map(side => rect(x + side * 1.25 * s, y, 1.1 * s, 0.035 * s)),
  ],
  wave: (x, y, s) => [wave(x, y, s)],
  leaf: (x, y, s) => [
    leaf(x - 0.12 * s, y, s, -1),
    leaf(x + 0.12 * s, y, s, 1),
    new PathBuilder().circle(x, y + 0.18 * s, 0.07 * s).build(),
  ],
  knot: (x, y, s) => [
    ring(x - 0.26 * s, y, 0.36 * s, 0.055 * s),
    ring(x + 0.26 * s, y, 0.36 * s, 0.055 * s),
    lozenge(x - 1.05 * s, y, 0.13 * s),
    lozenge(x + 1.05 * s, y, 0.13 * s),
    lozenge(x, y, 0.07 * s),
  ],
  rule: (x, y, s) => [rect(x, y, 3.4 * s, 0.05 * s)],
  'swelling rule': (x, y, s) => [swelling(x, y, 3.2 * s, 0.11 * s), lozenge(x, y, 0.16 * s)],
  gulls: (x, y, s) => [
    gull(x - 0.95 * s, y + 0.14 * s, 0.5 * s),
    gull(x + 0.1 * s, y - 0.16 * s, 0.66 * s),
    gull(x + 1.1 * s, y + 0.12 * s, 0.44 * s),
  ],
  shells: (x, y, s) => [-1.25, 0, 1.25].flatMap(dx => shell(x + dx * s, y + 0.2 * s, 0.34 * s)),
  'three stars': (x, y, s) => [star(x - 1.5 * s, y, 0.21 * s), star(x, y, 0.21 * s), star(x + 1.5 * s, y, 0.21 * s)],
}

const rect = (x: number, y: number, w: number, h: number): Path =>
  new PathBuilder().rect(x - w / 2, y - h / 2, w, h).build()
const lozenge = (x: number, y: number, r: number): Path =>
  new PathBuilder()
    .move(x - r, y)
    .line(x, y - r)
    .line(x + r, y)
    .line(x, y + r)
    .close()
    .build()

/** A four-pointed light with hollow flanks. */
function light(x: number, y: number, r: number): Path {
  const k = r * 0.16
  return new PathBuilder()
    .move(x, y - r * 1.5)
    .quad(x + k, y - k, x + r, y)
    .quad(x + k, y + k, x, y + r * 1.5)
    .quad(x - k, y + k, x - r, y)
    .quad(x - k, y - k, x, y - r * 1.5)
    .close()
    .build()
}

/** A low swell that thins to its ends. */
function wave(x: number, y: number, s: number): Path {
  const w = s * 2.2
  const h = s * 0.28
  return new PathBuilder()
    .move(x - w, y)
    .cubic(x - w * 0.5, y - h * 2, x - w * 0.2, y + h, x, y)
    .cubic(x + w * 0.2, y - h, x + w * 0.5, y + h * 2, x + w, y)
    .cubic(x + w * 0.5, y + h * 1.2, x + w * 0.2, y - h * 1.9, x, y - h * 0.7)
    .cubic(x - w * 0.2, y + h * 0.4, x - w * 0.5, y - h * 2.6, x - w, y)
    .close()
    .build()
}

/** A leaf that rises outward from its stalk. */
function leaf(x: number, y: number, s: number, side: number): Path {
  const to = (dx: number, dy: number): [number, number] => [x + side * dx * s, y + dy * s]
  return (
    new PathBuilder()
      .move(...to(0, 0.12))
      .cubic(...to(0.2, -0.42), ...to(0.75, -0.5), ...to(1.25, -0.3))
      .cubic(...to(1.0, 0.12), ...to(0.45, 0.3), ...to(0, 0.12))
      .close()
      // The vein, left open.
      .move(...to(0.2, 0.04))
      .quad(...to(0.6, -0.12), ...to(0.98, -0.24))
      .quad(...to(0.6, -0.17), ...to(0.2, 0.04))
      .close()
      .build()
  )
}

/** A ring: the inner circle runs against the outer. */
function ring(x: number, y: number, r: number, width: number): Path {
  const inner = r - width
  const k = inner * 0.5522847498
  return new PathBuilder()
    .circle(x, y, r)
    .move(x + inner, y)
    .cubic(x + inner, y - k, x + k, y - inner, x, y - inner)
    .cubic(x - k, y - inner, x - inner, y - k, x - inner, y)
    .cubic(x - inner, y + k, x - k, y + inner, x, y + inner)
    .cubic(x + k, y + inner, x + inner, y + k, x + inner, y)
    .close()
    .build()
}

/** A rule that is thick in the middle and runs out to nothing. */
function swelling(x: number, y: number, w: number, h: number): Path {
  return new PathBuilder()
    .move(x - w / 2, y)
    .quad(x, y - h, x + w / 2, y)
    .quad(x, y + h, x - w / 2, y)
    .close()
    .build()
}

/** A gull far off: two wings of one stroke. */
function gull(x: number, y: number, r: number): Path {
  const t = r * 0.13
  return new PathBuilder()
    .move(x - r, y - r * 0.05)
    .quad(x - r * 0.45, y - r * 0.62, x, y + r * 0.08)
    .quad(x + r * 0.45, y - r * 0.62, x + r, y - r * 0.05)
    .quad(x + r * 0.42, y - r * 0.62 + t * 2.4, x, y + r * 0.08 + t * 2)
    .quad(x - r * 0.42, y - r * 0.62 + t * 2.4, x - r, y - r * 0.05)
    .close()
    .build()
}

/** A scallop: five ribs from one foot. */
function shell(x: number, y: number, r: number): Path[] {
  return [-64, -32, 0, 32, 64].map(deg => {
    const a = (deg * Math.PI) / 180
    const [sx, sy] = [Math.sin(a), -Math.cos(a)]
    const w = r * 0.17
    const tip = [x + sx * r * 1.5, y + sy * r * 1.5] as const
    return new PathBuilder()
      .move(x, y)
      .quad(x + sx * r + -sy * w, y + sy * r + sx * w, tip[0] - sy * w * 0.7, tip[1] + sx * w * 0.7)
      .quad(tip[0] + sx * w, tip[1] + sy * w, tip[0] + sy * w * 0.7, tip[1] - sx * w * 0.7)
      .quad(x + sx * r - -sy * w, y + sy * r - sx * w, x, y)
      .close()
      .build()
  })
}

/** A five-pointed star. */
function star(x: number, y: number, r: number): Path {
  const b = new PathBuilder()
  for (let i = 0; i < 10; i++) {
    const a = (i * Math.PI) / 5
    const d = i % 2 ? r * 0.42 : r
    const [px, py] = [x + Math.sin(a) * d, y - Math.cos(a) * d]
    if (i) b.line(px, py)
    else b.move(px, py)
  }
  return b.close().build()
}
