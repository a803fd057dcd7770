import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { shelf } from '../../../../tests/support/core'
import { type RepeatPiece, repeatPatterns, type TextPiece, type TitleData } from '../../book'
import { type Item, type Layer, layerBox } from '../../marks'
import { profileOf, shippedProfiles } from '../../outlets'
import { flatFor } from '../geometry'
import { outlineOfSvg } from '../ownPath'
import { drawPiece, wordsOf } from '.'
import { placesIn } from './repeat'

const flat = flatFor(profileOf('ostrevane', shippedProfiles), {
  binding: 'paperback',
  trim: '6x9in',
  paper: 'cream',
  pages: 218,
})
const data = (title: string): TitleData => ({
  title,
  contributors: [{ name: 'Orla Fenwright', role: 'aut' }],
  language: 'en',
  imprint: { name: 'Saltgrass' },
  subjects: [],
})
const area = { x: 0, y: 0, width: 400, height: 600 }
const box = { x: 20, y: 30, width: 360, height: 260 }
const title = (more: Partial<TextPiece>): TextPiece => ({
  id: 'title',
  panel: 'front',
  field: 'title',
  box: { x: 0, y: 0, width: 1, height: 1 },
  face: 'anton/regular',
  size: 200,
  leading: 1,
  tracking: 0,
  capitals: true,
  align: 'center',
  vertical: 'top',
  colour: '#101010',
  ...more,
})
const drawn = async (piece: TextPiece, words: string) =>
  (await drawPiece(piece, { area, box }, { flat, data: data(words), barcode: undefined, shelf, assets: [] }))!
const itemsOf = (l: Layer): Item[] =>
  l.items.flatMap(i => (i.kind === 'group' ? [i, ...i.layers.flatMap(itemsOf)] : [i]))
/** The lines of set words: baseline → from, to. */
function linesOf({ text }: Layer): { y: number; size: number; width: number }[] {
  const rows = new Map<number, { size: number; from: number; to: number }>()
  for (let r = 0; r < text!.count; r++) {
    const face = text!.faces[text!.face[r]!]!
    const row = rows.get(text!.baseline[r]!) ?? { size: text!.size[r]!, from: Infinity, to: -Infinity }
    for (let g = text!.start[r]!; g < text!.start[r + 1]!; g++) {
      const wide = (face.advance(face.pairGlyph(text!.glyphs[g]!)) / face.unitsPerEm) * text!.size[r]!
      row.from = Math.min(row.from, text!.x[g]!)
      row.to = Math.max(row.to, text!.x[g]! + wide)
    }
    rows.set(text!.baseline[r]!, row)
  }
  return [...rows].map(([y, { size, from, to }]) => ({ y, size, width: to - from }))
}

