import { type Item, type Path, PathBuilder } from '../../marks'
import { mix } from '../mix'
import type { Rect } from '../rect'
import { filled, type MotifDrawing, type MotifKind } from './kind'

/** A lamp low over the water on the front, its light in even steps, and swells that run on over spine and back. */
export const tideAndLamp: MotifKind = {
  name: 'a lamp over the tide',
  says: '{kind}, its light {light} wide',
  values: { light: { least: 0.2, most: 1.6, usual: 0.88, share: true } },
  colours: { light: 'lamp', accent: 'far water', dark: 'near water' },
  draw: d => {
    const horizon = d.flat.height * 0.7
    return [...lamp(d, horizon), ...water(d, horizon), glints(d, horizon)]
  },
}

/** Steps in which light falls off. */
const RINGS = 7

function lamp({ flat, front, ground, light, length }: MotifDrawing, horizon: number): Item[] {
  const cx = front.x + front.width * 0.5
  const cy = horizon - flat.height * 0.115
  const rings = Array.from({ length: RINGS }, (_, i) => {
    const t = i / (RINGS - 1)
    const r = length('light') * (0.5 - 0.41 * t)
    return filled(new PathBuilder().circle(cx, cy, r).build(), mix(ground, light, 0.04 + 0.3 * t * t))
  })
  return [...rings, filled(silhouette(cx, cy, front.width * 0.062), light)]
}

/** The water covers the lower part of the light. */
function water({ flat, sheet, front, accent, dark }: MotifDrawing, horizon: number): Item[] {
  const swells = 6
  return Array.from({ length: swells }, (_, i) => {
    const t = i / (swells - 1)
    const y = horizon + (flat.height + flat.bleed.bottom - horizon) * t * 0.82
    const wave = { height: flat.height * (0.006 + 0.012 * t), length: front.width * (0.3 + 0.12 * t), phase: i * 1.7 }
    return filled(swell(sheet, y, wave), mix(accent, dark, 0.12 + 0.88 * t))
  })
}

/** The lamp's path on the water: short strokes that widen toward us. */
function glints({ flat, front, ground, light }: MotifDrawing, horizon: number): Item {
  const cx = front.x + front.width * 0.5
  const p = new PathBuilder()
  for (let i = 0; i < 11; i++) {
    const t = i / 10
    const y = horizon + flat.height * (0.018 + 0.17 * t)
    const w = front.width * (0.035 + 0.1 * t) * (i % 2 ? 0.62 : 1)
    const dx = front.width * 0.018 * Math.sin(i * 2.4)
    p.move(cx + dx - w, y)
      .quad(cx + dx, y - flat.height * 0.0035, cx + dx + w, y)
      .quad(cx + dx, y + flat.height * 0.0035, cx + dx - w, y)
      .close()
  }
  return filled(p.build(), mix(light, ground, 0.3))
}

/** Roof, glass, base and ring of a ship's lamp, as one silhouette. */
function silhouette(cx: number, cy: number, r: number): Path {
  const b = new PathBuilder()
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
