import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { longText } from '../../../scripts/lib/longText'
import { bookOf, chapter, paragraph, setBook, shelf } from '../../../tests/support/core'
import { type Asset, type BlockJson, type Book, type ImageStand, imageStands, type Section } from '../book'
import { type ImageMark, type PageMarks, pageText, visitPage } from '../marks'
import { check } from '../check'
import { harbourRoman, type Interior, Setter, withChanges } from '.'

const assets: Asset[] = [
  { id: 'wide', type: 'image/png', width: 2400, height: 1500 },
  { id: 'tall', type: 'image/png', width: 900, height: 1400 },
  { id: 'small', type: 'image/png', width: 120, height: 60 },
]
const picture = (id: string, stands: ImageStand, asset = 'wide', share = 0.4, caption?: string): BlockJson => ({
  type: 'image',
  attrs: { id, asset, alt: 'A lamp', decoration: false, share, stands },
  ...(caption ? { content: [{ type: 'text', text: caption }] } : {}),
})
const texts = longText(6000, 1)[0]!
const paragraphs = (from: number, to: number): BlockJson[] =>
  texts.slice(from, to).map((t, i) => paragraph(`p${from + i}`, t))
const bookWith = (content: BlockJson[], more: Partial<Section> = {}): Book => ({
  ...bookOf([['x']]),
  assets,
  sections: [{ ...chapter('s1', 'Lamps', { type: 'doc', content }), ...more }],
})

interface Seen {
  page: number
  item: ImageMark
  x: number
  y: number
  role?: string
}
const picturesOf = ({ pages }: Interior): Seen[] =>
  pages.flatMap((p, page) => {
    const out: Seen[] = []
    visitPage(
      p,
      v =>
        'item' in v &&
        v.item.kind === 'image' &&
        out.push({ page, item: v.item, x: v.x + v.item.x, y: v.y + v.item.y, ...(v.role ? { role: v.role } : {}) }),
    )
    return out
  })
/** Boxes of the lines of text of a page's own layer: left, right, baseline, block. */
function linesOn(p: PageMarks, layer = 0): { x0: number; x1: number; y: number; block: string }[] {
  const { layer: l, x, y } = p.layers[layer] ?? { layer: undefined, x: 0, y: 0 }
  const t = l?.text
  const out: { x0: number; x1: number; y: number; block: string }[] = []
  for (let r = 0; t && r < t.count; r++) {
    if (t.start[r] === t.start[r + 1]) continue
    const face = t.faces[t.face[r]!]!
    const last = t.start[r + 1]! - 1
    out.push({
      x0: x + t.x[t.start[r]!]!,
      x1:
        x + t.x[last]! + (face.advance(face.pairGlyph(t.glyphs[last]!)) / face.unitsPerEm) * t.size[r]! * t.stretch[r]!,
      y: y + t.baseline[r]!,
      block: t.places[t.place[r]!]!.block,
    })
  }
  return out
}
const order = (i: Interior): string[] =>
  i.pages.flatMap(p => linesOn(p).map(l => l.block)).filter((b, k, all) => b && b !== all[k - 1])

describe('a picture beside the text', () => {
  test('any picture, side and text: nothing stands on it, words keep their order, the picture shares its page with the text beside it', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.constantFrom('wide', 'tall'),
        fc.constantFrom('left' as const, 'right' as const),
        fc.double({ min: 0.2, max: 0.7, noNaN: true }),
        fc.integer({ min: 1, max: 9 }),
        fc.boolean(),
        fc.constantFrom('indent', 'space'),
        async (asset, side, share, before, captioned, parted) => {
          const content = [
            ...paragraphs(0, before),
            picture(
              'i1',
              side,
              asset,
              share,
              captioned ? 'The lamp as it stood that winter, before the glass was changed' : undefined,
            ),
            ...paragraphs(before, 16),
          ]
          const interior = await setBook(bookWith(content), withChanges(harbourRoman, { 'text.paragraphs': parted }))
          const [seen, ...others] = picturesOf(interior)
          expect(others).toEqual([])
          const { item, x, y } = seen!
          expect(item.width / item.height).toBeCloseTo(asset === 'wide' ? 1.6 : 900 / 1400, 4)
          const page = interior.pages[seen!.page]!
          const lines = linesOn(page)
          // Lines between the picture's top and foot stand clear of it, but for its caption, which is below.
          const onIt = lines.filter(
            l =>
              l.block !== 'i1' &&
              l.y > y + 1 &&
              l.y < y + item.height + 1 &&
              l.x1 > x + 0.5 &&
              l.x0 < x + item.width - 0.5,
          )
          const beside = lines.filter(l => l.block !== 'i1' && l.y > y && l.y < y + item.height + 1)
          const edges = beside.every(l => (side === 'left' ? l.x0 > x + item.width + 4 : l.x1 < x - 4))
          // Its foot is on a baseline of the grid.
          const down =
            (y + item.height - interior.block.y - 0.75 * harbourRoman.text.leading) / harbourRoman.text.leading
          const foot = Math.abs(down - Math.round(down))
          expect({
            onIt,
            edges,
            some: beside.length > 0,
            foot: foot < 1e-3,
            unmet: interior.stats.unmet.widows,
          }).toEqual({ onIt: [], edges: true, some: true, foot: true, unmet: 0 })
          expect(order(interior).filter(b => /^p/.test(b))).toEqual(
            content.filter(b => b.type === 'paragraph').map(b => b.attrs.id),
          )
        },
      ),
      { numRuns: 25 },
    )
  })
  test('where the text ends early the picture keeps its height; where lines would be too narrow it stands in the measure', async () => {
    const short = await setBook(
      bookWith([
        paragraph('a', 'Before.'),
        picture('i1', 'left', 'tall', 0.4),
        paragraph('b', 'One line.'),
        { type: 'heading', attrs: { id: 'h', level: 2 }, content: [{ type: 'text', text: 'A heading' }] },
        paragraph('c', 'After.'),
      ]),
    )
    const [seen] = picturesOf(short)
    const heading = linesOn(short.pages[seen!.page]!).find(l => l.block === 'h')!
    expect(heading.y).toBeGreaterThan(seen!.y + seen!.item.height + harbourRoman.text.leading)
    const narrow = await new Setter(shelf).set(
      bookWith([paragraph('a', 'Before.'), picture('i1', 'left', 'tall', 0.4), ...paragraphs(0, 3)]),
      harbourRoman,
      { width: 240, height: 420, inside: 0 },
    )
    const block = narrow.block
    const only = picturesOf(narrow)[0]!
    const left = only.page % 2 === 0 ? block.x : narrow.outside
    expect(only.x + only.item.width / 2).toBeCloseTo(left + block.width / 2, 1)
  })
})

