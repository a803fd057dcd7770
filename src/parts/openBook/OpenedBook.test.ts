import { expect, test } from '@jest/globals'
import { Cancelled, type OutletProfile } from '@/core/trade'
import type { Book } from '@/core/book'
import type { Figures, Leaves } from '@/core/chain'
import type { HeldBook } from '@/data/books'
import { OpenedBook, type Sources } from './OpenedBook'

const edition = (id: string, kind: string): object => ({ id, kind, outlets: ['quay', 'mill'] })

const bookOf = (title: string, ...editions: object[]): HeldBook => ({
  book: { id: 'b', data: { title }, editions } as unknown as Book,
  revs: new Map(),
  head: title,
})
const outlets: OutletProfile[] = []
const both = [edition('e', 'ebook'), edition('p', 'paperback')]

/** A store and a press in the hand of the test: what they tell and answer, and what they were asked. */
function stage() {
  const asked: { edition: string; outlet?: string; answer: (f: unknown) => void; refuse: (e: Error) => void }[] = []
  const tells: Record<string, (x: never) => void> = {}
  let fail: (e: Error) => void = () => undefined
  let watched = 0
  const watch =
    (name: string) =>
    (tell: (x: never) => void): (() => void) => {
      watched++
      tells[name] = tell
      return () => void watched--
    }
  const sources: Sources = {
    watchBook: (_held, tell, failed) => {
      fail = failed
      return watch('book')(tell)
    },
    watchOutlets: watch('outlets'),
    watchHistory: watch('history'),
    watchHold: watch('hold'),
    warmUp: () => undefined,
    open: async () => undefined,
    leaves: async id => ({ of: id }) as unknown as Leaves,
    figures: (e, outlet) =>
      new Promise((answer, refuse) => asked.push({ edition: e, outlet, answer: f => answer(f as Figures), refuse })),
    died: e => (e.message === 'died' ? 'It broke down again.' : undefined),
  }
  const at = new OpenedBook(sources)
  return {
    at,
    asked,
    watched: () => watched,
    tell: (name: string, x: unknown) => tells[name]!(x as never),
    fail: (e: Error) => fail(e),
  }
}

const passed = (): Promise<void> => new Promise(r => setTimeout(r))

test('what follows from a state is asked once, and an answer that a newer state has overtaken is not shown', async () => {
  const { at, asked, tell } = stage()
  at.attend({})
  const first = bookOf('First', ...both)
  tell('book', first)
  expect(at.now('any').book).toBeUndefined()
  tell('outlets', outlets)
  tell('history', { undo: 'a comma' })
  tell('hold', 'writing')
  await passed()
  expect(asked.length).toBe(1)
  expect(at.now('any')).toMatchObject({ book: first.book, undo: 'a comma', hold: 'writing', settling: true })
  const second = bookOf('Second', ...both)
  tell('book', second)
  await passed()
  expect(asked.length).toBe(2)
  asked[1]!.answer({ pages: 2 })
  await passed()
  asked[0]!.answer({ pages: 1 })
  await passed()
  expect(at.now('any')).toMatchObject({ book: second.book, figures: { pages: 2 }, settling: false })
})

test('a snapshot is one object until something changes, and every listener hears of a change', () => {
  const { at, tell } = stage()
  let heard = 0
  const unhear = at.on(() => heard++)
  at.attend({})
  tell('book', bookOf('One', ...both))
  tell('outlets', outlets)
  const view = at.now('any')
  expect(at.now('any')).toBe(view)
  const before = heard
  tell('history', { redo: 'a word' })
  expect(heard).toBe(before + 1)
  expect(at.now('any')).not.toBe(view)
  unhear()
  tell('history', {})
  expect(heard).toBe(before + 1)
})

