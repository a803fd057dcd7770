import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { nodePorts } from '@/cli/ports'
import { type Item, type PageMarks, PathBuilder, rgb } from '../marks'
import { gradientIn } from './gradient'
import { motifs } from './motifs'

const box = { x: 0, y: 0, width: 120, height: 90 }
const page = (items: Item[]): PageMarks => ({
  width: box.width,
  height: box.height,
  bleed: { top: 0, right: 0, bottom: 0, left: 0 },
  label: '',
  side: 'recto',
  layers: [{ layer: { items }, x: 0, y: 0 }],
})
const edge = new PathBuilder().rect(0, 0, box.width, box.height).build()
/** How light a place of it is, 0 to 255, painted from black to white. */
async function painted(angle: number, begins = 0): Promise<(x: number, y: number) => number> {
  const item = gradientIn(edge, box, { from: rgb('#000000'), to: rgb('#ffffff'), angle, begins })
  const { rgba, width, height } = await nodePorts(new Map()).pixels(page([item]), 2)
  return (x, y) => rgba[(Math.min(height - 1, Math.floor(y * 2)) * width + Math.min(width - 1, Math.floor(x * 2))) * 4]!
}

describe('a gradient', () => {
  test.each([
    [0, [60, 2], [60, 88]],
    [180, [60, 88], [60, 2]],
    [90, [2, 45], [118, 45]],
    [-90, [118, 45], [2, 45]],
    [45, [2, 2], [118, 88]],
  ] as const)('at %i° goes from its one colour to the other that way', async (angle, [fromX, fromY], [toX, toY]) => {
    const at = await painted(angle)
    expect(at(fromX, fromY)).toBeLessThan(16)
    expect(at(toX, toY)).toBeGreaterThan(240)
  })

  test('never goes back along its way, at any angle', async () => {
    await fc.assert(
      fc.asyncProperty(fc.integer({ min: -180, max: 180 }), async angle => {
        const at = await painted(angle)
        const turn = (angle * Math.PI) / 180
        const way = Array.from({ length: 30 }, (_, i) => {
          const along = (i / 29 - 0.5) * 84
          return at(60 + Math.sin(turn) * along, 45 + Math.cos(turn) * along)
        })
        for (const [i, v] of way.slice(1).entries()) expect(v).toBeGreaterThanOrEqual(way[i]! - 1)
      }),
      { numRuns: 15 },
    )
  })

  test('that begins behind a part of its way is one colour before', async () => {
    const at = await painted(0, 0.5)
    expect(at(60, 2)).toBe(0)
    expect(at(60, 42)).toBeLessThan(12)
    expect(at(60, 66)).toBeGreaterThan(90)
    expect(at(60, 89)).toBeGreaterThan(240)
  })

  test('is the ground of a cover, from the ground’s colour to that of its foot, as its values say', async () => {
    const { draw, values, says } = motifs.fade!
    for (const name of Object.keys(values)) expect(says).toContain(`{${name}}`)
    const drawn = (value: Record<string, number>): Item[] =>
      draw({ sheet: box, ground: rgb('#000000'), dark: rgb('#ffffff'), value: (n: string) => value[n]! } as never)
    const { rgba, width } = await nodePorts(new Map()).pixels(page(drawn({ from: 0, angle: 90 })), 1)
    expect(rgba[(45 * width + 1) * 4]).toBeLessThan(16)
    expect(rgba[(45 * width + 118) * 4]).toBeGreaterThan(240)
  })
})
