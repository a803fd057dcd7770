import { PathBuilder } from '../../marks'
import { mix } from '../mix'
import { filled, type MotifKind } from './kind'

export const stars: MotifKind = {
  name: 'stars',
  says: '{many} {kind} over the front, the largest {size} wide',
  values: {
    many: { least: 10, most: 900, usual: 220 },
    size: { least: 0.005, most: 0.12, usual: 0.03, share: true },
  },
  colours: { light: 'stars' },
  scattered: true,
  draw: ({ sheet, front, ground, light, length, value, chance }) => {
    const n = Math.round((value('many') * sheet.width * sheet.height) / (front.width * front.height))
    const [far, near, bright] = [new PathBuilder(), new PathBuilder(), new PathBuilder()]
    for (let i = 0; i < n; i++) {
      const [x, y] = [sheet.x + chance() * sheet.width, sheet.y + chance() * sheet.height]
      const by = chance()
      // Most are far: a few are near enough to have rays.
      const r = (length('size') / 2) * (0.08 + 0.92 * by ** 9)
      if (by > 0.86) ray(bright, x, y, r)
      else (by > 0.5 ? near : far).circle(x, y, Math.max(0.25, r))
    }
    return [
      filled(far.build(), mix(ground, light, 0.45)),
      filled(near.build(), mix(ground, light, 0.75)),
      filled(bright.build(), light),
    ]
  },
}

/** A star of four hollow rays. */
function ray(p: PathBuilder, x: number, y: number, r: number): void {
  const k = r * 0.14
  p.move(x, y - r)
    .quad(x + k * 0.5, y - k * 0.5, x + r, y)
    .quad(x + k * 0.5, y + k * 0.5, x, y + r)
    .quad(x - k * 0.5, y + k * 0.5, x - r, y)
    .quad(x - k * 0.5, y - k * 0.5, x, y - r)
    .close()
}
