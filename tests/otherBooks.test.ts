import './support/store'
import { beforeEach, expect, test } from '@jest/globals'
import { bookOf } from './support/core'

const { db } = await import('@/data/db')
const { putBook } = await import('@/data/books')
const { putBackUp, removeForGood, takeDown } = await import('@/data/removal')
const { otherBooks } = await import('@/workers/storeReader')

const put = (id: string, title: string) => {
  const book = bookOf([['Words.']])
  return putBook({ book: { ...book, id, data: { ...book.data, title } }, pictures: new Map() })
}

beforeEach(async () => {
  await Promise.all(db.tables.map(t => t.clear()))
  await put('one', 'Moss')
  await put('two', 'Fern')
})

test('what a book asks is known to the others, by its title, and never to itself', async () => {
  await otherBooks.keep('one', ['sudoku/a', 'maze/b'])
  expect(await otherBooks.asking('one')).toEqual(new Map())
  expect(await otherBooks.asking('two')).toEqual(
    new Map([
      ['sudoku/a', 'Moss'],
      ['maze/b', 'Moss'],
    ]),
  )
  // What it asks now stands in the place of what it asked before.
  await otherBooks.keep('one', ['maze/c'])
  expect(await otherBooks.asking('two')).toEqual(new Map([['maze/c', 'Moss']]))
})

test('a book that was taken down asks nothing until it is put back; one that is gone leaves nothing', async () => {
  await otherBooks.keep('one', ['maze/c'])
  await takeDown('one')
  expect(await otherBooks.asking('two')).toEqual(new Map())
  await putBackUp('one')
  expect((await otherBooks.asking('two')).get('maze/c')).toBe('Moss')
  await removeForGood('one')
  expect(await db.twins.count()).toBe(0)
  expect(await otherBooks.asking('two')).toEqual(new Map())
})
