import type { Reader } from '../reader'
import { readMarkdown } from '.'

export const markdown: Reader = {
  id: 'markdown',
  name: 'Markdown',
  endings: ['md', 'markdown'],
  knows: ({ ending }) => ending === 'md' || ending === 'markdown',
  read: (file, { beside }) => readMarkdown(file.text(), beside),
}
