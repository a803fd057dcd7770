import { fields } from '../../trade'
import { sourceSchema } from '../../words'
import { bandControl, bandField } from '../plainValues'
import { aPuzzle } from '../puzzle'
import { wordControls } from '../wordValues'
import type { Cryptogram, CryptogramValues } from './values'
import { rules } from './rules'

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
    rules,
    values: { band: 'gentle' },
  },
  work: async () => (await import('./work')).work,
})
