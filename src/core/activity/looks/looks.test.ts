import { describe, expect, test } from '@jest/globals'
import { shelf } from '../../../../tests/support/core'
import { cases } from '../../../../tests/support/deep'
import fc from 'fast-check'
import { type Layer, LayerBuilder } from '../../marks'
import { pathBox } from '../../marks/path'
import { shippedFonts } from '../../type'
import { smallPrint } from '../runPress'
import { drawFolio, drawFrame, drawHead, frameInset, lookOf, lookSchema, pageLooks } from '.'

const styleOf = (face: string, size: number, tone?: number) => smallPrint(face, size, 'en-GB', shelf, tone)
const place = { section: 'run:r', block: 'page' }
const boxesOf = (layer: Layer) => layer.items.flatMap(i => (i.kind === 'path' ? [pathBox(i.path)] : []))

test('there are at least six looks of different character, each a document in order', () => {
  expect(pageLooks.length).toBeGreaterThanOrEqual(7)
  expect(new Set(pageLooks.map(l => JSON.stringify([l.head, l.frame.line]))).size).toBe(pageLooks.length)
  for (const look of pageLooks) {
    expect(() => lookSchema().validateSync(look)).not.toThrow()
    expect(lookSchema().isValidSync({ ...look, more: 1 })).toBe(false)
    expect(lookSchema().isValidSync({ ...look, frame: { ...look.frame, line: 'ivy' } })).toBe(false)
    for (const face of [look.head.face, look.folio.face, look.text.face]) expect(shippedFonts).toHaveProperty([face])
  }
  expect(lookOf('none such')).toBe(pageLooks[0])
})

describe.each(pageLooks.map(l => [l.id, l] as const))('the look “%s”', (_id, look) => {
  test('keeps heads within the room, whatever they say, on both sides of a leaf, and what they head below them', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.integer({ min: 120, max: 620 }),
        fc.constantFrom('Tides', 'A very long heading for so small a page, and more of it', ''),
        fc.option(fc.integer({ min: 0, max: 9999 }), { nil: undefined }),
        fc.constantFrom<'recto' | 'verso'>('recto', 'verso'),
        async (width, words, number, side) => {
          const out = new LayerBuilder()
          const top = await drawHead(look, { words, number }, { out, width, side, place, styleOf })
          const layer = out.build()
          for (const [x0, y0, x1, y1] of boxesOf(layer)) {
            expect([x0 >= -1, y0 >= -1, x1 <= width + 1, y1 <= top + 1]).toEqual([true, true, true, true])
          }
          const { text } = layer
          for (let i = 0; i < (text?.count ?? 0); i++) {
            if (text!.start[i] === text!.start[i + 1]) continue
            expect(text!.baseline[i]).toBeLessThan(top)
            const last = text!.start[i + 1]! - 1
            const { unitsPerEm } = text!.faces[text!.face[i]!]!
            const glyphFace = text!.faces[text!.face[i]!]!
            const wide =
              (glyphFace.advance(glyphFace.pairGlyph(text!.glyphs[last]!)) / unitsPerEm) *
              text!.size[i]! *
              text!.stretch[i]!
            expect(text!.x[text!.start[i]!]).toBeGreaterThanOrEqual(-0.5)
            expect(text!.x[last]! + wide).toBeLessThanOrEqual(width + 0.5)
          }
        },
      ),
      { numRuns: cases(30, 200) },
    )
  })
  test('draws a frame within the room, clear of what it holds', () => {
    const out = new LayerBuilder()
    drawFrame(look, out, 300, 420)
    const boxes = boxesOf(out.build())
    const inset = frameInset(look)
    expect(boxes.length > 0).toBe(inset > 0)
    for (const [x0, y0, x1, y1] of boxes)
      expect([x0 >= -0.1, y0 >= -0.1, x1 <= 300.1, y1 <= 420.1]).toEqual([true, true, true, true])
  })
  test('sets folios where they are asked to stand', async () => {
    for (const align of ['left', 'centre', 'right'] as const) {
      const out = new LayerBuilder()
      const style = await styleOf(look.folio.face, 8.5)
      drawFolio(look, '128', { out, x: 200, align, baseline: 100, place, style, onDark: style, print: 1 })
      const xs = [...out.build().text!.x]
      const [first, last] = [Math.min(...xs), Math.max(...xs)]
      if (align === 'left') expect(first).toBeGreaterThanOrEqual(200)
      if (align === 'right') expect(last).toBeLessThan(200)
      if (align === 'centre') expect(Math.abs((first + last) / 2 - 200)).toBeLessThan(10)
    }
  })
})
