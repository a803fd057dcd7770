import type { Band } from '../difficulty'

/** A field with mines, as it is printed: cells count from 0, row by row. */
export interface Mines {
  rows: number
  cols: number
  /** Mines around a cell that is shown, -1 where nothing is shown. */
  clues: Int8Array
  /** 1 where a mine is. */
  mines: Uint8Array
}

export interface MinesValues {
  rows: number
  cols: number
  /** Mines, in hundredths of the cells. */
  share: number
  band: Band
}

export const LEAST = 5
export const MOST = 24

/** Of each cell: those around it, and those around which some of the same lie. */
export interface Nearness {
  near: number[][]
  close: number[][]
}

const known = new Map<string, Nearness>()

export function nearness(rows: number, cols: number): Nearness {
  const key = `${rows}x${cols}`
  if (!known.has(key)) known.set(key, { near: within(rows, cols, 1), close: within(rows, cols, 2) })
  return known.get(key)!
}

function within(rows: number, cols: number, by: number): number[][] {
  return Array.from({ length: rows * cols }, (_, cell) => {
    const [r, c] = [Math.floor(cell / cols), cell % cols]
    const out: number[] = []
    for (let y = Math.max(0, r - by); y <= Math.min(rows - 1, r + by); y++)
      for (let x = Math.max(0, c - by); x <= Math.min(cols - 1, c + by); x++)
        if (y !== r || x !== c) out.push(y * cols + x)
    return out
  })
}
