import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { bookOf, setBook } from '../../../tests/support/core'
import { filledUp, harbourRoman } from '.'

test('an interior is filled up with blank leaves to what the printer folds, numbered on, and else left as it is', async () => {
  const set = await setBook(bookOf([['One tide.', 'Another.'], ['A third.']]), harbourRoman)
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 32 }), multiple => {
      const filled = filledUp(set, multiple)
      const added = filled.pages.slice(set.pages.length)
      expect(filled.pages.length % multiple).toBe(0)
      expect(added.length).toBeLessThan(multiple)
      expect(filled.pages.slice(0, set.pages.length)).toEqual(set.pages)
      if (!added.length) expect(filled).toBe(set)
      for (const [i, p] of added.entries()) {
        const index = set.pages.length + i
        expect([p.layers, p.side]).toEqual([[], index % 2 ? 'verso' : 'recto'])
        expect(p.label).toBe(String(Number(set.pages.at(-1)!.label) + i + 1))
        expect([p.width, p.height]).toEqual([set.pages[0]!.width, set.pages[0]!.height])
      }
    }),
  )
})
