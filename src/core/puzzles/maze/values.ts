import type { Band } from '../difficulty'
import type { sizes } from './grid'

export interface MazeValues {
  size: keyof typeof sizes
  /** The whole sheet where it is not said. */
  outline?: string | undefined
  ends: 'long' | 'short'
  band: Band
}
