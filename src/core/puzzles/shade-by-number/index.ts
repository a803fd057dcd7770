import { fields } from '../../trade'
import { bandChoices, bands } from '../difficulty'
import { aPuzzle } from '../puzzle'
import type { Shaded, ShadeValues } from './values'

const { one, shape, whole } = fields

/** A picture that comes out square by square, each shaded as its number says. */
export const shadeByNumber = aPuzzle<ShadeValues, Shaded>({
  id: 'shade-by-number',
  name: 'Shade by number',
  says: 'shade squares by their numbers until a picture comes out',
  schema: () =>
    shape({
      rows: whole(12, 40).required(),
      cols: whole(12, 40).required(),
      tones: whole(3, 7).required(),
      band: one(...bands).required(),
    }) as never,
  plain: { rows: 24, cols: 20, tones: 5, band: 'middling' },
  sentence: 'Pictures of {cols} by {rows} squares in {tones} tones, {band} to shade.',
  controls: {
    rows: { as: 'count', says: 'Rows', least: 12, most: 40 },
    cols: { as: 'count', says: 'Columns', least: 12, most: 40 },
    tones: { as: 'count', says: 'Tones, paper counted', least: 3, most: 7 },
    band: { as: 'choice', says: 'Difficulty', choices: bandChoices },
  },
  howTo: {
    words: [
      'Shade every square with the tone that its number has in the key.',
      'A soft pencil does it: press harder for the darker ones.',
    ],
    values: { rows: 12, cols: 12, tones: 3, band: 'easy' },
  },
  work: async () => (await import('./work')).work,
})
