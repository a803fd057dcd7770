import { describe, expect, test } from '@jest/globals'
import { createCanvas, loadImage } from '@napi-rs/canvas'
import fc from 'fast-check'
import { shelf } from '../../../tests/support/core'
import {
  BLACK,
  type Canvas2D,
  type Colour,
  type Item,
  type Layer,
  LayerBuilder,
  type PageMarks,
  pageSvg,
  paintPage,
  PathBuilder,
  pathBox,
  rgb,
  spanWithin,
} from '.'

const SCALE = 4
const pageOf = (layers: Layer[], at = { x: 0, y: 0 }, bleed = 0): PageMarks => ({
  width: 60,
  height: 40,
  bleed: { top: bleed, right: bleed, bottom: bleed, left: bleed },
  layers: layers.map(layer => ({ layer, ...at })),
  label: '1',
  side: 'recto',
})
const painted = (page: PageMarks): Uint8ClampedArray => {
  const canvas = createCanvas((page.width + 2 * page.bleed.left) * SCALE, (page.height + 2 * page.bleed.top) * SCALE)
  const ctx = canvas.getContext('2d')
  ctx.scale(SCALE, SCALE)
  ctx.translate(page.bleed.left, page.bleed.top)
  paintPage(ctx as unknown as Canvas2D, page, () => undefined)
  return ctx.getImageData(0, 0, canvas.width, canvas.height).data as Uint8ClampedArray
}
/** The colour at a point of the page, points. */
const at = (data: Uint8ClampedArray, x: number, y: number, width = 60): number[] => [
  ...data.slice(
    (Math.floor(y * SCALE) * width * SCALE + Math.floor(x * SCALE)) * 4,
    (Math.floor(y * SCALE) * width * SCALE + Math.floor(x * SCALE)) * 4 + 3,
  ),
]
/** Box of all that is not paper, points. */
const ink = (data: Uint8ClampedArray, width = 60): [number, number, number, number] => {
  let [x0, y0, x1, y1] = [Infinity, Infinity, -Infinity, -Infinity]
  for (let i = 0; i < data.length; i += 4)
    if (data[i]! < 250 || data[i + 1]! < 250 || data[i + 2]! < 250) {
      const [x, y] = [((i / 4) % (width * SCALE)) / SCALE, Math.floor(i / 4 / (width * SCALE)) / SCALE]
      ;[x0, y0, x1, y1] = [Math.min(x0, x), Math.min(y0, y), Math.max(x1, x + 1 / SCALE), Math.max(y1, y + 1 / SCALE)]
    }
  return [x0, y0, x1, y1]
}
const rect = (x: number, y: number, w: number, h: number, fill: Colour = BLACK): Item => ({
  kind: 'path',
  path: new PathBuilder().rect(x, y, w, h).build(),
  fill,
})

describe('painting', () => {
  test('what is filled stands where it was put, in its colour, wherever its layer and groups are', () => {
    const n = fc.integer({ min: 0, max: 10 })
    fc.assert(
      fc.property(n, n, n, n, fc.constantFrom<Colour>(BLACK, { k: 0.5 }, rgb('#a8412a')), (x, y, dx, dy, colour) => {
        const data = painted(
          pageOf(
            [
              {
                items: [
                  { kind: 'group', transform: [1, 0, 0, 1, dx, dy], layers: [{ items: [rect(1, 2, 6, 5, colour)] }] },
                ],
              },
            ],
            { x, y },
          ),
        )
        expect(ink(data)).toEqual([x + dx + 1, y + dy + 2, x + dx + 7, y + dy + 7])
        const want = 'k' in colour ? Array(3).fill(Math.round(255 * (1 - colour.k))) : [0xa8, 0x41, 0x2a]
        expect(at(data, x + dx + 3, y + dy + 4)).toEqual(want)
      }),
      { numRuns: 40 },
    )
  })
  test('a group turns, cuts off and is seen through as told, and leaves nothing of that behind', () => {
    const clip = new PathBuilder().rect(0, 0, 4, 4).build()
    const data = painted(
      pageOf([
        {
          items: [
            { kind: 'group', transform: [0, 1, -1, 0, 20, 0], layers: [{ items: [rect(0, 0, 10, 4)] }] },
            {
              kind: 'group',
              transform: [1, 0, 0, 1, 30, 0],
              clip,
              opacity: 0.5,
              layers: [{ items: [rect(0, 0, 9, 9)] }],
            },
            rect(30, 20, 9, 9),
          ],
        },
      ]),
    )
    // Turned clockwise by a quarter: ten long across has become ten down, to the left of its origin.
    expect([at(data, 17, 9), at(data, 15, 9), at(data, 17, 11)]).toEqual([
      [0, 0, 0],
      [255, 255, 255],
      [255, 255, 255],
    ])
    expect([at(data, 32, 2)[0]! > 100 && at(data, 32, 2)[0]! < 155, at(data, 36, 2), at(data, 32, 22)]).toEqual([
      true,
      [255, 255, 255],
      [0, 0, 0],
    ])
  })
  test('a picture that is not here has a marked box in its place; paper reaches over the bleed', () => {
    const page = pageOf(
      [{ items: [{ kind: 'image', asset: 'gone', x: 10, y: 10, width: 20, height: 10 }] }],
      { x: 0, y: 0 },
      3,
    )
    const data = painted(page)
    // The box's line lies half outside of it.
    const [x0, y0, x1, y1] = ink(data, 66) as [number, number, number, number]
    for (const [a, b] of [
      [x0, 13],
      [y0, 13],
      [x1, 33],
      [y1, 23],
    ] as const)
      expect(Math.abs(a - b)).toBeLessThanOrEqual(1)
    expect(at(data, 0.5, 0.5, 66)).toEqual([255, 255, 255])
  })
  test('letters stand on their baseline in the height and width that their outlines say', async () => {
    const face = await shelf.face('eb-garamond/regular')
    const { shapeIn } = await import('../type')
    for (const [text, stretch] of [
      ['H', 1],
      ['g', 1],
      ['H', 0.5],
    ] as const) {
      const shaped = shapeIn(face, text, [], 'en')
      const b = new LayerBuilder()
      b.run({ face, size: 20, stretch, baseline: 28, colour: BLACK, place: { section: '', block: '' } })
      b.word(shaped.pairs, shaped.x, 5, 0.02 * stretch, 0)
      const [x0, y0, x1, y1] = pathBox(face.outline(face.pairGlyph(shaped.pairs[0]!))).map(v => v * 0.02) as [
        number,
        number,
        number,
        number,
      ]
      const box = ink(painted(pageOf([b.build()])))
      const want = [5 + x0 * stretch, 28 - y1, 5 + x1 * stretch, 28 - y0]
      box.forEach((v, i) => expect(Math.abs(v - want[i]!)).toBeLessThan(0.35))
    }
  })
})

