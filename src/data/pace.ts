import type { Pace } from '@/core/book'
import { type DayTally, together } from '@/core/pace'
import { commit } from './changes'
import { db } from './db'

/** The days of a book, in order. */
export const tallyOf = async (book: string): Promise<DayTally[]> =>
  together(await db.tallies.where('book').equals(book).toArray())

/** The days of all books together, in order. */
export const tallyOfAll = async (): Promise<DayTally[]> => together(await db.tallies.toArray())

/** Sets the pace of a book, or lets it go: a step of the book. */
export const setPace = (book: string, pace: Pace | undefined): Promise<void> =>
  commit(book, pace ? 'Pace' : 'No pace', () => ({ pace }))
