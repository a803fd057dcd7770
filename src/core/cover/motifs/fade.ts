import { PathBuilder } from '../../marks'
import { mix } from '../mix'
import { filled, type MotifKind } from './kind'

/** Steps from one colour to the other: finer than an eye tells apart on paper. */
const STEPS = 96

export const fade: MotifKind = {
  name: 'a fade',
  says: '{kind} from {from} of its height on',
  values: { from: { least: 0, most: 0.9, usual: 0.1 } },
  colours: { dark: 'foot' },
  draw: ({ sheet, ground, dark, value }) => {
    const from = sheet.y + sheet.height * value('from')
    const step = (sheet.y + sheet.height - from) / STEPS
    // Each reaches under the next, so that no hair of another colour stands between them.
    return Array.from({ length: STEPS }, (_, i) => {
      const y = from + i * step
      return filled(
        new PathBuilder().rect(sheet.x, y, sheet.width, sheet.y + sheet.height - y).build(),
        mix(ground, dark, (i + 1) / STEPS),
      )
    })
  },
}
