import '../../tests/support/store'
import { expect, test } from '@jest/globals'
import { bookOf } from '../../tests/support/core'

const { db } = await import('./db')
const { getBook, putBook } = await import('./books')
const { takePictures } = await import('./pictures')
const { undo } = await import('./changes')

const asset = (letter: string) => ({ id: letter.repeat(64), type: 'image/png' as const, width: 10, height: 20 })

test('pictures that text names which came from another book become the book’s own, in one step; of others it is said', async () => {
  const [tide, moon, nowhere] = [asset('a'), asset('b'), asset('c')]
  await putBook({ book: { ...bookOf([['x']]), id: 'theirs', assets: [tide, moon] }, pictures: new Map() })
  await putBook({ book: { ...bookOf([['x']]), id: 'ours', assets: [moon] }, pictures: new Map() })
  // A record that lost its pictures stops none that has some.
  await db.books.update('theirs', { added: 1 })
  await db.books.put({ id: 'torn', order: [], editions: [], assets: 7, added: 0 } as never)
  expect(await takePictures('ours', [tide.id, moon.id, nowhere.id])).toEqual([nowhere.id])
  expect((await getBook('ours'))!.book.assets).toEqual([moon, tide])
  await undo('ours')
  expect((await getBook('ours'))!.book.assets).toEqual([moon])
})

test('recordings come along as pictures do, and go with them again', async () => {
  const [still, bell] = [asset('d'), { id: 'e'.repeat(64), type: 'audio/mpeg' as const, seconds: 4 }]
  await putBook({ book: { ...bookOf([['x']]), id: 'heard', assets: [still], recordings: [bell] }, pictures: new Map() })
  await putBook({ book: { ...bookOf([['x']]), id: 'silent' }, pictures: new Map() })
  expect(await takePictures('silent', [still.id, bell.id])).toEqual([])
  expect((await getBook('silent'))!.book).toMatchObject({ assets: [still], recordings: [bell] })
  expect(await takePictures('silent', [bell.id])).toEqual([])
  expect((await getBook('silent'))!.book.recordings).toEqual([bell])
  await undo('silent')
  await undo('silent')
  const { book } = (await getBook('silent'))!
  expect([book.assets, book.recordings ?? []]).toEqual([[], []])
})
