import { fields } from '../../trade'
import { bandControl, bandField } from '../plainValues'
import { aPuzzle } from '../puzzle'
import { wordControls, wordFields } from '../wordValues'
import type { GuessSheet, GuessValues } from './values'
import { rules } from './rules'

const { shape, whole } = fields
const { words, count, deal } = wordControls(1, 8)

/** A game for two: letters of a hidden word are asked for, and every miss puts out a lamp. */
export const guessTheWord = aPuzzle<GuessValues, GuessSheet>({
  id: 'guess-the-word',
  name: 'Guess the word',
  says: 'for two: ask for the letters of a word before the lamps are out',
  schema: () => shape({ ...wordFields(1, 8), lamps: whole(4, 12).required(), band: bandField() }) as never,
  plain: { words: { bank: 'all', text: '' }, count: 4, deal: 'again', lamps: 8, band: 'middling' },
  sentence: '{count} rounds on a page with words of {words}, {deal}; {lamps} misses end a round; {band} to guess.',
  controls: {
    words,
    count: { ...count, says: 'Rounds on a page' },
    deal,
    lamps: { as: 'count', says: 'Misses that end a round', least: 4, most: 12 },
    band: bandControl,
  },
  howTo: {
    rules,
    values: { count: 1, band: 'easy' },
  },
  work: async () => (await import('./work')).work,
})
