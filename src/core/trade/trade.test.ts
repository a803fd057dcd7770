import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { shippedProfiles } from '../outlets'
import {
  ceil,
  compare,
  div,
  exact,
  Fault,
  formatLength,
  formatMoney,
  formatTrim,
  insideMargin,
  mul,
  parseIsbn,
  parseTrim,
  printCost,
  readProfile,
  roundHalfUp,
  roundPages,
  specProblems,
  spineThickness,
  steadyList,
  sub,
  toNumber,
} from '.'
import { add, floor } from './exact'
import { eanCheck } from './isbn'
import { parseLength } from './length'

const outlet = (id: string) => shippedProfiles.find(p => p.id === id)!

describe('exact numbers', () => {
  const ratio = fc
    .tuple(fc.bigInt({ min: -1_000_000_000n, max: 1_000_000_000n }), fc.bigInt({ min: 1n, max: 1_000_000n }))
    .map(([n, d]) => div(exact(n), exact(d)))
  test('are a field', () => {
    fc.assert(
      fc.property(ratio, ratio, ratio, (a, b, c) => {
        expect(mul(a, add(b, c))).toEqual(add(mul(a, b), mul(a, c)))
        expect(sub(add(a, b), b)).toEqual(a)
        if (b.n !== 0n) expect(mul(div(a, b), b)).toEqual(a)
      }),
    )
  })
  test('round as money rounds', () => {
    fc.assert(
      fc.property(ratio, a => {
        expect(floor(a) <= ceil(a)).toBe(true)
        expect(compare(exact(floor(a)), a)).toBeLessThanOrEqual(0)
        expect(Math.abs(toNumber(sub(a, exact(roundHalfUp(a)))))).toBeLessThanOrEqual(0.5)
      }),
    )
    expect([
      roundHalfUp(exact('0.5')),
      roundHalfUp(exact('-0.5')),
      roundHalfUp(exact('364.5')),
      roundHalfUp(exact('2.4999')),
      roundHalfUp(exact('-2.5001')),
    ]).toEqual([1n, 0n, 365n, 2n, -3n])
  })
  test('a decimal is what is written', () => {
    expect(mul(exact('1.25'), exact(218n))).toEqual(exact('272.5'))
    expect(() => exact('1e9')).toThrow()
  })
})

describe('lengths and trims', () => {
  test('are read as people write them', () => {
    expect(parseLength('0.28 in')).toBeCloseTo(20.16)
    expect(parseLength('3mm')).toBeCloseTo(8.504, 3)
    expect(parseLength('1,5', 'cm')).toBeCloseTo(42.52, 2)
    for (const bad of ['', '3', '-1 in', '1e99 in', '99999 in', 'in', 'NaN pt'])
      expect(parseLength(bad)).toBeUndefined()
    expect(formatLength(39.86784, 'in')).toBe('0.554 in')
    expect(formatTrim('5.5x8.5in')).toBe('5.5 × 8.5 in')
  })
  test('a trim has one id however it is written', () => {
    for (const t of ['6x9in', '6 × 9 in', '6.00x9.0IN']) expect(parseTrim(t)?.id).toBe('6x9in')
    expect(parseTrim('a5')).toMatchObject({ id: 'A5' })
    for (const bad of ['6x9', '0x0in', '999x999in', '6x9cm', 'A99']) expect(parseTrim(bad)).toBeUndefined()
  })
})

describe('ISBN', () => {
  test('check figures catch every single wrong figure', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 999_999_999 }),
        fc.integer({ min: 0, max: 12 }),
        fc.integer({ min: 1, max: 9 }),
        (n, at, by) => {
          const twelve = '978' + String(n).padStart(9, '0')
          const isbn = twelve + eanCheck(twelve)
          expect(parseIsbn(isbn)).toBe(isbn)
          const wrong = isbn.slice(0, at) + ((Number(isbn[at]) + by) % 10) + isbn.slice(at + 1)
          expect(parseIsbn(wrong)).toBeUndefined()
        },
      ),
    )
  })
  test('ten figures become thirteen', () => {
    expect(parseIsbn('ISBN 0-00-000000-0')).toBe('9780000000002')
    expect(parseIsbn('not an isbn')).toBeUndefined()
  })
})

