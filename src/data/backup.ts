import { canonicalJson, type Library, type LibraryBook } from '@/core/archive'
import { type Book, docWords, filesOf } from '@/core/book'
import { hasPackage } from '@/core/outlets'
import type { Progress } from '@/core/trade'
import { freshBookId, getBook, putBook } from './books'
import { newestStanding, oldestUndone } from './changes'
import { putBlobs } from './blobs'
import { takeOutlets } from './outletChanges'
import { allOutlets } from './outlets'
import { db } from './db'
import { keptDictionaries } from './dictionaries'
import { keptImprints } from './imprints'
import { keptMatter } from './matter'
import { keptPenNames } from './penNames'
import { fitting } from './room'
import { guarded } from './trouble'
import { keepVersion } from './versions'

/** When a book was last changed, as far as its history says; otherwise when it came. */
async function changedAt(book: string, added: number): Promise<number> {
  const [a, b] = [await newestStanding(book), await oldestUndone(book)]
  return Math.max(added, a?.at ?? 0, b?.at ?? 0)
}

/** Everything of the library, as a backup holds it. Books that were taken down are in it, too. */
export async function collectLibrary(): Promise<Library> {
  const books: LibraryBook[] = []
  const held = new Set<string>()
  for (const r of await db.books.toArray()) {
    const stored = await getBook(r.id)
    if (!stored) continue
    for (const f of filesOf(stored.book)) held.add(f)
    books.push({
      project: stored,
      added: r.added,
      changed: await changedAt(r.id, r.added),
      ...(r.takenDown === undefined ? {} : { takenDown: r.takenDown }),
    })
  }
  const listings = await db.listings.toArray()
  const packages = listings.flatMap(l => l.events.filter(hasPackage).map(e => e.submission.zip))
  const versions = (await db.versions.toArray()).map(({ id: _id, upTo: _upTo, ...v }) => v)
  // Pictures of what is kept for all books may be in none of them.
  const shown = [
    ...(await keptMatter()).flatMap(m => [...m.assets, ...(m.recordings ?? [])]),
    ...(await keptImprints()).flatMap(i => i.logo ?? []),
    ...(await keptPenNames()).flatMap(n => n.portrait ?? []),
  ].map(a => a.id)
  const texts = (await keptDictionaries()).flatMap(d => [d.aff, d.dic].filter(h => h !== undefined))
  const parts = [...versions.flatMap(v => v.parts), ...shown, ...texts].filter(hash => !held.has(hash))
  const pieces = (await db.pieces.toArray()).map(({ id: _id, ...p }) => p)
  const tallies = await db.tallies.toArray()
  return {
    books,
    listings,
    packages: await bytesOf(packages),
    versions,
    parts: await bytesOf(parts),
    pieces,
    tallies,
    settings: (await db.settings.toArray()).filter(s => !ofThisBrowser.has(s.key)),
    outlets: await allOutlets(),
  }
}

/** Settings that say something of this browser and nothing of the library. */
const ofThisBrowser = new Set(['swept'])

const bytesOf = async (hashes: string[]): Promise<Map<string, Uint8Array>> =>
  new Map((await db.blobs.bulkGet([...new Set(hashes)])).filter(b => b !== undefined).map(b => [b.hash, b.bytes]))

/** A setting as it comes back: of what is kept as a list by ids (recipes, styles, standing matter) those that only this library has stay. */
async function withOurs({ key, value }: Library['settings'][number]): Promise<unknown> {
  const isList = (v: unknown): v is { id: unknown }[] =>
    Array.isArray(v) && v.every(x => !!x && typeof x === 'object' && 'id' in x)
  const ours = (await db.settings.get(key))?.value
  if (!isList(value) || !isList(ours)) return value
  return [...ours.filter(o => !value.some(v => v.id === o.id)), ...value]
}

/** One side of a book that stands here and in a backup. */
export interface Side {
  /** Milliseconds; undefined where the backup does not say. */
  changed?: number
  words: number
}

/** A book of a backup, and what stands here under its id. */
export interface Compared {
  id: string
  title: string
  theirs: Side
  here?: Side & { title: string; takenDown: boolean }
  /** Letter for letter the same. */
  same: boolean
}

