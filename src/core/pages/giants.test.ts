import { describe, expect, test } from '@jest/globals'
import { bookOf, setBook } from '../../../tests/support/core'
import { pageText } from '../marks'
import { Fault } from '../trade'
import { readManuscript } from '../intake'

/** Text of a size that no book has: it is set in time that grows with it, or refused with the true cause. */
const letters = (s: string): string => s.replace(/[\s\u00ad]/g, '')
const timed = async <T>(work: () => T | Promise<T>): Promise<[T, number]> => {
  const start = performance.now()
  return [await work(), performance.now() - start]
}

describe('giants', () => {
  test('a string of five thousand letters is parted by force, and no letter goes', async () => {
    const word = Array.from({ length: 5000 }, (_, i) => 'xqzj'[(i * 7919) % 4]).join('')
    const [set, ms] = await timed(() => setBook(bookOf([[`Before ${word} and behind.`]])))
    // Heads and folios stand between its pages; none of them has these letters.
    expect(
      set.pages
        .map(pageText)
        .join('')
        .replace(/[^xqzj]/g, ''),
    ).toBe(word)
    expect(set.pages.length).toBeLessThan(12)
    expect(ms).toBeLessThan(10_000)
  })
  test('a paragraph of 66,000 words takes a few times what one of 16,000 does', async () => {
    const of = (n: number): string =>
      Array.from({ length: n }, (_, i) => ['tide', 'the', 'harbour', 'lamp', 'seven', 'of', 'wind'][(i * 31) % 7]).join(
        ' ',
      )
    const [, short] = await timed(() => setBook(bookOf([[of(16_000)]])))
    const [set, long] = await timed(() => setBook(bookOf([[of(66_000)]])))
    expect(letters(set.pages.map(pageText).join(''))).toContain(letters(of(66_000)).slice(-2000, -20))
    expect(long / short).toBeLessThan(10)
  })
  test('thousands of brackets are text, millions are refused', () => {
    const u = readManuscript(
      'x.md',
      new TextEncoder().encode(`# One\n\n${'!['.repeat(50_000)}\n\nAnd [a link](https://example.org/).`),
    )
    expect(JSON.stringify(u.book)).toContain('https://example.org/')
    expect(u.dropped.find(d => d.what.startsWith('paragraphs with thousands'))).toBeDefined()
    expect(() => readManuscript('x.md', new TextEncoder().encode('['.repeat(3_000_000)))).toThrow(Fault)
  })
})
