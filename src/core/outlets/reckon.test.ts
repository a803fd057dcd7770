import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { shippedProfiles } from './profiles'
import { reckon, type Wish } from './reckon'

const wish: Wish = { binding: 'paperback', trim: '6x9in', paper: 'cream', ink: 'black', pages: 217, price: 1399 }
const at = (id: string, w: Partial<Wish> = {}) =>
  reckon(
    shippedProfiles.find(p => p.id === id)!,
    { ...wish, ...w },
  )

describe('the reckoner', () => {
  test('side by side, by hand: 217 pages are printed as 218', () => {
    expect(at('ostrevane')).toMatchObject({
      pages: 218,
      cost: 365,
      leastPrice: 890,
      spineText: true,
      otherPaper: false,
    })
    // Harrowmere: 110 + 218 × 1.4 = 415.2; 415.2 ÷ 0.44 = 943.6…, up to 944; 0.44 × 1399 − 415.2 = 200.36.
    expect(at('harrowmere')).toMatchObject({ cost: 415, leastPrice: 944, earnings: [{ royalty: 200 }] })
    // Tarnbrook: 120 + 218 × 1.5 = 447; through others 447 ÷ 0.48 = 931.25
    expect(at('tarnbrook')).toMatchObject({ cost: 447, leastPrice: 932 })
    const wrap = (at('harrowmere') as { wrap: { width: number } }).wrap.width
    expect(wrap / 72).toBeCloseTo(12 + 218 * 0.00246 + 6 / 25.4, 6)
  })
  test('an outlet that cannot says why; one without the paper offers another', () => {
    expect(at('pellowick').problems[0]).toMatch(/ebooks only/)
    expect(at('harrowmere', { binding: 'case' }).problems[0]).toBe('Harrowmere does not bind case laminate.')
    expect(at('ostrevane', { pages: 30 }).problems[0]).toMatch(/fewer/)
    // A price in pounds is what it is in dollars by the outlet's own table: 11.05 ÷ 0.79 = 13.987…
    const sterling = at('ostrevane', { price: 1105, currency: 'GBP' })
    expect('earnings' in sterling && sterling.earnings).toEqual(
      'earnings' in at('ostrevane') && (at('ostrevane', { price: 1399 }) as { earnings: unknown }).earnings,
    )
    expect(at('ostrevane', { price: 1105, currency: 'CHF' })).toMatchObject({ earnings: [] })
    expect(at('harrowmere', { paper: 'heavy' })).toMatchObject({ problems: [], otherPaper: true, paper: 'white' })
    expect(at('harrowmere', { ink: 'colour' }).problems[0]).toMatch(/does not print in colour/)
  })
  test('any wish is answered with figures that hold or with a reason', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...shippedProfiles),
        fc.constantFrom('paperback', 'case', 'coil', 'saddle' as const),
        fc.constantFrom('6x9in', 'A5', '8x8in', 'A4'),
        fc.constantFrom('cream', 'white', 'heavy'),
        fc.constantFrom('black', 'colour' as const),
        fc.integer({ min: 1, max: 1200 }),
        fc.option(fc.integer({ min: 1, max: 9999 }), { nil: undefined }),
        (p, binding, trim, paper, ink, pages, price) => {
          const r = reckon(p, {
            binding: binding as Wish['binding'],
            trim,
            paper,
            ink: ink as Wish['ink'],
            pages,
            price,
          })
          if (r.problems.length) return expect(r.problems[0]).toMatch(/\.$/)
          if (!('pages' in r)) throw new Error('no figures')
          expect(r.pages).toBeGreaterThanOrEqual(pages)
          expect(r.cost).toBeGreaterThan(0)
          expect(r.earnings.length > 0).toBe(price !== undefined)
          if (price !== undefined && price >= r.leastPrice) expect(r.earnings[0]!.royalty).toBeGreaterThanOrEqual(0)
        },
      ),
    )
  })
})