describe('a page as SVG', () => {
  test('drawn by another program it shows what the painter paints', async () => {
    const face = await shelf.face('eb-garamond/regular')
    const { shapeIn } = await import('../type')
    const b = new LayerBuilder()
    const shaped = shapeIn(face, 'Quay & mole', [], 'en')
    b.run({ face, size: 9, baseline: 20, colour: rgb('#15343d'), place: { section: '', block: '' } })
    b.word(shaped.pairs, shaped.x, 4, 0.009, 0)
    b.add(rect(2, 26, 30, 4, { k: 0.4 }))
    b.add({ kind: 'path', path: new PathBuilder().circle(48, 28, 6).build(), stroke: { colour: BLACK, width: 1.5 } })
    const page = pageOf([b.build()], { x: 1, y: 2 }, 3)
    const ours = painted(page)
    const image = await loadImage(Buffer.from(pageSvg(page, 'A <page> & more')))
    const canvas = createCanvas(66 * SCALE, 46 * SCALE)
    const ctx = canvas.getContext('2d')
    ctx.fillStyle = '#fff'
    ctx.fillRect(0, 0, canvas.width, canvas.height)
    ctx.drawImage(image, 0, 0, canvas.width, canvas.height)
    const theirs = ctx.getImageData(0, 0, canvas.width, canvas.height).data
    let [apart, inked] = [0, 0]
    for (let i = 0; i < ours.length; i += 4) {
      if (Math.abs(ours[i]! - theirs[i]!) > 128) apart++
      if (ours[i]! < 200) inked++
    }
    expect(inked).toBeGreaterThan(1500)
    expect(apart / inked).toBeLessThan(0.02)
    expect(() =>
      pageSvg(pageOf([{ items: [{ kind: 'image', asset: 'p', x: 0, y: 0, width: 1, height: 1 }] }]), 't'),
    ).toThrow(/only drawings/)
  })
})

describe('how far an outline reaches', () => {
  test('within a band, as points along it say', () => {
    const n = fc.integer({ min: -40, max: 40 })
    fc.assert(
      fc.property(
        fc.array(fc.tuple(n, n), { minLength: 3, maxLength: 8 }),
        n,
        fc.integer({ min: 1, max: 30 }),
        (points, low, height) => {
          const path = new PathBuilder().move(points[0]![0], points[0]![1])
          for (const [x, y] of points.slice(1)) path.line(x, y)
          const span = spanWithin(path.close().build(), low, low + height)
          let [least, most] = [Infinity, -Infinity]
          points.forEach(([x0, y0], i) => {
            const [x1, y1] = points[(i + 1) % points.length]!
            for (let k = 0; k <= 400; k++) {
              const [x, y] = [x0 + ((x1 - x0) * k) / 400, y0 + ((y1 - y0) * k) / 400]
              if (y >= low && y <= low + height) [least, most] = [Math.min(least, x), Math.max(most, x)]
            }
          })
          // The points lie on the outline, so it reaches at least as far, and not by much more than they are apart.
          if (least <= most) {
            expect(span![0]).toBeLessThanOrEqual(least + 1e-6)
            expect(span![1]).toBeGreaterThanOrEqual(most - 1e-6)
            expect(least - span![0] + span![1] - most).toBeLessThan(0.5)
          }
        },
      ),
    )
    expect(spanWithin(new PathBuilder().circle(0, 0, 10).build(), -1, 1)![1]).toBeCloseTo(10, 1)
    expect(spanWithin(new PathBuilder().rect(0, 0, 1, 1).build(), 5, 6)).toBeUndefined()
  })
})
