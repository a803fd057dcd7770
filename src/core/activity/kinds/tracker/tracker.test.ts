import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { pathBox } from '../../../marks/path'
import { seeded } from '../../../trade'
import { fills } from './shapes'

test.each(Object.entries(fills))('%s: as many as are wanted, all in their box, none over another', (id, { fill }) => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 400 }),
      fc.integer({ min: 80, max: 600 }),
      fc.integer({ min: 80, max: 800 }),
      fc.integer(),
      (count, width, height, seed) => {
        const box = { x: 7, y: 11, width, height }
        const all = fill(box, count, seeded(seed))
        expect(all).toHaveLength(count)
        const boxes = all.map(s => pathBox(s.outline.build()))
        const [left, top] = [Math.min(...boxes.map(b => b[0])), Math.min(...boxes.map(b => b[1]))]
        const [right, foot] = [Math.max(...boxes.map(b => b[2])), Math.max(...boxes.map(b => b[3]))]
        expect(Math.min(left - 7, top - 11, 7 + width - right, 11 + height - foot)).toBeGreaterThan(-0.01)
        // Where a number stands no other shape is; the last of a shelf has its board under all of them.
        const astray = all.filter(({ x, y }, i) =>
          boxes.some(([x0, y0, x1, y1], k) => {
            const there = x > x0 && x < x1 && y > y0 && y < y1
            return k === i ? !there : there && id !== 'books'
          }),
        )
        expect(astray).toEqual([])
      },
    ),
    { numRuns: 25 },
  )
})