describe('letters', () => {
  test('of a stack are as large as make each line as wide as the others, inside the box', async () => {
    for (const words of ['The Tidewarden’s Almanac', 'Large Letters', 'A Year of Small Gardens and Wide Appetites']) {
      const { layer, words: set } = await drawn(title({ stacked: true }), words)
      const lines = linesOf(layer)
      expect(lines.length).toBeGreaterThan(1)
      const widest = Math.max(...lines.map(l => l.width))
      expect(widest).toBeLessThanOrEqual(box.width + 0.5)
      // Lines fill the width, unless the asked size or the limit of unlikeness holds them.
      const sizes = lines.map(l => l.size)
      const [least, largest] = [Math.min(...sizes), Math.max(...sizes)]
      for (const l of lines) expect(l.width > widest * 0.97 || l.size > least * 3.1 || l.size === largest).toBe(true)
      const [, y0, , y1] = layerBox(layer)
      expect(y1 - y0).toBeLessThan(box.height * 1.35)
      expect(set!.ink.y + set!.ink.height).toBeLessThanOrEqual(box.y + box.height + 0.5)
      expect(set!.tooLong).toBe(false)
    }
  })
  test('of lines with sizes of their own are in those relations, in so many lines, as large as they fit', async () => {
    const sizes = fc.array(fc.double({ min: 0.3, max: 2, noNaN: true }), { minLength: 2, maxLength: 3 })
    await fc.assert(
      fc.asyncProperty(sizes, async lineSizes => {
        const { layer, words: set } = await drawn(title({ lineSizes }), 'The Tidewarden’s Almanac')
        const lines = linesOf(layer).sort((a, b) => a.y - b.y)
        expect(lines).toHaveLength(lineSizes.length)
        for (const [i, l] of lines.entries())
          expect(l.size / lines[0]!.size).toBeCloseTo(lineSizes[i]! / lineSizes[0]!, 4)
        const widest = Math.max(...lines.map(l => l.width))
        expect(widest).toBeLessThanOrEqual(box.width + 0.5)
        const high = set!.ink.height
        expect(high).toBeLessThanOrEqual(box.height + 0.5)
        // Something holds it: the width, the height, or the size that is asked.
        const largest = Math.max(...lines.map(l => l.size))
        const asked = 200 * Math.max(...lineSizes)
        expect(widest > box.width * 0.98 || high > box.height * 0.98 || largest > asked * 0.99).toBe(true)
      }),
      { numRuns: 40 },
    )
  })
  test('of fewer words than lines are asked are set as others are', async () => {
    const { layer } = await drawn(title({ lineSizes: [1, 0.5, 1], size: 40 }), 'Large Letters')
    const lines = linesOf(layer)
    expect(new Set(lines.map(l => l.size)).size).toBe(1)
  })
  test('of a sentence that is pulled out of a back are larger than those around it; who said something stands right under it', async () => {
    const back = (words: string) =>
      drawn(title({ panel: 'back', field: 'own', words, size: 12, capitals: false, leading: 1.4 }), '')
    const { layer } = await back('One line.\n> A line that stands out.\nOne line more.\n— Somebody')
    const lines = linesOf(layer).sort((a, b) => a.y - b.y)
    expect(lines.map(l => Math.round(l.size * 10) / 10)).toEqual([12, 15.6, 12, 12])
    // Paragraphs stand apart by half a line more; an attribution does not.
    const gaps = lines.slice(1).map((l, i) => l.y - lines[i]!.y)
    expect(gaps[1]!).toBeCloseTo(12 * 1.4 * 1.5, 1)
    expect(gaps[2]!).toBeCloseTo(12 * 1.4, 1)
    // On a front such a sign is a sign.
    const front = linesOf((await drawn(title({ field: 'own', words: '> 12', size: 40 }), '')).layer)
    expect(front).toHaveLength(1)
  })
  test('on a bend stand on its circle, in order, and inside the box', async () => {
    for (const arc of [60, 140, -60]) {
      const { words: set, layer } = await drawn(title({ arc, capitals: false }), 'mmmmmmmmmmmmmm')
      const spots = set!.spots!
      expect(spots.length).toBe(14)
      for (const s of spots) {
        expect(s.x).toBeGreaterThanOrEqual(box.x - 2)
        expect(s.x + s.width).toBeLessThanOrEqual(box.x + box.width + 2)
        expect(s.y).toBeGreaterThanOrEqual(box.y - 2)
        expect(s.y + s.height).toBeLessThanOrEqual(box.y + box.height + 2)
      }
      const mid = spots[7]!
      // Up at its middle where it is bent up, down where it is bent down.
      expect(Math.sign(spots[0]!.y - mid.y)).toBe(Math.sign(arc))
      expect(layer.text).toBeUndefined()
    }
  })
  test('with a gradient go from one colour to the other inside their outlines', async () => {
    const { layer } = await drawn(title({ gradient: { to: '#ffffff', angle: 90 } }), 'Ebb')
    const group = itemsOf(layer).find(i => i.kind === 'group' && i.clip)!
    const bands = itemsOf(layer)
      .filter(i => i.kind === 'path')
      .map(i => i.fill as { r: number })
    expect(group).toBeDefined()
    expect(bands[0]!.r).toBeCloseTo(16 / 255, 5)
    expect(bands.at(-1)!.r).toBeCloseTo(1, 5)
    for (const [i, b] of bands.slice(1).entries()) expect(b.r).toBeGreaterThanOrEqual(bands[i]!.r)
  })
  test('have an outline and a glow around them, which belong to what they are read on', async () => {
    const outlined = await drawn(title({ outline: { colour: '#ff0000', width: 0.05 } }), 'Ebb')
    const stroke = itemsOf(outlined.words!.under!).find(i => i.kind === 'path' && i.stroke)
    expect(stroke).toMatchObject({ stroke: { round: true, width: expect.closeTo(0.1 * outlined.words!.size, 4) } })
    const glowing = await drawn(title({ glow: { colour: '#ffffff', reach: 0.3 } }), 'Ebb')
    const widths = itemsOf(glowing.words!.under!).flatMap(i => (i.kind === 'path' && i.stroke ? [i.stroke.width] : []))
    expect(widths.length).toBeGreaterThan(4)
    expect([...widths].sort((a, b) => b - a)).toEqual(widths)
  })
  test('that are optically tracked stand nearer the larger they are', async () => {
    const wide = async (optical: boolean) =>
      linesOf((await drawn(title({ optical, size: 90 }), 'Almanac')).layer)[0]!.width
    expect(await wide(true)).toBeLessThan(await wide(false))
  })
  test('of a back have paragraphs apart, and lists that stand in with their marks', async () => {
    const own = title({
      panel: 'back',
      field: 'own',
      words: 'First.\n\nSecond.\n- one\n- two',
      capitals: false,
      size: 14,
      align: 'left',
    })
    const lines = linesOf((await drawn(own, '')).layer)
    expect(lines).toHaveLength(4)
    const apart = lines.slice(1).map((l, i) => Math.round((l.y - lines[i]!.y) / 7))
    // A line and a half between paragraphs and before the list, one within it.
    expect(apart).toEqual([3, 3, 2])
  })
})

