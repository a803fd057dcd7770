import { fields } from '../../trade'
import { bandControl, bandField } from '../plainValues'
import { aPuzzle } from '../puzzle'
import { wordControls, wordFields } from '../wordValues'
import type { MissingVowels, VowelValues } from './values'
import { rules } from './rules'

const { shape } = fields

/** Words without their vowels, the rest of their letters in other groups. */
export const missingVowels = aPuzzle<VowelValues, MissingVowels>({
  id: 'missing-vowels',
  name: 'Missing vowels',
  says: 'read words whose vowels were taken out',
  schema: () => shape({ ...wordFields(3, 24), band: bandField() }) as never,
  plain: { words: { bank: 'kitchen', text: '' }, count: 12, deal: 'again', band: 'middling' },
  sentence: '{count} words of {words}, {deal}, {band} to read.',
  controls: { ...wordControls(3, 24), band: bandControl },
  howTo: {
    rules,
    values: { count: 4, band: 'easy' },
  },
  work: async () => (await import('./work')).work,
})
