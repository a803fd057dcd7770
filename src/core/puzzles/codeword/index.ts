import { fields } from '../../trade'
import { bandChoices, bands } from '../difficulty'
import { aPuzzle } from '../puzzle'
import type { Codeword, CodewordValues } from './values'

const { one, shape, whole } = fields

/** A filled lattice without clues: every number is a letter, the same all over the grid. */
export const codeword = aPuzzle<CodewordValues, Codeword>({
  id: 'codeword',
  name: 'Codeword',
  says: 'find which letter each number of a full lattice is',
  schema: () =>
    shape({ rows: whole(9, 17).required(), cols: whole(9, 17).required(), band: one(...bands).required() }) as never,
  plain: { rows: 13, cols: 13, band: 'middling' },
  sentence: 'Lattices of {cols} by {rows} cells, {band} to read.',
  controls: {
    rows: { as: 'count', says: 'Rows', least: 9, most: 17 },
    cols: { as: 'count', says: 'Columns', least: 9, most: 17 },
    band: { as: 'choice', says: 'Difficulty', choices: bandChoices },
  },
  howTo: {
    words: [
      'Every number is a letter, the same one wherever it stands. No two numbers are the same letter.',
      'Begin with the letters that are given, and write each letter that you find under its number in the key.',
    ],
    values: { rows: 9, cols: 9, band: 'gentle' },
  },
  work: async () => (await import('./work')).work,
})
