import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { createCanvas } from '@napi-rs/canvas'
import { type Layer, paintPage, type PageMarks } from '../../marks'
import { drawGround, groundAt, groundSchema, patterns } from '.'

const leaf = {
  width: 200,
  height: 260,
  bleed: { top: 9, right: 9, bottom: 9, left: 0 },
  room: { x: 40, y: 40, width: 120, height: 180 },
}

/** Darkness of each pixel of a layer on a leaf without bleed, row by row: 0 paper to 1. */
function darkness(layer: Layer, pictures: (id: string) => unknown = () => undefined): number[] {
  const page: PageMarks = {
    width: leaf.width,
    height: leaf.height,
    bleed: { top: 0, right: 0, bottom: 0, left: 0 },
    layers: [{ layer, x: 0, y: 0 }],
    label: '1',
    side: 'recto',
  }
  const canvas = createCanvas(leaf.width, leaf.height)
  const context = canvas.getContext('2d')
  context.fillStyle = '#fff'
  context.fillRect(0, 0, leaf.width, leaf.height)
  paintPage(context as never, page, pictures as never)
  const { data } = context.getImageData(0, 0, leaf.width, leaf.height)
  return Array.from({ length: leaf.width * leaf.height }, (_, i) => 1 - data[4 * i]! / 255)
}

test.each(patterns.map(p => p.id))(
  'the pattern “%s” covers the leaf evenly and is no darker than it is asked to be',
  id => {
    const dark = darkness(drawGround({ tone: 0.3 }, { pattern: id }, leaf))
    expect(Math.max(...dark)).toBeLessThanOrEqual(0.33)
    const mean = (x0: number, y0: number): number => {
      let sum = 0
      for (let y = y0; y < y0 + 100; y++) for (let x = x0; x < x0 + 96; x++) sum += dark[y * leaf.width + x]!
      return sum / 9600
    }
    const corners = [mean(0, 0), mean(104, 0), mean(0, 160), mean(104, 160)]
    const whole = corners.reduce((a, b) => a + b) / 4
    expect(whole).toBeGreaterThan(0.005)
    expect(whole).toBeLessThan(0.2)
    for (const c of corners) expect(Math.abs(c - whole)).toBeLessThan(whole * 0.35)
  },
)

test('a clear room has no ground in it, and some around it', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(undefined, ...patterns.map(p => p.id)),
      fc.double({ min: 0.05, max: 1, noNaN: true }),
      (id, tone) => {
        const dark = darkness(drawGround({ tone, clear: true, size: 12 }, id ? { pattern: id } : {}, leaf))
        const { x, y, width, height } = leaf.room
        for (let j = y; j < y + height; j += 7)
          for (let i = x; i < x + width; i += 7) expect(dark[j * leaf.width + i]).toBe(0)
        expect(Math.max(...dark)).toBeGreaterThan(0.02)
      },
    ),
    { numRuns: 25 },
  )
})

test('an even tone is the same everywhere; patterns come in turn', () => {
  expect(new Set(darkness(drawGround({ tone: 0.2 }, {}, leaf)).map(d => d.toFixed(2))).size).toBe(1)
  const ground = { tone: 0.1, patterns: ['waves', 'dots'] }
  expect([0, 1, 2, 3].map(i => groundAt(ground, i).pattern)).toEqual(['waves', 'dots', 'waves', 'dots'])
  expect(groundAt({ tone: 0.1 }, 5)).toEqual({})
  expect(groundSchema().isValidSync(ground)).toBe(true)
  expect(groundSchema().isValidSync({ ...ground, patterns: ['lace'] })).toBe(false)
})

test('pictures come in turn, fill the leaf over its edge, and are no darker than asked; where none is chosen the leaf is bare', () => {
  const ground = { tone: 0.25, pictures: ['a', 'b'], patterns: ['dots'] }
  expect([0, 1, 2].map(i => groundAt(ground, i))).toEqual([{ picture: 'a' }, { picture: 'b' }, { picture: 'a' }])
  expect(groundSchema().isValidSync(ground)).toBe(true)
  const black = createCanvas(40, 20)
  black.getContext('2d').fillRect(0, 0, 40, 20)
  const assets = new Map([['a', { id: 'a', type: 'image/png' as const, width: 40, height: 20 }]])
  for (const tone of [0.1, 0.25, 1]) {
    const dark = darkness(drawGround({ ...ground, tone }, { picture: 'a' }, { ...leaf, assets }), () => black)
    for (const d of [dark[0]!, dark.at(-1)!, dark[130 * leaf.width + 100]!]) expect(d).toBeCloseTo(tone, 1)
  }
  const cleared = darkness(drawGround({ ...ground, clear: true }, { picture: 'a' }, { ...leaf, assets }), () => black)
  expect(cleared[130 * leaf.width + 100]).toBe(0)
  expect(drawGround({ tone: 0.25, pictures: [] }, {}, leaf).items).toEqual([])
})
