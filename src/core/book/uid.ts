import { strToU8 } from 'fflate'
import type { Book } from './book'
import { authorsOf, joinedNames } from './names'
import { hashOf } from './hash'

/** What a UUID looks like. */
export const uidForm = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/

/**
 * The UUID of a book: its own, given once, whatever becomes of its title. Books from before there was one are named by what they were
 * called: that is the name their ebooks bore.
 */
export function uidOf(book: Pick<Book, 'id' | 'uid' | 'data'>): string {
  if (book.uid) return book.uid
  const h = hashOf(strToU8(JSON.stringify([book.id, book.data.title, joinedNames(authorsOf(book.data), 'and')])))
  return `${h.slice(0, 8)}-${h.slice(8, 12)}-5${h.slice(13, 16)}-8${h.slice(17, 20)}-${h.slice(20, 32)}`
}
