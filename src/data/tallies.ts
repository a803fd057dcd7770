import { emptyTally, tallied, type WordsChanged } from '@/core/pace'
import { db } from './db'

/** The day of a moment where the author lives: "2026-11-29". */
export function dayHere(at = Date.now()): string {
  const here = new Date(at - new Date(at).getTimezoneOffset() * 60_000)
  return here.toISOString().slice(0, 10)
}

/** Tells a book's tally what a change did, in the transaction that writes the change. */
export async function noteWords(book: string, changed: WordsChanged, at: number): Promise<void> {
  const day = dayHere(at)
  const { book: _book, ...was } = (await db.tallies.get([book, day])) ?? { book, ...emptyTally(day) }
  await db.tallies.put({ book, ...tallied(was, changed, at) })
}
