import { fields } from '../../trade'
import { sourceSchema } from '../../words'
import { bandControl, bandField } from '../plainValues'
import { aPuzzle } from '../puzzle'
import { wordControls } from '../wordValues'
import type { Cryptogram, CryptogramValues } from './values'

const { shape } = fields
const { words } = wordControls(1, 1)

/** A saying to be read, each of its letters changed for another. */
export const cryptogram = aPuzzle<CryptogramValues, Cryptogram>({
  id: 'cryptogram',
  name: 'Cryptogram',
  says: 'read a saying in which each letter stands for another',
  schema: () => shape({ words: sourceSchema(), band: bandField() }) as never,
  plain: { words: { bank: 'sayings', text: '' }, band: 'middling' },
  sentence: 'One of {words}, none twice, {band} to read.',
  controls: {
    words: { ...words, says: 'Sayings', sayings: true },
    band: bandControl,
  },
  howTo: {
    words: [
      'Each letter stands for another, the same all through; none stands for itself.',
      'Short words, and letters that come often, tell the most. Some letters are given.',
    ],
    values: { band: 'gentle' },
  },
  work: async () => (await import('./work')).work,
})
