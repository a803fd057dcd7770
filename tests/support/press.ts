import type { Book, Section } from '@/core/book'
import { type BookUpdate, openBook } from '@/workers/openBooks'

let turns = 0
/** Gives the press a book as the page does: what it has not seen, told apart by identity. */
export function sender(): (book: Book, pictures?: Map<string, Uint8Array>) => Promise<void> {
  let seen = new Map<string, Section>()
  let after = 0
  return async (book, pictures) => {
    const { sections, ...head } = book
    const news = sections.filter(s => seen.get(s.id) !== s)
    seen = new Map(sections.map(s => [s.id, s]))
    // As messages do it, what is sent is a copy.
    const turn = ++turns
    await openBook({
      ...(JSON.parse(JSON.stringify({ head, order: sections.map(s => s.id), sections: news })) as Pick<
        BookUpdate,
        'head' | 'order' | 'sections'
      >),
      after,
      turn,
      ...(pictures ? { lent: pictures } : {}),
    })
    after = turn
  }
}
