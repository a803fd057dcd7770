import { PathBuilder } from '../../marks'
import { mix } from '../mix'
import { filled, type MotifKind } from './kind'

export const waves: MotifKind = {
  name: 'waves',
  says: '{kind} from {from} of the height down, {height} high and {length} long',
  values: {
    from: { least: 0, most: 0.95, usual: 0.4 },
    height: { least: 0.005, most: 0.2, usual: 0.045, share: true },
    length: { least: 0.08, most: 1.5, usual: 0.5, share: true },
  },
  colours: { accent: 'nearest wave', dark: 'furthest wave' },
  scattered: true,
  draw: ({ sheet, accent, dark, length, value, chance }) => {
    const [height, long] = [length('height'), length('length')]
    const from = sheet.y + sheet.height * value('from')
    const bottom = sheet.y + sheet.height
    const n = Math.max(2, Math.min(24, Math.round((bottom - from) / (height * 1.7))))
    return Array.from({ length: n }, (_, i) => {
      const t = i / (n - 1)
      const y = from + (bottom - from) * (i / n)
      const half = (long / 2) * (0.8 + 0.5 * t)
      const b = new PathBuilder().move(sheet.x, bottom)
      const start = sheet.x - chance() * 2 * half
      b.line(start, bottom).line(start, y)
      let up = -1
      for (let x = start; x < sheet.x + sheet.width; x += half, up = -up)
        b.cubic(x + half * 0.36, y + (up * height) / 2, x + half * 0.64, y + (up * height) / 2, x + half, y)
      b.line(sheet.x + sheet.width + 2 * half, y).line(sheet.x + sheet.width + 2 * half, bottom)
      return filled(b.close().build(), mix(dark, accent, t))
    })
  },
}
