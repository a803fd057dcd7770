import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import type { PictureTone } from '../book'
import type { PicturePixels } from './cutOut'
import { toned } from './tone'
import { treated, treatedFrom, treatmentWord } from './treatment'

const pixels = (width: number, height: number, at: (x: number, y: number) => number[]): PicturePixels => {
  const rgba = new Uint8ClampedArray(width * height * 4)
  for (let y = 0; y < height; y++) for (let x = 0; x < width; x++) rgba.set(at(x, y), (y * width + x) * 4)
  return { width, height, rgba }
}
const of = ({ width, rgba }: PicturePixels, x: number, y: number): number[] => [
  ...rgba.slice((y * width + x) * 4, (y * width + x) * 4 + 4),
]
const byte = () => fc.integer({ min: 0, max: 255 })
const colour = fc.tuple(byte(), byte(), byte(), byte())
/** A picture of one colour, in a tone. */
const one = (rgba: number[], tone: PictureTone): number[] =>
  of(
    toned(
      pixels(9, 7, () => rgba),
      tone,
    ),
    4,
    3,
  )

describe('tones of a picture', () => {
  test('nothing asked is nothing done, and what was given stays as it is', () => {
    fc.assert(fc.property(colour, rgba => expect(one(rgba, {})).toEqual(rgba)))
    const given = pixels(4, 4, () => [10, 20, 30, 255])
    toned(given, { colours: 'greys', light: 1 })
    expect(of(given, 2, 2)).toEqual([10, 20, 30, 255])
  })

  test('greys have one value for all three, as light as an eye sees the colour; what is clear stays clear', () => {
    fc.assert(
      fc.property(colour, ([r, g, b, a]) => {
        const [x, y, z, alpha] = one([r!, g!, b!, a!], { colours: 'greys' })
        expect([y, z, alpha]).toEqual([x, x, a])
        expect(Math.abs(x! - (0.2126 * r! + 0.7152 * g! + 0.0722 * b!))).toBeLessThanOrEqual(2)
      }),
    )
  })

  test('from one colour to another black becomes the first, white the second', () => {
    const two = { colours: { dark: '#102030', light: '#f0e0d0' } }
    expect(one([0, 0, 0, 255], two)).toEqual([16, 32, 48, 255])
    expect(one([255, 255, 255, 255], two)).toEqual([240, 224, 208, 255])
  })

  test('lighter is lighter and darker darker; black and white stay; harder goes away from the middle', () => {
    const values = fc.integer({ min: 1, max: 254 })
    const by = fc.double({ min: 0.05, max: 1, noNaN: true })
    fc.assert(
      fc.property(values, by, (v, light) => {
        const grey = [v, v, v, 255]
        expect(one(grey, { light })[0]).toBeGreaterThanOrEqual(v)
        expect(one(grey, { light: -light })[0]).toBeLessThanOrEqual(v)
        const away = one(grey, { contrast: light })[0]!
        expect(Math.abs(away - 127.5)).toBeGreaterThanOrEqual(Math.abs(v - 127.5) - 0.6)
        expect(Math.abs(one(grey, { contrast: -light })[0]! - 127.5)).toBeLessThanOrEqual(Math.abs(v - 127.5) + 0.6)
      }),
    )
    for (const light of [-1, 1])
      for (const end of [0, 255]) expect(one([end, end, end, 255], { light })).toEqual([end, end, end, 255])
  })

  test('warmer has more red and less blue, and as much green', () => {
    const [r, g, b] = one([120, 120, 120, 255], { warmth: 0.5 })
    expect(r).toBeGreaterThan(125)
    expect(g).toBe(120)
    expect(b).toBeLessThan(115)
  })

  test('a tint of all its strength is one colour between black and white; of none, nothing', () => {
    const tint = (strength: number) => ({ tint: { colour: '#8a5a2b', strength } })
    expect(one([128, 128, 128, 255], tint(1))).toEqual([138, 90, 43, 255])
    expect(one([7, 99, 201, 255], tint(0))).toEqual([7, 99, 201, 255])
  })

  test('blurred, an even picture stays even, an edge goes over evenly, and as much light is in it', () => {
    fc.assert(
      fc.property(colour, ([r, g, b]) => {
        const same = one([r!, g!, b!, 255], { blur: 0.2 })
        for (const [i, v] of [r!, g!, b!].entries()) expect(Math.abs(same[i]! - v)).toBeLessThanOrEqual(1)
      }),
    )
    const edge = toned(
      pixels(80, 80, x => (x < 40 ? [0, 0, 0, 255] : [255, 255, 255, 255])),
      { blur: 0.1 },
    )
    const along = Array.from({ length: 80 }, (_, x) => of(edge, x, 40)[0]!)
    for (let x = 1; x < 80; x++) expect(along[x]!).toBeGreaterThanOrEqual(along[x - 1]!)
    expect(along[0]).toBe(0)
    expect(along[79]).toBe(255)
    expect(Math.abs(along.reduce((n, v) => n + v, 0) / 80 - 127.5)).toBeLessThan(3)
    // Down as across.
    const down = toned(
      pixels(80, 80, (_, y) => (y < 40 ? [0, 0, 0, 255] : [255, 255, 255, 255])),
      { blur: 0.1 },
    )
    expect(Array.from({ length: 80 }, (_, y) => of(down, 40, y)[0]!)).toEqual(along)
  })

  test('blurred beside nothing a colour stays itself: what is clear has none', () => {
    const half = toned(
      pixels(60, 60, x => (x < 30 ? [200, 40, 10, 255] : [0, 255, 0, 0])),
      { blur: 0.1 },
    )
    const [r, g, b, a] = of(half, 30, 30)
    expect(a).toBeGreaterThan(60)
    expect(a).toBeLessThan(200)
    expect(Math.abs(r! - 200) + Math.abs(g! - 40) + Math.abs(b! - 10)).toBeLessThan(12)
  })

  test('grained it is as light as before, the same every time, and nowhere plain', () => {
    const grey = pixels(200, 200, () => [128, 128, 128, 255])
    const once = toned(grey, { grain: 0.6 })
    expect(toned(grey, { grain: 0.6 }).rgba).toEqual(once.rgba)
    const values = [...once.rgba].filter((_, i) => i % 4 === 0)
    const mean = values.reduce((n, v) => n + v, 0) / values.length
    expect(Math.abs(mean - 128)).toBeLessThan(1)
    expect(new Set(values).size).toBeGreaterThan(30)
  })
})

