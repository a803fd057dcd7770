import { type Colour, type Item, type Path, PathBuilder, rgb } from '../marks'
import type { CoverDesign } from './design'
import type { Flat, Rect } from './geometry'

/** The drawing under the pieces, over the whole sheet to the bleed. */
export function motifItems(design: CoverDesign, flat: Flat): Item[] {
  const { bleed } = flat
  const sheet: Rect = {
    x: -bleed.left,
    y: -bleed.top,
    width: flat.width + bleed.left + bleed.right,
    height: flat.height + bleed.top + bleed.bottom,
  }
  const ground: Item = {
    kind: 'path',
    path: new PathBuilder().rect(sheet.x, sheet.y, sheet.width, sheet.height).build(),
    fill: rgb(design.ground.colour),
  }
  switch (design.motif.kind) {
    case 'plain':
      return [ground]
    case 'rows':
      return [ground, ...rowsOf(design, sheet)]
    case 'tide and lamp':
      return [ground, ...lampAndTide(design, flat, sheet)]
  }
}

function rowsOf(design: CoverDesign, { x, y: top, width, height }: Rect): Item[] {
  const step = 9
  const p = new PathBuilder()
  for (let y = top; y < top + height; y += step) p.rect(x, y, width, step * 0.28)
  return [{ kind: 'path', path: p.build(), fill: rgb(design.motif.accent) }]
}

/** A lamp low over the water on the front, its light in even steps, and swells that run on over spine and back. */
function lampAndTide(design: CoverDesign, flat: Flat, sheet: Rect): Item[] {
  const out: Item[] = []
  const front = flat.panels.front
  const cx = front.x + front.width * 0.5
  const horizon = flat.height * 0.7
  const cy = horizon - flat.height * 0.115
  const ground = rgb(design.ground.colour)
  const light = rgb(design.motif.light)
  // Light falls off in steps, each a plain colour: no press has to flatten a transparency.
  const rings = 7
  for (let i = 0; i < rings; i++) {
    const t = i / (rings - 1)
    const r = front.width * (0.44 - 0.36 * t)
    out.push({
      kind: 'path',
      path: new PathBuilder().circle(cx, cy, r).build(),
      fill: mix(ground, light, 0.04 + 0.3 * t * t),
    })
  }
  out.push({ kind: 'path', path: lamp(cx, cy, front.width * 0.062), fill: light })
  // The water covers the lower part of the light.
  const swells = 6
  for (let i = 0; i < swells; i++) {
    const t = i / (swells - 1)
    const y = horizon + (flat.height + flat.bleed.bottom - horizon) * t * 0.82
    const wave = { height: flat.height * (0.006 + 0.012 * t), length: front.width * (0.3 + 0.12 * t), phase: i * 1.7 }
    out.push({
      kind: 'path',
      path: swell(sheet, y, wave),
      fill: mix(rgb(design.motif.accent), rgb(design.motif.dark), 0.12 + 0.88 * t),
    })
  }
  // The lamp's path on the water: short strokes that widen toward us.
  const glints = new PathBuilder()
  for (let i = 0; i < 11; i++) {
    const t = i / 10
    const y = horizon + flat.height * (0.018 + 0.17 * t)
    const w = front.width * (0.035 + 0.1 * t) * (i % 2 ? 0.62 : 1)
    const dx = front.width * 0.018 * Math.sin(i * 2.4)
    glints
      .move(cx + dx - w, y)
      .quad(cx + dx, y - flat.height * 0.0035, cx + dx + w, y)
      .quad(cx + dx, y + flat.height * 0.0035, cx + dx - w, y)
      .close()
  }
  out.push({ kind: 'path', path: glints.build(), fill: mix(light, ground, 0.3) })
  return out
}

function lamp(cx: number, cy: number, r: number) {
  const b = new PathBuilder()
  // Roof, glass, base and ring of a ship's lamp, as one silhouette.
  b.move(cx - r * 0.72, cy - r * 0.62)
    .line(cx, cy - r * 1.25)
    .line(cx + r * 0.72, cy - r * 0.62)
    .close()
  b.move(cx - r * 0.52, cy - r * 0.5)
    .line(cx + r * 0.52, cy - r * 0.5)
    .quad(cx + r * 0.72, cy + r * 0.2, cx + r * 0.46, cy + r * 0.85)
    .line(cx - r * 0.46, cy + r * 0.85)
    .quad(cx - r * 0.72, cy + r * 0.2, cx - r * 0.52, cy - r * 0.5)
    .close()
  b.rect(cx - r * 0.66, cy + r * 0.97, r * 1.32, r * 0.24)
  b.circle(cx, cy - r * 1.48, r * 0.16)
  return b.build()
}

/** Water from a line of waves down to the sheet's foot. `phase`: whether it begins with a crest or a trough, radians. */
function swell(sheet: Rect, y: number, wave: { height: number; length: number; phase: number }): Path {
  const bottom = sheet.y + sheet.height
  const b = new PathBuilder().move(sheet.x, bottom).line(sheet.x, y)
  const n = Math.ceil(sheet.width / (wave.length / 2))
  const step = sheet.width / n
  let sign = Math.sin(wave.phase) > 0 ? 1 : -1
  for (let i = 0; i < n; i++) {
    const x = sheet.x + i * step
    const crest = y - wave.height * sign
    b.cubic(x + step * 0.36, crest, x + step * 0.64, crest, x + step, y)
    sign = -sign
  }
  return b
    .line(sheet.x + sheet.width, bottom)
    .close()
    .build()
}

/** A part of the way from one colour to another. */
export function mix(a: Colour, b: Colour, t: number): Colour {
  const [x, y] = [toRgb(a), toRgb(b)]
  return { r: x.r + (y.r - x.r) * t, g: x.g + (y.g - x.g) * t, b: x.b + (y.b - x.b) * t }
}

export const toRgb = (c: Colour): { r: number; g: number; b: number } =>
  'k' in c ? { r: 1 - c.k, g: 1 - c.k, b: 1 - c.k } : c
