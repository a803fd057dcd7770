import { readVersion, versionOf } from '@/core/archive'
import { type Book, docWords, filesOf } from '@/core/book'
import { putBlobs } from './blobs'
import { getBook, type StoredBook } from './books'
import { db } from './db'
import type { VersionRecord } from './records'
import { guarded } from './trouble'

/** Keeps the book as it is now; parts that another version has already are not stored again. Gives the version's id, or undefined where there is no such book. */
export async function keepVersion(book: string, label: string): Promise<number | undefined> {
  const stored = await getBook(book)
  if (!stored) return undefined
  const kept = versionOf(stored.book)
  const words = stored.book.sections.reduce((n, s) => n + (s.made ? 0 : docWords(s.doc)), 0)
  return guarded(() =>
    db.transaction('rw', [db.versions, db.blobs, db.changes], async () => {
      const now = Date.now()
      // Parts are put again even where they are there: what is young is not collected.
      await putBlobs(kept.parts, now)
      const upTo = (await db.changes.where('[book+state+id]').between([book, 0, 0], [book, 0, Infinity]).last())?.id
      return db.versions.add({
        book,
        at: now,
        label,
        words,
        manifest: kept.manifest,
        parts: [...kept.parts.keys(), ...kept.files],
        ...(upTo === undefined ? {} : { upTo }),
      })
    }),
  )
}

/** Versions of a book, oldest first. */
export const versionsOf = (book: string): Promise<VersionRecord[]> =>
  db.versions.where('book').equals(book).sortBy('id')

/** The book as it was, with its pictures as far as they are still there. Throws a Fault where a part is missing. */
export async function openVersion(version: VersionRecord): Promise<StoredBook> {
  const bytes = async (hash: string): Promise<Uint8Array | undefined> => (await db.blobs.get(hash))?.bytes
  const was = await readVersion(version.manifest, bytes)
  const uid = was.uid ?? (await db.books.get(version.book))?.uid
  const book: Book = uid ? { ...was, uid } : was
  const pictures = new Map<string, Uint8Array>()
  const files = new Set(filesOf(book))
  for (const hash of version.parts) {
    const found = files.has(hash) ? await bytes(hash) : undefined
    if (found) pictures.set(hash, found)
  }
  return { book, pictures }
}

/** Steps that stay within reach of undo, and how many more may gather before the older ones are folded. */
const KEPT_STEPS = 1000
const FOLD_AT = 2000
/** Steps deleted at a time, so that a writer never waits for it. */
const AT_ONCE = 500

/**
 * Folds the older steps of a history into a kept version: the book is kept as it is, and the steps before the newest thousand go.
 * What they led from was kept when they were new. Does nothing while there are few. Gives how many went.
 */
export async function foldHistory(book: string, steps = { kept: KEPT_STEPS, at: FOLD_AT }): Promise<number> {
  const standing = () => db.changes.where('[book+state+id]').between([book, 0, 0], [book, 0, Infinity])
  const count = await standing().count()
  if (count < steps.at) return 0
  await keepVersion(book, 'Kept by itself')
  let gone = 0
  while (gone < count - steps.kept) {
    const keys = await standing()
      .limit(Math.min(AT_ONCE, count - steps.kept - gone))
      .primaryKeys()
    if (!keys.length) break
    await db.changes.bulkDelete(keys)
    gone += keys.length
  }
  return gone
}
