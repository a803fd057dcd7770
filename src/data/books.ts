import { Dexie } from 'dexie'
import { type Book, filesOf, type Section, slugOf } from '@/core/book'
import { putBlobs } from './blobs'
import { db } from './db'
import type { BookRecord, SectionRecord } from './records'
import { fitting } from './room'
import { withSameParts } from './sameParts'
import { guarded } from './trouble'

/** A book with the bytes of its pictures and fonts. */
export interface StoredBook {
  book: Book
  pictures: Map<string, Uint8Array>
}

/** Puts a book on the porch, with its sections and pictures, in one transaction. */
export async function putBook({ book, pictures }: StoredBook): Promise<void> {
  const { sections, ...head } = book
  const now = Date.now()
  await fitting(`“${book.data.title}”`, [...pictures.values()].reduce((n, b) => n + b.length, 0) || undefined, () =>
    guarded(() =>
      db.transaction('rw', [db.books, db.sections, db.blobs], async () => {
        const old = new Map((await db.sections.where('book').equals(book.id).toArray()).map(s => [s.id, s.rev]))
        await db.sections.where('book').equals(book.id).delete()
        // A new book gets the UUID that it keeps for life.
        const uid = book.uid ?? (await db.books.get(book.id))?.uid ?? crypto.randomUUID()
        await db.books.put({ ...head, uid, order: sections.map(s => s.id), added: now })
        // A section that was not here before begins with a revision that none before it can have borne.
        await db.sections.bulkPut(sections.map(s => ({ ...s, book: book.id, rev: (old.get(s.id) ?? now) + 1 })))
        await putBlobs(pictures, now)
      }),
    ),
  )
}

/** A whole book by id; undefined where there is none. */
export async function getBook(id: string): Promise<StoredBook | undefined> {
  return db.transaction('r', [db.books, db.sections, db.blobs], async () => {
    const record = await db.books.get(id)
    if (!record) return undefined
    const sections = new Map((await db.sections.where('book').equals(id).toArray()).map(s => [s.id, bare(s)]))
    const blobs = await db.blobs.bulkGet(filesOf(record))
    return {
      book: assembled(record, sections),
      pictures: new Map(blobs.filter(b => b !== undefined).map(b => [b.hash, b.bytes])),
    }
  })
}

/** A book held in memory, its sections by revision, so that the next look reads only what changed. Unchanged sections and the record's parts keep their identity. */
export interface HeldBook {
  book: Book
  revs: Map<string, number>
  head: string
}

/** The newest state of a book, given what is held of it. The very same object where nothing changed. */
export async function freshen(id: string, old: HeldBook | undefined): Promise<HeldBook | undefined> {
  return db.transaction('r', [db.books, db.sections], async () => {
    const record = await db.books.get(id)
    if (!record) return undefined
    const keys = (await db.sections
      .where('[book+id+rev]')
      .between([id, Dexie.minKey, Dexie.minKey], [id, Dexie.maxKey, Dexie.maxKey])
      .keys()) as unknown as [string, string, number][]
    const revs = new Map(keys.map(([, section, rev]) => [section, rev]))
    const head = JSON.stringify(record)
    const stale = record.order.filter(s => revs.has(s) && old?.revs.get(s) !== revs.get(s))
    if (old && old.head === head && !stale.length) return old
    const kept = new Map(old?.book.sections.map(s => [s.id, s]))
    for (const s of await db.sections.bulkGet(stale.map(s => [id, s] as [string, string])))
      if (s) kept.set(s.id, bare(s))
    const book = assembled(record, kept)
    return { book: withSameParts(old?.book, book), revs, head }
  })
}

const bare = ({ book: _book, rev: _rev, trail: _trail, ...s }: SectionRecord): Section => s

function assembled(record: BookRecord, sections: Map<string, Section>): Book {
  const { order, added: _added, takenDown: _takenDown, ...head } = record
  return { ...head, sections: order.map(s => sections.get(s)).filter(s => s !== undefined) }
}

/** The id of a book that comes in: its own where no other book has it. */
export const freeBookId = async (book: Book): Promise<string> =>
  (await db.books.get(book.id)) ? freshBookId(book.data.title) : book.id

/** An id that no book has yet, from a title: "the-tidewardens-almanac-2". */
export async function freshBookId(title: string): Promise<string> {
  const base = slugOf(title, 'book', 40)
  const taken = new Set(await db.books.toCollection().primaryKeys())
  let id = base
  for (let n = 2; taken.has(id); n++) id = `${base}-${n}`
  return id
}
