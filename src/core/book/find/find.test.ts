import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { anyBook } from '../../../../tests/support/arbitrary'
import { bookOf, paragraph } from '../../../../tests/support/core'
import type { Book } from '../book'
import { type DocJson, docText, eachInline, type InlineJson, type ParagraphJson } from '../doc'
import { lineOf } from '../turned'
import {
  blocksMadeIn,
  type Finder,
  finderOf,
  hitsIn,
  linesOf,
  markedIn,
  replacedIn,
  type Search,
  sectionsBegunAt,
} from '.'

const docOf = (...content: DocJson['content']): DocJson => ({ type: 'doc', content })
const finder = (search: Search): Finder => {
  const made = finderOf(search)
  if (!made || 'trouble' in made) throw new Error('no finder')
  return made.find
}
const foundIn = (line: string, search: Search): string[] => finder(search)(line).map(f => line.slice(f.from, f.to))

describe('finding', () => {
  test('capitals and accents are alike unless they are told apart', () => {
    const line = 'The ÉMIGRÉ and the emigre, Émigré again'
    expect(foundIn(line, { words: 'émigré' })).toEqual(['ÉMIGRÉ', 'emigre', 'Émigré'])
    expect(foundIn(line, { words: 'emigre', accents: true })).toEqual(['emigre'])
    expect(foundIn(line, { words: 'Émigré', cases: true, accents: true })).toEqual(['Émigré'])
    expect(foundIn(line, { words: 'Emigre', cases: true })).toEqual(['Émigré'])
  })
  test('a letter of two signs is found whole, and so is one whose mark stands by itself', () => {
    expect(foundIn('cafe\u0301s and cafés', { words: 'cafe' })).toEqual(['cafe\u0301', 'café'])
    expect(foundIn('Straße, STRASSE', { words: 'straße' })).toEqual(['Straße'])
    expect(foundIn('a 𝒜 b', { words: '𝒜' })).toEqual(['𝒜'])
  })
  test('whole words are none that go on', () => {
    expect(foundIn('art, part, Art’s, artful, art', { words: 'art', whole: true })).toEqual(['art', 'Art', 'art'])
    expect(foundIn('ärt art', { words: 'art', whole: true })).toEqual(['ärt', 'art'])
  })
  test('patterns find what they say, with what their brackets hold', () => {
    const find = finder({ words: '(\\d+) (miles|leagues)', pattern: true })
    expect(find('20 miles and 3 Leagues')).toEqual([
      { from: 0, to: 8, groups: ['20', 'miles'] },
      { from: 13, to: 22, groups: ['3', 'Leagues'] },
    ])
    expect(find('no')).toEqual([])
    // What is empty is nowhere.
    expect(finder({ words: 'x*', pattern: true })('axb')).toHaveLength(1)
  })
  test.each([
    ['(tide', /bracket \( is opened/],
    ['tide)', /bracket \) closes/],
    ['[tide', /bracket \[ is opened/],
    ['*tide', /nothing before/],
    ['tide{', /\{ or \} stands alone/],
    ['(a+)+b', /might never come to an end/],
    ['(x|y*)*', /might never come to an end/],
  ])('a pattern that cannot be (%s) is said in plain words', (words, said) => {
    const made = finderOf({ words, pattern: true })
    expect(made && 'trouble' in made && made.trouble).toMatch(said)
  })
  test('nothing is looked for where nothing is said', () => {
    expect(finderOf({ words: '' })).toBeUndefined()
  })
  test('what is found is what was looked for, and nothing that is it is passed over', () => {
    const letters = fc.constantFrom('a', 'A', 'b', 'é', 'e', ' ', 'ß', '\u0301')
    fc.assert(
      fc.property(
        fc.string({ unit: letters, maxLength: 40 }),
        fc.string({ unit: letters, minLength: 1, maxLength: 3 }),
        (line, words) => {
          const plain = (s: string): string => s.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase()
          const all = foundIn(line, { words })
          for (const f of all) expect(plain(f)).toBe(plain(words))
          const wanted = plain(words)
          const naive = wanted ? plain(line).split(wanted).length - 1 : 0
          expect(all.length).toBe(naive)
        },
      ),
    )
  })
})

describe('lines of a document', () => {
  test('are those of its inline content, in the same order, whatever the book', () => {
    fc.assert(
      fc.property(anyBook, book => {
        for (const { doc } of book.sections) {
          const texts: string[] = []
          eachInline(doc, content => texts.push(lineOf(content)))
          expect(linesOf(doc).map(l => l.text)).toEqual(texts)
          expect(linesOf(doc)).toBe(linesOf(doc))
        }
      }),
      { numRuns: 60 },
    )
  })
  test('say whether they are text, a heading, a caption or a note, and of verse which line', () => {
    const doc = docOf(
      { type: 'heading', attrs: { id: 'h', level: 2 }, content: [{ type: 'text', text: 'Head' }] },
      {
        type: 'paragraph',
        attrs: { id: 'p' },
        content: [
          { type: 'text', text: 'Said' },
          { type: 'footnote', attrs: { id: 'n' }, content: [{ type: 'text', text: 'a note' }] },
        ],
      },
      {
        type: 'verse',
        attrs: { id: 'v' },
        content: [0, 1].map(i => ({
          type: 'line' as const,
          attrs: { indent: 0, stanza: false },
          content: [{ type: 'text' as const, text: `line ${i}` }],
        })),
      },
    )
    expect(linesOf(doc).map(l => [l.kind, l.block, l.row])).toEqual([
      ['heading', 'h', 0],
      ['text', 'p', 0],
      ['note', 'n', 0],
      ['text', 'v', 0],
      ['text', 'v', 1],
    ])
    expect(hitsIn(doc, finder({ words: 'line' })).map(h => [h.in.block, h.in.row])).toEqual([
      ['v', 0],
      ['v', 1],
    ])
  })
})

describe('putting other words in the place of what is found', () => {
  const em: InlineJson = { type: 'text', text: 'tide', marks: [{ type: 'em' }] }
  const p: ParagraphJson = {
    type: 'paragraph',
    attrs: { id: 'p' },
    content: [{ type: 'text', text: 'The ' }, em, { type: 'text', text: ' went, the Tide came.' }],
  }
  const find = finder({ words: 'tide' })

  test('keeps the formatting of the letters that went, and counts', () => {
    const { doc, count } = replacedIn(docOf(p), find, { replacement: 'water' })
    expect(count).toBe(2)
    expect(doc.content[0]).toMatchObject({
      content: [{ text: 'The ' }, { text: 'water', marks: [{ type: 'em' }] }, { text: ' went, the water came.' }],
    })
    expect(replacedIn(docOf(p), finder({ words: 'ebb' }), { replacement: 'x' }).count).toBe(0)
  })
  test('only where it is chosen; across formatting it is one; a note inside of it stays', () => {
    const chosen = replacedIn(docOf(p), find, { replacement: 'x', chosen: (_, f) => f.from > 10 })
    expect(docText(chosen.doc)).toBe('The tide went, the x came.')
    const across = replacedIn(docOf(p), finder({ words: 'the tide went' }), { replacement: 'It went' })
    expect(docText(across.doc)).toBe('It went, the Tide came.')
    const noted: ParagraphJson = {
      ...p,
      content: [
        { type: 'text', text: 'low' },
        { type: 'footnote', attrs: { id: 'n' }, content: [{ type: 'text', text: 'note' }] },
        { type: 'text', text: 'tide' },
      ],
    }
    const kept = replacedIn(docOf(noted), finder({ words: 'w.t', pattern: true }), { replacement: '-' }).doc
    expect(linesOf(kept).map(l => l.text)).toEqual(['lo-\ufffcide', 'note'])
  })
  test('of patterns with what their brackets hold; of words as it is written', () => {
    const miles = docOf(paragraph('a', '20 miles, 7 miles'))
    const put = (search: Search, replacement: string): string =>
      docText(replacedIn(miles, finder(search), { replacement }).doc)
    expect(put({ words: '(\\d+) miles', pattern: true }, '$1 leagues ($&)')).toBe(
      '20 leagues (20 miles), 7 leagues (7 miles)',
    )
    expect(put({ words: 'miles' }, '$1')).toBe('20 $1, 7 $1')
  })
  test('with the same words changes no text of any book; with nothing it takes just those letters', () => {
    fc.assert(
      fc.property(anyBook, fc.constantFrom('the', 'e', 'tide', ' ', 'ö'), (book, words) => {
        const exact = finder({ words, cases: true, accents: true })
        for (const { doc } of book.sections) {
          const same = replacedIn(doc, exact, { replacement: words })
          expect(linesOf(same.doc).map(l => l.text)).toEqual(linesOf(doc).map(l => l.text))
          const without = replacedIn(doc, exact, { replacement: '' })
          const kept = linesOf(doc).map(l => l.text.split(words).join(''))
          expect(
            linesOf(without.doc)
              .map(l => l.text)
              .join(''),
          ).toBe(kept.join(''))
        }
      }),
      { numRuns: 40 },
    )
  })
})

describe('marking what is found', () => {
  test('gives a mark to just those letters, in any book, and changes no word', () => {
    fc.assert(
      fc.property(anyBook, fc.constantFrom('the', 'a', 'tide'), (book, words) => {
        const find = finder({ words })
        for (const { doc } of book.sections) {
          const { doc: marked, count } = markedIn(doc, find, { mark: 'small_caps' })
          expect(linesOf(marked).map(l => l.text)).toEqual(linesOf(doc).map(l => l.text))
          expect(count).toBe(hitsIn(doc, find).length)
          // Again there is nothing left to mark.
          expect(markedIn(marked, find, { mark: 'small_caps' }).doc).toEqual(marked)
        }
      }),
      { numRuns: 40 },
    )
    const doc = docOf(paragraph('p', 'the Ostrich sailed'))
    expect(markedIn(doc, finder({ words: 'ostrich' }), { mark: 'em' }).doc.content[0]).toMatchObject({
      content: [{ text: 'the ' }, { text: 'Ostrich', marks: [{ type: 'em' }] }, { text: ' sailed' }],
    })
  })
  test('as chapters: each begins at its paragraph, whose words are its title, and no word of the book is lost', () => {
    const book = bookOf([
      ['First words.', 'Chapter One', 'It began.', 'Chapter Two', 'It went on.'],
      ['Chapter at the head', 'x'],
    ])
    const find = finder({ words: '^chapter', pattern: true })
    const all = sectionsBegunAt(book, find, { role: 'chapter', chosen: () => () => true })
    expect(all.count).toBe(2)
    const written = (b: Book) => b.sections.filter(s => !s.made)
    expect(written(all.book).map(s => [s.title, docText(s.doc)])).toEqual([
      ['Title 1', 'First words.'],
      ['Chapter One', 'It began.'],
      ['Chapter Two', 'It went on.'],
      // What stands first has begun already.
      ['Title 2', 'Chapter at the head\nx'],
    ])
    expect(new Set(all.book.sections.map(s => s.id)).size).toBe(all.book.sections.length)
    const one = sectionsBegunAt(book, find, { role: 'interlude', chosen: () => (_, f) => f.from === 0 && f.to === 7 })
    expect(written(one.book).map(s => s.role)).toEqual(['chapter', 'interlude', 'interlude', 'chapter'])
  })
  test('as headings, breaks and verse: a break only of what is nothing else', () => {
    const doc = docOf(paragraph('a', '***'), paragraph('b', 'and *** there'), paragraph('c', 'Chapter the First'))
    const stars = finder({ words: '***' })
    expect(blocksMadeIn(doc, stars, { as: 'scene break' })).toMatchObject({
      count: 1,
      doc: { content: [{ type: 'scene_break', attrs: { id: 'a' } }, { type: 'paragraph' }, { type: 'paragraph' }] },
    })
    const heads = blocksMadeIn(doc, finder({ words: '^chapter', pattern: true }), { as: 'heading' })
    expect(heads.doc.content[2]).toEqual({
      type: 'heading',
      attrs: { id: 'c', level: 2 },
      content: [{ type: 'text', text: 'Chapter the First' }],
    })
    expect(blocksMadeIn(doc, stars, { as: 'verse' }).doc.content.map(b => b.type)).toEqual([
      'verse',
      'verse',
      'paragraph',
    ])
  })
})

test('patterns that might never end are refused by their form; those that will are taken, and come to an end on the worst of lines', () => {
  const trouble = (words: string) => {
    const made = finderOf({ words, pattern: true })
    return made && 'trouble' in made ? made.trouble : undefined
  }
  for (const words of [
    '(a+)+b',
    '(a|aa)*$',
    '((a*)b?)*c',
    '(\\w\\s?)+x',
    '(?:x|xy)+z',
    '(a?){3,}b',
    '.*a.*b.*c',
    '\\w+\\s+\\w+x',
  ])
    expect([words, trouble(words)]).toEqual([words, expect.stringMatching(/never come to an end|too long/)])
  const line = 'a'.repeat(4000)
  for (const words of [
    '(ab|cd)+',
    '(?:one|two)*x',
    '\\b\\w+ing\\b',
    '“[^”]*$',
    'a.*b',
    '(.)\\1',
    '(\\w)(\\w)x',
    'colou?r',
    '\\d{1,3}',
  ]) {
    expect([words, trouble(words)]).toEqual([words, undefined])
    const made = finderOf({ words, pattern: true })
    // It comes to an end.
    if (made && 'find' in made) expect(made.find(line).length).toBeLessThanOrEqual(line.length)
  }
})
