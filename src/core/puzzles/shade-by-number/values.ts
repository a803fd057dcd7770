import type { Band } from '../difficulty'

export interface ShadeValues {
  rows: number
  cols: number
  /** Silhouettes that are taken. */
  outlines?: readonly string[] | undefined
  /** Tones of the key, paper counted. */
  tones: number
  band: Band
}

/** A picture in squares: each has the number of its tone. */
export interface Shaded {
  rows: number
  cols: number
  /** What it shows. */
  name: string
  /** Number of each cell's tone, from 1; row by row. */
  numbers: Uint8Array
  /** Darkness of each tone, 0 to 1, in the order of their numbers. */
  key: number[]
}
