import type { Book } from '@/core/book'
import { type BookRecord, db } from './db'

/** A book with the bytes of its pictures. */
export interface StoredBook {
  book: Book
  pictures: Map<string, Uint8Array>
}

/** Puts a book on the shelf, with its sections and pictures, in one transaction. */
export async function putBook({ book, pictures }: StoredBook): Promise<void> {
  const { sections, ...head } = book
  const now = Date.now()
  await db.transaction('rw', [db.books, db.sections, db.blobs], async () => {
    await db.sections.where('book').equals(book.id).delete()
    await db.books.put({ ...head, order: sections.map(s => s.id), added: now })
    await db.sections.bulkPut(sections.map(s => ({ ...s, book: book.id })))
    await db.blobs.bulkPut([...pictures].map(([hash, bytes]) => ({ hash, bytes: Uint8Array.from(bytes), added: now })))
  })
}

/** A whole book by id; undefined where there is none. */
export async function getBook(id: string): Promise<StoredBook | undefined> {
  return db.transaction('r', [db.books, db.sections, db.blobs], async () => {
    const record = await db.books.get(id)
    if (!record) return undefined
    const sections = new Map((await db.sections.where('book').equals(id).toArray()).map(({ book: _book, ...s }) => [s.id, s]))
    const { order, added: _added, ...head } = record
    const blobs = await db.blobs.bulkGet(head.assets.map(a => a.id))
    return { book: { ...head, sections: order.map(s => sections.get(s)).filter(s => s !== undefined) }, pictures: new Map(blobs.filter(b => b !== undefined).map(b => [b.hash, b.bytes])) }
  })
}

export const listBooks = (): Promise<BookRecord[]> => db.books.toArray()

/** An id that no book has yet, from a title: "the-tidewardens-almanac-2". */
export async function freshBookId(title: string): Promise<string> {
  const base = title.toLowerCase().normalize('NFD').replace(/[^a-z0-9]+/g, '-').replace(/^-|-$/g, '').slice(0, 40) || 'book'
  const taken = new Set(await db.books.toCollection().primaryKeys())
  let id = base
  for (let n = 2; taken.has(id); n++) id = `${base}-${n}`
  return id
}
