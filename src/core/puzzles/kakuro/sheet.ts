import type { Band } from '../difficulty'

/** Cells that stand in a line and hold different digits of a known sum. */
export interface Run {
  cells: number[]
  down: boolean
  sum: number
}

/** A sheet with its head row and its left column, which hold sums only. Cells count from 0, row by row. */
export interface Kakuro {
  rows: number
  cols: number
  runs: Run[]
  /** Digits, 0 in a cell that holds none. */
  solution: number[]
}

export interface KakuroValues {
  rows: number
  cols: number
  band: Band
}

export const LEAST = 5
export const MOST = 14
export const LONGEST = 9

/** The runs of a pattern of open cells, across and then down, their sums by what stands in the cells. */
export function runsOf(rows: number, cols: number, open: ArrayLike<number>): Run[] {
  const out: Run[] = []
  const walk = (line: number[], down: boolean): void => {
    let cells: number[] = []
    for (const cell of [...line, -1]) {
      if (cell >= 0 && open[cell]) cells.push(cell)
      else if (cells.length) {
        out.push({ cells, down, sum: 0 })
        cells = []
      }
    }
  }
  const upTo = (n: number): number[] => [...Array(n).keys()]
  for (const r of upTo(rows))
    walk(
      upTo(cols).map(c => r * cols + c),
      false,
    )
  for (const c of upTo(cols))
    walk(
      upTo(rows).map(r => r * cols + c),
      true,
    )
  return out
}

export const summed = (runs: Run[], digits: ArrayLike<number>): Run[] =>
  runs.map(run => ({ ...run, sum: run.cells.reduce((n, c) => n + digits[c]!, 0) }))
