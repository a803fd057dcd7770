import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { bookOf, setBook } from '../../../tests/support/core'
import { harbourRoman, readStyle, withChanges, type StyleChanges } from '.'
import { styleValues } from './styleChanges'

const anyChange: fc.Arbitrary<StyleChanges> = fc
  .array(
    fc
      .constantFrom(...styleValues)
      .chain(v =>
        (v.kind === 'number'
          ? fc.double({ min: v.least, max: v.most, noNaN: true })
          : v.kind === 'picture'
            ? fc.constantFrom('', 'a'.repeat(64))
            : fc.constantFrom(...v.choices.map(c => c.value))
        ).map(x => [v.path, x] as const),
      ),
    { maxLength: 8 },
  )
  .map(Object.fromEntries)

describe('changes of a style', () => {
  test('every value is there in the shipped style, within its own limits', () => {
    for (const v of styleValues) {
      const now = readStyle(harbourRoman, v.path)
      if (v.kind === 'number') {
        expect(now).toBeGreaterThanOrEqual(v.least)
        expect(now).toBeLessThanOrEqual(v.most)
      } else if (v.kind === 'picture') expect(now).toBe('')
      else expect(v.choices.map(c => c.value)).toContain(now)
    }
  })
  test('are read back as they were made; the shipped style is not touched', () => {
    const before = JSON.stringify(harbourRoman)
    fc.assert(
      fc.property(anyChange, changes => {
        const style = withChanges(harbourRoman, changes)
        for (const [path, value] of Object.entries(changes)) {
          // What must hold of every style comes first: lines apart, and all that large print means.
          if (
            path.endsWith('.leading') ||
            (style.text.large && ['text.size', 'text.align', 'text.hyphenate', 'notes.size'].includes(path))
          )
            continue
          const now = readStyle(style, path)
          if (typeof value === 'number') expect(now).toBeCloseTo(value, 2)
          else expect(now).toBe(value)
        }
        expect(style.text.leading).toBeGreaterThanOrEqual(style.text.size)
        expect(style.notes.leading).toBeGreaterThanOrEqual(style.notes.size)
        if (style.text.large)
          expect([style.text.size >= 16, style.notes.size >= 16, style.text.hyphenate, style.text.align]).toEqual([
            true,
            true,
            false,
            'left',
          ])
      }),
    )
    expect(JSON.stringify(harbourRoman)).toBe(before)
    expect(withChanges(harbourRoman, {})).toBe(harbourRoman)
  })
  test('are held to the limits; nonsense is refused in words', () => {
    expect(withChanges(harbourRoman, { 'text.size': 900 }).text.size).toBe(24)
    expect(() => withChanges(harbourRoman, { 'text.colour': 'red' })).toThrow(/nothing that a style has/)
    expect(() => withChanges(harbourRoman, { 'text.size': 'large' })).toThrow(/wants a number/)
    expect(() => withChanges(harbourRoman, { 'text.align': 'middle' })).toThrow(/no choice/)
  })
  test('any changed style sets a book', async () => {
    const book = bookOf([['The bell of Merrow Sound hung in an iron cage at the corner of the quay. '.repeat(30)]])
    await fc.assert(
      fc.asyncProperty(anyChange, async changes => {
        const style = withChanges(harbourRoman, changes)
        const lines = Math.floor((648 - 72 * (style.margins.head + style.margins.foot)) / style.text.leading)
        const interior = await setBook(book, style).catch((e: Error) => e)
        if (interior instanceof Error)
          expect([
            interior.message,
            lines < 12 || 432 - 72 * (style.margins.inside + style.margins.outside) < style.text.size * 9,
          ]).toEqual([expect.stringContaining('no room'), true])
        else expect(interior.stats.unmet.widows).toBe(0)
      }),
      { numRuns: 25 },
    )
  })
})
