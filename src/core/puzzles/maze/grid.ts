/** Ways out of a cell as bits, in the order in which they are turned through. */
export const E = 1
export const S = 2
export const W = 4
export const N = 8
export const ways = [E, S, W, N] as const
export const opposite = (way: number): number => (way > 2 ? way >> 2 : way << 2)

/** A maze in a grid: cells count from 0, row by row; `open` holds the ways out of each. One goes in from above and out below. */
export interface Maze {
  rows: number
  cols: number
  open: Uint8Array
  /** Cells that belong to it: 1. */
  inside: Uint8Array
  start: number
  end: number
  /** Cells from the way in to the way out. */
  path: number[]
}

/** Rows, then columns. */
export const sizes = { small: [16, 12], medium: [26, 19], large: [40, 29] } as const
