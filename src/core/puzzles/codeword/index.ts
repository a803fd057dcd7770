import { fields } from '../../trade'
import { bandControl, bandField, gridControls, gridFields } from '../plainValues'
import { aPuzzle } from '../puzzle'
import type { Codeword, CodewordValues } from './values'
import { rules } from './rules'

const { shape } = fields

/** A filled lattice without clues: every number is a letter, the same all over the grid. */
export const codeword = aPuzzle<CodewordValues, Codeword>({
  id: 'codeword',
  name: 'Codeword',
  says: 'find which letter each number of a full lattice is',
  schema: () => shape({ ...gridFields(9, 17), band: bandField() }) as never,
  plain: { rows: 13, cols: 13, band: 'middling' },
  sentence: 'Lattices of {cols} by {rows} cells, {band} to read.',
  controls: {
    ...gridControls(9, 17),
    band: bandControl,
  },
  howTo: {
    rules,
    values: { rows: 9, cols: 9, band: 'gentle' },
  },
  work: async () => (await import('./work')).work,
})
