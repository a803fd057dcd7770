import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { execFileSync } from 'node:child_process'
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import {
  bookTroubles,
  isSound,
  type Library,
  readLibrary,
  readProject,
  writeLibrary,
  writeProject,
} from '@/core/archive'
import { shippedDesigns } from '@/core/cover'
import { shippedRecipes } from '@/core/activity'
import { type Book, bookText, hashOf } from '@/core/book'
import { profileOf, shippedProfiles } from '@/core/outlets'
import { harbourRoman, readStyleDocument } from '@/core/pages'
import { Fault } from '@/core/trade'
import { bookOf } from './support/core'
import { cases } from './support/deep'
import { mutated, mutation } from './support/mutate'

/** Whatever befalls a file, the door answers with a book that is in order or with one sentence: never with a crash, and never with half of it. */
const book: Book = {
  ...bookOf([['The tide came in.', 'It went out.'], ['Nobody came.']]),
  id: 'fuzzed',
  editions: [
    {
      id: 'p',
      kind: 'paperback',
      outlets: ['ostrevane'],
      style: 'harbour-roman',
      trim: '6x9in',
      paper: 'cream',
      prices: { USD: 1399 },
    },
    { id: 'e', kind: 'ebook', outlets: ['pellowick'], style: 'harbour-roman' },
  ],
  listings: { 'p/ostrevane': { slots: ['tide'], rights: true } },
  words: [{ phrase: 'tide', market: 'merrow', searches: 9, demand: 2, crowding: 3 }],
}
const project = writeProject({ book, pictures: new Map() })
const zip = Uint8Array.of(1, 2, 3)
const library: Library = {
  outlets: shippedProfiles,
  books: [
    { project: { book, pictures: new Map() }, added: 5, changed: 6 },
    { project: { book: { ...book, id: 'other' }, pictures: new Map() }, added: 7 },
  ],
  listings: [
    {
      key: 'fuzzed/e/pellowick',
      book: 'fuzzed',
      events: [
        {
          kind: 'sent',
          at: 1,
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
        },
      ],
    },
  ],
  packages: new Map([[hashOf(zip), zip]]),
  versions: [],
  parts: new Map(),
  tallies: [],
  pieces: [],
  settings: [{ key: 'clock', value: 3 }],
}
const backup = writeLibrary(library)

/** An archive with one of its JSON entries mutated. */
function withJson(bytes: Uint8Array, pick: number, m: Parameters<typeof mutated>[1]): Uint8Array {
  const files = unzipSync(bytes)
  const names = Object.keys(files).filter(n => n.endsWith('.json'))
  const name = names[pick % names.length]!
  files[name] = strToU8(JSON.stringify(mutated(JSON.parse(strFromU8(files[name]!)), m)))
  return zipSync({ ...files, mimetype: [files.mimetype!, { level: 0 }] })
}
function answered<T>(read: () => T): T | undefined {
  try {
    return read()
  } catch (e) {
    if (!(e instanceof Fault)) throw e
    expect(e.message).toMatch(/[.”]$/)
    expect(e.message.length).toBeLessThan(700)
    return undefined
  }
}
const inOrder = (b: Book): void => {
  expect(bookTroubles(b, shippedProfiles)).toEqual([])
  for (const s of b.sections) expect(isSound(s.doc)).toBe(true)
}
const runs = { numRuns: cases(100, 5000), endOnFailure: true }
const change = fc.record({
  at: fc.nat(1e6),
  by: fc.integer({ min: 1, max: 255 }),
  kind: fc.constantFrom('flip', 'cut', 'insert'),
})
const damaged = (bytes: Uint8Array, { at, by, kind }: { at: number; by: number; kind: string }): Uint8Array => {
  const i = at % bytes.length
  if (kind === 'cut') return bytes.subarray(0, i)
  const out = kind === 'insert' ? Uint8Array.from([...bytes.subarray(0, i), by, ...bytes.subarray(i)]) : bytes.slice()
  if (kind === 'flip') out[i] = out[i]! ^ by
  return out
}

