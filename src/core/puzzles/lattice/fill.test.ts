import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { seeded } from '../../trade'
import { Filling } from './fill'
import { slotsOf } from './lattice'
import { bitsIn, lowest, placesOf, WordStock } from './stock'

const square = (side: number, blocked: readonly number[] = []) => ({
  rows: side,
  cols: side,
  open: Uint8Array.from({ length: side * side }, (_, at) => (blocked.includes(at) ? 0 : 1)),
})
const words = 'CAN AGO BET CAB AGE NOT GET CAT OAT TEA TAN'.split(' ')
const itself = (word: string): string => word

/** All fillings of a square of three by three, tried one by one: rows, then the columns looked up. */
function byHand(stock: readonly string[]): Set<string> {
  const out = new Set<string>()
  for (const a of stock)
    for (const b of stock)
      for (const c of stock) {
        const columns = [0, 1, 2].map(i => a[i]! + b[i]! + c[i]!)
        const all = [a, b, c, ...columns]
        if (columns.every(w => stock.includes(w)) && new Set(all).size === 6) out.add(a + b + c)
      }
  return out
}

test('a square is filled as words tried one by one fill it, and not where none do', () => {
  fc.assert(
    fc.property(fc.subarray(words, { minLength: 6 }), fc.nat(1000), (some, seed) => {
      const letters = new Filling(square(3), new WordStock(some), seeded(seed), itself).letters(100_000)
      const all = byHand(some)
      if (letters) expect(all).toContain(letters.join(''))
      // No more words are left untried than a slot tries.
      else if (some.length <= 8) expect(all.size).toBe(0)
    }),
  )
  const letters = new Filling(square(3), new WordStock(words), seeded(1), itself).letters(10_000)!
  expect(byHand(words)).toContain(letters.join(''))
})

test('no two words of one clue, and none of a length that the stock has not', () => {
  const stock = new WordStock(words)
  const filled = (clueOf: (word: string) => string): boolean[] =>
    Array.from({ length: 8 }, (_, seed) => !!new Filling(square(3), stock, seeded(seed), clueOf).letters(10_000))
  expect(filled(itself)).toContain(true)
  // The one square that these words make has both.
  expect([...byHand(words)].every(s => s.includes('CAN') || s.includes('CAB'))).toBe(true)
  expect(filled(w => (w === 'CAB' || w === 'CAN' ? 'both' : w))).not.toContain(true)
  expect(new Filling(square(4), stock, seeded(1), itself).letters(100)).toBeUndefined()
})

test('where words failed, their slots are named, every slot once', () => {
  const pattern = square(4, [0, 15])
  const filling = new Filling(pattern, new WordStock([...words, 'CART', 'OATS', 'ICED']), seeded(3), itself)
  expect(filling.letters(500)).toBeUndefined()
  const key = (s: { cells: readonly number[] }): string => s.cells.join()
  expect(filling.hardest().map(key).sort()).toEqual(slotsOf(pattern).map(key).sort())
})

test('words that fit are counted as one looks them through', () => {
  const stock = new WordStock([...words, 'ÄRA', 'LONGER'])
  fc.assert(
    fc.property(fc.array(fc.constantFrom('', ...'ABCENTÄ'), { minLength: 3, maxLength: 3 }), mask => {
      const fits = words.filter(w => mask.every((sign, i) => !sign || w[i] === sign))
      expect(stock.fitting(mask)).toBe(fits.length)
    }),
  )
})

test('bits are counted and found', () => {
  fc.assert(
    fc.property(fc.uniqueArray(fc.nat(95)), places => {
      const set = new Uint32Array(3)
      for (const p of places) set[p >> 5]! |= 1 << (p & 31)
      expect(placesOf(set)).toEqual([...places].sort((a, b) => a - b))
      expect([...set].reduce((n, unit) => n + bitsIn(unit), 0)).toBe(places.length)
      for (const unit of set) if (unit) expect((unit >>> lowest(unit)) & 1).toBe(1)
    }),
  )
})
