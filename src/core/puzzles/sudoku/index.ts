import { fields } from '../../trade'
import { bandControl, bandField } from '../plainValues'
import { aPuzzle } from '../puzzle'
import type { Sudoku } from './grid'
import { sizes, type SudokuValues } from './values'
import { rules } from './rules'

const { one, shape } = fields

/** Rows, columns and boxes with each number once. */
export const sudoku = aPuzzle<SudokuValues, Sudoku>({
  id: 'sudoku',
  name: 'Sudoku',
  says: 'each number once in every row, column and box',
  schema: () => shape({ size: one(...sizes).required(), band: bandField() }) as never,
  plain: { size: '9', band: 'middling' },
  sentence: 'Grids of {size}, {band} to solve.',
  controls: {
    size: { as: 'choice', says: 'Size', choices: sizes.map(value => ({ value, words: `${value} by ${value}` })) },
    band: bandControl,
  },
  howTo: {
    rules,
    values: { size: '4', band: 'gentle' },
  },
  work: async () => (await import('./work')).work,
})
