import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { anyBook } from '../../../tests/support/arbitrary'
import { bookOf } from '../../../tests/support/core'
import { cases } from '../../../tests/support/deep'
import { type Book, docText } from '../book'
import { shippedProfiles } from '../outlets'
import { mutated, mutation } from '../../../tests/support/mutate'
import { bookTroubles, mendedBook } from '.'

const whole: Book = {
  ...bookOf([['One.', 'Two.'], ['Three.']]),
  editions: [
    {
      id: 'p',
      kind: 'paperback',
      outlets: ['ostrevane'],
      style: 'harbour-roman',
      trim: '6x9in',
      paper: 'cream',
      prices: { USD: 1399 },
      styleChanges: { 'text.size': 11.5 },
      exceptions: { s1: { 'openings.sink': 3 } },
    },
  ],
  plan: {
    runs: [
      {
        id: 'r1',
        kind: 'log',
        pages: 4,
        seed: 1,
        params: { spacing: 20, tone: 0.3, columns: [{ name: 'Date', share: 1 }] },
      },
    ],
  },
  words: [{ phrase: 'tide', market: 'merrow', searches: 1, demand: 1, crowding: 1 }],
  listings: { 'p/ostrevane': { slots: ['a'], rights: true } },
}
const words = (b: Book): string =>
  b.sections
    .map(s => docText(s.doc))
    .join('\n')
    .replace(/\s/g, '')

describe('books that are in order', () => {
  test('any book of the schema is, and nothing is mended in it', () => {
    fc.assert(
      fc.property(anyBook, book => {
        // Their pictures bear names for hashes; all else is as it is stored.
        expect(bookTroubles(book, shippedProfiles)).toEqual([])
        expect(mendedBook(book, shippedProfiles)!.mended).toEqual([])
      }),
      { numRuns: 40 },
    )
    expect(bookTroubles(whole, shippedProfiles)).toEqual([])
  })
  test.each([
    ['a title that is an object', { data: { ...whole.data, title: { a: 1 } } }, 'data.title'],
    ['a broken price', { editions: [{ ...whole.editions[0]!, prices: { USD: '13.99' } }] }, 'editions[0].prices.USD'],
    [
      'an outlet that is not here',
      { editions: [{ ...whole.editions[0]!, outlets: ['nowhere'] }] },
      'editions[0].outlets[0]',
    ],
    [
      'a paper that the outlet lacks',
      { editions: [{ ...whole.editions[0]!, paper: 'parchment' }] },
      'editions[0].paper',
    ],
    ['a style that is not there', { editions: [{ ...whole.editions[0]!, style: 'gone' }] }, 'editions[0].style'],
    [
      'a change of nothing',
      { editions: [{ ...whole.editions[0]!, styleChanges: { 'text.colour': 3 } }] },
      'editions[0].styleChanges["text.colour"]',
    ],
    [
      'a picture that is not there',
      {
        sections: whole.sections.map((s, i) => (i ? s : { ...s, picture: { asset: 'x', alt: '', decoration: false } })),
      },
      'sections[0].picture',
    ],
    [
      'a plan of a thousand million pages',
      { plan: { runs: [{ id: 'r', kind: 'lined', pages: 1e9, seed: 1, params: { spacing: 20, tone: 0.3 } }] } },
      'plan.runs[0].pages',
    ],
    [
      'line spacing 0',
      { plan: { runs: [{ id: 'r', kind: 'lined', pages: 2, seed: 1, params: { spacing: 0, tone: 0.3 } }] } },
      'plan.runs[0].params.spacing',
    ],
    [
      'a series number that is XML',
      { data: { ...whole.data, series: { name: 'S', number: '"/><x' } } },
      'data.series.number',
    ],
    ['an id that climbs', { sections: whole.sections.map((s, i) => (i ? s : { ...s, id: '../x' })) }, 'sections[0].id'],
    ['keys of every object', JSON.parse('{"__proto__": {"x": 1}}') as object, ''],
    [
      'two sections of one name',
      { sections: [...whole.sections, whole.sections[0]!] },
      `sections[${whole.sections.length}].id`,
    ],
  ])('%s: said with its place, and mended', (_name, change, place) => {
    const bad = Object.assign(Object.create(null) as object, whole) as Record<string, unknown>
    for (const [k, v] of Object.entries(change))
      Object.defineProperty(bad, k, { value: v, enumerable: true, configurable: true, writable: true })
    const troubles = bookTroubles(bad, shippedProfiles)
    expect(troubles.map(t => t.place)).toContain(place)
    expect(troubles[0]!.sentence).toMatch(/\.$/)
    const m = mendedBook({ ...bad }, shippedProfiles)
    if (place) {
      expect(bookTroubles(m!.book, shippedProfiles)).toEqual([])
      expect(words(m!.book)).toContain('One.Two.')
    }
  })
})

describe('whatever happens to a record', () => {
  test('it is told from one that is in order, and mended into one, with every word of its text', () => {
    fc.assert(
      fc.property(mutation, m => {
        const { sections, ...head } = whole
        // The record is what suffers; text has a test of its own.
        const bad = {
          ...(mutated(
            JSON.parse(JSON.stringify({ ...head, sections: sections.map(({ doc: _doc, ...s }) => s) })),
            m,
          ) as Record<string, unknown>),
        }
        const list = Array.isArray(bad.sections) ? (bad.sections as unknown[]) : []
        if (Array.isArray(bad.sections))
          bad.sections = list.map((s, i) =>
            s && typeof s === 'object' && sections[i] ? { ...s, doc: sections[i].doc } : s,
          )
        // Parts that are as they were found in order before need no second look: what is said is the same.
        const same = Object.keys(whole).filter(k => JSON.stringify(bad[k]) === JSON.stringify(whole[k as keyof Book]))
        expect(
          bookTroubles(bad, shippedProfiles, same)
            .map(t => t.sentence)
            .sort(),
        ).toEqual(
          bookTroubles(bad, shippedProfiles)
            .map(t => t.sentence)
            .sort(),
        )
        const mended = mendedBook(bad, shippedProfiles)
        if (!mended) return
        expect(bookTroubles(mended.book, shippedProfiles)).toEqual([])
        if (
          list.length === sections.length &&
          list.every(s => s && typeof s === 'object' && !Array.isArray(s) && 'id' in s)
        )
          expect(words(mended.book).length).toBeGreaterThanOrEqual(words(whole).length - 30)
      }),
      { numRuns: cases(150, 5000), endOnFailure: true },
    )
  })
})
