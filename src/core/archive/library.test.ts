import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { readFileSync } from 'node:fs'
import { anyBook } from '../../../tests/support/arbitrary'
import { bookOf } from '../../../tests/support/core'
import { hashOf } from '../book'
import { profileOf, shippedProfiles } from '../outlets'
import { type Library, readLibrary, writeLibrary, writeProject } from '.'
import { isLibrary } from './library'

const zip = Uint8Array.from([1, 2, 3, 4])
const part = Uint8Array.from([7, 7])
const event = {
  kind: 'sent' as const,
  at: 3,
  profile: profileOf('pellowick', shippedProfiles),
  submission: {
    id: 'a',
    zip: hashOf(zip),
    name: 'a.zip',
    files: [],
    faults: [],
    snapshot: {
      title: 'T',
      subtitle: '',
      author: '',
      isbn: '',
      description: '',
      slots: [],
      categories: [],
      lowContent: false,
      price: 1,
      interior: 'i',
      cover: 'c',
    },
  },
}
const library = (books: Library['books']): Library => ({
  books,
  listings: [{ key: 'b/ebook/pellowick', book: 'b', events: [event] }],
  packages: new Map([[hashOf(zip), zip]]),
  versions: [{ book: 'b', at: 5, label: 'x', words: 1, manifest: hashOf(part), parts: [hashOf(part)] }],
  parts: new Map([[hashOf(part), part]]),
  pieces: [{ book: 'b', section: 's1', at: 4, text: 'left over' }],
  tallies: [
    {
      book: 'one',
      day: '2026-11-29',
      ...{ wrote: 812, cut: 300, came: 0 },
      sittings: [{ from: 1_795_000_000_000, to: 1_795_000_900_000, wrote: 812, cut: 300 }],
    },
  ],
  settings: [
    { key: 'clock', value: 12 },
    { key: 'demo loaded', value: true },
  ],
  outlets: [...shippedProfiles],
})

describe('the backup of a library', () => {
  test('out, in and out again: byte for byte, whatever the books', () => {
    fc.assert(
      fc.property(fc.array(anyBook, { maxLength: 3 }), books => {
        const l = library(
          books.map((book, i) => ({
            project: { book: { ...book, id: `b${i}` }, pictures: new Map() },
            added: 1000 + i,
          })),
        )
        const bytes = writeLibrary(l)
        const back = readLibrary(bytes, shippedProfiles)
        expect(Buffer.compare(Buffer.from(writeLibrary(back)), Buffer.from(bytes))).toBe(0)
        expect(back.listings).toEqual(l.listings)
        expect([back.versions, back.pieces, [...back.parts.values()].map(b => [...b])]).toEqual([
          l.versions,
          l.pieces,
          [[7, 7]],
        ])
        expect([...back.packages.get(hashOf(zip))!]).toEqual([1, 2, 3, 4])
        // The order in which things stand in the store does not matter.
        expect(
          Buffer.compare(
            Buffer.from(writeLibrary({ ...l, books: [...l.books].reverse(), settings: [...l.settings].reverse() })),
            Buffer.from(bytes),
          ),
        ).toBe(0)
      }),
      { numRuns: 12 },
    )
  })
  test('a backup of version 1 is read: books, listings, packages, the clock', () => {
    const old = readLibrary(new Uint8Array(readFileSync('tests/fixtures/library-v1.zip')), shippedProfiles)
    expect(old.books.map(b => [b.project.book.data.title, b.project.book.sections.length])).toEqual([
      ['Of the Second Version, Told', 6],
    ])
    expect([old.listings.length, old.packages.size, old.versions, old.pieces]).toEqual([1, 1, [], []])
    expect(old.settings).toContainEqual({ key: 'clock', value: 12 })
  })
  test('what is damaged, newer, or no backup is refused with a plain word', () => {
    const bytes = writeLibrary(library([{ project: { book: bookOf([['x']]), pictures: new Map() }, added: 1 }]))
    expect(isLibrary(bytes)).toBe(true)
    expect(() => readLibrary(writeProject({ book: bookOf([['x']]), pictures: new Map() }), shippedProfiles)).toThrow(
      'no backup',
    )
    expect(() => readLibrary(new Uint8Array([1, 2, 3]), shippedProfiles)).toThrow('no backup')
    const broken = bytes.slice()
    const at = broken.findIndex((b, i) => b === 1 && broken[i + 1] === 2 && broken[i + 2] === 3 && broken[i + 3] === 4)
    broken[at + 2] = 9
    expect(() => readLibrary(broken, shippedProfiles)).toThrow(/damaged/)
    expect(() => readLibrary(bytes.subarray(0, bytes.length - 30), shippedProfiles)).toThrow()
  })
})
