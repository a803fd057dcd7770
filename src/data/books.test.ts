import { beforeAll, beforeEach, describe, expect, test } from '@jest/globals'
import Dexie from 'dexie'
import { IDBKeyRange, indexedDB } from 'fake-indexeddb'
import fc from 'fast-check'
import { anyBook } from '../../tests/support/arbitrary'
import { bookOf } from '../../tests/support/core'
import { hashOf, uidForm } from '@/core/book'

// The database opens where its module is loaded: the stand-in for the browser's storage must be there before.
Dexie.dependencies.indexedDB = indexedDB
Dexie.dependencies.IDBKeyRange = IDBKeyRange
let data: typeof import('./bookList') & typeof import('./books') & typeof import('./db') & typeof import('./demo')
beforeAll(async () => {
  data = {
    ...(await import('./bookList')),
    ...(await import('./books')),
    ...(await import('./db')),
    ...(await import('./demo')),
  }
})
beforeEach(async () => {
  await Promise.all(data.db.tables.map(t => t.clear()))
})

describe('books in the browser', () => {
  test('carry the typefaces of their author', async () => {
    const bytes = Uint8Array.from([9, 8, 7])
    const book = {
      ...bookOf([['One.']]),
      fonts: [{ id: 'own-0123456789ab', name: 'Mine', files: { regular: hashOf(bytes) } }],
    }
    await data.putBook({ book, pictures: new Map([[hashOf(bytes), bytes]]) })
    const back = (await data.getBook(book.id))!
    expect([back.book.fonts, [...back.pictures.values()].map(b => [...b])]).toEqual([book.fonts, [[9, 8, 7]]])
    const held = await data.freshen(book.id, undefined)
    expect(held!.book.fonts).toEqual(book.fonts)
  })
  test('come back as they were put, sections in order, pictures by hash', async () => {
    const picture = Uint8Array.from([1, 2, 3])
    const book = {
      ...bookOf([['One.'], ['Two.'], ['Three.']]),
      uid: '7f0c2f0e-6a51-4f0b-9a3e-0d2f5c1b8a77',
      assets: [{ id: hashOf(picture), type: 'image/png' as const, width: 1, height: 1 }],
    }
    await data.putBook({
      book: { ...book, sections: [...book.sections].reverse() },
      pictures: new Map([[hashOf(picture), picture]]),
    })
    const back = await data.getBook('test')
    expect(back!.book.sections.map(s => s.id)).toEqual(book.sections.map(s => s.id).reverse())
    expect(JSON.parse(JSON.stringify(back!.book))).toEqual(
      JSON.parse(JSON.stringify({ ...book, sections: [...book.sections].reverse() })),
    )
    expect([...back!.pictures.get(hashOf(picture))!]).toEqual([1, 2, 3])
    expect(await data.getBook('nowhere')).toBeUndefined()
  })
  test('any book survives; a book put again has no section of the old one', async () => {
    await fc.assert(
      fc.asyncProperty(anyBook, anyBook, async (a, b) => {
        await data.putBook({ book: a, pictures: new Map() })
        await data.putBook({ book: b, pictures: new Map() })
        const { uid, ...stored } = (await data.getBook('any'))!.book
        expect(uid).toMatch(uidForm)
        expect(JSON.parse(JSON.stringify(stored))).toEqual(JSON.parse(JSON.stringify(b)))
        expect(await data.db.sections.where('book').equals('any').count()).toBe(b.sections.length)
      }),
      { numRuns: 15 },
    )
  })
  test('ids are made from titles, and never twice', async () => {
    expect(await data.freshBookId('The Tidewarden’s Almanac!')).toBe('the-tidewardens-almanac')
    expect(await data.freshBookId('…')).toBe('book')
    await data.putBook({ book: { ...bookOf([['x']]), id: 'book' }, pictures: new Map() })
    expect(await data.freshBookId('…')).toBe('book-2')
  })
})

describe('the demo library', () => {
  const press = (id: string) =>
    ({ readProject: async () => ({ book: { ...bookOf([['x']]), id }, pictures: new Map() }) }) as never
  const asked: string[] = []
  beforeEach(() => {
    asked.length = 0
    globalThis.fetch = (async (url: string) => {
      asked.push(url)
      return { ok: true, json: async () => ({ books: ['a.porchlight'] }), arrayBuffer: async () => new ArrayBuffer(1) }
    }) as never
  })
  test('is loaded on the first visit and never again, even when its books are gone', async () => {
    await data.loadDemoOnce(press('demo'))
    expect((await data.listBooks()).map(b => b.id)).toEqual(['demo'])
    expect(asked).toEqual(['/demo/library.json', '/demo/a.porchlight'])
    await data.db.books.clear()
    await data.loadDemoOnce(press('demo'))
    expect(await data.listBooks()).toEqual([])
    expect(asked).toHaveLength(2)
  })
  test('a failed load is tried again at the next visit', async () => {
    globalThis.fetch = (async () => {
      throw new Error('offline')
    }) as never
    await expect(data.loadDemoOnce(press('demo'))).rejects.toThrow('offline')
    expect(await data.db.settings.get('demo loaded')).toBeUndefined()
  })
})
