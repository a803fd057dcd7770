import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { anyBook, anyDoc, somePictures } from '../../../tests/support/arbitrary'
import { bookOf, chapter } from '../../../tests/support/core'
import { cases } from '../../../tests/support/deep'
import {
  asMatter,
  type Book,
  docText,
  follow,
  matterState,
  placeMatter,
  saidBy,
  schema,
  type Section,
  unfollowed,
  withMatter,
  withOwnIds,
} from '.'

const plain = bookOf([['One.'], ['Two.']])
const last = (b: Book): Section => b.sections.find(s => s.matter)!
const about = (words: string): Section => ({
  ...chapter('s9', 'About Orla', {
    type: 'doc',
    content: [{ type: 'paragraph', attrs: { id: 'b9', align: null }, content: [{ type: 'text', text: words }] }],
  }),
  part: 'back',
  role: 'about-author',
  numbered: false,
})
const kept = (words: string) => asMatter(plain, about(words), { id: 'about', name: 'About me' })

describe('standing matter', () => {
  test('of any section stands in any book with all its words and pictures, under ids of the book’s own', () => {
    fc.assert(
      fc.property(anyBook, anyDoc, (book, doc) => {
        const from: Book = { ...plain, assets: somePictures }
        const matter = asMatter(from, { ...about(''), doc }, { id: 'about', name: 'About' })
        const next = placeMatter(book, matter)
        const s = last(next)
        expect(docText(s.doc)).toBe(docText(doc))
        expect([s.part, s.role, s.title]).toEqual(['back', 'about-author', 'About Orla'])
        expect(matterState(s, matter)).toBe('as kept')
        expect(withOwnIds(next)).toBe(next)
        for (const a of matter.assets) expect(next.assets.map(x => x.id)).toContain(a.id)
        // Written by an editor it says the same: what stands for nothing is no word.
        const written = schema.nodeFromJSON(s.doc).toJSON() as Section['doc']
        expect(matterState({ ...s, doc: written }, matter)).toBe('as kept')
      }),
      { numRuns: cases(60, 600) },
    )
  })

  test('reaches the books that are behind, and leaves those that were changed', () => {
    const [first, second] = [kept('Born at sea.'), kept('Born at sea, and back.')]
    const book = placeMatter(plain, first)
    expect(matterState(last(book), second)).toBe('behind')
    const next = withMatter(book, second)
    expect(docText(last(next).doc)).toBe('Born at sea, and back.')
    expect(matterState(last(next), second)).toBe('as kept')
    expect(withMatter(next, second)).toBe(next)

    const changed: Book = { ...book, sections: book.sections.map(s => (s.matter ? { ...s, title: 'On Orla' } : s)) }
    expect(matterState(last(changed), first)).toBe('changed here')
    expect(withMatter(changed, second)).toBe(changed)
    // Its words are taken back, or it is its own again.
    expect(matterState(last(follow(changed, last(changed).id, second)), second)).toBe('as kept')
    expect(unfollowed(changed, last(changed).id).sections.some(s => s.matter)).toBe(false)
  })

  test('a link into its own book stays behind, its words go along; one within it leads there still', () => {
    const link = (to: string) => ({
      type: 'text' as const,
      text: to,
      marks: [{ type: 'link' as const, attrs: { href: `#${to}` } }],
    })
    const s = about('')
    s.doc.content = [
      {
        type: 'paragraph',
        attrs: { id: 'b9', align: null },
        content: [link('s1'), { type: 'text', text: ' ' }, link('b10')],
      },
      { type: 'paragraph', attrs: { id: 'b10', align: null }, content: [{ type: 'text', text: 'There.' }] },
    ]
    const matter = asMatter(plain, s, { id: 'about', name: 'About' })
    expect(matterState(last(placeMatter(plain, matter)), matter)).toBe('as kept')
    const placed = last(placeMatter(plain, matter)).doc
    expect(docText(placed)).toBe(docText(s.doc))
    const marks = placed.content.flatMap(b =>
      'content' in b ? (b.content as { marks?: object[] }[]).flatMap(n => n.marks ?? []) : [],
    )
    expect(marks).toEqual([{ type: 'link', attrs: { href: `#${placed.content[1]!.attrs.id}` } }])
  })

  test('a word more is told from none', () => {
    fc.assert(
      fc.property(fc.string(), fc.string(), (a, b) => {
        expect(saidBy(about(a || 'x')) === saidBy(about(b || 'x'))).toBe((a || 'x') === (b || 'x'))
      }),
    )
  })
})