describe('one thing over and over', () => {
  const piece = (more: Partial<RepeatPiece>): RepeatPiece => ({
    id: 'r',
    kind: 'repeat',
    panel: 'sheet',
    box: { x: 0, y: 0, width: 1, height: 1 },
    of: { kind: 'form', form: 'star' },
    colour: '#000000',
    pattern: 'straight',
    cell: 0.1,
    ...more,
  })
  test('covers its box from the middle to all edges, the same way at both sides', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...repeatPatterns),
        fc.double({ min: 10, max: 80, noNaN: true }),
        fc.double({ min: -0.3, max: 2, noNaN: true }),
        (pattern, cell, gap) => {
          const area = { x: 7, y: 11, width: 300, height: 500 }
          const places = placesIn(piece({ pattern, apart: { x: gap, y: gap } }), area, cell)
          const [xs, ys] = [places.map(p => p[4]), places.map(p => p[5])]
          const step = cell * (1 + gap)
          expect(Math.min(...xs)).toBeLessThan(area.x + step)
          expect(Math.max(...xs)).toBeGreaterThan(area.x + area.width - step)
          expect(Math.min(...ys)).toBeLessThan(area.y + step)
          expect(Math.max(...ys)).toBeGreaterThan(area.y + area.height - step)
          // One stands in the middle itself.
          expect(places.some(p => Math.hypot(p[4] - 157, p[5] - 261) < 1e-6)).toBe(true)
        },
      ),
    )
  })
  test('shifts rows as bricks and columns by half a drop, mirrors every other one, strays by its seed alone', () => {
    const area = { x: 0, y: 0, width: 200, height: 200 }
    const at = (more: Partial<RepeatPiece>) => placesIn(piece(more), area, 20)
    const rowsOf = (p: ReturnType<typeof at>) => new Set(p.map(m => Math.round((((m[4] % 20) + 20) % 20) * 10)))
    expect(rowsOf(at({ pattern: 'straight' })).size).toBe(1)
    expect(rowsOf(at({ pattern: 'brick' })).size).toBe(2)
    expect(new Set(at({ pattern: 'half-drop' }).map(m => Math.round((((m[5] % 20) + 20) % 20) * 10))).size).toBe(2)
    expect(new Set(at({ pattern: 'mirrored' }).map(m => `${Math.sign(m[0])},${Math.sign(m[3])}`)).size).toBe(4)
    expect(at({ jitter: 0.6, seed: 4 })).toEqual(at({ jitter: 0.6, seed: 4 }))
    expect(at({ jitter: 0.6, seed: 4 })).not.toEqual(at({ jitter: 0.6, seed: 5 }))
  })
  test('of letters is made of outlines; of what is not there, of nothing', async () => {
    const draw = (of: RepeatPiece['of']) =>
      drawPiece(piece({ of }), { area, box }, { flat, data: data('Ebb'), barcode: undefined, shelf, assets: [] })
    expect(itemsOf((await draw({ kind: 'letter', letter: '&' }))!.layer).some(i => i.kind === 'path')).toBe(true)
    expect(await draw({ kind: 'picture', asset: 'none' })).toBeUndefined()
    expect(await draw({ kind: 'ornament', ornament: 'none' })).toBeUndefined()
  })
})

