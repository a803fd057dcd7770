import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { shelf } from '../../../tests/support/core'
import { pathsOn } from '../../../tests/support/pathsOn'
import type { Run } from '../book'
import { Op } from '../marks/path'
import { kindOf } from './registry'
import { stacked, within } from './ruling'
import { RunPress } from './runPress'

const length = (min: number, max: number): fc.Arbitrary<number> => fc.double({ min, max, noNaN: true })

test('groups under each other: none more would go in, they fill the height, none comes too near to another', () => {
  fc.assert(
    fc.property(length(10, 900), length(5, 200), length(1, 100), (height, group, gap) => {
      const at = stacked(height, group, gap)
      if (at.length) expect(at.at(-1)! + group).toBeLessThanOrEqual(height + 1e-6)
      if (at.length > 1) expect(at.at(-1)! + group).toBeCloseTo(height, 6)
      at.slice(1).forEach((y, i) => expect(y - at[i]! - group).toBeGreaterThanOrEqual(gap - 1e-3))
      expect((at.length + 1) * group + at.length * gap).toBeGreaterThan(height - 1e-3)
    }),
  )
})

test('a line within a room: both ends lie on it and on the edge of the room; without one no point of it lies inside', () => {
  const room = { width: 300, height: 200 }
  fc.assert(
    fc.property(length(-300, 600), length(-300, 600), fc.constantFrom(0.5, -0.5, 3, -3), (x, y, slope) => {
      const ends = within([x, y], slope, room)
      const at = (px: number): number => y + (px - x) * slope
      if (!ends) {
        for (let px = 1; px < room.width; px++) {
          const inside = at(px) > 1 && at(px) < room.height - 1
          expect(inside).toBe(false)
        }
        return
      }
      for (const [px, py] of ends) {
        expect(py).toBeCloseTo(at(px), 4)
        const edge = Math.min(px, room.width - px, py, room.height - py)
        expect(Math.abs(edge)).toBeLessThan(1e-4)
      }
    }),
  )
})

/** Every line of a page by its box, to a hundredth of a point. */
async function boxes(kind: string, room: { width: number; height: number }): Promise<string[]> {
  const params = kindOf(kind)!.plain as Run['params']
  const run: Run = { id: 'r1', kind, pages: 1, seed: 1, params }
  const [layer] = await new RunPress(shelf).layersOf(run, { runs: [], room, language: 'en' })
  return pathsOn(layer!).flatMap(item => {
    const { ops, xy } = item.path
    const out: string[] = []
    let corners: number[][] = []
    let at = 0
    const end = (): void => {
      if (corners.length) out.push(boxOf(corners))
      corners = []
    }
    for (const op of ops) {
      if (op === Op.move) end()
      for (let i = 0; i < TAKES[op]!; i++, at += 2) corners.push([xy[at]!, xy[at + 1]!])
    }
    end()
    return out
  })
}
/** Points that each operation has, by its number. */
const TAKES = [1, 1, 2, 3, 0]
const boxOf = (corners: number[][]): string => {
  const [xs, ys] = [corners.map(c => c[0]!), corners.map(c => c[1]!)]
  return [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)].map(v => v.toFixed(2)).join(' ')
}

describe('seen through the leaf', () => {
  test.each(['lined', 'dot', 'graph', 'isometric', 'hexagon', 'staves', 'storyboard'])(
    'the lines of %s lie where they lie on the other side',
    async kind => {
      for (const room of [
        { width: 360, height: 560 },
        { width: 333.3, height: 487.1 },
      ]) {
        const lines = await boxes(kind, room)
        expect(lines.length).toBeGreaterThan(3)
        const mirrored = lines.map(l => {
          const [x0, y0, x1, y1] = l.split(' ').map(Number) as [number, number, number, number]
          return [room.width - x1, y0, room.width - x0, y1]
        })
        const has = (m: number[]): boolean =>
          lines.some(l => l.split(' ').every((v, i) => Math.abs(Number(v) - m[i]!) < 0.03))
        expect(mirrored.filter(m => !has(m))).toEqual([])
      }
    },
  )
})

test('staves have as many lines as is said, one below the other, and none is cut off', async () => {
  const room = { width: 360, height: 560 }
  const lines = (await boxes('staves', room)).map(l => l.split(' ').map(Number))
  const level = lines.filter(([, y0, , y1]) => y1! - y0! < 1)
  expect(level.length % 5).toBe(0)
  expect(Math.max(...level.map(l => l[3]!))).toBeCloseTo(room.height, 0)
})
