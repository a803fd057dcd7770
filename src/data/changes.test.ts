import { beforeAll, beforeEach, describe, expect, test } from '@jest/globals'
import Dexie from 'dexie'
import { IDBKeyRange, indexedDB } from 'fake-indexeddb'
import fc from 'fast-check'
import { bookOf } from '../../tests/support/core'

Dexie.dependencies.indexedDB = indexedDB
Dexie.dependencies.IDBKeyRange = IDBKeyRange
let data: typeof import('./books') & typeof import('./db') & typeof import('./changes')
beforeAll(async () => {
  data = { ...(await import('./books')), ...(await import('./db')), ...(await import('./changes')) }
})
beforeEach(async () => {
  await Promise.all(data.db.tables.map(t => t.clear()))
  await data.putBook({ book: bookOf([['x']]), pictures: new Map() })
})
const title = async (): Promise<string> => (await data.getBook('test'))!.book.data.title
const rename = (to: string): Promise<void> => data.commit('test', `Title ${to}`, r => ({ data: { ...r.data, title: to } }))
const age = () => data.db.changes.toCollection().modify({ at: 0 })

describe('undo', () => {
  test('walks back and forth; a new change forgets what was undone', async () => {
    for (const t of ['A', 'B', 'C']) {
      await rename(t)
      await age()
    }
    expect(await data.undo('test')).toBe('Title C')
    expect(await data.undo('test')).toBe('Title B')
    expect(await title()).toBe('A')
    expect(await data.steps('test')).toEqual({ undo: 'Title A', redo: 'Title B' })
    expect(await data.redo('test')).toBe('Title B')
    await rename('D')
    expect(await data.steps('test')).toEqual({ undo: 'Title D', redo: undefined })
    expect(await data.redo('test')).toBeUndefined()
    for (let i = 0; i < 5; i++) await data.undo('test')
    expect(await title()).toBe('A Book')
  })
  test('any walk of changes, undos and redos is that of two stacks', async () => {
    await fc.assert(fc.asyncProperty(fc.array(fc.oneof(fc.constantFrom('undo', 'redo'), fc.string({ minLength: 1, maxLength: 5, unit: fc.constantFrom('a', 'b', 'c', 'd') })), { maxLength: 14 }), async steps => {
      await data.db.changes.clear()
      await data.putBook({ book: bookOf([['x']]), pictures: new Map() })
      let past = ['A Book']
      let future: string[] = []
      for (const s of steps) {
        if (s === 'undo') {
          await data.undo('test')
          if (past.length > 1) future = [past.at(-1)!, ...future]
          past = past.length > 1 ? past.slice(0, -1) : past
        } else if (s === 'redo') {
          await data.redo('test')
          if (future.length) past = [...past, future[0]!]
          future = future.slice(1)
        } else if (s !== past.at(-1)) {
          await rename(s)
          past = [...past, s]
          future = []
        }
        await age()
        expect(await title()).toBe(past.at(-1))
      }
    }), { numRuns: 40 })
  })
  test('steps of a value that follow one another quickly are one; a change that changes nothing is none', async () => {
    const size = (n: number) => data.commit('test', `Text size ${n}`, r => ({ data: { ...r.data, year: n } }), true)
    for (const n of [11, 11.5, 12]) await size(n)
    expect(await data.db.changes.count()).toBe(1)
    await data.undo('test')
    expect((await data.getBook('test'))!.book.data.year).toBeUndefined()
    await rename('A Book')
    expect((await data.steps('test')).undo).toBeUndefined()
    await data.commit('nowhere', 'x', () => ({ id: 'y' }))
    expect(await data.db.changes.count()).toBe(1)
  })
})
