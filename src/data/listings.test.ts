import '../../tests/support/store'
import { expect, test } from '@jest/globals'

// Another window has the right to write this book.
Object.defineProperty(globalThis, 'navigator', {
  value: {
    locks: {
      query: async () => ({ held: [{ name: 'porchlight/theirs' }] }),
      request: () => new Promise(() => undefined),
    },
  },
})

const { hold, holdOf } = await import('./writer')
const { listingsOf, withdraw } = await import('./listings')

test('a window that follows takes no listing back; the one that writes does', async () => {
  hold('theirs')
  await new Promise(r => setTimeout(r, 10))
  expect(holdOf('theirs')).toBe('following')
  await expect(withdraw('theirs', 'paperback', 'ostrevane')).rejects.toThrow(/another window/i)
  expect(await listingsOf('theirs')).toEqual([])
  await withdraw('mine', 'paperback', 'ostrevane')
  expect((await listingsOf('mine')).map(l => l.events.map(e => e.kind))).toEqual([['withdrawn']])
})
