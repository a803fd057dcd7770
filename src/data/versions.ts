import { readVersion, thinnedOut, type VersionKind, versionOf } from '@/core/archive'
import { type Book, docWords, filesOf } from '@/core/book'
import { putBlobs } from './blobs'
import { SITTING_ENDS } from '@/core/pace'
import { freshen, type StoredBook } from './books'
import { db } from './db'
import type { VersionRecord } from './records'
import { guarded } from './trouble'

/** On what occasion a version is kept, in words as well; its pages where they are known; bytes by hash that are kept with it. */
export interface Occasion {
  label: string
  kind?: VersionKind
  pages?: number
  beside?: ReadonlyMap<string, Uint8Array>
}

/** Keeps the book as it is now. Gives the version's id, or undefined where there is no such book. */
export async function keepVersion(book: string, label: string): Promise<number | undefined> {
  const stored = await freshen(book, undefined)
  return stored && keepBook(stored.book, { label })
}

/** Keeps a book as it is held; parts that another version has already are not stored again. By itself, none is kept of what the newest version says letter for letter. */
export async function keepBook(book: Book, { label, kind, pages, beside }: Occasion): Promise<number | undefined> {
  const kept = versionOf(book)
  const words = book.sections.reduce((n, s) => n + (s.made ? 0 : docWords(s.doc)), 0)
  return guarded(() =>
    db.transaction('rw', [db.versions, db.blobs], async () => {
      const now = Date.now()
      const newest = await db.versions.where('book').equals(book.id).last()
      if (kind && kind !== 'sent' && newest?.manifest === kept.manifest) return undefined
      // Parts are put again even where they are there: what is young is not collected.
      await putBlobs(kept.parts, now)
      if (beside) await putBlobs(beside, now)
      return db.versions.add({
        ...{ book: book.id, at: now, label, words },
        ...(kind && { kind }),
        ...(pages === undefined ? {} : { pages }),
        manifest: kept.manifest,
        parts: [...kept.parts.keys(), ...kept.files, ...(beside?.keys() ?? [])],
      })
    }),
  )
}

/** A version that could not be kept by itself: what it was to be kept for came about all the same. */
export interface Unkept {
  at: number
  label: string
  why: string
}
const unkept = new Map<string, Unkept[]>()

/** What could not be kept of a book since the program was opened. */
export const unkeptOf = (book: string): readonly Unkept[] => unkept.get(book) ?? []

/** Keeps a book for what has come about already, or notes that it could not be: that is no reason to refuse it. */
export const keepBeside = (book: Book, occasion: Occasion): Promise<unknown> =>
  keepBook(book, occasion).catch((e: Error) => {
    unkept.set(book.id, [...unkeptOf(book.id), { at: Date.now(), label: occasion.label, why: e.message }])
  })

/** Keeps what a sitting ended with, once that is over and nothing since was kept. Gives the version's id where one was. */
export async function keepSitting(book: string): Promise<number | undefined> {
  const last = await db.changes.where('[book+state+id]').between([book, 0, 0], [book, 0, Infinity]).last()
  const newest = await db.versions.where('book').equals(book).last()
  if (!last || Date.now() - last.at < SITTING_ENDS || (newest && newest.at > last.at)) return undefined
  const stored = await freshen(book, undefined)
  return stored && keepBook(stored.book, { kind: 'sitting', label: 'After a sitting' })
}

/** What was counted of a version's pages. */
export const notePages = (version: number, pages: number): Promise<unknown> =>
  guarded(() => db.versions.update(version, { pages }))

/** Gives a version a name: it is kept for good from then on. */
export const nameVersion = (version: number, label: string): Promise<unknown> =>
  guarded(() =>
    db.versions
      .where('id')
      .equals(version)
      .modify((v: VersionRecord) => {
        v.label = label
        delete v.kind
      }),
  )

/** Forgets a version; parts that nothing else names go when the store is swept. */
export const forgetVersion = (version: number): Promise<void> => guarded(() => db.versions.delete(version))

/** Thins a book's versions by age. Gives how many went. */
export async function thinVersions(book: string, now = Date.now()): Promise<number> {
  const going = thinnedOut(await versionsOf(book), now, at =>
    Math.floor((at - new Date(at).getTimezoneOffset() * 60_000) / 86_400_000),
  )
  await guarded(() => db.versions.bulkDelete(going.map(v => v.id!)))
  return going.length
}

/** Bytes that the versions of a book take beside the book itself. */
export async function versionSpace(book: string): Promise<number> {
  const [versions, record] = await Promise.all([versionsOf(book), db.books.get(book)])
  const own = new Set(record ? filesOf(record) : [])
  const parts = new Set(versions.flatMap(v => [v.manifest, ...v.parts]).filter(p => !own.has(p)))
  const found = await db.blobs.bulkGet([...parts])
  return found.reduce((n, b) => n + (b?.bytes.length ?? 0), 0)
}

/** Versions of a book, oldest first. */
export const versionsOf = (book: string): Promise<VersionRecord[]> =>
  db.versions.where('book').equals(book).sortBy('id')

/** The book as it was. Throws a Fault where a part is missing. */
export async function versionBook(version: VersionRecord): Promise<Book> {
  const was = await readVersion(version.manifest, bytesOf)
  const uid = was.uid ?? (await db.books.get(version.book))?.uid
  return uid ? { ...was, uid } : was
}

const bytesOf = async (hash: string): Promise<Uint8Array | undefined> => (await db.blobs.get(hash))?.bytes

/** The book as it was, with its pictures as far as they are still there. Throws a Fault where a part is missing. */
export async function openVersion(version: VersionRecord): Promise<StoredBook> {
  const book = await versionBook(version)
  const pictures = new Map<string, Uint8Array>()
  const files = new Set(filesOf(book))
  for (const hash of version.parts) {
    const found = files.has(hash) ? await bytesOf(hash) : undefined
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
