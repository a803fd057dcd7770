import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { cutOut, type PicturePixels, rimColour } from './cutOut'

/** A picture of one ground with things on it: each a rectangle of a colour. */
function picture(
  [width, height]: [number, number],
  ground: [number, number, number],
  things: { x: number; y: number; w: number; h: number; colour: [number, number, number] }[],
): PicturePixels {
  const rgba = new Uint8ClampedArray(width * height * 4)
  for (let i = 0; i < width * height; i++) rgba.set([...ground, 255], i * 4)
  for (const { x, y, w, h, colour } of things)
    for (let v = y; v < y + h; v++) for (let u = x; u < x + w; u++) rgba.set([...colour, 255], (v * width + u) * 4)
  return { width, height, rgba }
}
const at = ({ width, rgba }: PicturePixels, x: number, y: number): number[] => [
  ...rgba.subarray((y * width + x) * 4, (y * width + x) * 4 + 4),
]
const plain = { tolerance: 0.1, soft: 0, holes: 'kept' } as const

describe('a plain ground taken from a picture', () => {
  const red = { x: 10, y: 10, w: 20, h: 20, colour: [200, 30, 30] as [number, number, number] }
  const hole = { x: 16, y: 16, w: 6, h: 6, colour: [250, 250, 250] as [number, number, number] }
  test('goes where it hangs together with the rim; what it encloses stays, or goes when it is asked', () => {
    const of = picture([40, 40], [250, 250, 250], [red, hole])
    const kept = cutOut(of, plain)
    expect(at(kept, 2, 2)[3]).toBe(0)
    expect(at(kept, 18, 18)[3]).toBe(255)
    expect(at(kept, 20, 12)).toEqual([200, 30, 30, 255])
    const opened = cutOut(of, { ...plain, holes: 'opened' })
    expect(at(opened, 18, 18)[3]).toBe(0)
    // The picture that was given is not changed.
    expect(at(of, 2, 2)[3]).toBe(255)
  })
  test('takes no more than is within the tolerance, whatever the colours', () => {
    const channel = () => fc.integer({ min: 0, max: 255 })
    fc.assert(
      fc.property(
        fc.tuple(channel(), channel(), channel()),
        fc.tuple(channel(), channel(), channel()),
        fc.double({ min: 0.01, max: 0.6, noNaN: true }),
        (ground, colour, tolerance) => {
          const of = picture([12, 12], ground, [{ x: 4, y: 4, w: 4, h: 4, colour }])
          const far = Math.max(...ground.map((g, i) => Math.abs(g - colour[i]!)))
          const inside = at(cutOut(of, { ...plain, tolerance }), 5, 5)[3]
          expect(inside).toBe(far <= tolerance * 255 ? 0 : 255)
        },
      ),
    )
  })
  test('leaves a soft edge that grows from nothing to all, and no deeper than it is asked', () => {
    const soft = cutOut(picture([60, 60], [0, 255, 0], [{ ...red, w: 40, h: 40 }]), { ...plain, soft: 4 })
    const alphas = Array.from({ length: 8 }, (_, i) => at(soft, 10 + i, 30)[3]!)
    for (const [i, a] of alphas.slice(1).entries()) expect(a).toBeGreaterThanOrEqual(alphas[i]!)
    expect(alphas[0]).toBeLessThan(60)
    expect(alphas[6]).toBe(255)
  })
  test('takes its light from what is left at the edge: no green stays on what stood on green', () => {
    // The edge is a mix of both, as a camera has it.
    const of = picture([40, 40], [0, 255, 0], [red, { ...red, x: 10, w: 1, colour: [100, 142, 15] }])
    const edge = at(cutOut(of, plain), 10, 20)
    expect(edge[1]!).toBeLessThan(142)
    expect(edge[0]!).toBeGreaterThan(100)
  })
  test('a brush says otherwise, inside its radius alone', () => {
    const of = picture([40, 40], [250, 250, 250], [red])
    const put = cutOut(of, {
      ...plain,
      strokes: [
        { points: [[3, 3]], radius: 2, keeps: true },
        { points: [[20, 20]], radius: 3, keeps: false },
      ],
    })
    expect(at(put, 3, 3)[3]).toBe(255)
    expect(at(put, 7, 3)[3]).toBe(0)
    expect(at(put, 20, 20)[3]).toBe(0)
    expect(at(put, 25, 20)[3]).toBe(255)
  })
  test('a stroke of it is one line, as wide all along', () => {
    const line = { points: [[12, 13] as const, [28, 13] as const], radius: 2, keeps: false }
    const put = cutOut(picture([40, 40], [250, 250, 250], [red]), { ...plain, strokes: [line] })
    for (let x = 12; x <= 28; x++) for (const y of [11, 13, 15]) expect(at(put, x, y)[3]).toBe(0)
    for (let x = 12; x <= 28; x++) expect(at(put, x, 16)[3]).toBe(255)
  })
  test('its colour is that of the rim, though something reaches over the rim', () => {
    expect(rimColour(picture([40, 40], [12, 200, 90], [{ ...red, x: 0, w: 12 }]))).toEqual([12, 200, 90])
  })
})
