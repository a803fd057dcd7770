import type { Rings } from './circle'
import type { Door, Ground } from './ground'

/** A maze on its ground: `open` holds, for each cell, the sides one can go through as bits. */
export interface Maze {
  ground: Ground & { rings?: Rings }
  open: Uint16Array
  start: Door
  end: Door
  /** Cells from the way in to the way out. */
  path: number[]
}

/** Rows, then columns; a circle is as wide as so many columns. */
export const sizes = { small: [16, 12], medium: [26, 19], large: [40, 29], square: [40, 40] } as const
