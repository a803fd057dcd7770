import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { currenciesOf, ebookMoney, exchange, leastEbookPrice, printMoney, profileOf, shippedProfiles } from '.'

const spec = { binding: 'paperback', trim: '6x9in', paper: 'cream', ink: 'black' } as const

describe('royalties, by hand', () => {
  test('print at Ostrevane: 0.57 × 1399 − 364.5 = 432.93; least price of the partner shops 364.5 ÷ 0.41 = 889.02…, up to 890', () => {
    const m = printMoney(profileOf('ostrevane', shippedProfiles), spec, 218, 1399)
    expect(m).toMatchObject({ cost: 365, leastPrice: 890 })
    expect(m.earnings[0]).toMatchObject({ channel: 'own shop', royalty: 433, leastPrice: 640 })
    // Partner shops: 0.41 × 1399 − 364.5 = 209.09.
    expect(m.earnings[1]).toMatchObject({ royalty: 209, leastPrice: 890 })
  })
  test('tax is taken off first, and costs are in the territory’s currency: 1070 with 7 % is 1000 without; 0.57 × 1000 − 0.92 × 364.5 = 234.66', () => {
    expect(
      printMoney(profileOf('ostrevane', shippedProfiles), spec, 218, 1070, { territory: 'DE' }).earnings[0]!.royalty,
    ).toBe(235)
  })
  test('ebook bands and delivery at Ostrevane', () => {
    const o = profileOf('ostrevane', shippedProfiles)
    // 499 at 64 % less 7 × (3.5 − 2) = 319.36 − 10.5 = 308.86.
    expect(ebookMoney(o, 499, 3_500_000)).toMatchObject({ share: '0.64', delivery: 11, royalty: 309 })
    expect(ebookMoney(o, 199, 1_000_000)).toMatchObject({ share: '0.45', royalty: 90, delivery: 0 })
    expect(ebookMoney(o, 1200, 0).share).toBe('0.52')
    expect(leastEbookPrice(o, 2_000_001)).toBe(50 + 3 * 15)
  })
  test('a low-content book is sold on the channels that take it, at their share for it', () => {
    const o = profileOf('ostrevane', shippedProfiles)
    const m = printMoney(o, spec, 218, 1399, { lowContent: true })
    expect(m.earnings.map(e => e.channel)).toEqual(['own shop'])
    // 364.5 ÷ 0.57 = 639.47…, up to 640: the partner shops' 890 no longer counts.
    expect(m.leastPrice).toBe(640)
    const less = {
      ...o,
      royalty: { ...o.royalty, print: [{ channel: 'own shop', share: '0.57', lowContentShare: '0.5' }] },
    }
    // 0.5 × 1399 − 364.5 = 335.
    expect(printMoney(less, spec, 218, 1399, { lowContent: true }).earnings[0]).toMatchObject({
      share: '0.5',
      royalty: 335,
    })
    expect(printMoney(less, spec, 218, 1399).earnings[0]).toMatchObject({ share: '0.57', royalty: 433 })
  })
  test('ebook bands and least prices hold in every currency: 0.79 × 199 = 157.21; 0.79 × (50 + 15) = 51.35, up to 52', () => {
    const o = profileOf('ostrevane', shippedProfiles)
    expect(ebookMoney(o, 157, 0, { territory: 'GB' })).toMatchObject({ currency: 'GBP', share: '0.45' })
    expect(ebookMoney(o, 158, 0, { territory: 'GB' }).share).toBe('0.64')
    expect(leastEbookPrice(o, 1_000_000, 'GB')).toBe(52)
    expect(currenciesOf(o)).toEqual(['USD', 'GBP', 'EUR'])
    expect(() => ebookMoney(o, 1, 0, { territory: 'XX' })).toThrow(/does not sell in XX/)
  })
  test('Pellowick pays 63 % from 349', () => {
    const p = profileOf('pellowick', shippedProfiles)
    expect(ebookMoney(p, 348, 0)).toMatchObject({ share: '0.51', royalty: 177 })
    expect(ebookMoney(p, 349, 0)).toMatchObject({ share: '0.63', royalty: 220 })
  })
  test('the least price never loses money, and a cent less does (before rounding)', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...shippedProfiles.filter(p => p.print)),
        fc.integer({ min: 40, max: 600 }),
        fc.constantFrom('US', 'DE', 'GB'),
        (p, pages, territory) => {
          const least = printMoney(p, spec, pages, undefined, { territory }).leastPrice
          const royalties = (price: number): number[] =>
            printMoney(p, spec, pages, price, { territory }).earnings.map(e => e.royalty)
          for (const r of royalties(least)) expect(r).toBeGreaterThanOrEqual(0)
          expect(Math.min(...royalties(least - 2))).toBeLessThanOrEqual(0)
        },
      ),
    )
  })
  test('unknown outlets and currencies are said', () => {
    expect(() => profileOf('nowhere', shippedProfiles)).toThrow(/There is no outlet/)
    expect(exchange(profileOf('ostrevane', shippedProfiles), 1000, 'GBP')).toBe(790)
    expect(() => exchange(profileOf('ostrevane', shippedProfiles), 1, 'XXX')).toThrow(/no rate/)
    expect(() => ebookMoney(profileOf('tarnbrook', shippedProfiles), 100, 0)).toThrow(/sells no ebooks/)
  })
})