describe('projects', () => {
  test('with a record or a text that is not in order', () => {
    fc.assert(
      fc.property(fc.nat(20), mutation, (pick, m) => {
        const read = answered(() => readProject(withJson(project, pick, m), { known: shippedProfiles }))
        if (read) inOrder(read.book)
      }),
      runs,
    )
  })
  test('damaged: a changed byte never changes a word in silence; what can be saved is in order', () => {
    const words = bookText(book)
    fc.assert(
      fc.property(change, c => {
        const bytes = damaged(project, c)
        const read = answered(() => readProject(bytes, { known: shippedProfiles }))
        if (read) expect(bookText(read.book)).toBe(words)
        const lost: string[] = []
        const saved = answered(() => readProject(bytes, { known: shippedProfiles, salvage: what => lost.push(what) }))
        if (saved) inOrder(saved.book)
        if (saved && !read && bookText(saved.book) !== words) expect(lost.length).toBeGreaterThan(0)
      }),
      runs,
    )
  })
})

describe('backups', () => {
  test('whose list is not in order are refused; one bad book in them keeps no other from coming', () => {
    fc.assert(
      fc.property(fc.nat(20), mutation, (pick, m) => {
        const read = answered(() => readLibrary(withJson(backup, pick, m), shippedProfiles))
        for (const b of read?.books ?? []) inOrder(b.project.book)
        const files = unzipSync(backup)
        const one = 'books/fuzzed.porchlight'
        files[one] = Uint8Array.from(withJson(files[one]!, pick, m))
        const both = readLibrary(zipSync({ ...files, mimetype: [files.mimetype!, { level: 0 }] }), shippedProfiles)
        expect(both.books.some(b => b.project.book.id === 'other')).toBe(true)
        expect(both.books.length + (both.unreadable?.length ?? 0)).toBe(2)
      }),
      runs,
    )
  })
  test('damaged in any byte', () => {
    fc.assert(
      fc.property(change, c => {
        const read = answered(() => readLibrary(damaged(backup, c), shippedProfiles))
        for (const b of read?.books ?? []) inOrder(b.project.book)
      }),
      runs,
    )
  })
})

test('every setting that the program keeps is one that a backup may hold', () => {
  const kept = "settings\\.put\\(\\{ key: '[^']+'|keptList<[A-Za-z]+>\\('[^']+'"
  const files = execFileSync('grep', ['-rhoE', kept, 'src'], { encoding: 'utf8' })
  const keys = new Set([...files.matchAll(/(?:key: |\()'([^']+)'/g)].map(m => m[1]!))
  // Of this browser alone, and never in a backup.
  keys.delete('swept')
  expect([...keys].sort()).toEqual([
    'clock',
    'demo loaded',
    'designs',
    'dictionaries',
    'imprints',
    'matter',
    'penNames',
    'proof',
    'recipes',
    'research',
    'styles',
  ])
  const settings = [
    { key: 'clock', value: 3 },
    { key: 'demo loaded', value: true },
    { key: 'designs', value: [shippedDesigns[0]!] },
    {
      key: 'dictionaries',
      value: [{ id: 'de', name: 'de.dic', aff: 'b'.repeat(64), dic: 'c'.repeat(64), words: 3, bytes: 90 }],
    },
    { key: 'imprints', value: [{ id: 'saltgrass', name: 'Saltgrass', place: 'Merrow', former: ['a'.repeat(64)] }] },
    { key: 'penNames', value: [{ id: 'orla', name: 'Orla Fenwright', note: 'Born at sea.' }] },
    { key: 'proof', value: [{ id: 'en', words: ['tidewarden'], left: ['["twice","so"]'] }] },
    { key: 'recipes', value: [shippedRecipes[0]!] },
    { key: 'research', value: { book: 'fuzzed', market: 'merrow', word: 'tide' } },
    { key: 'styles', value: [harbourRoman] },
  ]
  expect(readLibrary(writeLibrary({ ...library, settings }), shippedProfiles).settings).toEqual(
    JSON.parse(JSON.stringify(settings)),
  )
})

test('styles: one that is read is one that can be written and read again', () => {
  fc.assert(
    fc.property(mutation, m => {
      const read = answered(() => readStyleDocument(mutated(JSON.parse(JSON.stringify(harbourRoman)), m)))
      if (read) expect(readStyleDocument(JSON.parse(JSON.stringify(read)))).toEqual(read)
    }),
    runs,
  )
})
