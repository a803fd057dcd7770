import { PathBuilder } from '../../marks'
import { mix } from '../mix'
import { field, levelLines } from './field'
import type { MotifKind } from './kind'

const FINE = 52

export const marble: MotifKind = {
  name: 'marbled paper',
  says: '{kind}, its veins {size} apart',
  values: { size: { least: 0.08, most: 1, usual: 0.28, share: true } },
  colours: { accent: 'veins', light: 'bright veins', dark: 'deep veins' },
  scattered: true,
  draw: ({ sheet, front, ground, accent, light, dark, length, chance }) => {
    const size = length('size')
    const step = front.width / FINE
    const land = field(sheet, step, size, chance)
    const drift = field(sheet, step, size * 2.4, chance)
    // A comb drawn through it: heights are pulled along by a second, wider field.
    const combed = land.heights.map((h, i) => {
      const t = (h * 0.6 + drift.heights[i]! * 2.2) % 1
      return Math.abs(t * 2 - 1)
    })
    const veins = (level: number): ReturnType<PathBuilder['build']> => {
      const p = new PathBuilder()
      levelLines({ ...land, heights: combed }, level, p)
      return p.build()
    }
    const lines = [
      { level: 0.18, colour: dark, wide: 4.5 },
      { level: 0.36, colour: mix(ground, accent, 0.6), wide: 7 },
      { level: 0.52, colour: accent, wide: 3 },
      { level: 0.68, colour: mix(ground, light, 0.5), wide: 5 },
      { level: 0.84, colour: light, wide: 2 },
    ]
    return lines.map(({ level, colour, wide }) => ({
      kind: 'path' as const,
      path: veins(level),
      stroke: { colour, width: (front.width / 432) * wide },
    }))
  },
}
