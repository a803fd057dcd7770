import { checkEpub } from '.'
import { beforeAll, expect, test } from '@jest/globals'
import { createCanvas } from '@napi-rs/canvas'
import { nodePorts } from '@/cli/ports'
import { longText } from '../../../scripts/lib/longText'
import { bookOf, setBook, shelf } from '../../../tests/support/core'
import { type Book, hashOf, type ImageJson, type ParagraphJson } from '../book'
import { fixedPages, makeEbook } from '../delivery'
import { elements, find, parseXml, targetIn, textOf, type XmlElement } from '../files'
import { BLACK, pageDrawing, type PageMarks, pageText } from '../marks'
import { harbourRoman, type Interior } from '../pages'
import { type Epub, openEpub } from '../publication'

let book: Book
let interior: Interior
let epub: Epub
let alone: string
beforeAll(async () => {
  const picture = new Uint8Array(await createCanvas(60, 40).encode('png'))
  alone = hashOf(picture)
  const plain = bookOf(longText(1800, 3), 'Fixed')
  const link: ParagraphJson = {
    type: 'paragraph',
    attrs: { id: 'b901', align: null },
    content: [
      { type: 'text', text: 'It is told ' },
      { type: 'text', text: 'at the beginning', marks: [{ type: 'link', attrs: { href: '#s1' } }] },
    ],
  }
  const image: ImageJson = {
    type: 'image',
    attrs: { id: 'b900', asset: alone, alt: 'A quiet sea', decoration: false, share: 0.5 },
  }
  book = {
    ...plain,
    assets: [{ id: alone, type: 'image/png', width: 60, height: 40 }],
    sections: plain.sections.map((s, i) =>
      i + 1 < plain.sections.length ? s : { ...s, doc: { ...s.doc, content: [...s.doc.content, image, link] } },
    ),
  }
  interior = await setBook(book)
  const canvas = await createCanvas(160, 240).encode('jpeg', 80)
  const made = await makeEbook(
    book,
    {
      isbn: undefined,
      date: '2026-03-09T00:00:00Z',
      style: harbourRoman,
      settings: { fixed: true },
      front: { bytes: new Uint8Array(canvas), width: 160, height: 240 },
      rules: undefined,
      pages: undefined,
      printed: 'Fixed, paperback',
      fixed: fixedPages(book, interior),
      outlet: 'ostrevane',
      elsewhere: new Map(),
    },
    undefined,
    shelf,
    nodePorts(new Map([[alone, picture]])),
  )
  expect(made.leftOut).toEqual([])
  expect(checkEpub(made.bytes)).toEqual([])
  epub = openEpub(made.bytes)
})

const read = (path: string): XmlElement => parseXml(epub.items.find(i => i.path === path)!.data, path)
const pathOf = (id: string): string => epub.items.find(i => i.id === id)!.path
/** Pages behind the cover. */
const leaves = (): { path: string; properties: string[] }[] =>
  epub.spine.slice(1).map(s => ({ path: pathOf(s.id), properties: s.properties }))
const letters = (text: string): string => text.replace(/[\s\u00ad]/g, '')
const within = (e: XmlElement, name: string): XmlElement[] => [
  ...elements(e).flatMap(c => [...(c.name.endsWith(name) ? [c] : []), ...within(c, name)]),
]

test('a leaf for each printed page, on its side, in its size', () => {
  expect(leaves()).toHaveLength(interior.pages.length)
  expect(epub.spine[0]!.properties).toEqual(['rendition:page-spread-center'])
  leaves().forEach(({ path, properties }, i) => {
    expect(properties).toEqual([i % 2 ? 'page-spread-left' : 'page-spread-right'])
    const meta = within(read(path), 'meta').find(m => m.attrs.name === 'viewport')!
    // 6 × 9 in, in CSS pixels.
    expect(meta.attrs.content).toBe('width=576, height=864')
  })
})

test('the words over a page are the words that are set on it, in order, and each lies where it is seen', () => {
  leaves().forEach(({ path }, i) => {
    const lines = within(read(path), 'text')
    expect(letters(lines.map(textOf).join(''))).toBe(letters(pageText(interior.pages[i]!)))
    for (const line of lines) {
      const [x, long] = [Number(line.attrs.x), Number(line.attrs.textLength)]
      expect(x).toBeGreaterThanOrEqual(-10)
      expect(x + long).toBeLessThan(433)
    }
  })
})

