import { PathBuilder } from '../../marks'
import { gradientIn } from '../gradient'
import type { MotifKind } from './kind'

export const fade: MotifKind = {
  name: 'a fade',
  says: '{kind} from {from} of its way on, turned by {angle}°',
  values: { from: { least: 0, most: 0.9, usual: 0.1 }, angle: { least: -180, most: 180, usual: 0 } },
  colours: { dark: 'foot' },
  draw: ({ sheet, ground, dark, value }) => {
    const edge = new PathBuilder().rect(sheet.x, sheet.y, sheet.width, sheet.height).build()
    return [gradientIn(edge, sheet, { from: ground, to: dark, angle: value('angle'), begins: value('from') })]
  },
}