describe('a picture with a page of its own', () => {
  test('the text fills the page before and goes on behind; no head, no folio; the caption stays with it', async () => {
    const interior = await setBook(
      bookWith([...paragraphs(0, 6), picture('i1', 'page', 'tall', 1, 'Alone'), ...paragraphs(6, 20)]),
    )
    const [seen] = picturesOf(interior)
    const before = linesOn(interior.pages[seen!.page - 1]!)
    expect(interior.pages[seen!.page]!.layers).toHaveLength(1)
    expect(linesOn(interior.pages[seen!.page]!).map(l => l.block)).toEqual(['i1'])
    // The paragraph behind the picture begins on the page before it, which is full.
    expect(before.some(l => l.block === 'p6')).toBe(true)
    expect(Math.max(...before.map(l => l.y))).toBeGreaterThan(
      interior.block.y + interior.block.height - 2 * harbourRoman.text.leading,
    )
    expect(
      order(interior)
        .filter(b => b !== 'i1')
        .map(b => b),
    ).toEqual([...new Set(order(interior).filter(b => b !== 'i1'))])
    expect(interior.stats.unmet.unevenSpreads).toBe(0)
  })
  test('a plate covers trim and bleed, is not distorted, and gives every page of the book its bleed', async () => {
    const book = bookWith([
      ...paragraphs(0, 4),
      picture('i1', 'plate', 'wide', 1),
      picture('i2', 'plate', 'tall', 1, 'With words below'),
      ...paragraphs(4, 9),
    ])
    for (const bleedsInside of [false, true]) {
      const interior = await new Setter(shelf).set(book, harbourRoman, {
        width: 432,
        height: 648,
        inside: 0,
        bleed: 9,
        bleedsInside,
      })
      expect(picturesOf(interior).map(s => s.role)).toEqual(['plate', 'plate'])
      const edges = interior.pages.map(p => JSON.stringify([p.side, p.bleed]))
      expect(new Set(edges).size).toBe(2)
      for (const { page, item, x, y } of picturesOf(interior)) {
        const p = interior.pages[page]!
        const inner = bleedsInside ? 9 : 0
        expect(p.bleed).toEqual({
          top: 9,
          bottom: 9,
          left: p.side === 'recto' ? inner : 9,
          right: p.side === 'recto' ? 9 : inner,
        })
        expect([x <= -p.bleed.left + 1e-6, x + item.width >= 432 + p.bleed.right - 1e-6, y <= -9 + 1e-6]).toEqual([
          true,
          true,
          true,
        ])
        const a = assets.find(q => q.id === item.asset)!
        expect(item.width / item.height).toBeCloseTo(a.width / a.height, 5)
      }
      const [first, second] = picturesOf(interior)
      expect(first!.y + first!.item.height).toBeGreaterThanOrEqual(657 - 1e-6)
      // The caption stands clear below the second.
      const words = linesOn(interior.pages[second!.page]!, 1)
      expect(words.every(l => l.block === 'i2')).toBe(true)
      const clip = interior.pages[second!.page]!.layers[0]!.layer.items[0]!
      expect(clip).toMatchObject({ kind: 'group', role: 'plate' })
    }
  })
  test('notes called in captions are printed, wherever the picture stands', async () => {
    for (const stands of imageStands)
      for (const after of [0, 8]) {
        const noted: BlockJson = {
          type: 'image',
          attrs: { id: 'i1', asset: 'tall', alt: 'A lamp', decoration: false, share: 0.4, stands },
          content: [
            { type: 'text', text: 'Caption' },
            {
              type: 'footnote',
              attrs: { id: 'n1' },
              content: [{ type: 'text', text: `zebra ${'word '.repeat(after ? 400 : 4)}quagga` }],
            },
          ],
        }
        const interior = await setBook(bookWith([...paragraphs(0, 3), noted, ...paragraphs(3, 3 + after)]))
        const said = interior.pages.map(pageText).join(' ')
        expect([stands, after, (said.match(/zebra/g) ?? []).length, (said.match(/quagga/g) ?? []).length]).toEqual([
          stands,
          after,
          1,
          1,
        ])
      }
  })
  test('a section of one plate is one page; pictures in a row follow one another', async () => {
    const alone = await setBook(
      bookWith([picture('i1', 'plate')], { title: '', numbered: false, part: 'front', role: 'dedication' }),
    )
    expect(picturesOf(alone).map(s => s.page)).toEqual([0])
    const row = await setBook(
      bookWith([
        ...paragraphs(0, 2),
        picture('i1', 'page'),
        picture('i2', 'page', 'tall'),
        picture('i3', 'plate'),
        ...paragraphs(2, 8),
      ]),
    )
    const at = picturesOf(row).map(s => s.page)
    expect(at).toEqual([at[0], at[0]! + 1, at[0]! + 2])
    expect(picturesOf(row).map(s => s.item.place!.block)).toEqual(['i1', 'i2', 'i3'])
  })
})

