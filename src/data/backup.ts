import type { Library } from '@/core/archive'
import type { Progress } from '@/core/trade'
import { getBook, putBook } from './books'
import { db } from './db'
import { guarded } from './trouble'

/** Everything of the library, as a backup holds it. */
export async function collectLibrary(): Promise<Library> {
  const records = await db.books.toArray()
  const books: Library['books'] = []
  for (const r of records) {
    const stored = await getBook(r.id)
    if (stored) books.push({ project: stored, added: r.added })
  }
  const listings = await db.listings.toArray()
  const hashes = new Set(listings.flatMap(l => l.events.flatMap(e => (e.kind === 'sent' ? [e.submission.zip] : []))))
  const blobs = await db.blobs.bulkGet([...hashes])
  return { books, listings, packages: new Map(blobs.filter(b => b !== undefined).map(b => [b.hash, b.bytes])), settings: await db.settings.toArray() }
}

/** What a backup would do here, before it does it. */
export async function compareLibrary(l: Library): Promise<{ fresh: string[]; replaced: string[]; kept: string[] }> {
  const here = new Map((await db.books.toArray()).map(b => [b.id, b.data.title]))
  const theirs = new Set(l.books.map(b => b.project.book.id))
  return {
    fresh: l.books.filter(b => !here.has(b.project.book.id)).map(b => b.project.book.data.title),
    replaced: l.books.filter(b => here.has(b.project.book.id)).map(b => b.project.book.data.title),
    kept: [...here].filter(([id]) => !theirs.has(id)).map(([, title]) => title),
  }
}

/**
 * Puts a backup's books, listings, packages and settings into the library. Books that the backup does not have stay.
 * All or nothing: where `ticker` throws Cancelled, the library is as it was.
 */
export async function restoreLibrary(l: Library, ticker?: (p: Progress) => void): Promise<void> {
  await guarded(() => db.transaction('rw', db.tables, async () => {
    for (const [i, b] of l.books.entries()) {
      ticker?.({ stage: 'Putting it back', done: i, of: l.books.length + 1 })
      const { id } = b.project.book
      await putBook(b.project)
      await db.books.update(id, { added: b.added })
      await db.changes.where('book').equals(id).delete()
      await db.listings.where('book').equals(id).delete()
    }
    ticker?.({ stage: 'Putting it back', done: l.books.length, of: l.books.length + 1 })
    await db.listings.bulkPut(l.listings)
    await db.blobs.bulkPut([...l.packages].map(([hash, bytes]) => ({ hash, bytes: Uint8Array.from(bytes), added: Date.now() })))
    await db.settings.bulkPut(l.settings)
    // The last moment to think better of it.
    ticker?.({ stage: 'Putting it back', done: l.books.length + 1, of: l.books.length + 1 })
  }))
}
