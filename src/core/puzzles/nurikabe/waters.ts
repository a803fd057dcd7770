import type { Band } from '../difficulty'

/** Islands in a sea that hangs together. Cells count from 0, row by row. */
export interface Nurikabe {
  rows: number
  cols: number
  /** Of each island the cell with its number, and how many cells it has. */
  islands: { cell: number; size: number }[]
  /** 1 where the sea is. */
  sea: Uint8Array
}

export interface NurikabeValues {
  rows: number
  cols: number
  band: Band
}

export const LEAST = 5
export const MOST = 12
/** Cells of the largest island. */
export const LARGEST = 7

/** Cells side by side with each, and the squares of four cells. */
export interface Chart {
  rows: number
  cols: number
  beside: number[][]
  squares: number[][]
}

const charts = new Map<string, Chart>()

export function chartOf(rows: number, cols: number): Chart {
  const key = `${rows}x${cols}`
  let chart = charts.get(key)
  if (!chart) charts.set(key, (chart = makeChart(rows, cols)))
  return chart
}

function makeChart(rows: number, cols: number): Chart {
  const beside = Array.from({ length: rows * cols }, (_, cell) => {
    const [r, c] = [Math.floor(cell / cols), cell % cols]
    return [
      ...(r ? [cell - cols] : []),
      ...(c ? [cell - 1] : []),
      ...(c < cols - 1 ? [cell + 1] : []),
      ...(r < rows - 1 ? [cell + cols] : []),
    ]
  })
  const squares: number[][] = []
  for (let r = 0; r < rows - 1; r++)
    for (let c = 0; c < cols - 1; c++) {
      const at = r * cols + c
      squares.push([at, at + 1, at + cols, at + cols + 1])
    }
  return { rows, cols, beside, squares }
}