test('rooms of print look at print; the edition and outlet that were chosen stay chosen in the next room', async () => {
  const { at, asked, tell } = stage()
  const leave = at.attend({ look: 'print', leaves: true })
  tell('book', bookOf('Both', ...both))
  tell('outlets', outlets)
  await passed()
  asked[0]!.answer({ n: 1 })
  await passed()
  expect(at.now('print')).toMatchObject({
    edition: { id: 'p' },
    outletId: 'quay',
    leaves: { of: 'p' },
    figures: { n: 1 },
  })
  at.choose('e', 'mill')
  // A room of print does not follow to an ebook.
  expect(at.now('print').edition).toMatchObject({ id: 'p' })
  expect(at.now('any')).toMatchObject({ edition: { id: 'e' }, outletId: 'mill' })
  leave()
  at.attend({})
  tell('book', bookOf('Both', ...both))
  await passed()
  expect(asked.at(-1)).toMatchObject({ edition: 'e', outlet: 'mill' })
  // An outlet that the edition is not at is none.
  at.choose('e', 'elsewhere')
  expect(at.now('any').outletId).toBe('quay')
})

test('the figures before the last change stand beside the new ones, and stay while a room is left for another', async () => {
  const { at, asked, tell } = stage()
  const leave = at.attend({})
  tell('outlets', outlets)
  tell('book', bookOf('A', ...both))
  await passed()
  asked[0]!.answer({ n: 1 })
  await passed()
  expect(at.now('any').was).toBeUndefined()
  tell('book', bookOf('B', ...both))
  await passed()
  asked[1]!.answer({ n: 2 })
  await passed()
  expect(at.now('any')).toMatchObject({ was: { n: 1 }, figures: { n: 2 } })
  leave()
  expect(at.now('any')).toMatchObject({ figures: { n: 2 } })
  // A room that is left asks nothing.
  at.choose('e')
  await passed()
  expect(asked.length).toBe(2)
})

test('a press that died is started anew once by itself; that it died again is said', async () => {
  const { at, asked, tell } = stage()
  at.attend({})
  tell('outlets', outlets)
  tell('book', bookOf('A', ...both))
  for (const round of [0, 1]) {
    await passed()
    expect(at.now('any').trouble).toBeUndefined()
    asked[round]!.refuse(new Error('died'))
  }
  await passed()
  expect(asked.length).toBe(2)
  expect(at.now('any')).toMatchObject({ trouble: 'It broke down again.', settling: false })
  at.now('any').again()
  await passed()
  asked[2]!.answer({ n: 3 })
  await passed()
  expect(at.now('any').trouble).toBeUndefined()
  // It worked in between: it is started anew once more.
  tell('book', bookOf('B', ...both))
  await passed()
  asked[3]!.refuse(new Error('died'))
  await passed()
  expect(asked.length).toBe(5)
})

test('stopped by the author it waits until it is asked again; any other failure is said', async () => {
  const { at, asked, tell } = stage()
  at.attend({})
  tell('outlets', outlets)
  tell('book', bookOf('A', ...both))
  await passed()
  asked[0]!.refuse(new Cancelled())
  await passed()
  expect(at.now('any')).toMatchObject({ stopped: true, settling: false })
  at.now('any').again()
  expect(at.now('any').stopped).toBe(false)
  await passed()
  asked[1]!.refuse(new Error('No page fits.'))
  await passed()
  expect(at.now('any')).toMatchObject({ trouble: 'No page fits.', settling: false })
})

test('what the store throws reaches the room, and no longer once it is left; a book that is not there is missing', () => {
  const { at, tell, fail, watched } = stage()
  const leave = at.attend({})
  fail(new Error('The record is broken.'))
  expect(() => at.now('any')).toThrow('The record is broken.')
  leave()
  expect(watched()).toBe(0)
  at.attend({})
  tell('outlets', outlets)
  tell('book', null)
  expect(at.now('any')).toMatchObject({ missing: true, version: 0 })
  expect(at.now('any').book).toBeUndefined()
})
