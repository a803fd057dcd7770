import '../../tests/support/store'
import { beforeEach, expect, test } from '@jest/globals'
import { shippedProfiles } from '@/core/outlets'
import { bookOf } from '../../tests/support/core'

const { db } = await import('./db')
const outlets = { ...(await import('./outlets')), ...(await import('./outletChanges')) }
const { putBook } = await import('./books')

const ids = async (): Promise<string[]> => (await outlets.allOutlets()).map(p => p.id)
const book = (id: string, at: string) => ({
  book: {
    ...bookOf([['x']]),
    id,
    editions: [{ id: 'ebook', kind: 'ebook' as const, outlets: [at], style: 'harbour-roman' }],
  },
  pictures: new Map(),
})

beforeEach(async () => {
  await Promise.all(db.tables.map(t => t.clear()))
  for (const p of shippedProfiles) await outlets.putOutlet(p)
})

test('a store begins with the outlets that ship, in their order', async () => {
  await db.delete()
  await db.open()
  expect(await outlets.allOutlets()).toEqual(shippedProfiles)
})

test('a copy stands behind with a name and an id of its own; renamed and changed, it is the author’s', async () => {
  const copy = await outlets.putBeside(shippedProfiles[0]!)
  expect([copy.name, copy.id]).toEqual(['Ostrevane 2', 'ostrevane-2'])
  expect((await ids()).at(-1)).toBe('ostrevane-2')
  expect((await outlets.putBeside(shippedProfiles[0]!)).name).toBe('Ostrevane 3')
  expect(outlets.originOf(copy)).toBe('own')
  await outlets.putOutlet({ ...copy, name: 'Saltmarsh Print' })
  expect((await outlets.allOutlets()).at(-2)!.name).toBe('Saltmarsh Print')
  expect(await outlets.putBeside(copy)).toMatchObject({ name: 'Ostrevane 2', id: 'ostrevane-2-2' })
})

test('what is changed can be put back as it shipped, in its place; what is the author’s cannot', async () => {
  const changed = { ...shippedProfiles[1]!, name: 'Other' }
  await outlets.putOutlet(changed)
  expect(outlets.originOf((await outlets.allOutlets())[1]!)).toBe('changed')
  await outlets.restoreOutlet(changed.id)
  expect(await outlets.allOutlets()).toEqual(shippedProfiles)
  await expect(outlets.restoreOutlet('mine')).rejects.toThrow(/nothing to put back/)
})

test('two figures that are left one after the other do not take each other back; what is not here is not changed', async () => {
  await Promise.all([
    outlets.changeOutlet('pellowick', p => ({ ...p, kind: 'a shop' })),
    outlets.changeOutlet('pellowick', p => ({ ...p, name: 'Pell' })),
  ])
  expect((await outlets.allOutlets())[1]).toMatchObject({ kind: 'a shop', name: 'Pell' })
  await expect(outlets.changeOutlet('nowhere', p => p)).rejects.toThrow(/not here any more/)
})

test('an outlet that a book goes to is not taken out, nor the last one; what was taken out can come back', async () => {
  await putBook(book('of-the-quay', 'pellowick'))
  await expect(outlets.removeOutlet('pellowick')).rejects.toThrow(/goes there/)
  await outlets.removeOutlet('harrowmere')
  expect(await ids()).toEqual(['ostrevane', 'pellowick', 'tarnbrook'])
  expect(outlets.missingShipped(await outlets.allOutlets()).map(p => p.id)).toEqual(['harrowmere'])
  await outlets.removeOutlet('ostrevane')
  await outlets.removeOutlet('tarnbrook')
  await db.books.clear()
  await expect(outlets.removeOutlet('pellowick')).rejects.toThrow(/last outlet/)
  // A record without editions is asked nothing.
  expect(outlets.usersOf('pellowick', [{ id: 'torn' } as never])).toEqual([])
})

test('a book brings the outlets of its own; where one of that id is here with other figures, its own comes beside it and the book goes there', async () => {
  const mine = { ...shippedProfiles[0]!, id: 'mine', name: 'Mine' }
  const { book: b } = book('b', 'mine')
  expect(outlets.ownOutletsOf(b, [...shippedProfiles, mine])).toEqual([mine])
  expect(outlets.ownOutletsOf(book('c', 'ostrevane').book, shippedProfiles)).toEqual([])
  expect(await outlets.settledBook(b, [mine])).toBe(b)
  expect((await ids()).at(-1)).toBe('mine')
  const stated = { ...b, listings: { 'ebook/mine': { rights: true }, 'ebook/pellowick': { adult: true } } }
  const settled = await outlets.settledBook(stated, [{ ...mine, kind: 'another' }])
  expect(settled.editions[0]!.outlets).toEqual(['mine-2'])
  expect(settled.listings).toEqual({ 'ebook/mine-2': { rights: true }, 'ebook/pellowick': { adult: true } })
  const now = await outlets.allOutlets()
  expect(now.find(p => p.id === 'mine')).toEqual(mine)
  expect(now.find(p => p.id === 'mine-2')).toMatchObject({ name: 'Mine 2', kind: 'another' })
})

test('a backup puts back what was changed of the outlets that ship, where they are here as they shipped', async () => {
  const theirs = { ...shippedProfiles[0]!, kind: 'figures of my own' }
  expect(await outlets.takeOutlets([theirs])).toEqual([])
  expect((await outlets.allOutlets())[0]).toEqual(theirs)
  expect(await outlets.takeOutlets([{ ...theirs, kind: 'third' }])).toEqual(['Ostrevane'])
  expect((await outlets.allOutlets())[0]).toEqual(theirs)
})
