import { fields } from '../../trade'
import { bandControl, bandField, gridControls, gridFields } from '../plainValues'
import { aPuzzle } from '../puzzle'
import { type Kakuro, type KakuroValues, LEAST, MOST } from './sheet'
import { rules } from './rules'

const { shape } = fields

/** Runs of cells with their sums: each holds different digits that add up to it. */
export const kakuro = aPuzzle<KakuroValues, Kakuro>({
  id: 'kakuro',
  name: 'Kakuro',
  says: 'digits that add up across and down, none twice in a run',
  schema: () =>
    shape({
      ...gridFields(LEAST, MOST),
      band: bandField(),
    }) as never,
  plain: { rows: 8, cols: 8, band: 'middling' },
  sentence: 'Sheets of {cols} by {rows} cells, {band} to fill.',
  controls: {
    ...gridControls(LEAST, MOST),
    band: bandControl,
  },
  howTo: {
    rules,
    values: { rows: 5, cols: 5, band: 'gentle' },
  },
  work: async () => (await import('./work')).work,
})
