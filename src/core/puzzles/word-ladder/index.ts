import { fields } from '../../trade'
import { bandControl, bandField } from '../plainValues'
import { aPuzzle } from '../puzzle'
import type { LadderValues, WordLadder } from './values'
import { rules } from './rules'

const { shape, whole } = fields

/** From one word to another, a letter at a time. */
export const wordLadder = aPuzzle<LadderValues, WordLadder>({
  id: 'word-ladder',
  name: 'Word ladder',
  says: 'climb from one word to another, changing a letter at each rung',
  schema: () =>
    shape({
      letters: whole(3, 5).required(),
      count: whole(1, 6).required(),
      band: bandField(),
    }) as never,
  plain: { letters: 4, count: 3, band: 'middling' },
  sentence: '{count} on a page, of words of {letters} letters, {band} to climb.',
  controls: {
    letters: { as: 'count', says: 'Letters of a word', least: 3, most: 5 },
    count: { as: 'count', says: 'Ladders in a puzzle', least: 1, most: 6 },
    band: bandControl,
  },
  howTo: {
    rules,
    values: { letters: 3, count: 2, band: 'gentle' },
  },
  work: async () => (await import('./work')).work,
})
