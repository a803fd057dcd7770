import { type Collected, collectBlobs, namedHashes } from './blobs'
import { takenDown } from './bookList'
import { db } from './db'
import type { BookRecord } from './records'
import { guarded } from './trouble'

/** How long a book rests after it was taken down, in days, before it goes. */
export const REST_DAYS = 30
const A_DAY = 24 * 3600 * 1000

/** Takes a book down from the porch: it rests, whole, and can be put back. */
export const takeDown = (book: string, now = Date.now()): Promise<void> =>
  guarded(async () => void (await db.books.update(book, { takenDown: now })))

/** Puts a book that was taken down back on the porch, as it was. */
export const putBackUp = (book: string): Promise<void> =>
  guarded(
    async () =>
      void (await db.books.update(book, b => {
        delete b.takenDown
      })),
  )

/** Days that a book still rests. */
export const daysLeft = (b: BookRecord, now = Date.now()): number =>
  Math.max(0, Math.ceil((b.takenDown! + REST_DAYS * A_DAY - now) / A_DAY))

/** Removes a book with everything that is of it alone, and then what nothing else names. Gives what that freed. */
export async function removeForGood(book: string): Promise<Collected> {
  const own = await namedHashes(book)
  await guarded(() =>
    db.transaction(
      'rw',
      [db.books, db.sections, db.changes, db.listings, db.versions, db.pieces, db.tallies, db.twins],
      async () => {
        await db.books.delete(book)
        await db.twins.delete(book)
        for (const table of [db.sections, db.changes, db.listings, db.versions, db.pieces, db.tallies])
          await table.where('book').equals(book).delete()
      },
    ),
  )
  return collectBlobs(Date.now(), own)
}

/** Removes the books whose rest is over. Gives their titles and what that freed. */
export async function sweep(now = Date.now()): Promise<Collected & { titles: string[] }> {
  const over = (await takenDown()).filter(b => b.takenDown! + REST_DAYS * A_DAY <= now)
  let [blobs, bytes] = [0, 0]
  for (const b of over) {
    const freed = await removeForGood(b.id)
    blobs += freed.blobs
    bytes += freed.bytes
  }
  return { titles: over.map(b => b.data.title), blobs, bytes }
}
