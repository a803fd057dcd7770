import '../../tests/support/store'
import { beforeEach, expect, jest, test } from '@jest/globals'
import { type Book, removeSection } from '@/core/book'
import { SITTING_ENDS } from '@/core/pace'
import { bookOf, chapter, paragraph } from '../../tests/support/core'

const data = {
  ...(await import('./books')),
  ...(await import('./db')),
  ...(await import('./changes')),
  ...(await import('./versions')),
}
const book = (): Book => ({
  ...bookOf([]),
  lastId: 9,
  sections: ['s1', 's2', 's3'].map((id, i) =>
    chapter(id, `Chapter ${i}`, { type: 'doc', content: [paragraph(`b${i}`, 'The bell rang.')] }),
  ),
})
beforeEach(async () => {
  await Promise.all(data.db.tables.map(t => t.clear()))
  await data.putBook({ book: book(), pictures: new Map() })
})
const rename = (title: string): Promise<void> => data.commit('test', 'Title', r => ({ data: { ...r.data, title } }))
const kept = async () => (await data.versionsOf('test')).map(v => [v.kind, v.label])
const rest = () => data.db.changes.toCollection().modify({ at: Date.now() - SITTING_ENDS - 1 })

test('what a sitting ended with is kept when it is over, once', async () => {
  await rename('One')
  expect(await data.keepSitting('test')).toBeUndefined()
  await rest()
  expect(await data.keepSitting('test')).toBeDefined()
  expect(await data.keepSitting('test')).toBeUndefined()
  expect(await kept()).toEqual([['sitting', 'After a sitting']])
  expect((await data.versionBook((await data.versionsOf('test'))[0]!)).data.title).toBe('One')
})

test('what stood before a large change is kept, and small ones keep nothing', async () => {
  const shout = (b: Book, n: number): Book => ({
    ...b,
    sections: b.sections.map((s, i) =>
      i < n ? { ...s, doc: { ...s.doc, content: [paragraph(`b${i}`, 'The bell rang twice.')] } } : s,
    ),
  })
  await data.commitSections('test', 'Two changed', b => shout(b, 2))
  expect(await kept()).toEqual([])
  await data.undo('test')
  await data.commitSections('test', 'Three changed', b => shout(b, 3))
  await data.commitSections('test', 'Remove one', b => removeSection(b, 's2'))
  expect(await kept()).toEqual([
    ['before', 'Before: Three changed'],
    ['before', 'Before: Remove one'],
  ])
  const [first, second] = await Promise.all((await data.versionsOf('test')).map(v => data.versionBook(v)))
  expect(first!.sections.map(s => s.doc)).toEqual(book().sections.map(s => s.doc))
  expect(second!.sections).toHaveLength(3)
})

test('a book that is brought back whole is one step: undo takes it back, what it lacked is gone, its names stay its own', async () => {
  await data.keepVersion('test', 'First')
  const [version] = await data.versionsOf('test')
  await data.commit('test', 'Words', () => ({ proof: { words: ['bel'], left: [] } }))
  await rename('Other')
  const { bookBroughtBack } = await import('@/core/compare')
  const was = await data.versionBook(version!)
  const since = (await data.getBook('test'))!.book
  await data.commitSections('test', 'Bring back', now => bookBroughtBack(now, was))
  const back = (await data.getBook('test'))!.book
  expect([back.data.title, 'proof' in back]).toEqual([was.data.title, false])
  expect(await data.undo('test')).toBe('Bring back')
  expect((await data.getBook('test'))!.book).toEqual(since)
})

test('what could not be kept beside a change is told, and the change stands', async () => {
  const full = jest
    .spyOn(data.db.versions, 'add')
    .mockImplementation(() => Promise.reject(new Error('No room.')) as never)
  await data.commitSections('test', 'Remove one', b => removeSection(b, 's2'))
  full.mockRestore()
  expect((await data.getBook('test'))!.book.sections).toHaveLength(2)
  expect(data.unkeptOf('test')).toMatchObject([{ label: 'Before: Remove one', why: 'No room.' }])
})

test('age thins what was kept by itself; a name keeps for good; the space is that of the parts', async () => {
  await rename('One')
  for (const label of ['a', 'b', 'c']) {
    await rename(label)
    await data.keepBook((await data.getBook('test'))!.book, { kind: 'sitting', label })
  }
  expect(await data.versionSpace('test')).toBeGreaterThan(500)
  const [a] = await data.versionsOf('test')
  await data.nameVersion(a!.id!, 'The first')
  await data.notePages(a!.id!, 12)
  const later = Date.now() + 10 * 24 * 3600 * 1000
  expect(await data.thinVersions('test', later)).toBe(1)
  expect(await kept()).toEqual([
    [undefined, 'The first'],
    ['sitting', 'c'],
  ])
  expect((await data.versionsOf('test'))[0]!.pages).toBe(12)
  await data.forgetVersion(a!.id!)
  expect(await kept()).toEqual([['sitting', 'c']])
})

test('the book as it went out to an outlet is kept, with the pages that went, and stays whatever its age', async () => {
  const { send } = await import('./listings')
  const { hashOf } = await import('@/core/book')
  const zip = new TextEncoder().encode('a package')
  const snapshot = { title: 'Bells', pages: 24 } as never
  const submission = { id: '1', zip: hashOf(zip), name: 'bells.zip', files: [], snapshot, faults: [] }
  await send('test', 'paperback', { id: 'ostrevane', name: 'Ostrevane' } as never, submission, zip)
  expect((await data.versionsOf('test')).map(v => [v.kind, v.label, v.pages])).toEqual([
    ['sent', 'Sent to Ostrevane', 24],
  ])
  expect(await data.thinVersions('test', Date.now() + 1e12)).toBe(0)
})
