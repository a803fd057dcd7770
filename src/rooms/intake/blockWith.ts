import { type Book, docText } from '@/core/book'
import type { ProofPlace } from './useProof'

const plain = (words: string): string => words.replace(/\s+/g, ' ').trim()

/** The first block of a book in which words stand that were said of a loss; of several files, the name of theirs is passed over. */
export function blockWith(book: Book, said: string): ProofPlace | undefined {
  const within = /^[^:]+: (.+)$/.exec(said)?.[1]
  for (const words of [said, ...(within ? [within] : [])].map(plain)) {
    if (!words) continue
    for (const s of book.sections) {
      if (s.made) continue
      const block = s.doc.content.find(b => plain(docText({ type: 'doc', content: [b] })).includes(words))
      if (block) return { section: s.id, block: block.attrs.id }
      if (plain(s.title).includes(words)) return { section: s.id }
    }
  }
  return undefined
}