describe('what was made of a picture', () => {
  const cut = { tolerance: 0.1, soft: 2, holes: 'kept' } as const
  const stroke = { points: [[0.2, 0.3]] as [number, number][], radius: 0.01, keeps: true }

  test('is known by all that was done to it, whatever the order it is said in, and by nothing else', () => {
    expect(treatmentWord({})).toBeUndefined()
    expect(treatmentWord({ tone: {} })).toBeUndefined()
    expect(treatmentWord({ tone: { light: 0.1, grain: 0.2 } })).toBe(
      treatmentWord({ tone: { grain: 0.2, light: 0.1 } }),
    )
    const all = [
      { cut },
      { cut: { ...cut, strokes: [stroke] } },
      { tone: { light: 0.1 } },
      { cut, tone: { light: 0.1 } },
    ]
    expect(new Set(all.map(treatmentWord)).size).toBe(all.length)
    const cleaned = all.map((how, i) => ({ how: treatmentWord(how)!, id: `made-${i}` }))
    for (const [i, how] of all.entries()) expect(treatedFrom({ cleaned }, how)).toBe(`made-${i}`)
    expect(treatedFrom({ cleaned }, { tone: { light: 0.2 } })).toBeUndefined()
  })

  test('is cut out first, by hand where it was corrected, and then in its tones', () => {
    const thing = pixels(40, 20, (x, y) =>
      x > 9 && x < 30 && y > 4 && y < 15 ? [200, 30, 30, 255] : [250, 250, 250, 255],
    )
    const tone: PictureTone = { colours: 'greys' }
    // A dab in its middle that goes, a tenth of its width across.
    const dab = { points: [[0.5, 0.5]] as [number, number][], radius: 0.05, keeps: false }
    const made = treated(thing, { cut: { ...cut, soft: 0, strokes: [dab] }, tone })
    expect(of(made, 1, 1)[3]).toBe(0)
    expect(of(made, 20, 10)[3]).toBe(0)
    const [r, g, b, a] = of(made, 13, 10)
    expect([g, b, a]).toEqual([r, r, 255])
  })
})
