import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { exactCovers } from './exactCover'

test('counts what trying every choice of rows counts, and names them', () => {
  const matrix = fc
    .integer({ min: 1, max: 6 })
    .chain(columns =>
      fc.tuple(
        fc.constant(columns),
        fc.array(fc.uniqueArray(fc.nat({ max: columns - 1 }), { minLength: 1, maxLength: columns }), { maxLength: 9 }),
      ),
    )
  fc.assert(
    fc.property(matrix, ([columns, rows]) => {
      const found = new Set<string>()
      const count = exactCovers(columns, rows, Infinity, chosen => found.add(chosen.sort((a, b) => a - b).join()))
      const all: string[] = []
      for (let bits = 0; bits < 2 ** rows.length; bits++) {
        const chosen = rows.flatMap((_, i) => (bits & (2 ** i) ? [i] : []))
        const covered = chosen.flatMap(i => rows[i]!)
        if (covered.length === columns && new Set(covered).size === columns) all.push(chosen.join())
      }
      expect(count).toBe(all.length)
      expect([...found].sort()).toEqual(all.sort())
      expect(exactCovers(columns, rows, 1, () => undefined)).toBe(Math.min(1, all.length))
    }),
  )
})
