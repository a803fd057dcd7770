import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { BLACK, LayerBuilder, PathBuilder, pathBox, pathFromSvg, rgb, type GlyphFace } from '.'
import { css } from './paint'
import { transformPath } from './path'

describe('paths', () => {
  test('SVG data in absolute and relative form gives the same outline', () => {
    const a = pathFromSvg('M10,20L30,20Q40,20 40,30C40,40 30,50 20,50H10V20Z')
    const b = pathFromSvg('m10 20l20 0q10 0 10 10c0 10-10 20-20 20h-10v-30z')
    expect([...b.ops]).toEqual([...a.ops])
    expect([...b.xy]).toEqual([...a.xy])
    expect(pathBox(a)).toEqual([10, 20, 40, 50])
  })
  test('scaling and moving act on the box as they should', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 9 }), fc.integer({ min: -50, max: 50 }), (k, d) => {
        expect(pathBox(transformPath(new PathBuilder().rect(1, 2, 3, 4).build(), k, k, d, d))).toEqual([
          k + d,
          2 * k + d,
          4 * k + d,
          6 * k + d,
        ])
      }),
    )
  })
  test('a circle stays within its radius by a thousandth', () => {
    const [x0, y0, x1, y1] = pathBox(new PathBuilder().circle(5, 5, 3).build())
    for (const [v, w] of [
      [x0, 2],
      [y0, 2],
      [x1, 8],
      [y1, 8],
    ] as const)
      expect(v).toBeCloseTo(w, 3)
  })
})

describe('layers', () => {
  const face = { key: 'f' } as GlyphFace
  test('runs that differ in nothing are one; arrays are as long as what they hold', () => {
    const b = new LayerBuilder(1, 1)
    const place = { section: 's', block: 'b' }
    for (let i = 0; i < 100; i++) {
      b.run({ face, size: 11, baseline: i < 50 ? 10 : 24, colour: BLACK, place })
      b.glyph(i, i * 2)
    }
    const t = b.build().text!
    expect(t.count).toBe(2)
    expect([...t.start]).toEqual([0, 50, 100])
    expect(t.glyphs).toHaveLength(100)
    expect(t.x[99]).toBe(198)
  })
  test('colours are shared and shown', () => {
    const b = new LayerBuilder()
    b.run({ face, size: 1, baseline: 1, colour: rgb('#15343d'), place: { section: '', block: '' } })
    b.glyph(0, 0)
    b.run({ face, size: 1, baseline: 2, colour: rgb('#15343d'), place: { section: '', block: '' } })
    b.glyph(0, 0)
    expect(b.build().text!.colours).toHaveLength(1)
    expect(css(rgb('#15343d'))).toBe('rgb(21,52,61)')
    expect(css({ k: 1 })).toBe('rgb(0,0,0)')
  })
})
