import type { LanguageProof } from '@/core/archive'
import { type KeptProof, primaryTag } from '@/core/book'
import { keptTold, type Told } from '@/core/proof'
import { commit } from './changes'
import { keptList } from './keptList'

const kept = keptList<LanguageProof>('proof', 'words')

/** What proof-reading was told for all of the author's books in a language. */
export async function toldForAll(language: string): Promise<KeptProof> {
  const { words, left } = (await kept.all()).find(k => k.id === primaryTag(language)) ?? { words: [], left: [] }
  return { words, left }
}

/** Tells it something for all books in a language, or tells it that no more. */
export const tellForAll = (language: string, what: Told, stands = true): Promise<void> =>
  kept.change(all => {
    const id = primaryTag(language)
    const now = keptTold(
      all.find(k => k?.id === id),
      what,
      stands,
    )
    return [...all.filter(k => k?.id !== id), ...(now ? [{ id, ...now }] : [])]
  })

/** Tells it something of one book, or tells it that no more: a step of the book. */
export const tellOfBook = (book: string, what: Told, stands = true): Promise<void> =>
  commit(book, stands ? 'Leave a doubt' : 'Doubt it again', ({ proof }) => ({ proof: keptTold(proof, what, stands) }))
