import { db } from './db'
import { guarded } from './trouble'

/** Numbers taken from a book's counter at a time: they are cheap, and a writer must not wait for one. */
const LEASE = 256

interface Lease {
  next: number
  to: number
}
const leases = new Map<string, Lease>()
const asking = new Map<string, Promise<void>>()

/** The next free number of a book's counter, for this window alone; undefined where there is none at hand: see `askForIds`. */
export function nextNumber(book: string): number | undefined {
  const l = leases.get(book)
  return l && l.next <= l.to ? l.next++ : undefined
}

/** Takes numbers from the counter. They are spent even where they are not used: none is ever given twice. */
export function askForIds(book: string): Promise<void> {
  let work = asking.get(book)
  if (!work) {
    work = guarded(() =>
      db.transaction('rw', db.books, async () => {
        const record = await db.books.get(book)
        if (!record) return
        await db.books.update(book, { lastId: record.lastId + LEASE })
        leases.set(book, { next: record.lastId + 1, to: record.lastId + LEASE })
      }),
    ).finally(() => asking.delete(book))
    asking.set(book, work)
  }
  return work
}
