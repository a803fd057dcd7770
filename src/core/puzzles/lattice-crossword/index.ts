import { fields } from '../../trade'
import { bandChoices, bands } from '../difficulty'
import type { Crossword } from '../lattice/crossword'
import { aPuzzle } from '../puzzle'
import type { LatticeValues } from './values'

const { one, shape, whole } = fields

/** A crossword in a symmetric lattice, filled with words that most adults know. */
export const latticeCrossword = aPuzzle<LatticeValues, Crossword>({
  id: 'lattice-crossword',
  name: 'Lattice crossword',
  says: 'a symmetric lattice full of words, to be found by their clues',
  schema: () =>
    shape({
      rows: whole(7, 17).required(),
      cols: whole(7, 17).required(),
      crossing: one('half', 'all').required(),
      words: one('common', 'known').required(),
      band: one(...bands).required(),
    }) as never,
  plain: { rows: 13, cols: 13, crossing: 'half', words: 'known', band: 'middling' },
  sentence: 'Lattices of {cols} by {rows} cells in which {crossing} cross, of {words}, {band} to solve.',
  controls: {
    rows: { as: 'count', says: 'Rows', least: 7, most: 17 },
    cols: { as: 'count', says: 'Columns', least: 7, most: 17 },
    crossing: {
      as: 'choice',
      says: 'Letters that cross',
      choices: [
        { value: 'half', words: 'every other letter' },
        { value: 'all', words: 'all letters' },
      ],
    },
    words: {
      as: 'choice',
      says: 'Words',
      choices: [
        { value: 'known', words: 'words that most adults know' },
        { value: 'common', words: 'the most common words' },
      ],
    },
    band: { as: 'choice', says: 'Difficulty', choices: bandChoices },
  },
  howTo: {
    words: [
      'Each clue has one answer, written a letter a cell from the cell with its number, across or down.',
      'The figure behind a clue is the length of its answer. Where words cross they share a letter.',
    ],
    values: { rows: 7, cols: 7, band: 'gentle' },
  },
  work: async () => (await import('./work')).work,
})
