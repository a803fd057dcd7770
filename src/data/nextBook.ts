import { filesOf, nextBook } from '@/core/book'
import { freshBookId, getBook, putBook } from './books'

/** Begins the next book of a series from one that is here; gives its id. */
export async function beginNext(bookId: string): Promise<string> {
  const stored = await getBook(bookId)
  if (!stored) throw new Error('The book that it should begin from is not here any more.')
  const { data } = nextBook(stored.book, bookId)
  const book = nextBook(stored.book, await freshBookId(data.title))
  const wanted = new Set(filesOf(book))
  await putBook({ book, pictures: new Map([...stored.pictures].filter(([hash]) => wanted.has(hash))) })
  return book.id
}
