import '../../tests/support/store'
import { expect, test } from '@jest/globals'
import { readFileSync } from 'node:fs'
import Dexie from 'dexie'
import { blockIds, type Book, docText, uidOf } from '@/core/book'
import { hasPackage, shippedProfiles } from '@/core/outlets'

/** A store as version 4 left it, with its changes, opened by this one (made with the program of that version). */
const dump = JSON.parse(readFileSync('tests/fixtures/store-v4.json', 'utf8'), (_k, v: unknown) =>
  v && typeof v === 'object' && 'base64' in v
    ? Uint8Array.from(Buffer.from((v as { base64: string }).base64, 'base64'))
    : v,
) as Record<string, unknown[]>

test('a store of version 4: every word, its history both ways, ids unique in the book', async () => {
  const old = new Dexie('porchlight')
  old.version(4).stores({
    books: 'id',
    sections: '[book+id], book, [book+id+rev]',
    blobs: 'hash',
    settings: 'key',
    changes: '++id, book',
    listings: 'key, book',
  })
  for (const [table, rows] of Object.entries(dump)) await old.table(table).bulkPut(rows)
  // A record that lost its data stops no other: it is there afterwards, as it was, to be mended.
  await old.table('books').put({ id: 'torn', order: [], editions: [], assets: [], added: 0 })
  old.close()

  const { listBooks } = await import('./bookList')
  const { getBook } = await import('./books')
  const { redo, steps, undo } = await import('./changes')
  const { db } = await import('./db')
  const id = 'of-the-second-version'
  expect((await listBooks()).map(b => b.id)).toEqual([id, 'torn'])
  const { book, pictures } = (await getBook(id))!
  const rows = dump.sections as { id: string; doc: never; title: string; made: boolean }[]
  const order = (dump.books as { order: string[] }[])[0]!.order
  expect(book.sections.map(s => docText(s.doc))).toEqual(order.map(s => docText(rows.find(r => r.id === s)!.doc)))
  expect(pictures.size).toBe(1)
  const ids = book.sections.flatMap(s => [s.id, ...blockIds(s.doc)])
  expect(new Set(ids).size).toBe(ids.length)
  expect(book.lastId).toBeGreaterThan(0)
  const old4 = (dump.books as Book[])[0]!
  expect(book.uid).toBe(uidOf({ ...old4, uid: undefined }))
  const [listing] = await db.listings.toArray()
  expect(listing!.key).toBe(`${id}/ebook/pellowick`)
  // The profile that was frozen into it says in fields what it said in notes; the outlets that ship are there.
  expect(listing!.events.filter(hasPackage).map(e => e.profile.version)).toEqual([2])
  expect((await db.outlets.orderBy('place').toArray()).map(o => o.profile)).toEqual(shippedProfiles)
  const prices = (books: { editions: { prices?: object; price?: number }[] }[]) =>
    books.flatMap(b => b.editions.map(e => e.prices ?? (e.price === undefined ? undefined : { USD: e.price })))
  expect(book.editions.map(e => e.prices)).toEqual(prices(dump.books as never))
  expect(JSON.stringify(await db.books.get(id))).not.toContain('"price"')

  // The history goes on: what was undone can be done again, and all of it undone.
  expect(await steps(id)).toEqual({ undo: 'Split “A Beginning”', redo: 'Year 2027' })
  await redo(id)
  expect((await getBook(id))!.book.data.year).toBe(2027)
  for (let label = await undo(id); label; label = await undo(id));
  const first = (await getBook(id))!.book
  expect(first.data.title).toBe('Of the Second Version')
  expect(first.sections.map(s => s.title).filter(Boolean)).toEqual(['A Beginning', 'A Middle', 'An End'])
  expect(docText(first.sections.find(s => s.title === 'A Middle')!.doc)).not.toContain('Well')
  expect(docText(first.sections.find(s => s.title === 'A Beginning')!.doc)).toContain('Twice.')
  const again = first.sections.flatMap(s => [s.id, ...blockIds(s.doc)])
  expect(new Set(again).size).toBe(again.length)
})
