import '../../tests/support/store'
import { beforeEach, describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { Transform } from 'prosemirror-transform'
import {
  type Book,
  docText,
  type DocJson,
  joinSections,
  moveSection,
  removeSection,
  schema,
  splitSection,
  withWritten,
} from '@/core/book'
import { bookOf } from '../../tests/support/core'

const data = { ...(await import('./books')), ...(await import('./db')), ...(await import('./changes')) }
beforeEach(async () => {
  await Promise.all(data.db.tables.map(t => t.clear()))
  await data.putBook({ book: bookOf([['x']]), pictures: new Map() })
})
const title = async (): Promise<string> => (await data.getBook('test'))!.book.data.title
const rename = (to: string): Promise<void> =>
  data.commit('test', `Title ${to}`, r => ({ data: { ...r.data, title: to } }))
const age = () => data.db.changes.toCollection().modify({ at: 0 })

describe('undo', () => {
  test('steps of one value that follow at once are one; those that lead back to where it was are none', async () => {
    const step = (to: number): Promise<void> =>
      data.commit('test', `Year ${to}`, r => ({ data: { ...r.data, year: to } }), true)
    await step(2020)
    await age()
    await step(2021)
    await step(2022)
    expect(await data.db.changes.count()).toBe(2)
    await step(2020)
    expect(await data.steps('test')).toEqual({ undo: 'Year 2020', redo: undefined })
    expect(await data.db.changes.count()).toBe(1)
  })
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
    await fc.assert(
      fc.asyncProperty(
        fc.array(
          fc.oneof(
            fc.constantFrom('undo', 'redo'),
            fc.string({ minLength: 1, maxLength: 5, unit: fc.constantFrom('a', 'b', 'c', 'd') }),
          ),
          { maxLength: 14 },
        ),
        async steps => {
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
        },
      ),
      { numRuns: 40 },
    )
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
  test('they are one by what they change and where, whatever they are called', async () => {
    const two = (of: 'paperback' | 'ebook', price: number, label: string) =>
      data.commit(
        'test',
        label,
        r => ({ editions: r.editions.map(e => (e.id === of ? { ...e, prices: { USD: price } } : e)) }),
        true,
      )
    await data.commit('test', 'editions', () => ({
      editions: [
        { id: 'paperback', kind: 'paperback', outlets: [], style: 'x', prices: { USD: 1 } },
        { id: 'ebook', kind: 'ebook', outlets: [], style: 'x', prices: { USD: 2 } },
      ],
    }))
    await two('paperback', 900, 'Price 9')
    await two('paperback', 1000, 'A wholly different name')
    await two('ebook', 1000, 'Price 10')
    expect((await data.db.changes.toArray()).map(c => c.label)).toEqual([
      'editions',
      'A wholly different name',
      'Price 10',
    ])
    await data.undo('test')
    await data.undo('test')
    expect((await data.getBook('test'))!.book.editions.map(e => e.prices)).toEqual([{ USD: 1 }, { USD: 2 }])
  })
})

describe('undo of text and of sections', () => {
  const section = async (id = 's1') => (await data.getBook('test'))!.book.sections.find(s => s.id === id)!
  /** Types into a section's first paragraph through the core's own schema, as the editor does. */
  const type = async (text: string, at = 1): Promise<void> => {
    const node = schema.nodeFromJSON((await section()).doc)
    const tr = new Transform(node).insert(at, schema.text(text))
    const { rev } = (await data.db.sections.get(['test', 's1']))!
    await data.commitText('test', 's1', rev, {
      forward: tr.steps.map(s => s.toJSON()),
      inverse: tr.steps.map((s, i) => s.invert(tr.docs[i]!).toJSON()).reverse(),
      doc: tr.doc.toJSON() as DocJson,
      pen: 'test',
      nth: 1,
    })
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
    for (const [label, op] of [
      ['split', (b: Book) => splitSection(b, 's1', target)],
      ['join', (b: Book) => joinSections(b, 's2')],
      ['move', (b: Book) => moveSection(b, 's1', b.sections.length - 1)],
      ['remove', (b: Book) => removeSection(b, 's1')],
    ] as const) {
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
  test('an operation on the whole book that changes its plan and editions as well is one step', async () => {
    const all = async () => JSON.stringify((await data.getBook('test'))!.book)
    const before = JSON.parse(await all()) as Book
    await data.commitSections('test', 'by recipe', b => ({
      ...withWritten(b, 'afterword', 'The end', ['One.', 'Two.']),
      plan: { runs: [] },
      editions: b.editions.map(e => ({ ...e, trim: '8x10in' })),
    }))
    const { book } = (await data.getBook('test'))!
    expect([book.plan, book.sections.at(-1)!.title]).toEqual([{ runs: [] }, 'The end'])
    expect(book.editions.every(e => e.trim === '8x10in')).toBe(true)
    await data.undo('test')
    // The counter of ids alone does not go back.
    expect({ ...(JSON.parse(await all()) as Book), lastId: before.lastId }).toEqual(before)
    await data.redo('test')
    expect((await data.getBook('test'))!.book.plan).toEqual({ runs: [] })
  })
  test('a write that finds the store full says so and changes nothing', async () => {
    const { storageTrouble } = await import('./trouble')
    const put = data.db.sections.put
    data.db.sections.put = (() => {
      throw Object.assign(new Error('no room'), { name: 'QuotaExceededError' })
    }) as never
    await expect(type('z')).rejects.toThrow('no room')
    expect(storageTrouble()).toBe('full')
    data.db.sections.put = put
    expect(await words()).toBe('x')
    expect(await data.db.changes.count()).toBe(0)
    await type('y')
    expect(storageTrouble()).toBeUndefined()
  })
})

describe('a long history', () => {
  const long = 'The keeper wrote of wind and water, and of nothing else at all. '.repeat(400)
  const written = async (text: string, at: number): Promise<void> => {
    const record = (await data.db.sections.get(['test', 's1']))!
    const tr = new Transform(schema.nodeFromJSON(record.doc)).insert(at, schema.text(text))
    await data.commitText('test', 's1', record.rev, {
      forward: tr.steps.map(s => s.toJSON()),
      inverse: tr.steps.map((s, i) => s.invert(tr.docs[i]!).toJSON()),
      doc: tr.doc.toJSON() as DocJson,
      pen: 'p',
      nth: 1,
    })
  }
  test('sixty letters cost at most 400 bytes, however long the section is', async () => {
    await data.putBook({ book: bookOf([[long]]), pictures: new Map() })
    for (let i = 0; i < 60; i++) await written('x', 5 + i)
    const [change, ...more] = await data.db.changes.toArray()
    expect(more).toEqual([])
    expect(JSON.stringify(change).length).toBeLessThanOrEqual(400)
  })
  test('a title, a number, a split: the differences and no whole book', async () => {
    await data.putBook({
      book: { ...bookOf([[long, 'Two.', 'Three.']]), data: { ...bookOf([['x']]).data, description: long } },
      pictures: new Map(),
    })
    await data.commit('test', 'Title', r => ({ data: { ...r.data, title: 'B' } }))
    await data.commitSections('test', 'Title of a section', b => ({
      ...b,
      sections: b.sections.map(s => ({ ...s, title: `${s.title}!` })),
    }))
    const last = (await data.getBook('test'))!.book.sections.find(s => s.id === 's1')!.doc.content[2]!.attrs.id
    await data.commitSections('test', 'split', b => splitSection(b, 's1', last))
    for (const c of await data.db.changes.toArray()) expect(JSON.stringify(c).length).toBeLessThan(1500)
  })
  test('only its ends are read: a commit and a look at ten thousand steps touch a handful of records', async () => {
    await data.db.changes.bulkAdd(
      Array.from({ length: 10_000 }, (_, i) => ({
        book: i % 2 ? 'test' : 'other',
        state: (i > 9_000 ? 1 : 0) as 0 | 1,
        at: 0,
        label: `step ${i}`,
        record: [],
      })),
    )
    let read = 0
    const count = (c: object): object => {
      read++
      return c
    }
    data.db.changes.hook('reading', count as never)
    expect(await data.steps('test')).toEqual({ undo: 'step 8999', redo: 'step 9001' })
    await rename('Once')
    expect(await data.steps('test')).toEqual({ undo: 'Title Once', redo: undefined })
    data.db.changes.hook('reading').unsubscribe(count as never)
    expect(read).toBeLessThan(12)
    // What had been undone is gone, of this book alone.
    expect(await data.db.changes.where('book').equals('other').count()).toBe(5000)
  })
})
