import { fields } from '../../trade'
import type { Crossword } from '../lattice/crossword'
import { bandControl, bandField } from '../plainValues'
import { aPuzzle } from '../puzzle'
import { wordControls, wordFields } from '../wordValues'
import type { CrosswordValues } from './values'

const { shape, whole } = fields

/** A crossword woven from a list: its words hang together, each by one letter or more. */
export const crossword = aPuzzle<CrosswordValues, Crossword>({
  id: 'crossword',
  name: 'Crossword',
  says: 'words of a list, woven together, to be found by their clues',
  schema: () => shape({ ...wordFields(4, 40), side: whole(8, 25).required(), band: bandField() }) as never,
  plain: { words: { bank: 'house', text: '' }, count: 18, deal: 'again', side: 17, band: 'middling' },
  sentence: '{count} words of {words}, {deal}, woven into a square of {side} cells at most, {band} to solve.',
  controls: {
    ...wordControls(4, 40, true),
    side: { as: 'count', says: 'Cells of a side at most', least: 8, most: 25 },
    band: bandControl,
  },
  howTo: {
    words: [
      'Each clue has one answer, written a letter a cell from the cell with its number, across or down.',
      'The figure behind a clue is the length of its answer. Where words cross they share a letter.',
    ],
    values: { words: { bank: 'farm', text: '' }, count: 6, side: 10, band: 'gentle' },
  },
  work: async () => (await import('./work')).work,
})
