import { describe, expect, test } from '@jest/globals'
import { strToU8 } from 'fflate'
import fc from 'fast-check'
import { anyBook } from '../../../../tests/support/arbitrary'
import { bookOf } from '../../../../tests/support/core'
import { cases } from '../../../../tests/support/deep'
import { type Book, bookText, docText, eachInline, type InlineJson, schema } from '../../book'
import { readManuscript } from '..'
import { lettersIn } from '../raw'
import { dirtKinds, tidied, typedFolios, usualKinds } from '.'

const all = new Set(dirtKinds.map(k => k.id))
const lines = (b: Book): string[] =>
  b.sections.filter(s => !s.made).flatMap(s => s.doc.content.map(x => docText({ type: 'doc', content: [x] })))
const one = (kind: string, book: Book) => {
  const { book: is, found } = tidied(book, new Set([kind]))
  return { lines: lines(is), found: found.find(f => f.id === kind) }
}

describe('dirt of real files', () => {
  test('empty paragraphs go, or are scene breaks where that is asked for; a section keeps one', () => {
    const book = bookOf([
      ['One.', '', '', 'Two.', ''],
      ['', ''],
    ])
    expect(one('spacing', book)).toMatchObject({ lines: ['One.', 'Two.', ''], found: { count: 4 } })
    const { book: broken } = tidied(book, new Set(['gaps']))
    expect(broken.sections.find(s => s.id === 's1')!.doc.content.map(b => b.type)).toEqual([
      'paragraph',
      'scene_break',
      'paragraph',
    ])
    expect(usualKinds.has('gaps')).toBe(false)
  })
  test('doubled spaces, soft hyphens, words divided by hand; a compound and a suspended hyphen stay', () => {
    const book = bookOf([
      [
        'Two  spaces   here.',
        'A har\u00adbour.',
        'The har- bour lay. Two- and three-year-olds. The lamp- post.',
        'A harbour was all, and a lamppost; a lamp, a post.',
      ],
    ])
    expect(one('spaces', book)).toMatchObject({
      lines: expect.arrayContaining(['Two spaces here.']),
      found: { count: 2 },
    })
    expect(one('soft-hyphens', book).lines[1]).toBe('A harbour.')
    expect(one('hyphens', book)).toMatchObject({
      lines: expect.arrayContaining(['The harbour lay. Two- and three-year-olds. The lamp- post.']),
      found: { count: 1, letters: 1 },
    })
  })
  test('a small picture that stands between paragraphs again and again parts scenes; one with a caption, a large one, one seldom seen do not', () => {
    const image = (id: string, asset: string, caption?: string) => ({
      type: 'image' as const,
      attrs: { id, asset, alt: '', decoration: false, share: 1 },
      ...(caption ? { content: [{ type: 'text' as const, text: caption }] } : {}),
    })
    const plain = bookOf([['One.'], ['Two.']])
    const book: Book = {
      ...plain,
      assets: (['star', 'map', 'seal'] as const).map((id, i) => ({
        id,
        type: 'image/png',
        width: 300,
        height: [40, 900, 40][i]!,
      })),
      sections: plain.sections.map(s =>
        s.id === 's1'
          ? {
              ...s,
              doc: {
                ...s.doc,
                content: [
                  ...s.doc.content,
                  ...[1, 2, 3].flatMap(i => [image(`i${i}`, 'star'), image(`m${i}`, 'map')]),
                  image('x4', 'star', 'A star.'),
                  image('x5', 'seal'),
                  image('x6', 'seal'),
                ],
              },
            }
          : s,
      ),
    }
    const { book: is, found } = tidied(book, new Set(['ornaments']))
    expect(is.sections.find(s => s.id === 's1')!.doc.content.map(b => b.type)).toEqual([
      'paragraph',
      ...[1, 2, 3].flatMap(() => ['scene_break', 'image']),
      'image',
      'image',
      'image',
    ])
    expect(found.find(f => f.id === 'ornaments')!.count).toBe(3)
  })
  test('typed quotes among printed ones become as those; where all are typed they are not mixed', () => {
    expect(one('quotes', bookOf([['“So,” she said.', 'He said "no".']])).lines).toEqual([
      '“So,” she said.',
      'He said “no”.',
    ])
    expect(one('quotes', bookOf([['He said "no".']])).found).toBeUndefined()
  })
  test('signs have the space that French sets, in French', () => {
    const english = bookOf([['Quoi? Voici : rien.']])
    const french: Book = { ...english, data: { ...english.data, language: 'fr-FR' } }
    expect(one('signs', french)).toMatchObject({ lines: ['Quoi\u202f? Voici\u00a0: rien.'], found: { count: 2 } })
    expect(one('signs', english).found).toBeUndefined()
  })
  test('what is left is told all the same; what has none is the very same', () => {
    const book = bookOf([['Two  spaces.', ''], ['Clean.']])
    const { book: is, found } = tidied(book, new Set(['spaces']))
    expect(found.map(f => [f.id, f.count])).toEqual([
      ['gaps', 1],
      ['spacing', 1],
      ['spaces', 1],
    ])
    expect(is.sections.find(s => s.id === 's2')).toBe(book.sections.find(s => s.id === 's2'))
    expect(tidied(bookOf([['Clean.']]), all).found).toEqual([])
    expect(tidied(book, all, 's2').book).toBe(book)
  })
  test('whatever is cleaned, letters go only where it is told, notes stay, documents are sound', () => {
    const notes = (b: Book): string[] => {
      const out: string[] = []
      for (const s of b.sections)
        if (!s.made)
          eachInline(s.doc, c => out.push(...c.flatMap((n: InlineJson) => (n.type === 'footnote' ? [n.attrs.id] : []))))
      return out
    }
    fc.assert(
      fc.property(anyBook, fc.subarray([...all]), (book, kinds) => {
        const { book: is, found } = tidied(book, new Set(kinds))
        const gone = found.filter(f => kinds.includes(f.id)).reduce((n, f) => n + (f.letters ?? 0), 0)
        expect(lettersIn(bookText(is))).toBe(lettersIn(bookText(book)) - gone)
        expect(notes(is)).toEqual(notes(book))
        for (const s of is.sections) schema.nodeFromJSON(s.doc).check()
        // Cleaned once, it is clean.
        for (const f of tidied(is, new Set()).found)
          expect(kinds.filter(k => k !== 'quotes' && k !== 'gaps')).not.toContain(f.id)
      }),
      { numRuns: cases(60, 2000) },
    )
  })
})

