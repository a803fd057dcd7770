import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { bookOf } from '../../../tests/support/core'
import { packSlots, stem } from '../market'
import {
  drift,
  foldListing,
  keywordRoom,
  type ListingEvent,
  listingFindings,
  type ListingSnapshot,
  profileOf,
  revisionFee,
  shippedProfiles,
  slotProblems,
  type Submission,
  unitOf,
} from '.'

const snapshot = (patch: Partial<ListingSnapshot> = {}): ListingSnapshot => ({
  title: 'A Book',
  subtitle: '',
  author: 'A',
  isbn: '9780000000002',
  description: 'd',
  slots: [],
  categories: [],
  lowContent: false,
  price: 1399,
  pages: 100,
  spinePt: 18,
  wrapWidthPt: 900,
  cost: 217,
  royalty: 580,
  interior: 'i1',
  cover: 'c1',
  ...patch,
})
const submission = (id: string, patch: Partial<ListingSnapshot> = {}, faults: string[] = []): Submission => ({
  id,
  zip: id,
  name: `${id}.zip`,
  files: [],
  snapshot: snapshot(patch),
  faults,
})
const ostrevane = profileOf('ostrevane', shippedProfiles)
const sent = (at: number, s: Submission, profile = ostrevane): ListingEvent => ({
  kind: 'sent',
  at,
  submission: s,
  profile,
})
const say = { length: (pt: number) => `${pt} pt`, money: (m: number, currency: string) => `${m} ${currency}` }

describe('a listing on the simulated clock', () => {
  test('draft, sent, in review, on sale: within the profile’s hours, the same each time', () => {
    expect(foldListing([], 1000).status).toBe('draft')
    const e = [sent(10, submission('a'))]
    expect(foldListing(e, 10).status).toBe('sent')
    const decided = foldListing(e, 10).pending!.decides
    expect(decided - 10).toBeGreaterThanOrEqual(ostrevane.review.first.least)
    expect(decided - 10).toBeLessThanOrEqual(ostrevane.review.first.most)
    expect(foldListing(e, decided - 0.01).status).toBe('in review')
    // Whatever else is asked between, and however the events were come by.
    expect(foldListing(structuredClone(e), decided)).toEqual(foldListing(e, decided))
    expect(foldListing(e, decided).live?.since).toBe(decided)
  })
  test('faults come back as reasons; mended, it is on sale', () => {
    const first = [sent(0, submission('bad', {}, ['The rights are not stated.']))]
    const returned = foldListing(first, 200)
    expect([returned.status, returned.returned?.reasons]).toEqual(['returned', ['The rights are not stated.']])
    expect(foldListing([...first, sent(200, submission('good'))], 400).status).toBe('on sale')
  })
  test('a revision waits behind the edition on sale; what may never change is refused and the old one stays', () => {
    const live = [sent(0, submission('a'))]
    const revising = [...live, sent(100, submission('b', { pages: 104, interior: 'i2' }))]
    const waiting = foldListing(revising, 100)
    expect([waiting.status, waiting.live?.submission.id]).toEqual(['revision waiting', 'a'])
    const after = foldListing(revising, 300)
    expect([after.status, after.live?.submission.id, after.live?.first]).toEqual(['on sale', 'b', waiting.live!.since])
    const renamed = foldListing([...live, sent(100, submission('c', { title: 'Another' }))], 300)
    expect(renamed.status).toBe('returned')
    expect(renamed.live?.submission.id).toBe('a')
    expect(renamed.returned?.reasons[0]).toContain('never changes the title')
    expect(foldListing([...revising, { kind: 'withdrawn', at: 400 }], 500).status).toBe('withdrawn')
    expect(
      foldListing([...live, sent(100, submission('c', { title: 'Another' })), { kind: 'withdrawn', at: 400 }], 500),
    ).toMatchObject({ status: 'withdrawn', returned: undefined })
  })
  test('any history: one package at most is live, time never takes a decision back, order of events does not matter', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            at: fc.integer({ min: 0, max: 900 }),
            id: fc.string({ minLength: 1, maxLength: 4 }),
            bad: fc.boolean(),
            withdraw: fc.boolean(),
          }),
          { maxLength: 8 },
        ),
        fc.integer({ min: 0, max: 1200 }),
        (list, now) => {
          const events = list.map(x =>
            x.withdraw
              ? ({ kind: 'withdrawn', at: x.at } as ListingEvent)
              : sent(x.at, submission(x.id, {}, x.bad ? ['no'] : [])),
          )
          const state = foldListing(events, now)
          const distinct = new Set(events.map(e => e.at)).size === events.length
          if (distinct) expect(foldListing([...events].reverse(), now)).toEqual(state)
          for (const h of state.history) expect(h.at).toBeLessThanOrEqual(now)
          expect(foldListing(events, now + 5).history.slice(0, state.history.length)).toEqual(state.history)
          if (state.status === 'on sale' || state.status === 'revision waiting') expect(state.live).toBeDefined()
        },
      ),
    )
    for (const t of ['a', 'b', 'c']) expect(unitOf(t)).toBe(unitOf(t))
  })
})

