import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { SeenPixels } from './seenPixels'

/** A sheet of so many pixels, four of them a point, each as `at` says. */
const SCALE = 4
function sheet(width: number, height: number, at: (x: number, y: number) => number[]): SeenPixels {
  const rgba = new Uint8ClampedArray(width * height * 4)
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) rgba.set([...at(x, y), 255].slice(0, 4), (y * width + x) * 4)
  return new SeenPixels({ width, height, rgba }, SCALE, { x: -10, y: -5 })
}
const DARK = [20, 40, 60]
const LIGHT = [250, 250, 250]

describe('a picture looked at by points', () => {
  test('paper is white, or what is clear; a colour is none, however light', () => {
    const seen = sheet(400, 200, (x, y) => (y < 100 ? LIGHT : x < 200 ? [...DARK, 0] : [250, 250, 225]))
    expect(seen.paper(0, 0)).toBe(true)
    expect(seen.paper(0, 40)).toBe(true)
    expect(seen.paper(60, 40)).toBe(false)
  })

  test('beside an upright line it is plain for as much of its height as has one colour there', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 200 }), rows => {
        // So many rows from the top have an edge at the line's place, 40 points from the sheet's left.
        const seen = sheet(400, 200, (x, y) => (y < rows && x >= 160 ? LIGHT : DARK))
        expect(seen.plainAcross(30, 6)).toBeCloseTo(1 - rows / 200, 6)
        // Far from the edge all of it is plain.
        expect(seen.plainAcross(60, 6)).toBe(1)
      }),
    )
  })

  test('a gradient down is plain across; one across is not', () => {
    expect(sheet(400, 200, (_, y) => [y, y, y]).plainAcross(30, 6)).toBe(1)
    expect(sheet(400, 200, x => [x % 256, 0, 0]).plainAcross(30, 20)).toBe(0)
  })

  test('bars and letters are fine drawing; skies, waves and one edge are not', () => {
    const box = { x: 0, y: 0, width: 60, height: 30 }
    expect(sheet(400, 200, x => (Math.floor(x / 3) % 2 ? DARK : LIGHT)).finelyDrawn(box)).toBeGreaterThan(0.3)
    expect(sheet(400, 200, (x, y) => [x / 2, y, 90]).finelyDrawn(box)).toBe(0)
    expect(sheet(400, 200, x => (x < 160 ? DARK : LIGHT)).finelyDrawn(box)).toBeLessThan(0.02)
  })

  test('what lies outside is as the edge is', () => {
    const seen = sheet(40, 40, x => (x < 20 ? DARK : LIGHT))
    expect(seen.paper(-500, -500)).toBe(false)
    expect(seen.paper(500, 500)).toBe(true)
  })
})
