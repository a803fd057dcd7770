import type { Band } from '../difficulty'
import type { Crossing } from '../lattice/pattern'

export interface LatticeValues {
  rows: number
  cols: number
  crossing: Crossing
  /** The most common words only, or all that most adults know. */
  words: 'common' | 'known'
  band: Band
}