describe('proofs and what revisions cost', () => {
  const harrow = profileOf('harrowmere', shippedProfiles)
  const at = (hour: number, e: Omit<ListingEvent, 'at'>): ListingEvent => ({ ...e, at: hour }) as ListingEvent
  const of = (id: string, patch = {}) => ({ submission: submission(id, patch), profile: harrow })
  test('print that wants one goes on sale with an approved proof of these very files, and not before', () => {
    const without = foldListing([at(0, { kind: 'sent', ...of('a') })], 500)
    expect(without.status).toBe('returned')
    expect(without.returned!.reasons[0]).toContain('approved proof')
    const ordered = at(0, { kind: 'proof ordered', ...of('a') })
    const [proof] = foldListing([ordered], 1).proofs
    expect(proof!.arrives).toBeGreaterThanOrEqual(7 * 24)
    expect(proof!.arrives).toBeLessThanOrEqual(12 * 24)
    // Approved before it is here: that says nothing.
    expect(foldListing([ordered, at(1, { kind: 'proof approved' })], 900).proofs[0]!.approved).toBeUndefined()
    const approved = [ordered, at(300, { kind: 'proof approved' })]
    const status = (patch: object): string =>
      foldListing([...approved, at(301, { kind: 'sent', ...of('b', patch) })], 900).status
    expect(status({})).toBe('on sale')
    expect(status({ price: 1, title: 'Other words' })).toBe('on sale')
    expect(status({ interior: 'i2' })).toBe('returned')
    expect(status({ cover: 'c2' })).toBe('returned')
    // An ebook is not printed.
    expect(status({ pages: undefined, interior: 'i2' })).toBe('on sale')
    const what = foldListing(approved, 900).history
    expect(what.map(h => h.what)).toEqual(['proof ordered', 'the proof is here', 'proof approved'])
  })
  test('two revisions a calendar year are free at Harrowmere, then 17.00; the next year begins anew', () => {
    const open = { ...harrow, print: { ...harrow.print!, proof: undefined } }
    const sentAt = (hour: number, id: string): ListingEvent => ({
      kind: 'sent',
      at: hour,
      submission: submission(id),
      profile: open,
    })
    const events = [sentAt(0, 'a'), sentAt(400, 'b'), sentAt(800, 'c')]
    const fee = (n: number, now: number) => revisionFee(foldListing(events.slice(0, n), now), harrow, now)
    expect(fee(1, 390)).toEqual({ fee: 0, free: 2 })
    expect(fee(2, 790)).toEqual({ fee: 0, free: 1 })
    expect(fee(3, 1200)).toEqual({ fee: 1700, free: 0 })
    // The clock starts on 1 June 2026: 214 days to the year's end.
    expect(fee(3, 214 * 24)).toEqual({ fee: 0, free: 2 })
    expect(revisionFee(foldListing([], 0), ostrevane, 0)).toBeUndefined()
  })
})

describe('drift', () => {
  test('says prices in their own currencies, and what is stated', () => {
    const moved = drift(
      snapshot({ otherPrices: { GBP: 1000 } }),
      snapshot({ otherPrices: { GBP: 1100, EUR: 900 }, adult: true, finish: 'gloss' }),
      say,
      'USD',
    )
    expect(moved).toEqual([
      { what: 'for adults only', was: 'no', now: 'yes' },
      { what: 'price in GBP', was: '1000 GBP', now: '1100 GBP' },
      { what: 'price in EUR', was: '–', now: '900 EUR' },
      { what: 'finish', was: '–', now: 'gloss' },
    ])
  })
  test('names what moved, old beside new, and nothing where nothing did', () => {
    expect(drift(snapshot(), snapshot(), say, 'USD')).toEqual([])
    const moved = drift(
      snapshot(),
      snapshot({ pages: 104, spinePt: 18.7, wrapWidthPt: 900.7, cost: 222, royalty: 575, interior: 'i2' }),
      say,
      'USD',
    )
    expect(moved.map(d => d.what)).toEqual(['pages', 'spine', 'wrap', 'print cost', 'royalty'])
    expect(moved[0]).toEqual({ what: 'pages', was: '100', now: '104' })
    expect(drift(snapshot(), snapshot({ interior: 'i2' }), say, 'USD').map(d => d.what)).toEqual(['interior'])
    expect(drift(snapshot(), snapshot({ cover: 'c2', price: 1499 }), say, 'USD').map(d => [d.what, d.now])).toEqual([
      ['price', '1499 USD'],
      ['cover', 'changed since'],
    ])
  })
})

