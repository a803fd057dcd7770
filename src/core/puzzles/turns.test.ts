import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { nameOfCells, sharedName, turns } from './turns'

const grids = fc.tuple(fc.integer({ min: 1, max: 7 }), fc.integer({ min: 1, max: 7 })).chain(([rows, cols]) =>
  fc.record({
    rows: fc.constant(rows),
    cols: fc.constant(cols),
    cells: fc.array(fc.constantFrom('a', 'b', 'c'), { minLength: rows * cols, maxLength: rows * cols }),
  }),
)

const named = (rows: number, cols: number, cells: readonly string[]): string =>
  nameOfCells(rows, cols, (r, c) => cells[r * cols + c]!)

test('each of the eight turns lays every cell on one of its own, and neighbours on neighbours', () => {
  fc.assert(
    fc.property(grids, ({ rows, cols }) => {
      for (const turn of turns(rows, cols)) {
        const places = new Set<string>()
        for (let r = 0; r < rows; r++)
          for (let c = 0; c < cols; c++) {
            const [y, x] = turn.to(r, c)
            expect(y >= 0 && x >= 0 && y < turn.rows && x < turn.cols).toBe(true)
            places.add(`${y},${x}`)
            if (c + 1 === cols) continue
            const [y2, x2] = turn.to(r, c + 1)
            expect(Math.abs(y - y2) + Math.abs(x - x2)).toBe(1)
          }
        expect(places.size).toBe(rows * cols)
      }
    }),
  )
})

test('a grid has the name of all that a turn or a mirror makes of it', () => {
  fc.assert(
    fc.property(grids, fc.nat(7), ({ rows, cols, cells }, which) => {
      const turn = turns(rows, cols)[which]!
      const turned = new Array<string>(cells.length)
      cells.forEach((sign, at) => {
        const [y, x] = turn.to(Math.floor(at / cols), at % cols)
        turned[y * turn.cols + x] = sign
      })
      expect(named(turn.rows, turn.cols, turned)).toBe(named(rows, cols, cells))
    }),
  )
})

test('grids that no turn makes of each other have other names', () => {
  // All grids of three by three with two signs: so many classes as counting by hand of the eight turns gives (Burnside).
  const names = new Set<string>()
  for (let set = 0; set < 512; set++)
    names.add(
      named(
        3,
        3,
        Array.from({ length: 9 }, (_, at) => String((set >> at) & 1)),
      ),
    )
  expect(names.size).toBe((512 + 2 * 8 + 32 + 4 * 64) / 8)
  expect(named(2, 3, ['a', 'b', 'c', 'd', 'e', 'f'])).not.toBe(named(3, 3, ['a', 'b', 'c', 'd', 'e', 'f', '', '', '']))
  expect(sharedName(['x', 'y'])).toBe(sharedName(['y', 'x']))
})
