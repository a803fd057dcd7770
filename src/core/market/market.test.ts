import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import {
  copiesAt,
  figuresOf,
  firstTitles,
  fitRankLaw,
  markets,
  measure,
  packSlots,
  relatedPhrases,
  roomOf,
  shopPoints,
  strengthOf,
  titlesOf,
  world,
} from '.'
import { wordsOf } from './words'

describe('the simulated marketplace', () => {
  test('is large enough, and the same on every machine', () => {
    const w = world()
    expect(w.niches.length).toBe(400)
    expect(w.titles.length).toBeGreaterThanOrEqual(20_000)
    expect(markets.length).toBe(5)
    expect(new Set(w.phrases.map(p => p.phrase)).size).toBe(w.phrases.length)
    expect(w.titles[0]).toMatchObject({ niche: 0 })
    expect(JSON.stringify(w.titles.slice(0, 3))).toBe(JSON.stringify(world().titles.slice(0, 3)))
    for (const t of w.titles)
      if (!(t.rank >= 1 && t.price > 0 && t.pages > 0 && t.reviews >= 0 && t.age >= 1))
        throw new Error(JSON.stringify(t))
  })
  test('figures of any phrase in any market keep their formulas and bounds', () => {
    fc.assert(
      fc.property(fc.nat(world().phrases.length - 1), fc.constantFrom(...markets.map(m => m.id)), (i, market) => {
        const f = measure(i, market)
        expect(f.crowding).toBeGreaterThanOrEqual(0)
        expect(f.crowding).toBeLessThanOrEqual(10)
        expect(f.buyShare).toBeGreaterThan(0)
        expect(f.buyShare).toBeLessThanOrEqual(0.6)
        expect(Math.abs(f.demand - f.searches * f.buyShare)).toBeLessThanOrEqual(f.searches * 0.0006 + 1)
        expect(f.room).toBe(Math.round(roomOf(f.demand, f.crowding)))
        for (const t of firstTitles(f.phrase, world().phrases[i]!.niche)) {
          const s = strengthOf(t, f.phrase)
          expect(s).toBeGreaterThanOrEqual(0)
          expect(s).toBeLessThanOrEqual(1)
        }
      }),
      { numRuns: 150 },
    )
  })
  test('a word gives its phrases, most room first; a beginning finds the word; nonsense finds nothing; one market differs from another', () => {
    const found = relatedPhrases('lighthouses', 'merrow')
    expect(found.length).toBeGreaterThan(20)
    const own = found.filter(f => wordsOf(f.phrase).includes('lighthouse'))
    expect(own.length).toBeGreaterThan(20)
    expect(own.map(f => f.room)).toEqual([...own.map(f => f.room)].sort((a, b) => b - a))
    expect(relatedPhrases('lightho', 'merrow').map(f => f.phrase)).toContain('lighthouse mystery')
    expect(relatedPhrases('qzxv', 'merrow')).toEqual([])
    expect(relatedPhrases('  ', 'merrow')).toEqual([])
    expect(figuresOf('lighthouse mystery', 'merrow')!.searches).not.toBe(
      figuresOf('lighthouse mystery', 'tamsel')!.searches,
    )
    expect(titlesOf('Lighthouse Mystery')).toHaveLength(10)
    expect(titlesOf('nobody types this')).toEqual([])
  })
})

describe('packing the slots', () => {
  const phrase = fc.record({
    phrase: fc
      .array(fc.constantFrom('tide', 'lamp', 'gentle', 'harbour', 'mystery', 'winter', 'reads', 'quiet'), {
        minLength: 1,
        maxLength: 4,
      })
      .map(w => [...new Set(w)].join(' ')),
    demand: fc.nat(3000),
  })
  test('never over the limits, no word spent twice or said by the title, covered is covered and lost is lost', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(phrase, { selector: p => p.phrase, maxLength: 14 }),
        fc.integer({ min: 1, max: 6 }),
        fc.integer({ min: 8, max: 60 }),
        (phrases, count, characters) => {
          const said = 'The Harbour Lamp'
          const packed = packSlots(phrases, { count, characters }, said)
          expect(packed.slots.length).toBeLessThanOrEqual(count)
          for (const s of packed.slots) expect(s.length).toBeLessThanOrEqual(characters)
          const spent = packed.slots.flatMap(wordsOf)
          expect(new Set(spent).size).toBe(spent.length)
          for (const w of wordsOf(said)) expect(spent).not.toContain(w)
          const all = new Set([...spent, ...wordsOf(said)])
          const covered = new Set(packed.covered.map(c => c.phrase))
          for (const p of phrases) expect(covered.has(p.phrase)).toBe(wordsOf(p.phrase).every(w => all.has(w)))
          for (const l of packed.lost) expect(covered.has(l.phrase)).toBe(false)
          expect(packed.covered.length + packed.lost.length).toBe(phrases.length)
        },
      ),
    )
  })
})

describe('sales from rank', () => {
  test('the fit finds a law again, and says how far points lie off', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 10, max: 1e6, noNaN: true }),
        fc.double({ min: 0.2, max: 1.6, noNaN: true }),
        (scale, slope) => {
          const law = fitRankLaw([1, 50, 700, 90_000].map(rank => ({ rank, copies: scale * rank ** -slope })))
          expect(law.slope).toBeCloseTo(slope, 6)
          expect(law.scale / scale).toBeCloseTo(1, 6)
          for (const r of law.residuals) expect(r).toBeCloseTo(1, 6)
        },
      ),
    )
    const law = fitRankLaw(shopPoints)
    expect(copiesAt(law, 100)).toBeGreaterThan(copiesAt(law, 1000))
    for (const r of law.residuals) expect(Math.abs(Math.log(r))).toBeLessThan(0.6)
    expect(() =>
      fitRankLaw([
        { rank: 5, copies: 1 },
        { rank: 5, copies: 2 },
      ]),
    ).toThrow(RangeError)
  })
})
