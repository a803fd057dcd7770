import { fields } from '../../trade'
import { bandControl, bandField, gridControls, gridFields } from '../plainValues'
import { aPuzzle } from '../puzzle'
import { LEAST, type Loop, type LoopValues, MOST } from './lattice'
import { rules } from './rules'

const { shape } = fields

/** One closed line along the sides of cells; a number says how many of its cell's sides the line takes. */
export const loop = aPuzzle<LoopValues, Loop>({
  id: 'loop',
  name: 'Loop',
  says: 'one closed line past numbers that count the sides it takes',
  schema: () =>
    shape({
      ...gridFields(LEAST, MOST),
      band: bandField(),
    }) as never,
  plain: { rows: 10, cols: 10, band: 'middling' },
  sentence: 'Sheets of {cols} by {rows} cells, {band} to close.',
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
