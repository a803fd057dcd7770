import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { type BlockJson, docWords, schema } from '@/core/book'
import { type EditorState, TextSelection } from '@tiptap/pm/state'
import { chosenIn, countOf, inReading } from '../countOf'
import { openNotes } from '../foldedNotes'
import { pickedBy, stillPicked } from '../list/picked'
import { posOf } from '../places'
import { marginItems } from './marginItems'
import { stacked } from './stacked'

const docOf = (...content: BlockJson[]) => schema.nodeFromJSON({ type: 'doc', content })
const p = (id: string, ...content: object[]): BlockJson => ({
  type: 'paragraph',
  attrs: { id, align: null },
  content: content as never,
})
const t = (text: string, href?: string) => ({
  type: 'text',
  text,
  ...(href ? { marks: [{ type: 'link', attrs: { href } }] } : {}),
})
const NOTHING = { blocks: [], isThere: () => true, language: 'en' }
const note = (id: string, text: string) => ({ type: 'footnote', attrs: { id }, content: [t(text)] })

describe('what stands in the inner margin', () => {
  const doc = docOf(
    p('b1', t('The bell'), note('n1', 'It was “cast” in a bad year.'), t(' rang, she said "twice".')),
    p('b2', t('See '), t('here', '#b1'), t(', '), t('there', '#s9'), t(' and '), t('nowhere', '#gone'), t('.')),
    p('b3', t('Quiet.'), note('n2', 'x'.repeat(300))),
  )
  const items = marginItems(doc, {
    blocks: [{ block: 'b3', words: 'a word no font has' }],
    isThere: id => id === 's9',
    language: 'en',
  })
  test('notes with their numbers, typed quotes, links that lead nowhere, findings: each at its place', () => {
    expect(items.map(i => [i.kind, i.sign ?? '', i.words.slice(0, 30)])).toEqual([
      ['doubt', '', '2 typed quotes'],
      ['note', '1', 'It was “cast” in a bad year.'],
      ['finding', '', 'this link leads nowhere'],
      ['finding', '', 'a word no font has'],
      ['note', '2', 'x'.repeat(30)],
    ])
    const at = (kind: string): string =>
      doc.textBetween(items.find(i => i.kind === kind)!.pos, doc.content.size).slice(0, 7)
    expect([at('doubt'), at('finding')]).toEqual(['"twice"', 'nowhere'])
    expect(items.at(-1)!.words).toHaveLength(112)
    expect(new Set(items.map(i => i.key)).size).toBe(items.length)
  })
  test('a remark stands beside its words once, however these are formatted', () => {
    const said = (text: string, words: string, ...more: object[]) => ({
      type: 'text',
      text,
      marks: [{ type: 'remark', attrs: { words } }, ...more],
    })
    const marked = docOf(
      p(
        'b1',
        t('She heard '),
        said('seven ', 'Was it?'),
        said('strokes', 'Was it?', { type: 'em' }),
        t(', '),
        said('then', 'When?'),
      ),
    )
    expect(marginItems(marked, NOTHING).map(i => [i.kind, i.words, i.pos])).toEqual([
      ['remark', 'Was it?', 11],
      ['remark', 'When?', 26],
    ])
  })
  test('what is otherwise here than the style says stands where it is seen', () => {
    const broken = docOf(p('b1', t('The bell.')), { type: 'scene_break', attrs: { id: 'b2' } }, p('b3', t('It rang.')))
    const exceptions = [
      { path: 'openings.sink', words: 'Sink 3 lines' },
      { path: 'breaks.ornament', words: 'Breaks show nothing' },
    ]
    expect(marginItems(broken, { ...NOTHING, exceptions }).map(i => [i.kind, i.words, i.pos])).toEqual([
      ['exception', 'Sink 3 lines, here alone', 0],
      ['exception', 'Breaks show nothing, here alone', 11],
    ])
  })
  test('a note’s own quotes are not its paragraph’s', () => {
    expect(marginItems(docOf(p('b1', t('Plain'), note('n1', 'a "typed" one'))), NOTHING).map(i => i.kind)).toEqual([
      'note',
    ])
  })
})

test('things of a margin do not cover each other, keep their order, and stand where they belong where there is room', () => {
  const thing = fc.record({ wants: fc.integer({ min: 0, max: 2000 }), height: fc.integer({ min: 10, max: 90 }) })
  fc.assert(
    fc.property(fc.array(thing), unsorted => {
      const things = [...unsorted].sort((a, b) => a.wants - b.wants)
      const tops = stacked(things, 6)
      things.forEach((x, i) => {
        expect(tops[i]).toBeGreaterThanOrEqual(x.wants)
        const end = i ? tops[i - 1]! + things[i - 1]!.height + 6 : Number.NEGATIVE_INFINITY
        expect(tops[i]).toBeGreaterThanOrEqual(end)
        // What does not stand where it wants to stands against what is above it.
        if (tops[i] !== x.wants) expect(tops[i]).toBe(end)
      })
    }),
  )
})

test('a place of the pages is found in the document, notes counted as their numbers', () => {
  const doc = docOf(p('b1', t('One')), p('b2', t('The bell'), note('n1', 'Note.'), t(' rang')))
  const from = (chars: number): string =>
    doc.textBetween(posOf(doc, { block: 'b2', chars })!, doc.content.size, '|', '*')
  expect([from(0), from(3), from(8)]).toEqual([
    expect.stringMatching(/^The bell/),
    expect.stringMatching(/^bell/),
    'rang',
  ])
  expect(posOf(doc, { block: 'gone', chars: 0 })).toBeUndefined()
})

