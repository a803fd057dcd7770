import { PathBuilder } from '../../marks'
import { mix } from '../mix'
import { filled, type MotifKind } from './kind'

/** Rows of houses, the furthest first. */
const ROWS = 3

export const skyline: MotifKind = {
  name: 'a town at night',
  says: '{kind}, up to {height} of the sheet, its houses {width} wide',
  values: {
    height: { least: 0.08, most: 0.7, usual: 0.3 },
    width: { least: 0.03, most: 0.3, usual: 0.09, share: true },
  },
  colours: { dark: 'nearest houses', accent: 'furthest houses', light: 'windows' },
  scattered: true,
  draw: ({ sheet, dark, accent, light, length, value, chance }) => {
    const bottom = sheet.y + sheet.height
    const most = sheet.height * value('height')
    const lit = new PathBuilder()
    const rows = Array.from({ length: ROWS }, (_, row) => {
      const p = new PathBuilder()
      const width = length('width') * (0.8 + 0.2 * row)
      for (let x = sheet.x - width * chance(); x < sheet.x + sheet.width;) {
        const w = width * (0.6 + 0.8 * chance())
        const high = most * (1 - row * 0.24) * (0.55 + 0.45 * chance())
        house(p, { x, w, top: bottom - high, bottom }, chance())
        if (row === ROWS - 1) windows(lit, { x, w, top: bottom - high, bottom }, width / 7, chance)
        x += w
      }
      return filled(p.build(), mix(accent, dark, row / (ROWS - 1)))
    })
    return [...rows, filled(lit.build(), light)]
  },
}

interface House {
  x: number
  w: number
  top: number
  bottom: number
}

/** Its roof is flat, or a gable, or leans; `kind` from 0 to 1. */
function house(p: PathBuilder, { x, w, top, bottom }: House, kind: number): void {
  p.move(x, bottom).line(x, top)
  if (kind < 0.34) p.line(x + w / 2, top - w * 0.45)
  else if (kind < 0.48) p.line(x, top - w * 0.3)
  else if (kind < 0.6)
    p.line(x + w * 0.42, top)
      .line(x + w * 0.5, top - w * 0.9)
      .line(x + w * 0.58, top)
  p.line(x + w, top)
    .line(x + w, bottom)
    .close()
}

function windows(p: PathBuilder, { x, w, top, bottom }: House, size: number, chance: () => number): void {
  const across = Math.max(1, Math.floor(w / (size * 2.2)))
  const gap = w / across
  for (let y = top + size * 2; y < bottom - size * 2; y += size * 2.6)
    for (let i = 0; i < across; i++) if (chance() < 0.3) p.rect(x + gap * (i + 0.5) - size / 2, y, size, size * 1.3)
}
