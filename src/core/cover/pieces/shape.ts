import type { CoverForm, ShapePiece } from '../../book'
import { type Item, type Path, PathBuilder, pathFromSvg, rgb } from '../../marks'
import { gradientIn } from '../gradient'
import type { Rect } from '../rect'
import type { DrawnPiece, PiecePlace } from './kind'

/** What a form is drawn with, beside its box. */
interface FormValues {
  points: number
  depth: number
  path?: string
}

/** What a form is when nothing is said of it. */
export const usualForm: Record<CoverForm, FormValues> = {
  rectangle: { points: 0, depth: 0 },
  round: { points: 0, depth: 0 },
  polygon: { points: 6, depth: 0 },
  star: { points: 5, depth: 0.55 },
  badge: { points: 20, depth: 0.12 },
  ribbon: { points: 0, depth: 0.3 },
  line: { points: 0, depth: 0.2 },
  frame: { points: 0, depth: 0.06 },
  own: { points: 0, depth: 0 },
}

const forms: Record<CoverForm, (box: Rect, values: FormValues) => Path> = {
  rectangle: (box, { depth }) => rounded(new PathBuilder(), box, (depth * Math.min(box.width, box.height)) / 2).build(),
  round: ({ x, y, width, height }) => ellipse(x + width / 2, y + height / 2, width / 2, height / 2),
  polygon: (box, { points }) => around(box, Math.max(3, points), () => 1),
  star: (box, { points, depth }) => around(box, Math.max(3, points) * 2, i => (i % 2 ? 1 - depth : 1)),
  badge: (box, { points, depth }) => wavy(box, Math.max(3, points), depth),
  ribbon: ({ x, y, width, height }, { depth }) => {
    const notch = (depth * height) / 1.2
    return new PathBuilder()
      .move(x, y)
      .line(x + width, y)
      .line(x + width - notch, y + height / 2)
      .line(x + width, y + height)
      .line(x, y + height)
      .line(x + notch, y + height / 2)
      .close()
      .build()
  },
  line: ({ x, y, width, height }, { depth }) => {
    const thick = Math.max(0.3, depth * height)
    return new PathBuilder().rect(x, y + (height - thick) / 2, width, thick).build()
  },
  own: (box, { path }) => (path ? inBox(pathFromSvg(path), box) : rounded(new PathBuilder(), box, 0).build()),
  frame: ({ x, y, width, height }, { depth }) => {
    const t = Math.max(0.3, (depth * Math.min(width, height)) / 2)
    // The opening runs the other way round.
    return new PathBuilder()
      .rect(x, y, width, height)
      .move(x + t, y + t)
      .line(x + t, y + height - t)
      .line(x + width - t, y + height - t)
      .line(x + width - t, y + t)
      .close()
      .build()
  },
}

/** Side of the square that own outlines are kept in. */
const OWN = 1000
/** An own outline as large as its box lets it be, in the middle. */
function inBox({ ops, xy }: Path, { x, y, width, height }: Rect): Path {
  const scale = Math.min(width, height) / OWN
  const [dx, dy] = [x + (width - OWN * scale) / 2, y + (height - OWN * scale) / 2]
  return { ops, xy: xy.map((v, i) => v * scale + (i % 2 ? dy : dx)) }
}

/** How a circle's quarter is drawn as a cubic. */
const ARC = 0.5522847498

function rounded(p: PathBuilder, { x, y, width, height }: Rect, r: number): PathBuilder {
  if (r <= 0) return p.rect(x, y, width, height)
  const k = r * (1 - ARC)
  const [x1, y1] = [x + width, y + height]
  return p
    .move(x + r, y)
    .line(x1 - r, y)
    .cubic(x1 - k, y, x1, y + k, x1, y + r)
    .line(x1, y1 - r)
    .cubic(x1, y1 - k, x1 - k, y1, x1 - r, y1)
    .line(x + r, y1)
    .cubic(x + k, y1, x, y1 - k, x, y1 - r)
    .line(x, y + r)
    .cubic(x, y + k, x + k, y, x + r, y)
    .close()
}

/** A rectangle with round corners. */
export const roundedRect = (box: Rect, radius: number): Path => rounded(new PathBuilder(), box, radius).build()

export function ellipse(cx: number, cy: number, rx: number, ry: number): Path {
  const [kx, ky] = [rx * ARC, ry * ARC]
  return new PathBuilder()
    .move(cx + rx, cy)
    .cubic(cx + rx, cy + ky, cx + kx, cy + ry, cx, cy + ry)
    .cubic(cx - kx, cy + ry, cx - rx, cy + ky, cx - rx, cy)
    .cubic(cx - rx, cy - ky, cx - kx, cy - ry, cx, cy - ry)
    .cubic(cx + kx, cy - ry, cx + rx, cy - ky, cx + rx, cy)
    .close()
    .build()
}

/** Middle and radius of the largest circle in a box: what is round keeps its form whatever the trim. */
function circleIn({ x, y, width, height }: Rect): { cx: number; cy: number; r: number } {
  return { cx: x + width / 2, cy: y + height / 2, r: Math.min(width, height) / 2 }
}

/** Straight lines between points around a circle, from its top; `far`: how far out each is. */
function around(box: Rect, n: number, far: (i: number) => number): Path {
  const { cx, cy, r } = circleIn(box)
  const p = new PathBuilder()
  for (let i = 0; i < n; i++) {
    const a = (i / n) * 2 * Math.PI - Math.PI / 2
    const [x, y] = [cx + r * far(i) * Math.cos(a), cy + r * far(i) * Math.sin(a)]
    if (i) p.line(x, y)
    else p.move(x, y)
  }
  return p.close().build()
}

/** A seal's edge: waves around a circle. */
function wavy(box: Rect, waves: number, depth: number): Path {
  const { cx, cy, r } = circleIn(box)
  const at = (i: number, far: number): [number, number] => {
    const a = (i / (2 * waves)) * 2 * Math.PI - Math.PI / 2
    return [cx + r * far * Math.cos(a), cy + r * far * Math.sin(a)]
  }
  const p = new PathBuilder().move(...at(-0.5, 1 - depth / 2))
  for (let i = 0; i < 2 * waves; i++)
    p.quad(...at(i, i % 2 ? 1 - depth : 1 + depth * 0.02), ...at(i + 0.5, 1 - depth / 2))
  return p.close().build()
}

/** What of a shape says its outline. */
type Outlined = Pick<ShapePiece, 'points' | 'depth' | 'path'>

/** The outline of a form in a box. */
export function formPath(form: CoverForm, box: Rect, { points, depth, path }: Outlined = {}): Path {
  const usual = usualForm[form]
  return forms[form](box, { points: points ?? usual.points, depth: depth ?? usual.depth, ...(path ? { path } : {}) })
}

export function drawShape(piece: ShapePiece, { box }: PiecePlace): DrawnPiece {
  const path = formPath(piece.form, box, piece)
  const fill = rgb(piece.colour)
  const { gradient } = piece
  const shape: Item = gradient
    ? gradientIn(path, box, { from: fill, to: rgb(gradient.to), angle: gradient.angle })
    : { kind: 'path', path, fill }
  const opacity = piece.opacity ?? 1
  return {
    layer: { items: [opacity < 1 ? { kind: 'group', opacity, layers: [{ items: [shape] }] } : shape] },
  }
}
