import type { Reader } from '../reader'
import { readDocx } from '.'

/** Every other archive is taken for one: it says itself what is wrong with it. */
export const docx: Reader = {
  id: 'docx',
  name: 'Word-processor document',
  endings: ['docx'],
  knows: ({ bytes }) => bytes[0] === 0x50 && bytes[1] === 0x4b,
  read: ({ bytes }, { report, salvage }) => readDocx(bytes, report, salvage),
}
