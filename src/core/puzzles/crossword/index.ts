import { fields } from '../../trade'
import type { Crossword } from '../lattice/crossword'
import { bandControl, bandField } from '../plainValues'
import { aPuzzle } from '../puzzle'
import { wordControls, wordFields } from '../wordValues'
import type { CrosswordValues } from './values'
import { rules } from './rules'

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
    rules,
    values: { words: { bank: 'farm', text: '' }, count: 6, side: 10, band: 'gentle' },
  },
  work: async () => (await import('./work')).work,
})
