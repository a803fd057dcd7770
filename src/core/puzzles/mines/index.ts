import { fields } from '../../trade'
import { bandControl, bandField, gridControls, gridFields } from '../plainValues'
import { aPuzzle } from '../puzzle'
import { LEAST, type Mines, type MinesValues, MOST } from './field'
import { rules } from './rules'

const { shape, whole } = fields

/** Numbers that count the mines around them: where the mines lie follows, without a guess. */
export const mines = aPuzzle<MinesValues, Mines>({
  id: 'mines',
  name: 'Mines',
  says: 'find the mines by the numbers around them, never a guess',
  schema: () =>
    shape({
      ...gridFields(LEAST, MOST),
      share: whole(8, 30).required(),
      band: bandField(),
    }) as never,
  plain: { rows: 12, cols: 12, share: 20, band: 'middling' },
  sentence: 'Fields of {cols} by {rows} cells, {share} in a hundred mined, {band} to clear.',
  controls: {
    ...gridControls(LEAST, MOST),
    share: { as: 'count', says: 'Mines in a hundred cells', least: 8, most: 30 },
    band: bandControl,
  },
  howTo: {
    rules,
    values: { rows: 5, cols: 5, share: 16, band: 'gentle' },
  },
  work: async () => (await import('./work')).work,
})