/** What a backup holds against what is here, before anything is done; and the titles of what it does not have. */
export async function compareLibrary(l: Library): Promise<{ books: Compared[]; others: string[] }> {
  const books: Compared[] = []
  for (const {
    project: { book },
    changed,
  } of l.books) {
    const record = await db.books.get(book.id)
    const stored = record && (await getBook(book.id))
    books.push({
      id: book.id,
      title: book.data.title,
      theirs: { words: wordsOf(book), ...(changed === undefined ? {} : { changed }) },
      same: !!stored && sayingOf(stored.book) === sayingOf(book),
      ...(stored
        ? {
            here: {
              title: stored.book.data.title,
              words: wordsOf(stored.book),
              changed: await changedAt(book.id, record.added),
              takenDown: record.takenDown !== undefined,
            },
          }
        : {}),
    })
  }
  const theirs = new Set(books.map(b => b.id))
  return { books, others: (await db.books.toArray()).filter(b => !theirs.has(b.id)).map(b => b.data.title) }
}

const wordsOf = (b: Book): number => b.sections.reduce((n, s) => n + (s.made ? 0 : docWords(s.doc)), 0)
/** Everything a book says, for comparing: the counter of ids is no part of it. */
const sayingOf = ({ lastId: _lastId, ...b }: Book): string => canonicalJson(b)

/** What is done with a book of a backup: put in the place of what is here, put beside it, or left. */
export type Choice = 'instead' | 'beside' | 'leave'

/**
 * Puts a backup's books, listings, packages, versions and settings into the library, each book as was chosen (new ones simply
 * come). What is replaced is kept as a version first. Books that the backup does not have stay. All or nothing: where `ticker`
 * throws Cancelled, the library is as it was. Gives the names of outlets that stay with the figures they have here.
 */
export async function restoreLibrary(
  l: Library,
  choices: Map<string, Choice> = new Map(),
  ticker?: (p: Progress) => void,
): Promise<string[]> {
  const say = (done: number): void => ticker?.({ stage: 'Putting it back', done, of: l.books.length + 1 })
  const now = Date.now()
  return fitting('The backup', undefined, () =>
    guarded(() =>
      db.transaction('rw', db.tables, async () => {
        const put = new Set<string>()
        for (const [i, { project, added, takenDown }] of l.books.entries()) {
          say(i)
          const { id } = project.book
          const here = await db.books.get(id)
          const choice = here ? (choices.get(id) ?? 'instead') : 'instead'
          if (choice === 'leave') continue
          if (choice === 'beside') {
            // A copy is not on sale: listings and their packages stay with the book that was sent.
            const title = `${project.book.data.title} (from a backup)`
            const beside = await freshBookId(title)
            await putBook({ ...project, book: { ...project.book, id: beside, data: { ...project.book.data, title } } })
            continue
          }
          if (here) await keepVersion(id, 'Before a backup was put in its place')
          await putBook(project)
          await db.books.update(id, { added, ...(takenDown === undefined ? {} : { takenDown }) })
          await db.changes.where('book').equals(id).delete()
          await db.listings.where('book').equals(id).delete()
          await db.tallies.where('book').equals(id).delete()
          put.add(id)
        }
        say(l.books.length)
        await db.listings.bulkPut(l.listings.filter(x => put.has(x.book)))
        await putBlobs(l.packages, now)
        await putBlobs(l.parts, now)
        const known = new Set((await db.versions.toArray()).map(v => `${v.book} ${v.at} ${v.manifest}`))
        await db.versions.bulkAdd(
          l.versions.filter(v => put.has(v.book) && !known.has(`${v.book} ${v.at} ${v.manifest}`)),
        )
        await db.tallies.bulkPut(l.tallies.filter(t => put.has(t.book)))
        const pieces = new Set((await db.pieces.toArray()).map(p => `${p.book} ${p.at} ${p.text}`))
        await db.pieces.bulkAdd(l.pieces.filter(p => put.has(p.book) && !pieces.has(`${p.book} ${p.at} ${p.text}`)))
        for (const s of l.settings) await db.settings.put({ key: s.key, value: await withOurs(s) })
        const kept = await takeOutlets(l.outlets)
        // The last moment to think better of it.
        say(l.books.length + 1)
        return kept
      }),
    ),
  )
}
