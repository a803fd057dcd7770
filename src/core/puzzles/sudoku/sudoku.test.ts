import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { cases } from '../../../../tests/support/deep'
import { type Band, bands } from '../difficulty'
import { makePuzzles } from '../makePuzzles'
import { puzzleKind } from '../registry'
import { grade } from './grade'
import { gridOf, type Sudoku } from './grid'
import { make } from './make'
import { prove } from './solve'
import { twinOf } from './twin'
import { hardestOf, sizes } from './values'

const kind = puzzleKind('sudoku')!
const flat = (rows: number[][]): number[] => rows.flat().map(v => v - 1)

/** A third opinion: numbers tried cell by cell, in the order of reading, held against the rules as they are said to a child. */
function answersByTrying({ size, boxRows, boxCols, givens }: Sudoku): number {
  const rows = givens.map(r => [...r])
  const fits = (r: number, c: number, v: number): boolean => {
    for (let i = 0; i < size; i++) if (rows[r]![i] === v || rows[i]![c] === v) return false
    const [r0, c0] = [r - (r % boxRows), c - (c % boxCols)]
    for (let i = r0; i < r0 + boxRows; i++) for (let k = c0; k < c0 + boxCols; k++) if (rows[i]![k] === v) return false
    return true
  }
  const tried = (from: number): number => {
    let at = from
    while (at < size * size && rows[Math.floor(at / size)]![at % size]) at++
    if (at === size * size) return 1
    const [r, c] = [Math.floor(at / size), at % size]
    let n = 0
    for (let v = 1; v <= size && n < 2; v++)
      if (fits(r, c, v)) {
        rows[r]![c] = v
        n += tried(at + 1)
        rows[r]![c] = 0
      }
    return n
  }
  return tried(0)
}

describe.each(sizes.flatMap(size => hardestOf(size).map(band => [size, band] as const)))('%s, %s', (size, band) => {
  const count = size === '16' ? cases(1, 20) : cases(30, 1000)
  test('each has one answer, its own, by a second solver; falls in its band; no two are twins', async () => {
    const few = size === '4' ? Math.min(count, 30) : count
    const made = await makePuzzles(kind, { size, band }, { seed: 11, count: few })
    expect(made).toHaveLength(few)
    expect(new Set(made.map(m => m.twin)).size).toBe(few)
    for (const { puzzle, difficulty } of made) {
      const sudoku = puzzle as Sudoku
      expect(prove(sudoku)).toEqual({ answers: 1, agrees: true })
      expect(difficulty.band).toBe(band)
      expect(grade(gridOf(Number(size)), flat(sudoku.givens))).toEqual(difficulty)
      sudoku.givens.forEach((row, r) => row.forEach((v, c) => v && expect(v).toBe(sudoku.solution[r]![c])))
    }
  }, 300_000)
})

test('trying every number comes to the same', async () => {
  for (const size of ['4', '6', '9'] as const)
    for (const { puzzle } of await makePuzzles(kind, { size, band: 'gentle' }, { seed: 3, count: 5 })) {
      const sudoku = puzzle as Sudoku
      expect(answersByTrying(sudoku)).toBe(1)
      // Without one of its numbers it is still told from one that has several answers.
      const [r, c] = sudoku.givens.flatMap((row, r) => row.flatMap((v, c) => (v ? [[r, c] as const] : [])))[0]!
      const fewer = {
        ...sudoku,
        givens: sudoku.givens.map((row, i) => row.map((v, k) => (i === r && k === c ? 0 : v))),
      }
      expect(prove(fewer).answers).toBe(Math.min(2, answersByTrying(fewer)))
      const wrong = {
        ...sudoku,
        givens: sudoku.givens.map((row, i) => row.map((v, k) => (i === r && k === c ? (v % sudoku.size) + 1 : v))),
      }
      expect(prove(wrong).agrees).toBe(false)
    }
})

test('the same seed makes the same, and the first ones stay when more are asked for', async () => {
  const of = (seed: number, count: number) => makePuzzles(kind, { size: '9', band: 'easy' }, { seed, count })
  const five = await of(5, 5)
  expect(await of(5, 5)).toEqual(five)
  expect((await of(5, 8)).slice(0, 5)).toEqual(five)
  expect(await of(6, 5)).not.toEqual(five)
  // What is in another book is not made again.
  const other = await makePuzzles(
    kind,
    { size: '9', band: 'easy' },
    { seed: 5, count: 5, avoid: new Set([five[2]!.twin]) },
  )
  expect(other.map(m => m.twin)).not.toContain(five[2]!.twin)
})

test('a turned, mirrored, renamed or shuffled grid is a twin', () => {
  fc.assert(
    fc.property(
      fc.nat(1000),
      fc.shuffledSubarray([0, 1, 2, 3, 4, 5, 6, 7, 8], { minLength: 9 }),
      fc.nat(7),
      (seed, names, way) => {
        const grid = gridOf(9)
        const made = make(9, 'gentle', seed)
        fc.pre(made !== undefined)
        const [givens, solution] = [flat(made!.puzzle.givens), flat(made!.puzzle.solution)]
        const at = (cell: number): number => {
          let [r, c] = [Math.floor(cell / 9), cell % 9]
          if (way & 1) [r, c] = [c, r]
          if (way & 2) c = 8 - c
          // Two rows of a band change places.
          if (way & 4) r = r === 3 ? 5 : r === 5 ? 3 : r
          return r * 9 + c
        }
        const moved = (cells: number[]): number[] => {
          const out = new Array<number>(81)
          cells.forEach((v, i) => (out[at(i)] = v < 0 ? v : names[v]!))
          return out
        }
        expect(twinOf(grid, moved(givens), moved(solution))).toBe(made!.twin)
        // Another given is another puzzle.
        const hidden = givens.findIndex(v => v < 0)
        const more = givens.map((v, i) => (i === hidden ? solution[i]! : v))
        expect(twinOf(grid, more, solution)).not.toBe(made!.twin)
      },
    ),
    { numRuns: cases(20, 500) },
  )
})

test('a grid of four that should be hard is refused in a sentence', async () => {
  await expect(makePuzzles(kind, { size: '4', band: 'hard' }, { seed: 1, count: 1 })).rejects.toThrow(
    'A sudoku of 4 by 4 is never hard',
  )
  expect(bands.filter((b: Band) => hardestOf('9').includes(b))).toEqual([...bands])
})
