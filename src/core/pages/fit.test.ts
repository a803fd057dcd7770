import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { longText } from '../../../scripts/lib/longText'
import { bookOf, shelf } from '../../../tests/support/core'
import { fitTo, harbourRoman, Setter, type StyleChanges, withChanges } from '.'

const setter = new Setter(shelf)
const book = bookOf(longText(22000, 7))
// Chapters open on either page: their lengths then add up finely.
const style = withChanges(harbourRoman, { 'openings.recto': false })
const pagesWith = async (changes: StyleChanges): Promise<number> =>
  (await setter.set(book, withChanges(style, changes), { width: 432, height: 648, inside: 0 })).pages.length

describe('making a book fit', () => {
  test('the offer, taken, has the pages that it promises', async () => {
    const now = await pagesWith({})
    expect(await fitTo(style, now, pagesWith)).toEqual({ changes: {}, pages: now })
    for (const target of [now - 4, now + 6]) {
      const offer = await fitTo(style, target, pagesWith)
      // Not every count can be had: the offer is near, and never over.
      expect(offer!.pages).toBeLessThanOrEqual(target)
      expect(target - offer!.pages).toBeLessThanOrEqual(4)
      expect(await pagesWith(offer!.changes)).toBe(offer!.pages)
      expect(Object.keys(offer!.changes).length).toBeGreaterThan(0)
    }
    expect(await fitTo(style, 2, pagesWith)).toBeUndefined()
  }, 120_000)

  test('asks little, stays within its limits, and never offers what it did not see', async () => {
    // A book whose pages follow from its style by a plain formula.
    const model =
      (words: number) =>
      async (c: StyleChanges): Promise<number> => {
        const s = withChanges(harbourRoman, c)
        const lines = Math.floor((648 - 72 * (s.margins.head + s.margins.foot)) / s.text.leading)
        const letters = (432 - 72 * (s.margins.inside + s.margins.outside)) / (s.text.size * 0.41)
        const raw = Math.ceil((words * 5.9) / letters / lines)
        return raw + (raw % 2)
      }
    await fc.assert(
      fc.asyncProperty(
        fc.integer({ min: 10_000, max: 300_000 }),
        fc.integer({ min: -20, max: 20 }),
        async (words, percent) => {
          let asked = 0
          const pages = model(words)
          const now = await pages({})
          const target = 2 * Math.round((now * (1 + percent / 100)) / 2)
          const offer = await fitTo(harbourRoman, target, c => (asked++, pages(c)))
          expect(asked).toBeLessThan(90)
          if (!offer) return
          expect(await pages(offer.changes)).toBe(offer.pages)
          expect(offer.pages).toBeLessThanOrEqual(target)
          expect(Math.abs(target - offer.pages)).toBeLessThanOrEqual(Math.abs(target - now))
          const s = withChanges(harbourRoman, offer.changes)
          expect(s.text.leading).toBeGreaterThanOrEqual(s.text.size * 1.1)
          expect([s.margins.foot, s.margins.outside].every(m => m >= 0.4 && m <= 1.6)).toBe(true)
        },
      ),
      { numRuns: 60 },
    )
  })
})
