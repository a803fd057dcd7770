import type { Reader } from '../reader'
import { readEpubText } from '.'

export const epub: Reader = {
  id: 'epub',
  name: 'EPUB',
  endings: ['epub'],
  knows: ({ entries, ending }) =>
    entries.has('META-INF/container.xml') &&
    (ending === 'epub' || entries.has('mimetype')) &&
    !entries.has('content.xml'),
  read: ({ bytes }, { report, salvage }) => readEpubText(bytes, report, salvage),
}
