import '../../tests/support/store'
import { expect, test } from '@jest/globals'
import { type Asset, hashOf } from '@/core/book'
import { bookOf } from '../../tests/support/core'

const { getBook, putBook } = await import('./books')
const { undo } = await import('./changes')
const { markDamaged } = await import('./damaged')
const { db } = await import('./db')

const file = (n: number): Uint8Array => new Uint8Array(100).fill(n)
const asset = (n: number): Asset => ({ id: hashOf(file(n)), type: 'image/png', width: 1, height: 1 })

test('pictures from before the door looked are looked at once: what cannot be decoded is marked, in one step', async () => {
  await putBook({
    book: { ...bookOf([['Words.']]), id: 'old', assets: [1, 2, 3, 4].map(asset) },
    pictures: new Map([1, 2, 3].map(n => [asset(n).id, file(n)])),
  })
  await db.previews.put({ hash: asset(3).id, blob: new Blob() })
  const asked: string[] = []
  const look = async (id: string, bytes: Uint8Array): Promise<boolean> => {
    asked.push(id)
    return bytes[0] !== 2
  }
  expect(await markDamaged('old', look)).toBe(1)
  // The third has a preview and so passed; the fourth has no bytes, and is said to be missing elsewhere.
  expect(asked).toEqual([asset(1).id, asset(2).id])
  expect((await getBook('old'))!.book.assets.map(a => !!a.damaged)).toEqual([false, true, false, false])
  expect(await markDamaged('old', look)).toBe(0)
  expect(asked).toHaveLength(2)
  expect(await undo('old')).toBe('Mark a damaged picture')
})