describe('an outline from an SVG', () => {
  const svg = (inner: string): Uint8Array =>
    new TextEncoder().encode(`<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 50 50">${inner}</svg>`)
  const numbers = (d: string): number[] => [...d.matchAll(/-?\d+(\.\d+)?/g)].map(m => Number(m[0]))
  test('fills a square of 1000, with arcs and short forms written out', () => {
    const d = outlineOfSvg(
      svg('<g transform="translate(5 5) scale(2)"><path d="M0 0h10s5 5 0 10a5 5 0 0 1-10 0z"/></g>'),
    )
    expect(d).toMatch(/^[MLQCZ0-9 .,-]+$/)
    expect(Math.min(...numbers(d))).toBeGreaterThanOrEqual(-1)
    expect(Math.max(...numbers(d))).toBeLessThanOrEqual(1001)
  })
  test('takes plain shapes, and leaves what is only defined', () => {
    const d = outlineOfSvg(
      svg(
        '<defs><path d="M0 0h900v900z"/></defs><circle cx="10" cy="10" r="5"/><rect x="20" y="5" width="10" height="10"/>',
      ),
    )
    // 25 wide and 10 high: it stands in the middle of the square.
    const ys = numbers(d).filter((_, i) => i % 2 === 1)
    expect(Math.min(...ys)).toBeGreaterThan(290)
    expect(Math.max(...ys)).toBeLessThan(710)
  })
  test('is refused in plain words where there is none, or it is damaged', () => {
    expect(() => outlineOfSvg(svg('<text>Ebb</text>'))).toThrow(/no outline/)
    expect(() => outlineOfSvg(svg('<path d="M0 0 Lx"/>'))).toThrow(/damaged/)
    expect(() => outlineOfSvg(new TextEncoder().encode('<html/>'))).toThrow(/no SVG/)
  })
})

describe('fields of the book', () => {
  const said = (quotes: string[]): string => wordsOf({ ...data('Ebb'), quotes }, { field: 'quotes' })

  test('what is said of it stands over who says it; what says nobody stands by itself', () => {
    expect(said(['A quiet marvel. — The Harbour Review'])).toBe('A quiet marvel.\n— The Harbour Review')
    expect(said(['Well–made – Bel Tarrow'])).toBe('Well–made\n— Bel Tarrow')
    expect(said(['Nobody writes water so.', 'Read it. — B.'])).toBe('Nobody writes water so.\nRead it.\n— B.')
    expect(wordsOf(data('Ebb'), { field: 'quotes' })).toBe('')
  })

  test('no word of what is said is lost, however it is written', () => {
    const plain = (text: string): string => text.replace(/[\s—–]/g, '')
    fc.assert(
      fc.property(
        fc.array(fc.string({ unit: fc.constantFrom('a', 'b', ' ', '—', '–', '-', '.'), maxLength: 30 })),
        quotes => {
          expect(plain(said(quotes))).toBe(plain(quotes.join('')))
        },
      ),
    )
  })

  test('the logo of the imprint is whole in the middle of its box; without one nothing is drawn', async () => {
    const asset = { id: 'logo', type: 'image/png' as const, width: 200, height: 100 }
    const piece = { id: 'l', kind: 'logo' as const, panel: 'back' as const, box: { x: 0, y: 0, width: 1, height: 1 } }
    const drawing = { flat, data: data('Ebb'), barcode: undefined, shelf, assets: [asset] }
    expect(await drawPiece(piece, { area, box }, drawing)).toBeUndefined()
    const imprint = { name: 'Saltgrass', logo: 'logo' }
    const { layer } = (await drawPiece(piece, { area, box }, { ...drawing, data: { ...data('Ebb'), imprint } }))!
    expect(layer.items).toEqual([{ kind: 'image', asset: 'logo', x: 20, y: 70, width: 360, height: 180 }])
  })
})