describe('small pictures', () => {
  test('one in the line stands on the baseline between its neighbours, never larger than its pixels allow', async () => {
    const interior = await setBook(
      bookWith([
        {
          type: 'paragraph',
          attrs: { id: 'a' },
          content: [
            { type: 'text', text: 'Turn the ' },
            { type: 'sign', attrs: { asset: 'wide', alt: 'wheel', decoration: false, height: 1 } },
            { type: 'text', text: ' wheel, then ' },
            { type: 'sign', attrs: { asset: 'small', alt: 'key', decoration: false, height: 2 } },
            { type: 'text', text: ' ' + texts[0]! },
          ],
        },
      ]),
    )
    const [wheel, key] = picturesOf(interior)
    const page = interior.pages[wheel!.page]!
    const line = linesOn(page).filter(l => l.block === 'a')
    const feet = [wheel!, key!].map(s => Math.min(...line.map(l => Math.abs(l.y - (s.y + s.item.height)))))
    expect(Math.max(...feet)).toBeLessThan(0.01)
    expect(key!.item.height).toBeLessThanOrEqual((60 / 300) * 72 + 1e-6)
    expect(wheel!.item.height).toBeCloseTo(harbourRoman.text.size, 6)
    expect(wheel!.x + wheel!.item.width).toBeLessThan(key!.x)
  })
  test('over an opening it stands above the words; as an ornament it replaces the shipped one; what is not there is passed over', async () => {
    const style = withChanges(harbourRoman, { 'breaks.picture': '', 'openings.picture': 1 })
    const own = { ...style, breaks: { ...style.breaks, picture: 'small' } }
    const content: BlockJson[] = [
      paragraph('a', texts[0]!),
      { type: 'scene_break', attrs: { id: 'x' } },
      paragraph('b', texts[1]!),
    ]
    const interior = await setBook(
      bookWith(content, { picture: { asset: 'wide', alt: 'The harbour', decoration: false } }),
      own,
    )
    const [over, ornament] = picturesOf(interior)
    expect(over!.item.alt).toBe('The harbour')
    const first = linesOn(interior.pages[over!.page]!)[0]!
    expect(over!.y + over!.item.height).toBeLessThan(first.y - 6)
    expect(over!.item.height).toBeLessThanOrEqual(interior.block.height * 0.42 + 1e-6)
    expect(ornament!.item.asset).toBe('small')
    const gone = await setBook(bookWith(content, { picture: { asset: 'gone', alt: '', decoration: true } }), {
      ...own,
      breaks: { ...own.breaks, picture: 'gone' },
    })
    expect(picturesOf(gone)).toEqual([])
    expect(gone.pages.some(p => p.layers.some(l => l.layer.items.some(i => i.kind === 'path')))).toBe(true)
  })
  test('pictures without a description are found wherever they stand', async () => {
    const book = bookWith(
      [
        {
          type: 'paragraph',
          attrs: { id: 'a' },
          content: [{ type: 'sign', attrs: { asset: 'small', alt: '', decoration: false, height: 1 } }],
        },
      ],
      { picture: { asset: 'wide', alt: ' ', decoration: false } },
    )
    const { profileOf, shippedProfiles } = await import('../outlets')
    const found = check({ book, profile: profileOf('ostrevane', shippedProfiles) }).filter(
      f => f.rule === 'picture description',
    )
    expect(found.map(f => 'block' in f.place && f.place.block)).toEqual(['', 'a'])
  })
})
