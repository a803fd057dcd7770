import { fields } from '../../trade'
import { type Band, bandChoices, bands } from '../difficulty'
import { aPuzzle } from '../puzzle'
import type { Sudoku } from './grid'

const { one, shape } = fields

const sizes = ['4', '6', '9', '16'] as const
export interface SudokuValues {
  size: (typeof sizes)[number]
  band: Band
}

/** Bands that grids of a size reach: small ones fall to single numbers. */
export const hardestOf = (size: SudokuValues['size']): readonly Band[] =>
  size === '4' ? bands.slice(0, 1) : size === '6' ? bands.slice(0, 3) : bands

/** Rows, columns and boxes with each number once. */
export const sudoku = aPuzzle<SudokuValues, Sudoku>({
  id: 'sudoku',
  name: 'Sudoku',
  says: 'each number once in every row, column and box',
  schema: () => shape({ size: one(...sizes).required(), band: one(...bands).required() }) as never,
  plain: { size: '9', band: 'middling' },
  sentence: '{band} ones of {size}.',
  controls: {
    size: { as: 'choice', says: 'Size', choices: sizes.map(value => ({ value, words: `${value} by ${value}` })) },
    band: { as: 'choice', says: 'Difficulty', choices: bandChoices },
  },
  work: async () => (await import('./work')).work,
})
