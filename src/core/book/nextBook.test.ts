import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { anyBook } from '../../../tests/support/arbitrary'
import { bookOf } from '../../../tests/support/core'
import { cases } from '../../../tests/support/deep'
import { bookTroubles } from '../archive'
import { shippedProfiles } from '../outlets'
import { highestId } from './identity'
import { asMatter, type Book, leftovers, nextBook, placeMatter, withOwnIds } from '.'

const first: Book = {
  ...bookOf([['Under the bell.'], ['Two.']], 'The Bell Below'),
  words: [],
  editions: [
    {
      id: 'paperback',
      kind: 'paperback',
      isbn: '9781234567897',
      trim: '5.5x8.5',
      style: 'harbour-roman',
      styleChanges: { 'text.size': 12 },
      outlets: ['ostrevane'],
      prices: { USD: 999 },
      coverPages: 80,
      exceptions: { s1: { 'openings.recto': true } },
    },
  ],
}
first.data = {
  ...first.data,
  series: { name: 'Bells', number: 3 },
  year: 2026,
  rights: '© 2026 Orla Fenwright',
  description: 'A bell rings.',
  contributors: [...first.data.contributors, { name: 'Ned Tolley', role: 'ill' }],
}
const write = (b: Book, text: string): Book => ({
  ...b,
  sections: b.sections.map(s =>
    s.role === 'chapter'
      ? {
          ...s,
          doc: {
            type: 'doc',
            content: [{ type: 'paragraph', attrs: { id: 'b900', align: null }, content: [{ type: 'text', text }] }],
          },
        }
      : s,
  ),
})

describe('the next book of a series', () => {
  test('has the look, the data and the standing matter of the earlier one, and nothing that was that one’s alone', () => {
    const about = { ...first.sections.at(-1)!, role: 'about-author' as const, title: 'About' }
    const from = placeMatter(first, asMatter(first, about, { id: 'about', name: 'About' }))
    const next = nextBook(from, 'bells-4')
    expect(next.data).toMatchObject({ title: 'Bells 4', series: { name: 'Bells', number: 4 }, language: 'en-GB' })
    expect(next.data.contributors.map(c => c.role)).toEqual(['aut'])
    expect([next.data.year, next.data.rights, next.data.description]).toEqual([undefined, undefined, undefined])
    expect(next.editions).toEqual([
      {
        id: 'paperback',
        kind: 'paperback',
        trim: '5.5x8.5',
        style: 'harbour-roman',
        styleChanges: { 'text.size': 12 },
        outlets: ['ostrevane'],
        prices: { USD: 999 },
      },
    ])
    expect(next.sections.map(s => s.role)).toEqual(['title-page', 'copyright', 'contents', 'chapter', 'about-author'])
    expect(next.sections.find(s => s.role === 'chapter')!.doc.content[0]).not.toHaveProperty('content')
    expect(leftovers(next)).toEqual([])
    expect(nextBook({ ...first, data: { ...first.data, series: undefined } }, 'x').data.series).toEqual({
      name: 'The Bell Below',
      number: 2,
    })
  })

  test('of any book is a sound one, its ids above all that were ever given', () => {
    fc.assert(
      fc.property(anyBook, book => {
        const next = nextBook(book, 'next')
        expect(withOwnIds(next)).toBe(next)
        expect(next.lastId).toBeGreaterThanOrEqual(highestId(next.sections))
        expect(bookTroubles(next, shippedProfiles)).toEqual(bookTroubles(book, shippedProfiles))
      }),
      { numRuns: cases(30, 300) },
    )
  })

  test('says what is left of the earlier one: title, number, year and names, each at its place, until it is settled', () => {
    const next = nextBook(first, 'bells-4')
    const found = (b: Book): unknown[] => leftovers(b).map(l => [l.what, 'section' in l.at ? l.at.block : l.at.field])
    expect(found(write(next, 'As told in THE BELL, below, she had gone.'))).toEqual([['title', 'b900']])
    expect(found(write(next, 'ISBN 978-1-234-56789-7'))).toEqual([['ISBN', 'b900']])
    expect(found(write(next, 'Drawn by Ned  Tolley.'))).toEqual([['name', 'b900']])
    expect(found(write(next, 'The bell belowground, and Ned.'))).toEqual([])
    const data = { ...next.data, year: 2026, rights: '© 2026', description: 'After The Bell Below.' }
    expect(found({ ...next, data })).toEqual([
      ['title', 'description'],
      ['year', 'rights'],
      ['year', 'year'],
    ])
    expect(found({ ...next, editions: [{ ...next.editions[0]!, isbn: '9781234567897' }] })).toEqual([['ISBN', 'isbn']])
    // Where one speaks of other books, their titles stand on purpose.
    const speaks = write(next, 'The Bell Below')
    expect(
      found({ ...speaks, sections: speaks.sections.map(s => (s.role === 'chapter' ? { ...s, role: 'also-by' } : s)) }),
    ).toEqual([])
    expect(found({ ...write(next, 'The Bell Below'), earlier: undefined })).toEqual([])
  })
})

test('words that its proof-reading was told go along; doubts that were left, and the pace, were the earlier text’s', () => {
  const pace = { target: 90_000, by: '2027-03-03', since: '2026-11-29', days: [1] }
  const told: Book = { ...first, pace, proof: { words: ['Quill'], left: ['["twice","b1","so so"]'] } }
  const next = nextBook(told, 'next')
  expect(['pace' in next, next.proof]).toEqual([false, { words: ['Quill'], left: [] }])
  expect('proof' in nextBook({ ...told, proof: { words: [], left: ['["twice","so"]'] } }, 'next')).toBe(false)
})
