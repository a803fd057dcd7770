import { db } from './db'
import type { BookRecord } from './records'

/** The records of all books, those that were taken down among them. Read at once, to be sifted here: a cursor takes four times as long. */
export const allBooks = (): Promise<BookRecord[]> => db.books.toArray()

export const standing = (books: BookRecord[]): BookRecord[] => books.filter(b => b.takenDown === undefined)

/** Books that were taken down, the newest first. */
export const takenDownOf = (books: BookRecord[]): BookRecord[] =>
  books.filter(b => b.takenDown !== undefined).sort((a, b) => b.takenDown! - a.takenDown!)

/** Books that stand in the list; those that were taken down rest elsewhere. */
export const listBooks = async (): Promise<BookRecord[]> => standing(await allBooks())
export const takenDown = async (): Promise<BookRecord[]> => takenDownOf(await allBooks())
