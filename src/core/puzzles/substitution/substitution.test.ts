import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { cases } from '../../../../tests/support/deep'
import { dictionary } from '../../words'
import type { Codeword } from '../codeword/values'
import type { Cryptogram } from '../cryptogram/values'
import { makePuzzles } from '../makePuzzles'
import { puzzleKind } from '../registry'
import { readings } from './readings'

/** A third opinion: every pair of words of the right lengths, held against the code letter by letter. */
function byPairs(words: readonly string[], given: ReadonlyMap<string, string>): number {
  const { known, others } = dictionary()
  const all = [...new Set([...known, ...others])]
  const [first, second] = words.map(code => all.filter(w => w.length === code.length))
  let found = 0
  for (const a of first!)
    for (const b of second!) {
      const [reads, taken] = [new Map(given), new Map([...given].map(([s, t]) => [t, s]))]
      const code = words.join('')
      const fits = Array.from(a + b).every((to, i) => {
        const sign = code[i]!
        if ((reads.get(sign) ?? to) !== to || (taken.get(to) ?? sign) !== sign) return false
        reads.set(sign, to)
        taken.set(to, sign)
        return true
      })
      if (fits && ++found > 1) return 2
    }
  return found
}

test('counts the readings of two short words as somebody does who tries all pairs', () => {
  const short = dictionary().known.filter(w => w.length === 3 || w.length === 2)
  const pair = fc.tuple(fc.constantFrom(...short), fc.constantFrom(...short), fc.integer({ min: 0, max: 4 }))
  fc.assert(
    fc.property(pair, ([a, b, told]) => {
      const letters = [...new Set(a + b)]
      const sign = new Map(letters.map((l, i) => [l, String.fromCharCode(97 + i)]))
      const code = [a, b].map(w => Array.from(w, l => sign.get(l)!).join(''))
      const given = new Map(letters.slice(0, told).map(l => [sign.get(l)!, l]))
      const { count } = readings({ words: code.map(c => Array.from(c)), given, also: [] })
      expect(count).toBe(byPairs(code, given))
    }),
    { numRuns: cases(25, 500) },
  )
})

test('cryptograms: no letter stands for itself, each for one other, the hints are in the saying', async () => {
  const kind = puzzleKind('cryptogram')!
  for (const { puzzle } of await makePuzzles(kind, kind.plain, { seed: 4, count: cases(6, 150) })) {
    const { letters, cipher, key, hints } = puzzle as Cryptogram
    expect(Array.from(cipher, s => key[s] ?? s).join('')).toBe(letters)
    expect(Object.entries(key).filter(([s, to]) => s === to)).toEqual([])
    expect(new Set(Object.values(key)).size).toBe(Object.keys(key).length)
    for (const h of hints) expect(letters).toContain(h)
  }
})

test('codewords: a number is one letter all over the grid, and one more letter given leaves one reading', async () => {
  const kind = puzzleKind('codeword')!
  const { prove } = await kind.work()
  for (const { puzzle } of await makePuzzles(kind, kind.plain, { seed: 4, count: cases(4, 100) })) {
    const { numbers, letters, key, hints } = puzzle as Codeword
    numbers.forEach((n, at) => expect(n ? key[n] : '').toBe(letters[at]))
    const more = Object.keys(key)
      .map(Number)
      .find(n => !hints.includes(n))!
    expect(prove({ ...(puzzle as Codeword), hints: [...hints, more] })).toEqual({ answers: 1, agrees: true })
    // Two letters changed for each other are no words.
    const [a, b] = Object.keys(key).map(Number)
    const wrong = { ...key, [a!]: key[b!]!, [b!]: key[a!]! }
    expect(prove({ ...(puzzle as Codeword), key: wrong, hints: [a!, b!] }).answers).not.toBe(1)
  }
})
