import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import {
  addSection,
  blockIds,
  type Book,
  bookText,
  createBook,
  docWords,
  type DocJson,
  duplicateSections,
  heldBy,
  innerLinks,
  joinSections,
  labels,
  moveSection,
  moveSections,
  newSection,
  removeSection,
  roles,
  type Role,
  schema,
  setRole,
  splitSection,
} from '.'
import { countWords } from './doc'
import { highestId } from './identity'

const words = (b: Book): string[] => bookText(b).split(/\s+/).filter(Boolean).sort()

const text = fc
  .array(fc.constantFrom('tide', 'lamp', 'seven', 'o’clock', 'harbour-master', 'Ada', '1907'), {
    minLength: 1,
    maxLength: 8,
  })
  .map(w => w.join(' '))
let ids = 0
const block = fc.oneof(
  text.map(t => ({
    type: 'paragraph' as const,
    attrs: { id: '', align: null },
    content: [{ type: 'text' as const, text: t }],
  })),
  text.map(t => ({
    type: 'heading' as const,
    attrs: { id: '', level: 1 },
    content: [{ type: 'text' as const, text: t }],
  })),
  fc.constant({ type: 'scene_break' as const, attrs: { id: '' } }),
  text.map(t => ({
    type: 'paragraph' as const,
    attrs: { id: '', align: null },
    content: [
      { type: 'text' as const, text: 'noted' },
      { type: 'footnote' as const, attrs: { id: '' }, content: [{ type: 'text' as const, text: t }] },
    ],
  })),
)
const doc: fc.Arbitrary<DocJson> = fc.array(block, { minLength: 1, maxLength: 6 }).map(content => {
  const walk = (n: unknown): void => {
    const x = n as { attrs?: { id?: string }; content?: unknown[] }
    if (x.attrs && 'id' in x.attrs) x.attrs.id = `b${1000 + ++ids}`
    x.content?.forEach(walk)
  }
  const d = JSON.parse(JSON.stringify({ type: 'doc', content })) as DocJson
  walk(d)
  return d
})
const book: fc.Arbitrary<Book> = fc
  .array(
    fc.tuple(
      fc.constantFrom<Role>('chapter', 'part', 'preface', 'afterword', 'interlude'),
      fc.option(text, { nil: '' }),
      doc,
    ),
    { minLength: 1, maxLength: 6 },
  )
  .map(list => {
    let b = createBook('b', { title: 'Book', contributors: [], language: 'en', imprint: { name: '' }, subjects: [] })
    for (const [role, title, d] of list) b = addSection(b, { ...newSection(b, role, title), doc: d })
    return b
  })
const rank = { front: 0, body: 1, back: 2 }
const sound = (b: Book): void => {
  expect(new Set(b.sections.map(s => s.id)).size).toBe(b.sections.length)
  for (let i = 1; i < b.sections.length; i++)
    expect(rank[b.sections[i]!.part]).toBeGreaterThanOrEqual(rank[b.sections[i - 1]!.part])
  for (const s of b.sections) {
    schema.nodeFromJSON(s.doc).check()
  }
  // No two things of a book bear one id, and the counter is above all of them.
  const own = b.sections.flatMap(s => [s.id, ...blockIds(s.doc)])
  expect(new Set(own).size).toBe(own.length)
  expect(b.lastId).toBeGreaterThanOrEqual(highestId(b.sections))
}

