import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { anyBook } from '../../../tests/support/arbitrary'
import { bookOf, chapter, paragraph } from '../../../tests/support/core'
import { cases } from '../../../tests/support/deep'
import { blockIds, type Book, type DocJson, docText, joinSections, moveSection, splitSection } from '../book'
import {
  blockBroughtBack,
  blocksBetween,
  bookBroughtBack,
  differenceOf,
  sectionBroughtBack,
  sectionsBetween,
  wordsBetween,
} from '.'

const docOf = (...paras: [id: string, text: string][]): DocJson => ({
  type: 'doc',
  content: paras.map(([id, text]) => paragraph(id, text)),
})
const said = (before: string, after: string): string =>
  wordsBetween(before, after)
    .map(p => (p.is === 'same' ? p.text : p.is === 'gone' ? `[-${p.text}-]` : `[+${p.text}+]`))
    .join('')

describe('words', () => {
  test('are told apart as a reader would', () => {
    expect(said('The bell rang twice.', 'The old bell rang.')).toBe('The [+old +]bell rang[- twice-].')
    expect(said('She went home at once.', 'She ran back at once.')).toBe('She [-went home-][+ran back+] at once.')
    expect(said('Nothing of this stays.', 'All else came here!')).toBe(
      '[-Nothing of this stays.-][+All else came here!+]',
    )
    expect(said('', 'New.')).toBe('[+New.+]')
  })
  test('read without what came they are the first text, without what went the second', () => {
    const text = fc
      .array(fc.constantFrom('the', 'a', 'bell', 'rang', ' ', ' ', '.', ',', 'ö', '\n'))
      .map(w => w.join(''))
    fc.assert(
      fc.property(text, text, (a, b) => {
        const parts = wordsBetween(a, b)
        const without = (is: string): string => parts.map(p => (p.is === is ? '' : p.text)).join('')
        expect([without('new'), without('gone')]).toEqual([a, b])
      }),
    )
  })
})

describe('blocks', () => {
  test('changed, new, gone, moved, set otherwise: each told once, in reading order', () => {
    const before = docOf(['a', 'One.'], ['b', 'Two stays.'], ['c', 'Three.'], ['d', 'Four.'], ['e', 'Five.'])
    const after: DocJson = {
      type: 'doc',
      content: [
        paragraph('d', 'Four.'),
        paragraph('a', 'One.'),
        paragraph('b', 'Two stayed.'),
        paragraph('x', 'Fresh.'),
        { ...paragraph('e', ''), content: [{ type: 'text', text: 'Five.', marks: [{ type: 'em' }] }] },
      ],
    }
    const told = blocksBetween(before, after).map(b => [b.id, b.fate, b.moved ?? false])
    expect(told).toEqual([
      ['d', 'same', true],
      ['a', 'same', false],
      ['b', 'words', false],
      ['c', 'gone', false],
      ['x', 'new', false],
      ['e', 'set otherwise', false],
    ])
  })
  test('what bears another name and says the same is the same', () => {
    expect(
      blocksBetween(docOf(['a', 'One.'], ['b', 'Two.']), docOf(['n1', 'One.'], ['b', 'Two.'])).map(b => b.fate),
    ).toEqual(['same', 'same'])
  })
})

const two = bookOf([])
const book: Book = {
  ...two,
  lastId: 20,
  sections: [
    chapter('s1', 'First', docOf(['b1', 'It began.'], ['b2', 'It went on.'])),
    chapter('s2', 'Second', docOf(['b3', 'It ended.'])),
  ],
}

describe('books', () => {
  test('a paragraph that went to another section has moved; sections come, go and move', () => {
    const moved: Book = {
      ...book,
      sections: [
        chapter('s3', 'Before', docOf(['b9', 'All new.'])),
        chapter('s1', 'First of all', docOf(['b1', 'It began.'])),
        chapter('s2', 'Second', docOf(['b3', 'It ended.'], ['b2', 'It went on and on.'])),
      ],
    }
    const sections = sectionsBetween(book, moved)
    expect(sections.map(s => [s.id, s.fate])).toEqual([
      ['s3', 'new'],
      ['s1', 'changed'],
      ['s2', 'changed'],
    ])
    expect(sections[2]!.blocks.map(b => [b.id, b.fate, b.moved ?? false])).toEqual([
      ['b3', 'same', false],
      ['b2', 'words', true],
    ])
    expect(differenceOf(sections)).toEqual({ changed: 1, fresh: 1, gone: 0, moved: 1, wordsNew: 7, wordsGone: 0 })
    expect(sectionsBetween(book, { ...book, sections: [book.sections[1]!] }).map(s => s.fate)).toEqual(['gone', 'same'])
  })
})