describe('print, by hand', () => {
  // Ostrevane, 6 × 9 in, cream, black, 218 pages: 218 × 0.00254 in = 0.55372 in; 92 + 218 × 1.25 = 364.5 cents; 0.30 + 0.218 -> 0.52 in.
  const spec = { binding: 'paperback', trim: '6x9in', paper: 'cream', ink: 'black' } as const
  test('spine, cost and gutter at Ostrevane', () => {
    const o = outlet('ostrevane')
    expect(spineThickness(o, spec, 218) / 72).toBeCloseTo(0.55372, 6)
    expect(printCost(o, spec, 218)).toEqual(exact('364.5'))
    expect(insideMargin(o, 'paperback', 218) / 72).toBeCloseTo(0.52, 9)
    // Exactly on a step: 250 pages are 0.55, not 0.56.
    expect(insideMargin(o, 'paperback', 250) / 72).toBeCloseTo(0.55, 9)
    expect(insideMargin(o, 'paperback', 251) / 72).toBeCloseTo(0.56, 9)
  })
  test('boards, bands and coil at Tarnbrook', () => {
    const t = outlet('tarnbrook')
    expect(spineThickness(t, { binding: 'case', paper: 'white' }, 200) / 72).toBeCloseTo(200 * 0.00233 + 0.09, 6)
    expect(insideMargin(t, 'paperback', 150) / 72).toBeCloseTo(0.46)
    expect(insideMargin(t, 'paperback', 151) / 72).toBeCloseTo(0.61)
    expect(insideMargin(t, 'coil', 400) / 72).toBeCloseTo(0.56)
    expect(printCost(t, { binding: 'coil', trim: 'A5', paper: 'heavy', ink: 'black' }, 120)).toEqual(exact('528'))
    expect(spineThickness(t, { binding: 'coil', paper: 'white' }, 200)).toBe(0)
  })
  test('more pages never ask for less margin, spine or money', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('ostrevane', 'harrowmere', 'tarnbrook'),
        fc.integer({ min: 40, max: 698 }),
        (id, n) => {
          const p = outlet(id)
          expect(insideMargin(p, 'paperback', n + 1)).toBeGreaterThanOrEqual(insideMargin(p, 'paperback', n))
          expect(spineThickness(p, spec, n + 1)).toBeGreaterThan(spineThickness(p, spec, n))
          expect(compare(printCost(p, spec, n + 1), printCost(p, spec, n))).toBeGreaterThan(0)
        },
      ),
    )
  })
  test('what an outlet does not print is said', () => {
    const o = outlet('ostrevane')
    expect(specProblems(o, spec, { pages: 218 })).toEqual([])
    expect(specProblems(o, spec, { finish: 'gloss' })).toEqual([])
    expect(specProblems(o, spec, { finish: 'linen' })).toMatchObject([{ what: 'finish' }])
    // Linen is for boards alone.
    const t = outlet('tarnbrook')
    expect(specProblems(t, spec, { finish: 'linen' })[0]!.message).toMatch(/does not finish paperbacks in linen/)
    expect(specProblems(t, { ...spec, binding: 'case' }, { finish: 'linen' })).toEqual([])
    expect(specProblems(o, { ...spec, trim: 'A4' })[0]!.message).toMatch(/does not print A4/)
    expect(specProblems(o, { ...spec, paper: 'parchment' })[0]!.message).toMatch(/no paper called “parchment”/)
    expect(specProblems(o, spec, { pages: 20 })[0]!.message).toMatch(/20 fewer/)
    expect(specProblems(outlet('pellowick'), spec)[0]!.message).toMatch(/ebooks only/)
    expect(roundPages(217, 2)).toBe(218)
    expect(roundPages(49, 4)).toBe(52)
  })
})

describe('outlet profiles', () => {
  test('the four are read, and a wrong field is named', () => {
    expect(shippedProfiles.map(p => p.id)).toEqual(['ostrevane', 'pellowick', 'harrowmere', 'tarnbrook'])
    // They ship as they are read: nothing is left to a default.
    for (const p of shippedProfiles) expect(readProfile(JSON.parse(JSON.stringify(p)))).toEqual(p)
    const copy = JSON.parse(JSON.stringify(outlet('ostrevane'))) as { print: { bleed: string }; [k: string]: unknown }
    copy.print.bleed = 'wide'
    expect(() => readProfile(copy)).toThrow(/print\.bleed/)
    expect(() => readProfile({ ...copy, print: undefined, format: 'else' })).toThrow(Fault)
    expect(() => readProfile(null)).toThrow(Fault)
  })
  test('money is shown in its currency', () => {
    expect(formatMoney(1399, 'USD')).toBe('$13.99')
    expect(formatMoney(-5, 'GBP')).toBe('−£0.05')
  })
})

test('a list worked out anew keeps the things of the former one that say the same, and is it where nothing changed', () => {
  const thing = fc.record({ id: fc.nat(20), says: fc.nat(2) })
  const things = fc.uniqueArray(thing, { selector: t => t.id, maxLength: 15 })
  fc.assert(
    fc.property(things, things, (former, now) => {
      const made = steadyList(
        former,
        now,
        t => String(t.id),
        (a, b) => a.says === b.says,
      )
      expect(made).toEqual(now)
      for (const t of made) {
        const was = former.find(f => f.id === t.id && f.says === t.says)
        if (was) expect(t).toBe(was)
      }
      expect(made === former).toBe(JSON.stringify(former) === JSON.stringify(now))
    }),
  )
})
