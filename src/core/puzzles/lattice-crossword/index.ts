import { fields } from '../../trade'
import type { Crossword } from '../lattice/crossword'
import { bandControl, bandField, gridControls, gridFields } from '../plainValues'
import { aPuzzle } from '../puzzle'
import type { LatticeValues } from './values'
import { rules } from '../crossword/rules'

const { one, shape } = fields

/** A crossword in a symmetric lattice, filled with words that most adults know. */
export const latticeCrossword = aPuzzle<LatticeValues, Crossword>({
  id: 'lattice-crossword',
  name: 'Lattice crossword',
  says: 'a symmetric lattice full of words, to be found by their clues',
  schema: () =>
    shape({
      ...gridFields(7, 17),
      crossing: one('half', 'all').required(),
      words: one('common', 'known').required(),
      band: bandField(),
    }) as never,
  plain: { rows: 13, cols: 13, crossing: 'half', words: 'known', band: 'middling' },
  sentence: 'Lattices of {cols} by {rows} cells in which {crossing} cross, of {words}, {band} to solve.',
  controls: {
    ...gridControls(7, 17),
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
    band: bandControl,
  },
  howTo: {
    rules,
    values: { rows: 7, cols: 7, band: 'gentle' },
  },
  work: async () => (await import('./work')).work,
})
