import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { type Bed, wholeBed } from './grid'
import { ringOf } from './hollow'

const beds = fc
  .tuple(fc.integer({ min: 1, max: 9 }), fc.integer({ min: 1, max: 9 }))
  .chain(([rows, cols]) =>
    fc
      .array(fc.constantFrom(1, 1, 1, 0), { minLength: rows * cols, maxLength: rows * cols })
      .map((open): Bed => ({ rows, cols, open: Uint8Array.from(open) })),
  )

/** Steps of a king from a cell to the nearest one that is closed or off the sheet. */
function depth({ rows, cols, open }: Bed, at: number): number {
  let least = Infinity
  for (let r = -1; r <= rows; r++)
    for (let c = -1; c <= cols; c++) {
      const off = r < 0 || c < 0 || r === rows || c === cols
      if (!off && open[r * cols + c]) continue
      least = Math.min(least, Math.max(Math.abs(r - Math.floor(at / cols)), Math.abs(c - (at % cols))))
    }
  return least
}

test('a ring has the cells that are so near to where the bed ends, and no others', () => {
  fc.assert(
    fc.property(beds, fc.integer({ min: 1, max: 4 }), (bed, wide) => {
      const ring = ringOf(bed, wide)
      bed.open.forEach((open, at) => expect(ring.open[at]).toBe(open && depth(bed, at) <= wide ? 1 : 0))
    }),
  )
  expect(ringOf(wholeBed(5, 5), 2).open.reduce((n, o) => n + o, 0)).toBe(24)
})
