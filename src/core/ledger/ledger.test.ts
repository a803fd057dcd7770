import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { type ListingEvent, profileOf, shippedProfiles } from '../outlets'
import {
  byMonth,
  type ListedEdition,
  nextStatement,
  readStatement,
  type StatementLine,
  statementCsv,
  statementsBy,
} from '.'
import { hoursOfMonth, monthOf } from './statements'

const events = (at: number): ListingEvent[] => [
  {
    kind: 'sent',
    at,
    profile: profileOf('pellowick', shippedProfiles),
    submission: {
      id: 's',
      zip: 's',
      name: 's',
      files: [],
      faults: [],
      snapshot: {
        title: 'T',
        subtitle: '',
        author: 'A',
        isbn: '',
        description: '',
        slots: [],
        categories: [],
        lowContent: false,
        price: 499,
        royalty: 314,
        interior: 'i',
        cover: 'c',
      },
    },
  },
]
const formOf = (outlet: string) => ({ outlet, columns: shippedProfiles.find(p => p.name === outlet)!.statement })
const listed: ListedEdition = {
  key: 'tide/ebook/pellowick',
  edition: 'Ebook',
  events: events(0),
}

describe('statements', () => {
  test('come at each month’s end, for whole months on sale only, and never change afterwards', () => {
    expect(statementsBy(hoursOfMonth('2026-07') - 1, [listed])).toEqual([])
    const june = statementsBy(hoursOfMonth('2026-07'), [listed])
    expect(june.map(l => l.month)).toEqual(['2026-06'])
    expect(june[0]!.royalty).toBe(june[0]!.units * 314)
    const later = statementsBy(hoursOfMonth('2026-10'), [listed])
    expect(later.map(l => l.month)).toEqual(['2026-06', '2026-07', '2026-08', '2026-09'])
    expect(later[0]).toEqual(june[0])
    expect(statementsBy(hoursOfMonth('2026-10'), [{ ...listed, events: [] }])).toEqual([])
    expect(statementsBy(hoursOfMonth('2026-07'), [{ ...listed, events: events(hoursOfMonth('2026-07') - 1) }])).toEqual(
      [],
    )
  })
  test('are facts: a revision under another title says so from its month on, and rewrites none before', () => {
    const own = profileOf('pellowick', shippedProfiles)
    const [sent] = events(0) as [ListingEvent & { kind: 'sent' }]
    // An outlet that lets a title change.
    const first = { ...sent, profile: { ...own, listing: { ...own.listing, neverChanged: [] } } }
    const renamed = { ...first.submission, id: 's2', snapshot: { ...first.submission.snapshot, title: 'T, anew' } }
    const revised = [first, { ...first, at: hoursOfMonth('2026-08') + 24, submission: renamed }]
    const lines = statementsBy(hoursOfMonth('2026-10'), [{ ...listed, events: revised }])
    expect(lines.map(l => l.title)).toEqual(['T', 'T', 'T, anew', 'T, anew'])
    expect(lines.slice(0, 2)).toEqual(statementsBy(hoursOfMonth('2026-08'), [listed]))
    // What an outlet is called and pays in is what it was when the package was sent.
    expect(lines.map(l => [l.outlet, l.currency])).toEqual(lines.map(() => ['Pellowick', 'USD']))
  })
  test('months across a year’s end', () => {
    expect(monthOf(hoursOfMonth('2027-01'))).toBe('2027-01')
    expect(nextStatement(hoursOfMonth('2026-12') + 5)).toBe('2027-01-01')
  })
  const line = fc.record<StatementLine>({
    outlet: fc.constantFrom('Ostrevane', 'Pellowick'),
    month: fc.constantFrom('2026-06', '2026-07', '2027-01'),
    title: fc.string({ minLength: 1, maxLength: 20 }).map(t => t.trim() || 'x'),
    edition: fc.constantFrom('Ebook', 'Paperback'),
    units: fc.nat(500),
    royalty: fc.integer({ min: -500, max: 90_000 }),
    currency: fc.constantFrom('USD', 'GBP'),
  })
  test('are read back as they were written, in each outlet’s own columns', () => {
    fc.assert(
      fc.property(fc.array(line, { maxLength: 12 }), lines => {
        for (const outlet of ['Ostrevane', 'Pellowick']) {
          const own = lines.filter(l => l.outlet === outlet)
          const form = formOf(outlet)
          const back = readStatement(statementCsv(lines, form), form)
          expect(back.lines).toEqual(own)
          expect(back.skipped).toBe(0)
        }
      }),
    )
    expect(
      readStatement(
        'month,copies,royalty total,currency\nJune,3,1.00,USD\n2026-06,x,1,USD\n2026-06,2,0.50,USD',
        formOf('Ostrevane'),
      ),
    ).toMatchObject({ skipped: 2, lines: [{ units: 2, royalty: 50, currency: 'USD' }] })
  })
  test('sums by month lose nothing', () => {
    fc.assert(
      fc.property(fc.array(line, { maxLength: 30 }), lines => {
        const months = byMonth(lines)
        expect(months.reduce((n, m) => n + m.total, 0)).toBe(lines.reduce((n, l) => n + l.royalty, 0))
        expect(months.map(m => m.month)).toEqual([...months.map(m => m.month)].sort())
        for (const m of months) expect(Object.values(m.outlets).reduce((a, b) => a + b, 0)).toBe(m.total)
      }),
    )
  })
})
