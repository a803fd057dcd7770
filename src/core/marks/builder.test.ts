import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import {
  BLACK,
  type Colour,
  type GlyphFace,
  LayerBuilder,
  type MarkPlace,
  pageText,
  type PageMarks,
  PathBuilder,
  rgb,
  type TextTable,
  visitPage,
} from '.'

const letters = 'abcdefghijklmnopqrstuvwxyz'
const faceOf = (key: string): GlyphFace => ({
  key,
  postscriptName: key,
  unitsPerEm: 1000,
  pairGlyph: p => p,
  pairText: p => letters[p % 26]!,
  advance: () => 500,
  outline: () => new PathBuilder().rect(0, 0, 400, 700).build(),
})
const faces = [faceOf('regular'), faceOf('italic')]
const colours: Colour[] = [BLACK, { k: 0.5 }, rgb('#15343d')]
const places: MarkPlace[] = [
  { section: 's', block: 'a' },
  { section: 's', block: 'b' },
]

/** What is asked of a builder, one call each. */
const call = fc.oneof(
  {
    weight: 3,
    arbitrary: fc.record({
      do: fc.constant('run' as const),
      face: fc.nat(1),
      size: fc.constantFrom(9.5, 11),
      stretch: fc.constantFrom(1, 0.99),
      baseline: fc.constantFrom(10, 24, 24.1),
      colour: fc.nat(2),
      place: fc.nat(1),
      letter: fc.constantFrom(0, 0.01),
    }),
  },
  {
    weight: 3,
    arbitrary: fc.record({ do: fc.constant('glyph' as const), pair: fc.nat(25), x: fc.integer({ min: 0, max: 400 }) }),
  },
  {
    weight: 4,
    arbitrary: fc.record({
      do: fc.constant('word' as const),
      pairs: fc.array(fc.nat(25), { minLength: 1, maxLength: 9 }),
      pen: fc.integer({ min: 0, max: 300 }),
      apart: fc.constantFrom(0, 10),
    }),
  },
  { weight: 1, arbitrary: fc.record({ do: fc.constant('shift' as const), dx: fc.constantFrom(0, 36) }) },
  { weight: 1, arbitrary: fc.record({ do: fc.constant('picture' as const), x: fc.integer({ min: 0, max: 100 }) }) },
  { weight: 1, arbitrary: fc.record({ do: fc.constant('again' as const), on: fc.boolean() }) },
)
interface Glyph {
  face: string
  size: number
  stretch: number
  baseline: number
  colour: Colour
  place: MarkPlace
  letter: number
  pair: number
  x: number
}
const f32 = Math.fround

/** Every glyph of a table with all that is said of it, as plain objects. */
const unrolled = (t: TextTable | undefined): Glyph[] => {
  const out: Glyph[] = []
  for (let r = 0; t && r < t.count; r++)
    for (let g = t.start[r]!; g < t.start[r + 1]!; g++)
      out.push({
        face: t.faces[t.face[r]!]!.key,
        size: t.size[r]!,
        stretch: t.stretch[r]!,
        baseline: t.baseline[r]!,
        colour: t.colours[t.colour[r]!]!,
        place: t.places[t.place[r]!]!,
        letter: t.letter[r]!,
        pair: t.glyphs[g]!,
        x: t.x[g]!,
      })
  return out
}

describe('a layer', () => {
  test('holds what was asked for, glyph by glyph, however its arrays grew; built, the builder is as new', () => {
    const b = new LayerBuilder(1, 1)
    fc.assert(
      fc.property(fc.array(call, { maxLength: 60 }), calls => {
        const want: Glyph[] = []
        const pictures: number[] = []
        const again = { section: '', block: '', again: true }
        let state: Omit<Glyph, 'pair' | 'x'> | undefined
        b.dx = 0
        b.placeAs = undefined
        for (const c of calls) {
          if (c.do === 'run') {
            b.run({ ...c, face: faces[c.face]!, colour: colours[c.colour]!, place: places[c.place]! })
            state = {
              face: faces[c.face]!.key,
              size: f32(c.size),
              stretch: f32(c.stretch),
              baseline: f32(c.baseline),
              colour: colours[c.colour]!,
              place: b.placeAs ?? places[c.place]!,
              letter: f32(c.letter),
            }
          } else if (c.do === 'shift') b.dx = c.dx
          else if (c.do === 'again') b.placeAs = c.on ? again : undefined
          else if (c.do === 'picture') {
            b.add({ kind: 'image', asset: 'p', x: c.x, y: 0, width: 1, height: 1 })
            pictures.push(c.x + b.dx)
          } else if (!state) continue
          else if (c.do === 'glyph') {
            b.glyph(c.pair, c.x)
            want.push({ ...state, pair: c.pair, x: f32(c.x + b.dx) })
          } else {
            b.word(
              c.pairs,
              c.pairs.map((_, i) => i * 500),
              c.pen,
              0.011,
              c.apart,
            )
            c.pairs.forEach((pair, i) =>
              want.push({ ...state!, pair, x: f32(c.pen + b.dx + (i * 500 + i * c.apart) * 0.011) }),
            )
          }
        }
        const layer = b.build()
        expect(unrolled(layer.text)).toEqual(want)
        expect(layer.items.map(i => i.kind === 'image' && i.x)).toEqual(pictures)
        expect(b.build()).toEqual({ items: [] })
      }),
      { numRuns: 200 },
    )
  })
  test('one built before is not touched by what comes after', () => {
    const b = new LayerBuilder(1, 1)
    const put = (pair: number, x: number): void => {
      b.run({ face: faces[0]!, size: 11, baseline: 10, colour: BLACK, place: places[0]! })
      b.word([pair, pair], [0, 500], x, 0.011, 0)
    }
    put(1, 10)
    const first = b.build()
    const kept = JSON.stringify(unrolled(first.text))
    for (let i = 0; i < 40; i++) put(2, 100)
    expect(unrolled(b.build().text)).toHaveLength(80)
    expect(JSON.stringify(unrolled(first.text))).toBe(kept)
  })
})

describe('reading a page', () => {
  const layerOf = (pair: number, baseline: number) => {
    const b = new LayerBuilder()
    b.run({ face: faces[0]!, size: 10, baseline, colour: BLACK, place: places[0]! })
    b.word([pair, pair + 1], [0, 500], 0, 0.01, 0)
    b.add({ kind: 'path', path: new PathBuilder().rect(0, 0, 1, 1).build() })
    return b.build()
  }
  test('visits layers and groups in painting order, each at its place; text is read line by line', () => {
    const page: PageMarks = {
      width: 100,
      height: 100,
      bleed: { top: 0, right: 0, bottom: 0, left: 0 },
      label: '1',
      side: 'recto',
      layers: [
        {
          layer: {
            items: [{ kind: 'group', role: 'ground', transform: [1, 0, 0, 1, 5, 7], layers: [layerOf(0, 10)] }],
          },
          x: 10,
          y: 20,
        },
        { layer: layerOf(2, 10), x: 30, y: 40 },
        { layer: layerOf(4, 22), x: 30, y: 40 },
      ],
    }
    const seen: string[] = []
    visitPage(page, v =>
      seen.push('text' in v ? `text ${v.x},${v.y}` : `${v.item.kind} ${v.x},${v.y} ${v.role ?? ''}`.trim()),
    )
    expect(seen).toEqual(['path 15,27 ground', 'text 15,27', 'path 30,40', 'text 30,40', 'path 30,40', 'text 30,40'])
    expect(pageText(page)).toBe('ab\ncd\nef')
  })
})
