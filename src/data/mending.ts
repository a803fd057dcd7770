import { bookTroubles, isSound, mendedBook, type Trouble } from '@/core/archive'
import { db } from './db'
import { allOutlets } from './outlets'
import type { BookRecord, SectionRecord } from './records'
import { guarded } from './trouble'

/** A book as the store has it, believed in nothing: its record, and its sections in the order the record says, as far as it says one. */
async function asStored(
  id: string,
): Promise<{ record: BookRecord; sections: SectionRecord[]; book: unknown } | undefined> {
  const record = await db.books.get(id)
  if (!record) return undefined
  const all = await db.sections.where('book').equals(id).toArray()
  const order = Array.isArray(record.order)
    ? (record.order as unknown[]).filter((x): x is string => typeof x === 'string')
    : []
  // What the record does not name is not lost: it stands behind.
  const sections = [
    ...order.map(x => all.find(s => s.id === x)).filter(s => s !== undefined),
    ...all.filter(s => !order.includes(s.id)),
  ]
  const { order: _order, added: _added, takenDown: _takenDown, ...head } = record
  return {
    record,
    sections,
    book: { ...head, sections: sections.map(({ book: _book, rev: _rev, trail: _trail, ...s }) => s) },
  }
}

/** What is not in order in a stored book; nothing where all is well or there is none. */
export async function storedTroubles(id: string): Promise<Trouble[]> {
  const stored = await asStored(id)
  if (!stored) return []
  const found = bookTroubles(stored.book, await allOutlets())
  for (const s of stored.sections)
    if (!isSound(s.doc))
      found.push({ place: s.id, sentence: `The text of “${String(s.title || s.id)}” is not in order.` })
  if (!Array.isArray(stored.record.order))
    found.push({ place: 'order', sentence: 'The order of the sections is not there.' })
  return found
}

/** Mends a stored book as far as it can be; gives what was done, or undefined where there is nothing of a book to be found. */
export async function mendStored(id: string): Promise<Trouble[] | undefined> {
  return guarded(() =>
    db.transaction('rw', [db.books, db.sections, db.outlets], async () => {
      const stored = await asStored(id)
      const done = stored && mendedBook(stored.book, await allOutlets())
      if (!done) return undefined
      const { sections, ...head } = done.book
      const { record } = stored
      const now = Date.now()
      await db.books.put({
        ...head,
        id,
        order: sections.map(s => s.id),
        added: typeof record.added === 'number' ? record.added : now,
        ...(typeof record.takenDown === 'number' ? { takenDown: record.takenDown } : {}),
      })
      await db.sections.where('book').equals(id).delete()
      await db.sections.bulkPut(sections.map(s => ({ ...s, book: id, rev: now })))
      return done.mended
    }),
  )
}

/** Everything the store has of a book as JSON, whatever state it is in: for safe keeping, and for somebody who helps. */
export async function rawBook(id: string): Promise<string> {
  const stored = await asStored(id)
  return JSON.stringify(stored ? { record: stored.record, sections: stored.sections } : {}, null, 1)
}
