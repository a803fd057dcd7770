import { expect, test } from '@jest/globals'
import { bookOf } from '../../tests/support/core'
import '../../tests/support/store'

const { tellForAll, tellOfBook, toldForAll } = await import('./proof')
const { getBook, putBook } = await import('./books')
const { undo } = await import('./changes')
const { db } = await import('./db')

test('what is told for all books is told for those in the language, whatever its region; it can be untold', async () => {
  await Promise.all([tellForAll('en-GB', { word: 'lampion' }), tellForAll('en-US', { left: '["twice","so"]' })])
  await tellForAll('de', { word: 'Wattwurm' })
  await tellForAll('en', { word: 'lampion' })
  expect(await toldForAll('en-GB')).toEqual({ words: ['lampion'], left: ['["twice","so"]'] })
  expect(await toldForAll('de')).toEqual({ words: ['Wattwurm'], left: [] })
  expect(await toldForAll('fr')).toEqual({ words: [], left: [] })
  await tellForAll('de', { word: 'Wattwurm' }, false)
  expect((await db.settings.get('proof'))!.value).toEqual([{ id: 'en', words: ['lampion'], left: ['["twice","so"]'] }])
})

test('what is damaged of it stays as it is and harms nothing else', async () => {
  await db.settings.put({
    key: 'proof',
    value: [
      { id: 'fr', words: 'none' },
      { id: 'nl', words: ['dijk'], left: [] },
    ],
  })
  expect(await toldForAll('fr')).toEqual({ words: [], left: [] })
  await tellForAll('nl', { word: 'polder' })
  expect(await toldForAll('nl')).toEqual({ words: ['dijk', 'polder'], left: [] })
  expect((await db.settings.get('proof'))!.value).toContainEqual({ id: 'fr', words: 'none' })
})

test('what is told of a book is a step of it, and goes when it is untold', async () => {
  await putBook({ book: bookOf([['The bel rang.']]), pictures: new Map() })
  const told = async () => (await getBook('test'))!.book.proof
  await tellOfBook('test', { word: 'bel' })
  expect(await told()).toEqual({ words: ['bel'], left: [] })
  await tellOfBook('test', { word: 'bel' }, false)
  expect(await told()).toBeUndefined()
  expect(await undo('test')).toBe('Doubt it again')
  expect(await told()).toEqual({ words: ['bel'], left: [] })
})
