import { PathBuilder } from '../../marks'
import { type MotifKind } from './kind'
import { field, levelLines } from './field'

/** Points across the front at which the land is measured. */
const FINE = 52

export const contours: MotifKind = {
  name: 'contour lines',
  says: '{levels} {kind} of land whose hills are {size} wide',
  values: {
    size: { least: 0.1, most: 2, usual: 0.6, share: true },
    levels: { least: 3, most: 40, usual: 16 },
  },
  colours: { accent: 'lines', light: 'every fifth line' },
  scattered: true,
  draw: ({ sheet, front, accent, light, length, value, chance }) => {
    const land = field(sheet, front.width / FINE, length('size'), chance)
    const levels = Math.round(value('levels'))
    const [fine, strong] = [new PathBuilder(), new PathBuilder()]
    for (let i = 1; i <= levels; i++) levelLines(land, i / (levels + 1), i % 5 ? fine : strong)
    const width = front.width / 500
    return [
      { kind: 'path', path: fine.build(), stroke: { colour: accent, width } },
      { kind: 'path', path: strong.build(), stroke: { colour: light, width: width * 1.8 } },
    ]
  },
}
