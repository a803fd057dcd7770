import { PathBuilder } from '../../marks'
import { mix } from '../mix'
import { filled, type MotifKind } from './kind'

export const mountains: MotifKind = {
  name: 'ranges of hills',
  says: '{ranges} {kind}, up to {height} of the sheet, a moon over them {moon} wide',
  values: {
    ranges: { least: 1, most: 9, usual: 4 },
    height: { least: 0.1, most: 0.9, usual: 0.5 },
    moon: { least: 0, most: 0.8, usual: 0.26, share: true },
  },
  colours: { dark: 'nearest range', accent: 'furthest range', light: 'moon' },
  scattered: true,
  draw: ({ sheet, front, dark, accent, light, length, value, chance }) => {
    const bottom = sheet.y + sheet.height
    const ranges = Math.round(value('ranges'))
    const high = sheet.height * value('height')
    const moon = length('moon') / 2
    const cx = front.x + front.width * (0.3 + 0.4 * chance())
    const out = moon > 0 ? [filled(new PathBuilder().circle(cx, bottom - high, moon).build(), light)] : []
    for (let i = 0; i < ranges; i++) {
      const line = ridge(9, 0.62, chance)
      const foot = bottom - high * (1 - (i + 0.35) / (ranges + 0.35))
      const p = new PathBuilder().move(sheet.x, bottom)
      line.forEach((h, k) => p.line(sheet.x + (sheet.width * k) / (line.length - 1), foot - h * high * 0.34))
      out.push(
        filled(
          p
            .line(sheet.x + sheet.width, bottom)
            .close()
            .build(),
          mix(accent, dark, (i + 1) / ranges),
        ),
      )
    }
    return out
  },
}

/** Heights along a ridge, about −1 to 1: midpoints are moved by chance, by less each time. `rounds`: how often halved. */
function ridge(rounds: number, roughness: number, chance: () => number): number[] {
  let line = [chance() - 0.5, chance() - 0.5, chance() - 0.5, chance() - 0.5, chance() - 0.5]
  let by = 0.5
  for (let r = 2; r < rounds; r++) {
    line = line.flatMap((h, i) => (i + 1 < line.length ? [h, (h + line[i + 1]!) / 2 + (chance() - 0.5) * by] : [h]))
    by *= roughness
  }
  return line
}
