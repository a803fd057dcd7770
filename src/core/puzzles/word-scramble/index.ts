import { fields } from '../../trade'
import { bandControl, bandField } from '../plainValues'
import { aPuzzle } from '../puzzle'
import { wordControls, wordFields } from '../wordValues'
import type { Scramble, ScrambleValues } from './values'
import { rules } from './rules'

const { shape } = fields

/** Words whose letters are to be put back into order. */
export const scramble = aPuzzle<ScrambleValues, Scramble>({
  id: 'word-scramble',
  name: 'Word scramble',
  says: 'put the letters of each word back into order',
  schema: () => shape({ ...wordFields(3, 24), band: bandField() }) as never,
  plain: { words: { bank: 'all', text: '' }, count: 12, deal: 'again', band: 'middling' },
  sentence: '{count} words of {words}, {deal}, {band} to put in order.',
  controls: { ...wordControls(3, 24), band: bandControl },
  howTo: {
    rules,
    values: { count: 4, band: 'gentle' },
  },
  work: async () => (await import('./work')).work,
})
