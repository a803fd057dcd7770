import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import {
  copiesAt,
  createMarket,
  fitRankLaw,
  KEYWORDS_APART,
  markets,
  packSlots,
  roomOf,
  shopPoints,
  strengthOf,
} from '.'
import { placeIn } from './wordIndex'
import { wordsOf } from './words'

const market = createMarket(1, 50_000)

describe('the simulated marketplace', () => {
  test('is as large as asked for; each title is sound; each phrase is there once', () => {
    expect(market.niches.length).toBe(400)
    expect(market.titles.length).toBe(50_000)
    expect(createMarket(1, 1201).titles.length).toBe(1600)
    expect(new Set(market.phrases.map(p => p.phrase)).size).toBe(market.phrases.length)
    for (const t of market.titles)
      if (!(t.rank >= 1 && t.price > 0 && t.pages > 0 && t.reviews >= 0 && t.age >= 1))
        throw new Error(JSON.stringify(t))
  })
  test('is the same for the same seed whatever was asked before, and another for another', () => {
    const [one, same, other] = [createMarket(7, 2000), createMarket(7, 2000), createMarket(8, 2000)]
    one.related('winter', 'calder')
    expect(one.related('tide', 'merrow')).toEqual(same.related('tide', 'merrow'))
    expect(one.titlesOf('tide mystery')).toEqual(same.titlesOf('tide mystery'))
    expect(other.related('tide', 'merrow')).not.toEqual(same.related('tide', 'merrow'))
    expect(other.titles).not.toEqual(same.titles)
  })
  test('figures of any phrase in any market keep their formulas and bounds', () => {
    fc.assert(
      fc.property(fc.constantFrom(...market.phrases), fc.constantFrom(...markets.map(m => m.id)), ({ phrase }, id) => {
        const f = market.figuresOf(phrase.toUpperCase(), id)!
        expect(f.crowding).toBeGreaterThanOrEqual(0)
        expect(f.crowding).toBeLessThanOrEqual(10)
        expect(f.buyShare).toBeGreaterThan(0)
        expect(f.buyShare).toBeLessThanOrEqual(0.6)
        expect(Math.abs(f.demand - f.searches * f.buyShare)).toBeLessThanOrEqual(f.searches * 0.0006 + 1)
        expect(f.room).toBe(Math.round(roomOf(f.demand, f.crowding)))
        const prices = market.titlesOf(phrase).map(t => t.price)
        expect(prices.sort((a, b) => a - b)[5]).toBe(f.price)
      }),
      { numRuns: 150 },
    )
  })
  test('the first page is what a look at every title of the niche gives', () => {
    fc.assert(
      fc.property(fc.constantFrom(...market.phrases), p => {
        const words = new Set(wordsOf(p.phrase))
        const score = (t: (typeof market.titles)[number]): number =>
          Math.log10(t.rank) - [...words].filter(w => wordsOf(t.title).includes(w)).length
        const all = market.titles.filter(t => t.niche === p.niche).sort((a, b) => score(a) - score(b))
        const shown = market.titlesOf(p.phrase)
        expect(shown.map(score)).toEqual(all.slice(0, 10).map(score))
        for (const t of shown) {
          const s = strengthOf(t, p.phrase)
          expect(s).toBeGreaterThanOrEqual(0)
          expect(s).toBeLessThanOrEqual(1)
        }
      }),
      { numRuns: 40 },
    )
  })
  test('related phrases are those that hold most words of the question, the most room first, then neighbours', () => {
    const words = new Map(market.phrases.map(p => [p.phrase, wordsOf(p.phrase)]))
    const vocabulary = [...new Set([...words.values()].flat())]
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...vocabulary), { minLength: 1, maxLength: 3 }), asked => {
        const holds = (phrase: string): number => asked.filter(w => words.get(phrase)!.includes(w)).length
        const most = Math.max(...market.phrases.map(p => holds(p.phrase)))
        const own = market.phrases.filter(p => holds(p.phrase) === most).length
        const found = market.related(asked.join(' '), 'vesper')
        const best = found.slice(0, own)
        expect(best.length).toBe(Math.min(own, 80))
        for (const f of best) expect(holds(f.phrase)).toBe(most)
        expect(best.map(f => f.room)).toEqual(best.map(f => f.room).sort((a, b) => b - a))
        expect(new Set(found.map(f => f.phrase)).size).toBe(found.length)
      }),
      { numRuns: 60 },
    )
  })
  test('a beginning finds the word, nonsense finds nothing, one market differs from another', () => {
    expect(market.related('lightho', 'merrow').map(f => f.phrase)).toContain('lighthouse mystery')
    expect(market.related('qzxv', 'merrow')).toEqual([])
    expect(market.related('  ', 'merrow')).toEqual([])
    expect(market.figuresOf('lighthouse mystery', 'merrow')!.searches).not.toBe(
      market.figuresOf('lighthouse mystery', 'tamsel')!.searches,
    )
    expect(market.titlesOf('Lighthouse Mystery')).toHaveLength(10)
    expect(market.titlesOf('nobody types this')).toEqual([])
    expect(market.figuresOf('nobody types this', 'merrow')).toBeUndefined()
  })
  test('a place in a rising list is where a walk along it stops', () => {
    fc.assert(
      fc.property(fc.array(fc.nat(40)), fc.nat(41), (numbers, value) => {
        const list = [...new Set(numbers)].sort((a, b) => a - b)
        expect(placeIn(list, value)).toBe(list.filter(x => x < value).length)
      }),
    )
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
        fc.option(fc.integer({ min: 8, max: 90 }), { nil: undefined }),
        (phrases, count, characters, inAll) => {
          const said = 'The Harbour Lamp'
          const packed = packSlots(phrases, { count, characters, inAll }, said)
          expect(packed.slots.join(KEYWORDS_APART).length).toBeLessThanOrEqual(inAll ?? Infinity)
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
