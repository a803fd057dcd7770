import { shippedProfiles } from '../outlets'
import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { strToU8, unzipSync, zipSync } from 'fflate'
import { bookOf } from '../../../tests/support/core'
import { hashOf, type Book } from '../book'
import { Fault } from '../trade'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { isProject, readProject, withLeadInAsChoice, writeProject } from '.'
import { migrate } from './migrate'
import { PROJECT_VERSION } from './project'

const picture = Uint8Array.from([1, 2, 3, 250])
const book: Book = {
  ...bookOf([['One & “two”.'], ['Three.']]),
  assets: [{ id: hashOf(picture), type: 'image/png', width: 1, height: 1 }],
  editions: [
    {
      id: 'p',
      kind: 'paperback',
      outlets: ['ostrevane'],
      style: 'harbour-roman',
      trim: '6x9in',
      prices: { USD: 1399 },
    },
  ],
}
const pictures = new Map([[hashOf(picture), picture]])
const file = writeProject({ book, pictures })
const rezip = (change: (f: Record<string, Uint8Array>) => void): Uint8Array => {
  const f = unzipSync(file)
  change(f)
  return zipSync({ mimetype: [f.mimetype!, { level: 0 }], ...f })
}

describe('the project file', () => {
  test('is written, read and written again byte for byte', () => {
    expect(isProject(file)).toBe(true)
    const read = readProject(file, { known: shippedProfiles })
    expect(read.book).toEqual(JSON.parse(JSON.stringify(book)))
    expect(read.pictures.get(hashOf(picture))).toEqual(picture)
    expect(writeProject(read)).toEqual(file)
    // Key order of what is held in memory does not matter.
    expect(
      writeProject({ book: Object.fromEntries(Object.entries(book).reverse()) as unknown as Book, pictures }),
    ).toEqual(file)
  })
  test('round trip of any text', () => {
    fc.assert(
      fc.property(
        fc.array(fc.string({ unit: 'grapheme', minLength: 1, maxLength: 30 }), { minLength: 1, maxLength: 5 }),
        texts => {
          const b = bookOf([texts])
          const bytes = writeProject({ book: b, pictures: new Map() })
          expect(writeProject(readProject(bytes, { known: shippedProfiles }))).toEqual(bytes)
          expect(readProject(bytes, { known: shippedProfiles }).book).toEqual(JSON.parse(JSON.stringify(b)))
        },
      ),
      { numRuns: 50 },
    )
  })
  test('is open: JSON and pictures by their hash', () => {
    const f = unzipSync(file)
    expect(Object.keys(f)).toEqual([
      'mimetype',
      'project.json',
      ...book.sections.map(s => `sections/${s.id}.json`).sort(),
      `pictures/${hashOf(picture)}`,
    ])
    expect(JSON.parse(new TextDecoder().decode(f['project.json']))).toMatchObject({
      format: 'porchlight-project',
      version: PROJECT_VERSION,
    })
  })
  test.each([
    [
      'a missing section',
      (f: Record<string, Uint8Array>) => {
        delete f['sections/s1.json']
      },
      /missing/,
    ],
    [
      'text out of order',
      (f: Record<string, Uint8Array>) => {
        f['sections/s1.json'] = strToU8('{"type":"doc","content":[{"type":"line"}]}')
      },
      /not in order/,
    ],
    [
      'a changed picture',
      (f: Record<string, Uint8Array>) => {
        f[`pictures/${hashOf(picture)}`] = strToU8('else')
      },
      /not what it was/,
    ],
    [
      'no JSON',
      (f: Record<string, Uint8Array>) => {
        f['project.json'] = strToU8('{')
      },
      /cannot be read/,
    ],
    [
      'another format',
      (f: Record<string, Uint8Array>) => {
        f['project.json'] = strToU8('{"format":"x"}')
      },
      /no Porchlight project/,
    ],
    [
      'a newer version',
      (f: Record<string, Uint8Array>) => {
        f['project.json'] = strToU8(
          new TextDecoder().decode(f['project.json']).replace(/"version": \d+/, '"version": 9'),
        )
      },
      /newer Porchlight/,
    ],
  ])('says what is wrong: %s', (_name, change, message) => {
    expect(() => readProject(rezip(change), { known: shippedProfiles })).toThrow(message)
    expect(() => readProject(rezip(change), { known: shippedProfiles })).toThrow(Fault)
  })
})

describe('migrations', () => {
  test('a project of version 1 is opened: its lead-in became a choice and a count, all else is as it was', () => {
    const old = new Uint8Array(readFileSync(join('tests', 'fixtures', 'project-v1.porchlight')))
    const { book } = readProject(old, { known: shippedProfiles })
    expect(book.editions.map(e => e.styleChanges)).toEqual([
      { 'text.size': 11.5, 'firsts.leadIn': 'words', 'firsts.leadInWords': 6 },
      { 'firsts.leadIn': 'nothing' },
      undefined,
    ])
    expect([book.data.title, book.sections[0]!.title]).toEqual(['Of the First Version', 'A Beginning'])
    // Once written, it is of this version, and reads back the same.
    expect(readProject(writeProject({ book, pictures: new Map() }), { known: shippedProfiles }).book).toEqual(book)
  })
  test('walk into histories, and leave what they do not know', () => {
    const bytes = Uint8Array.of(1, 2)
    const change = { before: { editions: [{ id: 'p', styleChanges: { 'openings.leadIn': 3 } }] }, label: 'x', bytes }
    expect(withLeadInAsChoice(change)).toEqual({
      before: { editions: [{ id: 'p', styleChanges: { 'firsts.leadIn': 'words', 'firsts.leadInWords': 3 } }] },
      label: 'x',
      bytes,
    })
    expect(withLeadInAsChoice(change).bytes).toBe(bytes)
  })
  const steps = { 1: (r: { a: number }) => ({ b: r.a }), 2: (r: { b: number }) => ({ c: r.b + 1 }) }
  test('go step by step, and do nothing at the goal', () => {
    expect(migrate({ a: 1 }, 1, 3, steps as never)).toEqual({ c: 2 })
    const now = { c: 5 }
    expect(migrate(now, 3, 3, steps as never)).toBe(now)
  })
  test('refuse what they cannot know', () => {
    expect(() => migrate({}, 4, 3, {})).toThrow(/newer/)
    expect(() => migrate({}, 0, 3, {})).toThrow(/which version/)
    expect(() => migrate({}, 1.5, 3, {})).toThrow(/which version/)
    expect(() => migrate({}, 1, 3, {})).toThrow(/no longer/)
  })
})
