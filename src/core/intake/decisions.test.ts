import { describe, expect, test } from '@jest/globals'
import { strToU8 } from 'fflate'
import { bookOf } from '../../../tests/support/core'
import { docText, type Section } from '../book'
import { decided, decideLevel, type Decisions, readAgain, readManuscript, sectionOfCandidate } from '.'

const read = (html: string) => readManuscript('a.html', strToU8(html))
const NONE: Decisions = new Map()
const outline = (sections: readonly Section[]): string[] =>
  sections
    .filter(s => !s.made)
    .flatMap(s => [
      `${s.role} ${s.title}`.trim(),
      ...s.doc.content.flatMap(b =>
        b.type === 'heading' ? [`  ${b.attrs.level} ${docText({ type: 'doc', content: [b] })}`] : [],
      ),
    ])

const page = `<h1>The Tide</h1><p>It rose.</p><h2>Salt</h2><p>Dear.</p><h3>Pans</h3><p>Boiled.</p><h1>The Rope</h1><p>Frayed.</p><h2>Tar</h2><p>Black.</p>`

describe('levels of headings', () => {
  test('become parts, chapters or headings inside, back and forth', () => {
    const u = read(page)
    const of = { sections: u.book.sections, levels: u.levels, candidates: u.candidates }
    expect(outline(u.book.sections)).toEqual([
      'chapter The Tide',
      '  1 Salt',
      '  2 Pans',
      'chapter The Rope',
      '  1 Tar',
    ])
    const parts = decideLevel(of, 1, 'part', NONE)
    const both = decideLevel(of, 2, 'chapter', parts)
    expect(outline(decided(u.book, u.candidates, both).sections)).toEqual([
      'part The Tide',
      'chapter Salt',
      '  1 Pans',
      'part The Rope',
      'chapter Tar',
    ])
    const back = decideLevel(of, 1, 'chapter', decideLevel(of, 2, 'inside', both))
    expect(outline(decided(u.book, u.candidates, back).sections)).toEqual(outline(u.book.sections))
  })
})

describe('a decision', () => {
  const u = read(page)
  const [salt] = u.candidates
  test('on a line holds once it is taken', () => {
    const id = sectionOfCandidate(salt!)
    const d: Decisions = new Map([[id, { taken: true, title: 'Of Salt', role: 'interlude' }]])
    expect(outline(decided(u.book, u.candidates, d).sections)).toContain('interlude Of Salt')
    expect(outline(decided(u.book, u.candidates, new Map([[id, { title: 'Of Salt' }]])).sections)).toEqual(
      outline(u.book.sections),
    )
  })
  test('that makes a title a line keeps its words in the text of the section before', () => {
    const last = u.book.sections.find(s => s.title === 'The Rope')!
    const { sections } = decided(u.book, [], new Map([[last.id, { runsOn: 'line' }]]))
    expect(sections.filter(s => !s.made).map(s => docText(s.doc))).toEqual([
      'It rose.\nSalt\nDear.\nPans\nBoiled.\nThe Rope\nFrayed.\nTar\nBlack.',
    ])
  })
})

describe('a page that was typed and that the book makes', () => {
  const u = read(
    '<p style="text-align:center;font-size:28pt">The Salt Lamp</p><p>by Ada Pell</p><h1>Contents</h1><p>Chapter One 1</p><p>Chapter Two 9</p><h1>Chapter One</h1><p>Salt was dear.</p><h1>Chapter Two</h1><p>Rope.</p>',
  )
  const page = (role: string, sections = u.book.sections) => {
    const s = sections.find(x => x.role === role)!
    return [s.made, docText(s.doc)]
  }
  test('is made by it, with what was typed behind; nothing of it is a heading', () => {
    expect(page('title-page')).toEqual([true, 'The Salt Lamp\nby Ada Pell'])
    expect(page('contents')).toEqual([true, 'Contents\nChapter One 1\nChapter Two 9'])
    expect(u.candidates).toEqual([])
    expect(u.cleaned.map(c => c.what).join()).toContain('typed title page')
    expect(u.book.sections.filter(s => s.role === 'title-page')).toHaveLength(1)
  })
  test('stands as it was typed where that is decided, and is made again', () => {
    const id = u.book.sections.find(s => s.role === 'contents')!.id
    const { sections } = decided(u.book, u.candidates, new Map([[id, { made: false }]]))
    expect(page('contents', sections)[0]).toBe(false)
    const again = decided({ ...u.book, sections }, [], new Map([[id, { made: true }]]))
    expect(again.sections).toEqual(u.book.sections)
    // A chapter is nothing that the book makes.
    const chapter = u.book.sections.find(s => s.role === 'chapter')!
    expect(decided(u.book, [], new Map([[chapter.id, { made: true }]])).sections).toEqual(u.book.sections)
  })
})

describe('a book that is read again', () => {
  const pasted = ['Chapter One', 'Salt was dear.', 'Chapter Two: The Rope', 'It frayed.', 'THE END', 'And so on.']
  test('finds what was pasted into one section; the rest is folded', () => {
    const book = bookOf([pasted])
    const { candidates, strong } = readAgain(book)
    expect(candidates.map(c => [c.title, c.numbered, strong.has(c.block)])).toEqual([
      ['', true, true],
      ['The Rope', true, true],
      ['THE END', false, false],
    ])
    const d: Decisions = new Map(
      candidates.filter(c => strong.has(c.block)).map(c => [sectionOfCandidate(c), { taken: true }]),
    )
    expect(
      decided(book, candidates, d)
        .sections.filter(s => !s.made)
        .map(s => [s.title, docText(s.doc)]),
    ).toEqual([
      ['Title 1', ''],
      ['', 'Salt was dear.'],
      ['The Rope', 'It frayed.\nTHE END\nAnd so on.'],
    ])
  })
  test('looks at one section alone where that is asked', () => {
    const book = bookOf([pasted, pasted])
    expect(readAgain(book, 's2').candidates.map(c => c.block)).toEqual(
      readAgain(book)
        .candidates.map(c => c.block)
        .slice(3),
    )
    expect(readAgain(book, 'nowhere').candidates).toEqual([])
  })
  test('under a title of its own a heading stays one, unless its words count', () => {
    const { book } = read('<h1>The Tide</h1><p>a</p><h2>Salt</h2><p>b</p><h1>Rope</h1><p>c</p>')
    expect(readAgain(book)).toEqual({
      candidates: [expect.objectContaining({ title: 'Salt', level: 1 })],
      strong: new Set(),
    })
  })
})