test('words of an editor are those of its document, however it came to be', () => {
  const before = docOf(p('b1', t('One two')), p('b2', t('three'), note('n1', 'four five')))
  const after = docOf(...(before.toJSON() as { content: BlockJson[] }).content, p('b3', t('six')))
  for (const doc of [before, after, before])
    expect(countOf({ state: { doc } } as never)).toBe(docWords(doc.toJSON() as never))
})

describe('what is picked of a list', () => {
  const order = ['a', 'b', 'c', 'd']
  const alone = { open: 'b', toggles: false, extends: false }
  test('by a click, with Ctrl, with Shift from the open one, either way', () => {
    expect([...pickedBy(order, new Set(['b']), { ...alone, on: 'd' })]).toEqual(['d'])
    expect([...pickedBy(order, new Set(['b']), { ...alone, on: 'd', toggles: true })]).toEqual(['b', 'd'])
    expect([...pickedBy(order, new Set(['b']), { ...alone, on: 'b', toggles: true })]).toEqual(['b'])
    expect([...pickedBy(order, new Set(), { ...alone, on: 'd', extends: true })]).toEqual(['b', 'c', 'd'])
    expect([...pickedBy(order, new Set(), { ...alone, on: 'a', extends: true })]).toEqual(['a', 'b'])
  })
  test('what has left the book is not picked; the open one is', () => {
    expect(stillPicked(order, new Set(['b', 'gone', 'd']), 'd')).toEqual(['b', 'd'])
    expect(stillPicked(order, new Set(['gone']), 'c')).toEqual(['c'])
    expect(stillPicked(order, new Set(['a']), undefined)).toEqual(['a'])
    expect(stillPicked(order, new Set(), 'gone')).toEqual([])
  })
})

test('a note is open where the selection begins or ends in it, and no other', () => {
  const doc = docOf(p('b1', t('Ab'), note('n1', 'One'), t('cd'), note('n2', 'Two')))
  const open = (from: number, to = from): number[] => [
    ...openNotes({ selection: TextSelection.create(doc, from, to) as EditorState['selection'] }),
  ]
  // The first stands at 3 to 8, the second at 10 to 15.
  expect([open(2), open(3), open(4), open(7), open(8)]).toEqual([[], [], [3], [3], []])
  expect([open(2, 12), open(5, 12), open(2, 9)]).toEqual([[10], [3, 10], []])
})

test('what is chosen is counted: words, characters, time to read, pages in print', () => {
  const doc = docOf(p('b1', t('The old bell rang.')), p('b2', t('Twice.')))
  const chosen = (from: number, to: number) =>
    chosenIn({ state: { doc, selection: TextSelection.create(doc, from, to) } } as never)
  expect(chosen(5, 14)).toEqual({ words: 2, characters: 9 })
  expect(chosen(1, doc.content.size - 1)).toEqual({ words: 5, characters: 24 })
  expect(chosen(3, 3)).toBeUndefined()
  expect(inReading({ words: 952, characters: 4000 }, 0.005)).toBe(
    '4,000 characters, 4 minutes to read, about 4.8 pages in print',
  )
  expect(inReading({ words: 1, characters: 1 }, undefined)).toBe('1 character, 1 second to read')
  expect(inReading({ words: 2, characters: 9 }, 0.005)).toBe('9 characters, 1 second to read')
})

describe('doubts of the proof in the margin', () => {
  const doc = docOf(
    p('b1', t('The bel rang.')),
    {
      type: 'verse',
      attrs: { id: 'b2' },
      content: [
        { type: 'line', content: [t('Low')] },
        { type: 'line', content: [t('hihg')] },
      ],
    } as never,
    p('b3', t('Said'), note('n1', 'twice twice'), t(' so.')),
  )
  const doubt = (block: string, row: number, [from, to]: [number, number], was: string) => ({
    ...{ kind: 'doubted' as const, block, row, from, to, was },
    key: `${block} ${was}`,
    words: 'doubted',
  })
  const shown = (...doubts: ReturnType<typeof doubt>[]) =>
    marginItems(doc, { ...NOTHING, doubts }).map(i => [i.kind, i.pos])
  test('each at its place: in a paragraph, a line of verse, a note; the title’s at the head', () => {
    const items = marginItems(doc, {
      ...NOTHING,
      doubts: [
        doubt('n1', 0, [0, 11], 'twice twice'),
        doubt('b2', 1, [0, 4], 'hihg'),
        doubt('b1', 0, [4, 7], 'bel'),
        doubt('', 0, [0, 3], 'Teh'),
      ],
    }).filter(i => i.kind === 'doubted')
    expect(items.map(i => i.key)).toEqual([' Teh', 'b1 bel', 'b2 hihg', 'n1 twice twice'])
    expect(items.slice(1).map(i => doc.textBetween(i.pos, i.pos + 3))).toEqual(['bel', 'hih', 'twi'])
  })
  test('what says something else by now, or has gone, is doubted no more', () => {
    expect(
      shown(doubt('b1', 0, [4, 7], 'bell'), doubt('b9', 0, [0, 3], 'bel'), doubt('b2', 7, [0, 4], 'hihg')),
    ).toEqual([['note', expect.any(Number)]])
  })
  test('without any the margin is what it was', () => {
    expect(marginItems(doc, { ...NOTHING, doubts: [] })).toEqual(marginItems(doc, NOTHING))
  })
})
