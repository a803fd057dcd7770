import '../../tests/support/store'
import { beforeEach, expect, test } from '@jest/globals'
import { createBook } from '@/core/book'
import { lampOverTide, rows } from '@/core/cover'

const { db } = await import('./db')
const { forgetDesign, keepDesign, keptDesigns, seriesCovers } = await import('./designs')

beforeEach(async () => {
  await Promise.all(db.tables.map(t => t.clear()))
})

test('designs are kept under ids of their own without a book’s pictures, and forgotten one by one', async () => {
  const pictured = { ...lampOverTide, picture: { asset: 'a', over: 'front' as const } }
  const first = await keepDesign(pictured, 'Evening')
  const second = await keepDesign(rows, 'Evening')
  expect([first.left, second.left]).toEqual([1, 0])
  expect((await keptDesigns()).map(d => [d.id, d.name])).toEqual([
    ['own-evening', 'Evening'],
    ['own-evening-2', 'Evening'],
  ])
  expect((await keptDesigns())[0]!.picture).toBeUndefined()
  await forgetDesign(first.design.id)
  expect((await keptDesigns()).map(d => d.id)).toEqual(['own-evening-2'])
})

test('a broken one takes no other along', async () => {
  await keepDesign(rows, 'Good')
  const value = (await db.settings.get('designs'))!.value as object[]
  await db.settings.put({ key: 'designs', value: [...value, { id: 'bad', pieces: 'none' }] })
  expect((await keptDesigns()).map(d => d.id)).toEqual(['own-good'])
  await keepDesign(rows, 'Better')
  expect((await keptDesigns()).map(d => d.id)).toEqual(['own-good', 'own-better'])
})

test('the covers of a series are those of its other books that stand and have one', async () => {
  const book = (id: string, series: string | undefined, more: object = {}) => {
    const { sections: _sections, ...b } = createBook(id, {
      title: id,
      contributors: [],
      language: 'en',
      imprint: { name: '' },
      subjects: [],
      ...(series ? { series: { name: series } } : {}),
    })
    return { ...b, order: [], added: 0, cover: rows, ...more }
  }
  await db.books.bulkPut([
    book('one', 'Sound'),
    book('two', 'Sound'),
    book('three', 'Other'),
    book('four', 'Sound', { cover: undefined }),
    book('five', 'Sound', { takenDown: 1 }),
    book('six', undefined),
  ] as never)
  expect((await seriesCovers('one', 'Sound')).map(c => c.book)).toEqual(['two'])
  expect(await seriesCovers('one', undefined)).toEqual([])
})