describe('the words of a listing', () => {
  const book = {
    ...bookOf([['x']]),
    data: {
      ...bookOf([['x']]).data,
      title: 'The Tidewarden’s Almanac',
      subtitle: 'A Lighthouse Mystery',
      description: 'Fine.',
    },
  }
  const edition = {
    id: 'paperback',
    kind: 'paperback' as const,
    outlets: ['ostrevane'],
    style: 'x',
    prices: { USD: 1399 },
  }
  test('claims are refused in every outlet’s keywords, and what is packed for one has room in it', () => {
    const phrases = Array.from({ length: 60 }, (_, i) => ({ phrase: `word${i} thing${i} matter${i}`, demand: 60 - i }))
    for (const profile of shippedProfiles) {
      const room = keywordRoom(profile)
      const found = (slots: string[]) =>
        listingFindings(book, edition, { rights: true, categories: ['a'], slots }, profile).filter(
          f => f.rule === 'slots' || f.rule === 'keywords',
        )
      if (!room) {
        expect(found(['bestseller'])).toEqual([])
        continue
      }
      expect(found(['a bestseller at last']).some(f => f.severity === 'stop')).toBe(true)
      const { slots } = packSlots(phrases, room, '')
      expect(slots.length).toBeGreaterThan(1)
      expect(found(slots)).toEqual([])
    }
  })
  test('a slot repeats nothing, claims nothing, quotes nothing, and is short', () => {
    const problems = (slot: string, others: string[] = []) =>
      slotProblems(slot, others, book, ostrevane).map(p => p.message)
    expect(problems('gentle harbour reads')).toEqual([])
    expect(problems('lighthouses by night')[0]).toContain('says it already')
    expect(problems('harbour evenings', ['evening by the harbours'])[0]).toContain('harbour')
    expect(problems('best seller of 2026').join()).toContain('No claims')
    expect(problems('“cosy”').join()).toContain('quotation marks')
    expect(problems('x'.repeat(61)).join()).toContain('61 characters')
    for (const p of slotProblems('a mystery for free', [], book, ostrevane))
      for (const m of p.marked) expect('a mystery for free'.slice(m.from, m.to)).toMatch(/mystery|free/)
  })
  test('what must be stated stops; stated, it does not', () => {
    const stops = (draft: Parameters<typeof listingFindings>[2], patch = {}) =>
      listingFindings({ ...book, data: { ...book.data, ...patch } }, edition, draft, ostrevane)
        .filter(f => f.severity === 'stop')
        .map(f => f.rule)
    expect(stops({})).toEqual(['categories', 'rights'])
    expect(stops({ rights: true, categories: ['a'] })).toEqual([])
    expect(stops({ rights: true, categories: ['a', 'b'], lowContent: true })).toEqual(['categories'])
    expect(stops({ rights: true, categories: ['a'] }, { description: '' })).toEqual(['description'])
    expect(stops({ rights: true, categories: ['a'] }, { description: 'write to me@here.example' })).toEqual([
      'description',
    ])
    expect(stops({ rights: true, categories: ['a'] }, { description: 'x'.repeat(3201) })).toEqual(['description'])
    expect(stops({ rights: true, categories: ['a'], slots: ['1', '2', '3', '4', '5', '6', '7'] })).toEqual(['slots'])
  })
  test('books for adults only: refused, sold apart, or sold as all are', () => {
    const found = (adults: 'sold' | 'apart' | 'refused', adult: boolean) =>
      listingFindings(
        book,
        edition,
        { rights: true, categories: ['a'], adult },
        {
          ...ostrevane,
          listing: { ...ostrevane.listing, adults },
        },
      )
        .filter(f => f.rule === 'adults only')
        .map(f => f.severity)
    expect([found('refused', true), found('apart', true), found('sold', true), found('refused', false)]).toEqual([
      ['stop'],
      ['remark'],
      [],
      [],
    ])
  })
  test('plurals meet their singulars', () => {
    expect(['boxes', 'ladies', 'bees', 'glass', 'Tidewarden’s', 'lighthouses'].map(stem)).toEqual([
      'box',
      'lady',
      'bee',
      'glass',
      'tidewarden',
      'lighthouse',
    ])
  })
})
