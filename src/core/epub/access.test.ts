import { describe, expect, test } from '@jest/globals'
import { bookOf, chapter, paragraph } from '../../../tests/support/core'
import type { Asset, BlockJson, Book } from '../book'
import { accessGaps, buildEpub } from '.'

const asset: Asset = { id: 'a'.repeat(64), type: 'image/png', width: 10, height: 10 }
const bookWith = (...content: BlockJson[]): Book => ({
  ...bookOf([]),
  assets: [asset],
  sections: [chapter('c1', 'One', { type: 'doc', content: [paragraph('p1', 'Words.'), ...content] })],
})
const picture = (alt: string, decoration = false): BlockJson => ({
  type: 'image',
  attrs: { id: 'i1', asset: asset.id, alt, decoration, share: 1 },
})
const heading = (id: string, level: number): BlockJson => ({
  type: 'heading',
  attrs: { id, level },
  content: [{ type: 'text', text: 'Salt' }],
})
const linked = (words: string): BlockJson => ({
  ...paragraph('l1', ''),
  content: [{ type: 'text', text: words, marks: [{ type: 'link', attrs: { href: 'https://merrow.example' } }] }],
})
const gaps = (...content: BlockJson[]): string[] =>
  accessGaps(bookWith(...content), { assets: new Map([[asset.id, asset]]), recordings: new Map() }).map(
    g => `${g.kind} ${g.block}`,
  )

describe('what keeps a reader out', () => {
  test('is found at its place', () => {
    expect(gaps(picture(''))).toEqual(['picture not described i1'])
    expect(gaps(picture('IMG_2041.jpg'))).toEqual(['description is a file’s name i1'])
    expect(gaps(heading('h1', 1), heading('h2', 3))).toEqual(['heading skips a level h2'])
    expect(gaps(linked('here'))).toEqual(['link says nothing l1'])
  })
  test('is not found where there is nothing', () => {
    expect(
      gaps(
        picture('A lamp on a mole'),
        picture('', true),
        heading('h1', 1),
        heading('h2', 2),
        linked('The tide tables'),
      ),
    ).toEqual([])
  })
  test('decides whether the file says that it conforms', () => {
    const says = (book: Book): boolean =>
      buildEpub(book, { date: '2026-01-01T00:00:00Z', picture: () => Uint8Array.of(1) }).metadata.some(
        m => m.attrs.property === 'dcterms:conformsTo',
      )
    expect(says(bookWith(picture('A lamp on a mole')))).toBe(true)
    expect(says(bookWith(picture('')))).toBe(false)
  })
})
