import { describe, expect, test } from '@jest/globals'
import { longText } from '../../../scripts/lib/longText'
import { bookOf, setBook } from '../../../tests/support/core'
import { evenness, findOnPage, harbourRoman, linesOf, withChanges } from '.'

describe('looking into pages', () => {
  test('lines come out with the gaps that the setter reports', async () => {
    const interior = await setBook(bookOf(longText(3000, 1)))
    const lines = interior.pages.flatMap(linesOf)
    expect(lines.length).toBeGreaterThan(interior.stats.lines * 0.98)
    // Full lines of text: as many as were reported, with the same mean.
    const full = lines.filter(l => l.width > interior.block.width * 0.93)
    const mean = (x: number[]): number => x.reduce((a, b) => a + b, 0) / x.length
    expect(Math.abs(mean(full.map(l => l.gaps)) - mean(interior.stats.gaps))).toBeLessThan(0.03)
    expect(evenness(interior.stats).unevenness).toBeLessThan(0.1)
    for (const l of lines) expect([l.gaps > 0.6, l.gaps < 3]).toEqual([true, true])
  })
  test('a text is found over line ends and inserted hyphens, wherever it stands', async () => {
    // Narrow, so that words are divided.
    const interior = await setBook(
      bookOf([
        [
          'The harbourmaster’s extraordinary tidewardens considered the responsibilities of neighbouring lighthouses. '.repeat(
            12,
          ),
        ],
      ]),
      withChanges(harbourRoman, { 'margins.outside': 1.5, 'margins.inside': 1.5 }),
    )
    expect(interior.stats.hyphens).toBeGreaterThan(0)
    const count = (t: string): number => interior.pages.reduce((n, p) => n + findOnPage(p, t).length, 0)
    for (const t of [
      'extraordinary',
      'RESPONSIBILITIES',
      'of neighbouring   lighthouses',
      'tidewardens considered the',
    ])
      expect(count(t)).toBe(12)
    expect(count('nowhere at all')).toBe(0)
    expect(count('   ')).toBe(0)
    for (const p of interior.pages)
      for (const boxes of findOnPage(p, 'responsibilities of neighbouring'))
        for (const b of boxes) {
          expect(b.x).toBeGreaterThan(0)
          expect(b.x + b.width).toBeLessThan(p.width)
          expect(b.width).toBeGreaterThan(4)
        }
  })
})