test('pictures say what they show; what is drawn of words is not read twice', () => {
  const images = leaves().flatMap(({ path }) => within(read(path), 'image'))
  expect(images.map(i => i.attrs['aria-label'])).toEqual(['A quiet sea'])
  for (const { path } of leaves()) {
    const uses = within(read(path), 'use')
    const hidden = within(read(path), 'g').filter(g => g.attrs['aria-hidden'] === 'true')
    expect(hidden.flatMap(g => within(g, 'use'))).toHaveLength(uses.length)
  }
})

test('contents lead to the page on which each chapter begins; the list of pages to all', () => {
  const starts = book.sections.filter(s => s.role === 'chapter').map(s => interior.starts.get(s.id)!)
  expect(epub.nav.slice(-starts.length).map(n => n.href)).toEqual(starts.map(p => leaves()[p]!.path))
  expect(epub.pages.map(p => [p.label, p.href.split('#')[0]])).toEqual(
    interior.pages.map((p, i) => [p.label, leaves()[i]!.path]),
  )
  for (const { path } of leaves()) expect(find(read(path), 'div')!.attrs.id).toBe('page')
  expect(epub.metadata.some(m => m.value.startsWith('EPUB Accessibility'))).toBe(false)
})

const ON_IT = { words: 'Low tide', x: 0.25, baseline: 0.75, width: 0.5, size: 0.1 }

test('words that lead to another place of the book lead to its page', () => {
  const links = leaves().flatMap(({ path }) => within(read(path), 'a').map(a => ({ path, a })))
  const leading = links.filter(l => textOf(l.a).includes('beginning'))
  expect(leading).toHaveLength(1)
  const [{ path, a }] = leading as [{ path: string; a: XmlElement }]
  expect(targetIn(path, a.attrs['xlink:href']!)).toBe(leaves()[interior.starts.get('s1')!]!.path)
})

test('what is turned and clipped stays so, its pictures where they lie', () => {
  const square = { ops: new Uint8Array([0, 1, 1, 4]), xy: new Float32Array([0, 0, 10, 0, 10, 10]) }
  const marks: PageMarks = {
    width: 100,
    height: 100,
    bleed: { top: 9, right: 9, bottom: 9, left: 9 },
    label: '1',
    side: 'recto',
    layers: [
      {
        x: 5,
        y: 6,
        layer: {
          items: [
            {
              kind: 'group',
              transform: [0, 1, -1, 0, 3, 4],
              clip: square,
              opacity: 0.5,
              layers: [
                {
                  items: [
                    { kind: 'path', path: square, fill: BLACK },
                    { kind: 'image', asset: 'a', x: 1, y: 2, width: 3, height: 4 },
                  ],
                },
              ],
            },
          ],
        },
      },
    ],
  }
  const drawn = parseXml(
    new TextEncoder().encode(String(pageDrawing(marks, { href: () => 'a.png', words: () => [ON_IT] }))),
    'drawing',
  )
  expect(drawn.attrs.viewBox).toBe('0 0 100 100')
  const [outer, group] = within(drawn, 'g')
  expect(outer!.attrs.transform).toBe('translate(5 6)')
  expect(group!.attrs).toMatchObject({ transform: 'matrix(0 1 -1 0 3 4)', opacity: '0.5' })
  expect(group!.attrs['clip-path']).toBe(`url(#${within(drawn, 'clipPath')[0]!.attrs.id})`)
  expect(within(group!, 'image')[0]!.attrs).toMatchObject({ 'x': '1', 'aria-hidden': 'true' })
  // What is written on a picture lies over it.
  expect(within(group!, 'text').map(t => [textOf(t), t.attrs.x, t.attrs.y, t.attrs.textLength])).toEqual([
    ['Low tide', '1.75', '5', '1.5'],
  ])
  // A picture that is nowhere leaves no broken one.
  expect(String(pageDrawing(marks, { href: () => undefined }))).not.toContain('<image')
})
