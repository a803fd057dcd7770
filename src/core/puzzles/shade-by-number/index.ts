import { fields } from '../../trade'
import { bandControl, bandField, gridControls, gridFields, stockControl, stockField } from '../plainValues'
import { aPuzzle } from '../puzzle'
import type { Shaded, ShadeValues } from './values'
import { rules } from './rules'

const { shape, whole } = fields

/** A picture that comes out square by square, each shaded as its number says. */
export const shadeByNumber = aPuzzle<ShadeValues, Shaded>({
  id: 'shade-by-number',
  name: 'Shade by number',
  says: 'shade squares by their numbers until a picture comes out',
  schema: () =>
    shape({
      ...gridFields(12, 40),
      outlines: stockField(),
      tones: whole(3, 7).required(),
      band: bandField(),
    }) as never,
  plain: { rows: 24, cols: 20, outlines: [], tones: 5, band: 'middling' },
  sentence: 'Pictures of {outlines}, {cols} by {rows} squares in {tones} tones, {band} to shade.',
  controls: {
    ...gridControls(12, 40),
    outlines: stockControl,
    tones: { as: 'count', says: 'Tones, paper counted', least: 3, most: 7 },
    band: bandControl,
  },
  howTo: {
    rules,
    values: { rows: 12, cols: 12, tones: 3, band: 'easy' },
  },
  work: async () => (await import('./work')).work,
})
