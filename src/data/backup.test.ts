import { beforeAll, beforeEach, describe, expect, test } from '@jest/globals'
import { Dexie } from 'dexie'
import { IDBFactory, IDBKeyRange } from 'fake-indexeddb'
import { bookOf, paragraph } from '../../tests/support/core'
import { Cancelled } from '@/core/trade'

// Dexie takes its store when it is loaded: it is given one before anything else asks for it.
Dexie.dependencies.indexedDB = new IDBFactory()
Dexie.dependencies.IDBKeyRange = IDBKeyRange

let backup: typeof import('./backup')
let books: typeof import('./books')
let db: typeof import('./db').db
beforeAll(async () => {
  backup = await import('./backup')
  books = await import('./books')
  db = (await import('./db')).db
})

const stored = (id: string, word: string) => ({
  book: {
    ...bookOf([[word]]),
    id,
    sections: bookOf([[word]]).sections.map(s => ({
      ...s,
      doc: { type: 'doc' as const, content: [paragraph('p1', word)] },
    })),
  },
  pictures: new Map<string, Uint8Array>(),
})
const wordsOf = async (): Promise<Record<string, string>> => {
  const out: Record<string, string> = {}
  for (const b of (await backup.collectLibrary()).books)
    out[b.project.book.id] = JSON.stringify(b.project.book.sections.map(s => s.doc)).match(/"text":"(\w+)"/)![1]!
  return out
}

describe('putting a backup back', () => {
  beforeEach(async () => {
    await Promise.all(db.tables.map(t => t.clear()))
  })

  test('replaces what it holds and leaves the rest', async () => {
    await books.putBook(stored('one', 'First'))
    await books.putBook(stored('two', 'Second'))
    const kept = await backup.collectLibrary()
    await books.putBook(stored('one', 'Changed'))
    await books.putBook(stored('three', 'Third'))
    expect((await backup.compareLibrary(kept)).books.map(b => [b.id, b.same, b.here?.words])).toEqual([
      ['one', false, 1],
      ['two', true, 1],
    ])
    expect((await backup.compareLibrary(kept)).others).toHaveLength(1)
    await backup.restoreLibrary(kept)
    expect(await wordsOf()).toEqual({ one: 'First', two: 'Second', three: 'Third' })
  })

  test('beside what is here, or not at all, as was chosen; what is replaced is kept as a version that opens', async () => {
    await books.putBook(stored('one', 'First'))
    await books.putBook(stored('two', 'Second'))
    const kept = await backup.collectLibrary()
    await books.putBook(stored('one', 'Changed'))
    await books.putBook(stored('two', 'Changed'))
    await backup.restoreLibrary(
      kept,
      new Map([
        ['one', 'beside'],
        ['two', 'leave'],
      ]),
    )
    expect(await wordsOf()).toEqual({ one: 'Changed', two: 'Changed', 'a-book-from-a-backup': 'First' })
    await backup.restoreLibrary(
      kept,
      new Map([
        ['one', 'instead'],
        ['two', 'leave'],
      ]),
    )
    expect((await wordsOf()).one).toBe('First')
    const { openVersion, versionsOf } = await import('./versions')
    const [version] = await versionsOf('one')
    expect(JSON.stringify((await openVersion(version!)).book.sections)).toContain('Changed')
  })
  test('kept versions, pieces and books that were taken down go out and come in', async () => {
    await books.putBook(stored('one', 'First'))
    const { keepVersion, versionsOf } = await import('./versions')
    const { takenDown } = await import('./bookList')
    const { takeDown } = await import('./removal')
    await keepVersion('one', 'By hand')
    await (await import('./pieces')).keepPieces('one', 's1', ['left over'])
    await takeDown('one')
    const kept = await backup.collectLibrary()
    await Promise.all(db.tables.map(t => t.clear()))
    await backup.restoreLibrary(kept)
    await backup.restoreLibrary(kept, new Map([['one', 'leave']]))
    expect((await takenDown()).map(b => b.id)).toEqual(['one'])
    expect((await versionsOf('one')).map(v => v.label)).toEqual(['By hand'])
    expect((await db.pieces.toArray()).map(p => p.text)).toEqual(['left over'])
    expect(await backup.collectLibrary()).toEqual(kept)
  })

  test.each([0, 1, 2, 3])('stopped at step %i of it, the library is as it was', async step => {
    await books.putBook(stored('one', 'First'))
    await books.putBook(stored('two', 'Second'))
    const kept = await backup.collectLibrary()
    await books.putBook(stored('one', 'Changed'))
    await (await import('./removal')).removeForGood('two')
    const before = await backup.collectLibrary()
    let heard = 0
    await expect(
      backup.restoreLibrary(kept, new Map(), p => {
        expect(p.done).toBeLessThanOrEqual(p.of)
        if (heard++ === step) throw new Cancelled()
      }),
    ).rejects.toThrow(Cancelled)
    expect(heard).toBe(step + 1)
    expect(await backup.collectLibrary()).toEqual(before)
  })
})
