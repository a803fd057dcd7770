import { ownBytes } from '@/core/trade'
import { db } from './db'
import { guarded } from './trouble'

/** A blob younger than this is spared: whoever brought it in may not have named it yet. */
const A_DAY = 24 * 3600 * 1000

export interface Collected {
  blobs: number
  bytes: number
}

/** Puts files by their hash, one after the other, so that they are not all copied at once. Those that are there become young again. */
export async function putBlobs(files: Iterable<[hash: string, bytes: Uint8Array]>, added = Date.now()): Promise<void> {
  for (const [hash, bytes] of files) await db.blobs.put({ hash, bytes: ownBytes(bytes), added })
}

/** Tables whose records name no file. */
const bare = new Set(['blobs', 'previews', 'lighter', 'twins'])
const hashesIn = (record: unknown): string[] => JSON.stringify(record).match(/[0-9a-f]{64}/g) ?? []

/** The bytes of a picture, a font or a package; undefined where the library does not have them. */
export const blobBytes = async (hash: string): Promise<Uint8Array<ArrayBuffer> | undefined> =>
  (await db.blobs.get(hash))?.bytes

/** Every hash that any record names (of one book, or of all): books, sections, changes, versions, submissions, pieces, styles. Whatever holds a hash in its text holds the blob. */
export async function namedHashes(book?: string): Promise<Set<string>> {
  const out = new Set<string>()
  for (const table of db.tables) {
    if (bare.has(table.name)) continue
    // What is no record of a book is the library's.
    if (book !== undefined && table.name !== 'books' && !table.schema.idxByName.book) continue
    const records =
      book === undefined ? table.toCollection() : table.where(table.name === 'books' ? 'id' : 'book').equals(book)
    // Record by record: a history may be long, and none of it is held.
    await records.each(record => {
      for (const hash of hashesIn(record)) out.add(hash)
    })
  }
  return out
}

/**
 * Removes the blobs that nothing names. Young ones are spared, except those of `own`: they are known to be of what has just been
 * removed. Marking takes its time without a lock; what was brought in meanwhile is newer than its start, and stays.
 */
export async function collectBlobs(now = Date.now(), own: Set<string> = new Set()): Promise<Collected> {
  const started = Date.now()
  const kept = await namedHashes()
  const hashes: string[] = []
  await db.blobs.each(b => void (!kept.has(b.hash) && hashes.push(b.hash)))
  let [blobs, bytes] = [0, 0]
  await guarded(() =>
    db.transaction('rw', [db.blobs, db.previews, db.lighter], async () => {
      for (const hash of hashes) {
        const b = await db.blobs.get(hash)
        if (!b || b.added >= started || (now - b.added < A_DAY && !own.has(hash))) continue
        bytes += b.bytes.length
        blobs++
        await db.blobs.delete(hash)
        await db.previews.delete(hash)
        await db.lighter.delete(hash)
      }
    }),
  )
  // Previews of what was looked at and never kept.
  const there = new Set(await db.blobs.toCollection().primaryKeys())
  await db.previews.filter(p => !there.has(p.hash)).delete()
  const lighter = (await db.lighter.toCollection().primaryKeys()).filter(h => !there.has(h))
  await db.lighter.bulkDelete(lighter)
  return { blobs, bytes }
}