const textOf = (b: Book, id: string): string => docText(b.sections.find(s => s.id === id)!.doc)

describe('brought back', () => {
  const now: Book = {
    ...book,
    lastId: 30,
    sections: [
      chapter('s1', 'First', docOf(['b2', 'It went otherwise.'])),
      chapter('s4', 'Fourth', docOf(['b30', 'New.'])),
    ],
  }
  test('a paragraph that changed, one that has gone, a section that has gone: where they stood; the rest stays', () => {
    expect(textOf(blockBroughtBack(now, book, 'b2'), 's1')).toBe('It went on.')
    expect(textOf(blockBroughtBack(now, book, 'b1'), 's1')).toBe('It began.\nIt went otherwise.')
    const back = sectionBroughtBack(now, book, 's2')
    expect(back.sections.map(s => s.id)).toEqual(['s1', 's2', 's4'])
    expect(blockBroughtBack(now, book, 'b99')).toBe(now)
    const whole = bookBroughtBack({ ...now, uid: 'u' }, book)
    expect([whole.lastId, whole.uid, whole.sections]).toEqual([30, 'u', book.sections])
  })
  test('a paragraph that moved to another section says there what it said; one of a section that has gone waits for that', () => {
    const moved: Book = {
      ...book,
      sections: [
        chapter('s1', 'First', docOf(['b1', 'It began.'])),
        chapter('s2', 'Second', docOf(['b3', 'It ended.'], ['b2', 'It went otherwise.'])),
      ],
    }
    const back = blockBroughtBack(moved, book, 'b2')
    expect([textOf(back, 's1'), textOf(back, 's2')]).toEqual(['It began.', 'It ended.\nIt went on.'])
    expect(blockBroughtBack(now, book, 'b3')).toBe(now)
  })
  test('a paragraph that shows a picture brings it along, once', () => {
    const picture = (id: string) => ({ id, type: 'image/png' as const, width: 8, height: 8 })
    const shows = {
      type: 'image',
      attrs: { id: 'b5', asset: 'bell', alt: 'A bell', decoration: false, share: 1 },
    } as never
    const was: Book = {
      ...book,
      assets: [picture('bell'), picture('unused')],
      sections: [{ ...book.sections[0]!, doc: { type: 'doc', content: [...book.sections[0]!.doc.content, shows] } }],
    }
    const back = blockBroughtBack(now, was, 'b5')
    expect(back.assets.map(a => a.id)).toEqual(['bell'])
    expect(back.sections[0]!.doc.content.map(b => b.attrs.id)).toEqual(['b2', 'b5'])
    expect(blockBroughtBack(back, was, 'b5').assets.map(a => a.id)).toEqual(['bell'])
    expect(sectionBroughtBack(now, was, 's1').assets.map(a => a.id)).toEqual(['bell'])
  })
  test('any book after a join, a split or a move: each section can be brought back as it was, every name given once, no word of the others lost', () => {
    fc.assert(
      fc.property(anyBook, fc.nat(), fc.nat(2), (was, n, how) => {
        const at = was.sections[n % was.sections.length]!
        const blocks = at.doc.content.map(b => b.attrs.id)
        const since =
          how === 0
            ? joinSections(was, at.id)
            : how === 1
              ? splitSection(was, at.id, blocks[n % blocks.length]!)
              : moveSection(was, at.id, 0)
        for (const { id, made } of was.sections) {
          if (made) continue
          const back = sectionBroughtBack(since, was, id)
          expect(textOf(back, id)).toBe(textOf(was, id))
          const ids = back.sections.flatMap(s => blockIds(s.doc))
          expect(new Set(ids).size).toBe(ids.length)
          for (const s of since.sections) if (s.id !== id) expect(textOf(back, s.id)).toBe(docText(s.doc))
        }
      }),
      { numRuns: cases(120, 3000) },
    )
  })
})

test('any two books: what is told of each section reads as the one, and as the other', () => {
  fc.assert(
    fc.property(anyBook, anyBook, (a, b) => {
      const read = (sections: ReturnType<typeof sectionsBetween>, without: 'new' | 'gone', id: string): string[] =>
        (sections.find(s => s.id === id)?.blocks ?? [])
          .filter(x => (without === 'new' ? x.before : x.after))
          .map(x => x.parts.map(p => (p.is === without ? '' : p.text)).join(''))
      const sections = sectionsBetween(a, b)
      for (const s of b.sections)
        if (!s.made)
          expect(read(sections, 'gone', s.id)).toEqual(s.doc.content.map(x => docText({ type: 'doc', content: [x] })))
    }),
    { numRuns: cases(90, 3000) },
  )
})
