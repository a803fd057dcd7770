import type { Band } from '../difficulty'
import type { Marked } from '../letter-grid/grid'

export interface NumberSearchValues {
  count: number
  /** Figures of a number. */
  figures: number
  rows: number
  cols: number
  band: Band
  marked: Marked
}