describe('operations on a book keep every word', () => {
  test('move, role, split, join', () => {
    fc.assert(
      fc.property(
        book,
        fc.array(fc.tuple(fc.constantFrom('move', 'role', 'split', 'join'), fc.nat(20), fc.nat(20)), { maxLength: 12 }),
        (start, steps) => {
          let b = start
          const before = words(b)
          for (const [op, i, j] of steps) {
            const s = b.sections[i % b.sections.length]!
            if (op === 'move') b = moveSection(b, s.id, j % (b.sections.length + 1))
            else if (op === 'role') b = setRole(b, s.id, (['chapter', 'preface', 'afterword', 'part'] as const)[j % 4]!)
            else if (op === 'split') b = splitSection(b, s.id, s.doc.content[j % s.doc.content.length]!.attrs.id)
            else b = joinSections(b, s.id)
            sound(b)
          }
          expect(words(b)).toEqual(before)
        },
      ),
      { numRuns: 150 },
    )
  })

  test('several moved stand together, in their order, where they were moved; no word goes', () => {
    fc.assert(
      fc.property(book, fc.array(fc.nat(20), { minLength: 1, maxLength: 4 }), fc.nat(20), (b, picks, to) => {
        const ids = new Set(picks.map(i => b.sections[i % b.sections.length]!.id))
        const target = b.sections[to % b.sections.length]!.id
        const moved = moveSections(b, [...ids], target)
        sound(moved)
        expect(words(moved)).toEqual(words(b))
        if (ids.has(target)) return expect(moved).toBe(b)
        const order = moved.sections.map(s => s.id)
        const wanted = b.sections.map(s => s.id).filter(id => ids.has(id))
        const at = order.indexOf(wanted[0]!)
        expect(order.slice(at, at + wanted.length)).toEqual(wanted)
        const before = b.sections.findIndex(s => ids.has(s.id)) < b.sections.findIndex(s => s.id === target)
        expect(before ? order[at - 1] : order[at + wanted.length]).toBe(target)
      }),
      { numRuns: 150 },
    )
  })

  test('duplicated, they stand behind themselves with every word and ids of their own; links within lead within', () => {
    fc.assert(
      fc.property(book, fc.array(fc.nat(20), { minLength: 1, maxLength: 3 }), (b, picks) => {
        const ids = [...new Set(picks.map(i => b.sections[i % b.sections.length]!.id))]
        const twice = duplicateSections(b, ids)
        sound(twice)
        expect(twice.sections).toHaveLength(b.sections.length + ids.length)
        for (const id of ids) {
          const at = twice.sections.findIndex(s => s.id === id)
          const [own, copy] = [twice.sections[at]!, twice.sections[at + 1]!]
          expect(bookText({ ...b, sections: [copy] })).toBe(bookText({ ...b, sections: [own] }))
        }
      }),
      { numRuns: 80 },
    )
    const b = createBook('b', { title: 'T', contributors: [], language: 'en', imprint: { name: '' }, subjects: [] }, [])
    const s = newSection(b, 'chapter', 'One')
    const to = (s.doc.content[0] as { attrs: { id: string } }).attrs.id
    const linked: DocJson = {
      type: 'doc',
      content: [
        ...s.doc.content,
        {
          type: 'paragraph',
          attrs: { id: 'b99' },
          content: [{ type: 'text', text: 'up', marks: [{ type: 'link', attrs: { href: `#${to}` } }] }],
        },
      ],
    }
    const [, copy] = duplicateSections({ ...b, sections: [{ ...s, doc: linked }], lastId: 99 }, [s.id]).sections
    expect(innerLinks(copy!.doc)[0]!.to).toBe(blockIds(copy!.doc)[0])
  })

  test('a part holds what stands behind it, to the next part or the end of the body', () => {
    let b = createBook('b', { title: 'T', contributors: [], language: 'en', imprint: { name: '' }, subjects: [] })
    for (const [role, title] of [
      ['prologue', 'p'],
      ['part', 'I'],
      ['chapter', 'A'],
      ['chapter', 'B'],
      ['part', 'II'],
      ['chapter', 'C'],
      ['afterword', 'z'],
    ] as const)
      b = addSection(b, newSection(b, role, title))
    const held = (title: string): string[] =>
      heldBy(b.sections, b.sections.find(s => s.title === title)!.id).map(s => s.title)
    expect([held('I'), held('II'), held('A'), held('z')]).toEqual([['A', 'B'], ['C'], [], []])
  })

  test('a section added and removed leaves the book as it was', () => {
    fc.assert(
      fc.property(book, fc.constantFrom<Role>('dedication', 'chapter', 'glossary', 'epigraph'), (b, role) => {
        const s = newSection(b, role, 'New')
        const more = addSection(b, s)
        sound(more)
        expect(more.sections).toHaveLength(b.sections.length + 1)
        // Only the counter remembers it: its ids are not given again.
        expect(removeSection(more, s.id)).toEqual({ ...b, lastId: more.lastId })
        expect(more.lastId).toBeGreaterThan(b.lastId)
        expect(newSection(removeSection(more, s.id), role).id).not.toBe(s.id)
      }),
    )
  })

  test('operations share what they did not touch', () => {
    const b = createBook('b', { title: 'T', contributors: [], language: 'en', imprint: { name: '' }, subjects: [] }, [
      newSection({ lastId: 0 }, 'chapter', 'One'),
    ])
    const more = addSection(b, newSection(b, 'chapter', 'Two'))
    expect(more.sections.find(s => s.title === 'One')).toBe(b.sections.find(s => s.title === 'One'))
  })
})

describe('numbers and words', () => {
  test('chapters count through parts; the unnumbered are passed over', () => {
    let b = createBook('b', { title: 'T', contributors: [], language: 'en', imprint: { name: '' }, subjects: [] })
    for (const [role, title] of [
      ['part', 'I'],
      ['chapter', 'A'],
      ['interlude', 'x'],
      ['chapter', 'B'],
      ['part', 'II'],
      ['chapter', 'C'],
    ] as const)
      b = addSection(b, newSection(b, role, title))
    const l = labels(b.sections, 'en')
    expect(b.sections.filter(s => roles[s.role].part === 'body').map(s => l.get(s.id)!.numberWords)).toEqual([
      'Part One',
      'Chapter One',
      undefined,
      'Chapter Two',
      'Part Two',
      'Chapter Three',
    ])
  })
  test('words are counted as authors count', () => {
    expect(countWords('The harbour-master’s “seven” — 5.30 at noon…')).toBe(7)
    expect(countWords(' – — … ')).toBe(0)
    expect(
      docWords({
        type: 'doc',
        content: [
          {
            type: 'paragraph',
            attrs: { id: 'b1' },
            content: [
              { type: 'text', text: 'one two' },
              { type: 'footnote', attrs: { id: 'n1' }, content: [{ type: 'text', text: 'three' }] },
            ],
          },
        ],
      }),
    ).toBe(3)
  })
})
