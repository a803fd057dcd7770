import { beforeAll, beforeEach, describe, expect, test } from '@jest/globals'
import Dexie from 'dexie'
import { IDBKeyRange, indexedDB } from 'fake-indexeddb'
import fc from 'fast-check'
import { Transform } from 'prosemirror-transform'
import { type Book, docText, type DocJson, joinSections, moveSection, removeSection, schema, splitSection } from '@/core/book'
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

describe('undo of text and of sections', () => {
  const section = async (id = 's1') => (await data.getBook('test'))!.book.sections.find(s => s.id === id)!
  /** Types into a section's first paragraph through the core's own schema, as the editor does. */
  const type = async (text: string, at = 1): Promise<void> => {
    const node = schema.nodeFromJSON((await section()).doc)
    const tr = new Transform(node).insert(at, schema.text(text))
    await data.commitText('test', 's1', { forward: tr.steps.map(s => s.toJSON()), inverse: tr.steps.map((s, i) => s.invert(tr.docs[i]!).toJSON()).reverse() }, tr.doc.toJSON() as DocJson)
  }
  const words = async (): Promise<string> => docText((await section()).doc)

  test('typing without a rest is one step; walking back and forth gives the very documents', async () => {
    const start = JSON.stringify((await section()).doc)
    await type('a')
    await type('b', 2)
    expect(await words()).toBe('abx')
    expect(await data.db.changes.count()).toBe(1)
    await age()
    await type('c', 3)
    const end = JSON.stringify((await section()).doc)
    await data.undo('test')
    expect(await words()).toBe('abx')
    await data.undo('test')
    expect(JSON.stringify((await section()).doc)).toBe(start)
    await data.redo('test')
    await data.redo('test')
    expect(JSON.stringify((await section()).doc)).toBe(end)
  })
  test('each write gives the section a new revision, so that whoever holds it knows', async () => {
    const first = await data.freshen('test', undefined)
    expect(await data.freshen('test', first)).toBe(first)
    await type('a')
    const next = (await data.freshen('test', first))!
    expect(next.revs.get('s1')).toBe(first!.revs.get('s1')! + 1)
    expect(next.book.data).toBe(first!.book.data)
    expect(next.book.sections.filter(s => s.id !== 's1').every(s => first!.book.sections.includes(s))).toBe(true)
    await rename('Other')
    const renamed = (await data.freshen('test', next))!
    expect(renamed.book.sections.every((s, i) => s === next.book.sections[i])).toBe(true)
  })
  test('splitting, joining, moving, removing: undone and done again, no word lost', async () => {
    await data.putBook({ book: bookOf([['One.', 'Two.', 'Three.'], ['Four.']]), pictures: new Map() })
    const all = async () => JSON.stringify((await data.getBook('test'))!.book.sections)
    const states = [await all()]
    const target = (await data.getBook('test'))!.book.sections.find(s => s.id === 's1')!.doc.content[1]!.attrs.id
    for (const [label, op] of [['split', (b: Book) => splitSection(b, 's1', target)], ['join', (b: Book) => joinSections(b, 's2')], ['move', (b: Book) => moveSection(b, 's1', b.sections.length - 1)], ['remove', (b: Book) => removeSection(b, 's1')]] as const) {
      await data.commitSections('test', label, op)
      states.push(await all())
      await age()
    }
    expect(new Set(states).size).toBe(5)
    for (const s of [...states].reverse().slice(1)) {
      await data.undo('test')
      expect(await all()).toBe(s)
    }
    for (const s of states.slice(1)) {
      await data.redo('test')
      expect(await all()).toBe(s)
    }
    await data.commitSections('test', 'nothing', b => b)
    expect((await data.steps('test')).undo).toBe('remove')
  })
  test('a write that finds the store full says so and changes nothing', async () => {
    const { storageTrouble } = await import('./trouble')
    const put = data.db.sections.put
    data.db.sections.put = (() => { throw Object.assign(new Error('no room'), { name: 'QuotaExceededError' }) }) as never
    await expect(type('z')).rejects.toThrow('no room')
    expect(storageTrouble()).toBe('full')
    data.db.sections.put = put
    expect(await words()).toBe('x')
    expect(await data.db.changes.count()).toBe(0)
    await type('y')
    expect(storageTrouble()).toBeUndefined()
  })
})
