import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { anyBook } from '../../../tests/support/arbitrary'
import { bookOf } from '../../../tests/support/core'
import { cases } from '../../../tests/support/deep'
import {
  type Book,
  bookText,
  brokenLinks,
  type ImageJson,
  innerLinks,
  joinSections,
  linkedPlaces,
  linkTargets,
  type ParagraphJson,
  removeSection,
  retargeted,
  splitSection,
  withCountedIds,
} from '.'

const link = (words: string, to: string): ParagraphJson => ({
  type: 'paragraph',
  attrs: { id: `p${to}`, align: null },
  content: [
    { type: 'text', text: words.slice(0, 2), marks: [{ type: 'link', attrs: { href: `#${to}` } }, { type: 'em' }] },
    { type: 'text', text: words.slice(2), marks: [{ type: 'link', attrs: { href: `#${to}` } }] },
  ],
})

/** A book whose first section has links to some ids. */
function linked(...to: string[]): Book {
  const book = bookOf([['One.'], ['Two.', 'Three.']])
  return {
    ...book,
    sections: book.sections.map(s =>
      s.id === 's1'
        ? { ...s, doc: { type: 'doc', content: [...s.doc.content, ...to.map(t => link('see there', t))] } }
        : s,
    ),
  }
}
const first = (b: Book) => b.sections.find(s => s.id === 's1')!
const second = (b: Book) => b.sections.find(s => s.title === 'Title 2')!

describe('links inside a book', () => {
  test('are told with their words, however these are formatted, and those that lead nowhere by themselves', () => {
    const book = linked('s2', 'gone')
    expect(innerLinks(first(book).doc).map(l => [l.to, l.words])).toEqual([
      ['s2', 'see there'],
      ['gone', 'see there'],
    ])
    expect(brokenLinks(book.sections)).toEqual([{ section: 's1', to: 'gone', block: 'pgone', words: 'see there' }])
    expect([...linkedPlaces(book.sections)]).toEqual([['s2', { section: 's2' }]])
  })
  test('follow a heading that becomes a section, and a section that becomes a heading; what goes breaks them', () => {
    const joined = joinSections(linked('s2'), 's2')
    expect(brokenLinks(joined.sections)).toEqual([])
    const [place] = linkedPlaces(joined.sections).values()
    const seam = first(joined).doc.content.find(b => b.attrs.id === place!.block)!
    expect(seam).toMatchObject({ type: 'heading', content: [{ text: 'Title 2' }] })
    const split = splitSection(joined, 's1', seam.attrs.id)
    expect([...linkedPlaces(split.sections).keys()]).toEqual([second(split).id])
    expect(brokenLinks(removeSection(split, second(split).id).sections)).toHaveLength(1)
  })
  test('are those of pictures, too', () => {
    const book = linked('s2')
    const at: ImageJson = {
      type: 'image',
      attrs: { id: 'i1', asset: 'a', alt: '', decoration: true, share: 1, leads: '#s2' },
    }
    first(book).doc.content.push(at)
    expect(innerLinks(first(book).doc).map(l => [l.block, l.to])).toEqual([
      ['i1', 's2'],
      ['ps2', 's2'],
    ])
    const leads = (b: Book): unknown => first(b).doc.content.at(-1)!.attrs
    expect(leads({ ...book, sections: retargeted(book.sections, () => 'n1') })).toMatchObject({ leads: '#n1' })
    expect(leads({ ...book, sections: retargeted(book.sections, () => null) })).toMatchObject({ leads: '' })
    expect(brokenLinks(removeSection(book, second(book).id).sections).map(l => l.block)).toEqual(['i1', 'ps2'])
  })
  test('lead to a block through a split that leaves it where it is', () => {
    const book = linked()
    const last = second(book).doc.content[1]!.attrs.id
    const split = splitSection(linked(last), 's2', last)
    expect(brokenLinks(split.sections)).toEqual([])
  })
  test('led elsewhere leave every other word and document as it was', () => {
    fc.assert(
      fc.property(anyBook, fc.nat(), (book, pick) => {
        const targets = [...linkTargets(book.sections).keys()]
        const to = targets[pick % targets.length]
        expect(
          retargeted(book.sections, t => (t === to ? null : undefined)).every((s, i) => s === book.sections[i]),
        ).toBe(!book.sections.some(s => innerLinks(s.doc).some(l => l.to === to)))
        const all = { ...book, sections: retargeted(book.sections, () => null) }
        expect(bookText(all)).toBe(bookText(book))
        expect(all.sections.flatMap(s => innerLinks(s.doc))).toEqual([])
      }),
      { numRuns: cases(40, 1000) },
    )
  })
})

test('ids that no counter gave are counted, links lead where they led, and a sound book is the very same', () => {
  const book = linked('tb12')
  const odd: Book = { ...book, sections: book.sections.map(s => (s.id === 's2' ? { ...s, id: 'tb12' } : s)) }
  const is = withCountedIds(odd)
  const to = second(is).id
  expect(to).toMatch(/^s\d+$/)
  expect([...linkedPlaces(is.sections).keys()]).toEqual([to])
  // Its paragraph's id was none of a counter's, either.
  expect(first(is).doc.content.at(-1)!.attrs.id).toMatch(/^b\d+$/)
  expect(is.lastId).toBeGreaterThan(odd.lastId)
  expect(bookText(is)).toBe(bookText(odd))
  expect(withCountedIds(is)).toBe(is)
  // What a book had before keeps its name.
  expect(withCountedIds(odd, odd)).toBe(odd)
})