describe('folios that were typed', () => {
  const page = (n: number): string =>
    `${'The tide came in and went out again and nobody marked it at all '.repeat(14)}until ${n}`
  const text = (from: number, pages: number): string =>
    Array.from({ length: pages }, (_, i) => `${page(i)}\n\n- ${from + i} -`).join('\n\n')
  test('are no chapters, and go; left, they are lines', () => {
    const u = readManuscript('a.txt', strToU8(text(12, 6)))
    expect(u.book.sections.filter(s => !s.made)).toHaveLength(1)
    expect(bookText(u.book)).not.toMatch(/\b1[2-7]\b/)
    expect(u.cleaned.find(c => c.what.startsWith('typed page numbers'))).toMatchObject({ count: 6 })
    expect(bookText({ ...u.book, sections: u.asTyped! }).match(/- 1[2-7] -/g)).toHaveLength(6)
  })
  test('numbers of chapters are none: their texts end, are longer, or do not count on', () => {
    const told = (lines: string[]): number =>
      typedFolios(lines.map(text => ({ text, words: text.split(' ').length }))).size
    const ends = (n: number): string[] => [`${page(n)} was over.`, String(n)]
    expect(told([1, 2, 3, 4, 5].flatMap(ends))).toBe(0)
    expect(told([1, 2, 3, 4, 5].flatMap(n => [page(n).repeat(8), String(n)]))).toBe(0)
    expect(told([1, 4, 5, 9, 12].flatMap(n => [page(n), String(n)]))).toBe(0)
    expect(told([7, 8, 9, 10].flatMap(n => [page(n), `Page ${n}`]))).toBe(4)
  })
})
