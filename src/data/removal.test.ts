import '../../tests/support/store'
import { beforeEach, describe, expect, test } from '@jest/globals'
import { hashOf } from '@/core/book'
import { bookOf } from '../../tests/support/core'

const { listBooks, takenDown } = await import('./bookList')
const { getBook, putBook } = await import('./books')
const { collectBlobs } = await import('./blobs')
const { commit } = await import('./changes')
const { db } = await import('./db')
const { daysLeft, putBackUp, removeForGood, sweep, takeDown } = await import('./removal')
const { foldHistory, keepVersion, openVersion, versionsOf } = await import('./versions')

const DAY = 24 * 3600 * 1000
const picture = (n: number): { hash: string; bytes: Uint8Array<ArrayBuffer> } => {
  const bytes = new Uint8Array(1000).fill(n)
  return { hash: hashOf(bytes), bytes }
}
const asset = (n: number) => ({ id: picture(n).hash, type: 'image/png' as const, width: 1, height: 1 })
const put = (id: string, ...pictures: number[]) =>
  putBook({
    book: { ...bookOf([['Words.']]), id, assets: pictures.map(asset) },
    pictures: new Map(pictures.map(n => [picture(n).hash, picture(n).bytes])),
  })
const blobs = async (): Promise<number[]> =>
  (await db.blobs.toArray())
    .filter(b => b.bytes.length === 1000)
    .map(b => b.bytes[0]!)
    .sort()
const aged = (by: number) =>
  db.blobs.toCollection().modify(b => {
    b.added -= by
  })

beforeEach(async () => {
  await Promise.all(db.tables.map(t => t.clear()))
})

describe('taking a book down', () => {
  test('it rests, comes back whole, and goes with what is of it alone, saying how much that freed', async () => {
    await put('one', 1, 2)
    await put('two', 2, 3)
    const before = await getBook('one')
    await takeDown('one')
    expect((await listBooks()).map(b => b.id)).toEqual(['two'])
    expect((await takenDown()).map(b => [b.id, daysLeft(b)])).toEqual([['one', 30]])
    await putBackUp('one')
    expect(await getBook('one')).toEqual(before)
    expect((await listBooks()).map(b => b.id)).toEqual(['one', 'two'])

    await takeDown('one')
    await keepVersion('one', 'kept')
    const freed = await removeForGood('one')
    expect(await blobs()).toEqual([2, 3])
    expect(freed.bytes).toBeGreaterThanOrEqual(1000)
    expect(await db.sections.where('book').equals('one').count()).toBe(0)
    expect(await versionsOf('one')).toEqual([])
    expect((await getBook('two'))!.pictures.size).toBe(2)
  })
  test('after thirty days, and not before, it goes by itself', async () => {
    await put('one', 1)
    await put('two', 2)
    await takeDown('one', Date.now() - 29 * DAY)
    expect((await sweep()).titles).toEqual([])
    await takeDown('one', Date.now() - 31 * DAY)
    expect((await sweep()).titles).toEqual(['A Book'])
    expect((await listBooks()).map(b => b.id)).toEqual(['two'])
    expect(await blobs()).toEqual([2])
  })
})

describe('collecting blobs', () => {
  test('what is named anywhere stays: by a book, a change that may be undone, a kept version, what was sent, a style; the young stay, too', async () => {
    await put('one', 1, 2, 3)
    await keepVersion('one', 'kept')
    await commit('one', 'two pictures fewer', r => ({ assets: r.assets.slice(0, 1) }))
    for (const n of [4, 5, 6]) await db.blobs.put({ ...picture(n), added: Date.now() })
    await db.listings.put({
      key: 'one/ebook/x',
      book: 'one',
      events: [{ kind: 'sent', at: 0, submission: { zip: picture(4).hash } } as never],
    })
    await db.settings.put({ key: 'styles', value: [{ id: 's', name: 'S', breaks: { picture: picture(5).hash } }] })
    expect((await collectBlobs()).blobs).toBe(0)
    expect((await collectBlobs(Date.now() + 2 * DAY)).bytes).toBe(1000)
    expect(await blobs()).toEqual([1, 2, 3, 4, 5])
    // Without the version, the change that can be undone still holds them.
    await db.versions.clear()
    await aged(3 * DAY)
    await collectBlobs()
    expect(await blobs()).toEqual([1, 2, 3, 4, 5])
    await db.changes.clear()
    await collectBlobs()
    expect(await blobs()).toEqual([1, 4, 5])
  })
  test('a picture that is brought in while the others are marked is not taken for an old one', async () => {
    await db.blobs.put({ ...picture(1), added: Date.now() - 5 * DAY })
    const each = db.blobs.each.bind(db.blobs)
    db.blobs.each = (async (f: never) => {
      await each(f)
      await put('one', 1)
    }) as never
    await collectBlobs()
    db.blobs.each = each
    expect((await getBook('one'))!.pictures.size).toBe(1)
  })
})

describe('kept versions', () => {
  test('are the book as it was, whatever came after; parts that are the same stand once', async () => {
    await put('one', 1)
    const first = await getBook('one')
    await keepVersion('one', 'first')
    const count = await db.blobs.count()
    await commit('one', 'Title', r => ({ data: { ...r.data, title: 'Other' } }))
    await keepVersion('one', 'second')
    // One record and one list are new; no section is stored again.
    expect(await db.blobs.count()).toBe(count + 2)
    const [a, b] = await versionsOf('one')
    expect(JSON.parse(JSON.stringify((await openVersion(a!)).book))).toEqual(JSON.parse(JSON.stringify(first!.book)))
    expect((await openVersion(a!)).pictures.size).toBe(1)
    expect((await openVersion(b!)).book.data.title).toBe('Other')
    expect([a!.words, a!.label]).toEqual([1, 'first'])
  })
  test('a part that is missing or changed is named, and nothing else is', async () => {
    await put('one')
    await keepVersion('one', 'first')
    const [v] = await versionsOf('one')
    const part = (await db.blobs.toArray()).find(b => new TextDecoder().decode(b.bytes).includes('Words.'))!
    await db.blobs.put({ ...part, bytes: part.bytes.slice(1) })
    await expect(openVersion(v!)).rejects.toThrow(/section \d+ is not what it was/)
    await db.blobs.delete(part.hash)
    await expect(openVersion(v!)).rejects.toThrow(/section \d+ is missing/)
  })
  test('a long history is folded: the book as it is becomes a version, the newest steps stay within undo', async () => {
    await put('one')
    await db.changes.bulkAdd(
      Array.from({ length: 130 }, (_, i) => ({
        book: 'one',
        state: 0 as const,
        at: i,
        label: `step ${i}`,
        record: [{ path: ['data', 'year'], ...(i ? { before: i - 1 } : {}), after: i }],
      })),
    )
    await db.books.update('one', { data: { ...(await db.books.get('one'))!.data, year: 129 } })
    expect(await foldHistory('one', { kept: 50, at: 200 })).toBe(0)
    expect(await foldHistory('one', { kept: 50, at: 100 })).toBe(80)
    expect(await db.changes.count()).toBe(50)
    const { undo } = await import('./changes')
    for (let i = 0; i < 50; i++) await undo('one')
    expect((await getBook('one'))!.book.data.year).toBe(79)
    expect(await undo('one')).toBeUndefined()
    expect((await openVersion((await versionsOf('one'))[0]!)).book.data.year).toBe(129)
  })
})
