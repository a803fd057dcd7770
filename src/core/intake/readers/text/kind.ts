import type { Reader } from '../reader'
import { readPlainText } from '.'

export const plainText: Reader = {
  id: 'text',
  name: 'Plain text',
  endings: ['txt'],
  knows: () => true,
  read: file => readPlainText(file.text()),
}
