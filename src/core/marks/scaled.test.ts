import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { shelf } from '../../../tests/support/core'
import { type Item, type Layer, LayerBuilder, layerBox, PathBuilder, scaled } from '.'

const number = fc.integer({ min: -200, max: 200 })
const side = fc.integer({ min: 1, max: 200 })
const path = fc
  .record({ x: number, y: number, w: side, h: side, line: fc.constantFrom(0, 1, 3) })
  .map(({ x, y, w, h, line }): Item => ({
    kind: 'path',
    path: new PathBuilder().rect(x, y, w, h).build(),
    ...(line ? { stroke: { colour: { k: 1 }, width: line } } : { fill: { k: 0.5 } }),
  }))
const image = fc
  .record({ x: number, y: number, width: side, height: side })
  .map((box): Item => ({ kind: 'image', asset: 'a', ...box }))
const group = fc
  .record({
    items: fc.array(fc.oneof(path, image), { minLength: 1, maxLength: 3 }),
    x: number,
    y: number,
    cut: fc.boolean(),
  })
  .map(({ items, x, y, cut }): Item => ({
    kind: 'group',
    transform: [1, 0, 0, 1, x, y],
    layers: [{ items }],
    ...(cut && { clip: new PathBuilder().rect(0, 0, 40, 30).build() }),
  }))
const layer = fc.array(fc.oneof(path, image, group), { minLength: 1, maxLength: 4 }).map((items): Layer => ({ items }))

test('a layer that is drawn larger has a box so much larger about its origin, whatever is in it', () => {
  fc.assert(
    fc.property(layer, fc.double({ min: 0.2, max: 5, noNaN: true }), (drawn, by) => {
      const [was, now] = [layerBox(drawn), layerBox(scaled(drawn, by))]
      now.forEach((v, i) => expect(v).toBeCloseTo(was[i]! * by, 1))
      expect(scaled(drawn, 1)).toBe(drawn)
    }),
  )
})

test('what is cut to a shape has the shape’s box, where its group stands; nothing has none', () => {
  const wide: Item = { kind: 'image', asset: 'a', x: -100, y: -100, width: 900, height: 900 }
  const clip = new PathBuilder().rect(10, 20, 30, 40).build()
  const cut: Item = { kind: 'group', transform: [1, 0, 0, 1, 5, 6], clip, layers: [{ items: [wide] }] }
  expect(layerBox({ items: [cut] })).toEqual([15, 26, 45, 66])
  const [x0, , x1] = layerBox({ items: [] })
  expect(x1).toBeLessThan(x0)
})

test('letters are in the box from over their capitals to under their tails', async () => {
  const face = await shelf.face('figtree/regular')
  const out = new LayerBuilder()
  out.run({ face, size: 20, baseline: 100, colour: { k: 1 }, place: { section: 's', block: 'b' } })
  const glyph = 36
  out.glyph(face.pair(glyph, 'H'), 30)
  const [x0, y0, x1, y1] = layerBox(out.build())
  expect(x0).toBe(30)
  expect(x1).toBeCloseTo(30 + (face.advance(glyph) / face.unitsPerEm) * 20, 3)
  expect([y0, y1]).toEqual([expect.closeTo(84.4, 3), expect.closeTo(104.8, 3)])
})
