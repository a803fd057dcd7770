import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { cases } from '../../../../../tests/support/deep'
import type { Run } from '../../../book'
import type { Asset } from '../../../book'
import { cleanLines, plainCleaning, uncleaned, wordOf } from './cleaning'

/** A white sheet as wide as a print of 432 points, a pixel a point, with ink where it is said. */
function sheet(height: number, tone: (x: number, y: number) => number) {
  const width = 432
  const rgba = new Uint8ClampedArray(width * height * 4).fill(255)
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      rgba.fill(Math.round(tone(x, y) * 255), 4 * (y * width + x), 4 * (y * width + x) + 3)
  return { width, height, rgba }
}
const at = ({ width, rgba }: { width: number; rgba: Uint8ClampedArray }, x: number, y: number): number =>
  rgba[4 * (y * width + x)]!
/** Dots of a pixel at 300 to the inch, where one is a point wide. */
const DOTS = (300 / 72) ** 2

describe('lines of a drawing', () => {
  test('what is darker than the threshold is black, the rest paper; clear ground is paper', () => {
    const bars = sheet(20, x => (x < 100 ? 0.1 : x < 200 ? 0.4 : x < 300 ? 0.7 : 1))
    const cleaned = cleanLines(bars, { dark: 0.5, thicken: 0, specks: 0 })
    expect([50, 150, 250, 350].map(x => at(cleaned, x, 10))).toEqual([0, 0, 255, 255])
    const higher = cleanLines(bars, { dark: 0.8, thicken: 0, specks: 0 })
    expect([50, 150, 250, 350].map(x => at(higher, x, 10))).toEqual([0, 0, 0, 255])
    const clear = { ...bars, rgba: bars.rgba.map((v, i) => (i % 4 === 3 ? 0 : v)) }
    expect(cleanLines(clear, plainCleaning).rgba.every(v => v === 255)).toBe(true)
  })
  test('a line becomes so much thicker, half on each side', () => {
    const line = sheet(60, (_x, y) => (y >= 30 && y < 32 ? 0 : 1))
    for (const thicken of [2, 4]) {
      const cleaned = cleanLines(line, { dark: 0.5, thicken, specks: 0 })
      const column = Array.from({ length: 60 }, (_, y) => at(cleaned, 200, y))
      const ink = column.reduce((n, v) => n + (255 - v) / 255, 0)
      expect(ink).toBeCloseTo(2 + thicken, 5)
      expect(column[30 - thicken / 2]).toBe(0)
      expect(column[30 - thicken / 2 - 2]).toBe(255)
    }
  })
  test('specks go, lines stay however thin they are: what hangs together is counted, corners too', () => {
    const mixed = sheet(50, (x, y) => (x === 10 && y === 10 ? 0 : x === y + 100 ? 0 : 1))
    const cleaned = cleanLines(mixed, { dark: 0.5, thicken: 0, specks: 2 * DOTS })
    expect(at(cleaned, 10, 10)).toBe(255)
    expect([1, 20, 48].map(y => at(cleaned, 100 + y, y))).toEqual([0, 0, 0])
    expect(at(cleanLines(mixed, { dark: 0.5, thicken: 0, specks: 0 }), 10, 10)).toBe(0)
  })
  test('distances are those that trying every pixel finds', () => {
    const dots = fc.array(fc.tuple(fc.nat(431), fc.nat(11)), { minLength: 1, maxLength: 6 })
    fc.assert(
      fc.property(dots, fc.integer({ min: 1, max: 6 }), (all, thicken) => {
        const drawn = sheet(12, (x, y) => (all.some(([dx, dy]) => dx === x && dy === y) ? 0 : 1))
        const cleaned = cleanLines(drawn, { dark: 0.5, thicken, specks: 0 })
        for (let x = 0; x < 432; x += 7)
          for (let y = 0; y < 12; y++) {
            const nearest = Math.min(...all.map(([dx, dy]) => Math.hypot(dx - x, dy - y)))
            const tone = Math.min(1, Math.max(0, nearest - thicken / 2))
            expect(at(cleaned, x, y)).toBeCloseTo(Math.round(tone * 255), -0.5)
          }
      }),
      { numRuns: cases(20, 200) },
    )
  })
  test('a run says which of its drawings are still to be cleaned', () => {
    const run: Run = {
      id: 'r',
      kind: 'pictures',
      pages: 3,
      seed: 1,
      params: { pictures: ['a', 'b', 'a', 'p'], lines: 'clean' },
    }
    const asset = (id: string, more: Partial<Asset> = {}) => ({ id, type: 'image/png' as const, ...more })
    const assets = [asset('a'), asset('b'), asset('p', { type: 'application/pdf' })]
    expect(uncleaned(run, plainCleaning, assets)).toEqual(['a', 'b'])
    const done = [asset('a', { cleaned: [{ how: wordOf(plainCleaning), id: 'x' }] }), ...assets.slice(1)]
    expect(uncleaned(run, plainCleaning, done)).toEqual(['b'])
    expect(uncleaned(run, { ...plainCleaning, thicken: 1 }, done)).toEqual(['a', 'b'])
    expect(uncleaned({ ...run, params: { ...run.params, lines: 'as' } }, plainCleaning, assets)).toEqual([])
  })
})
