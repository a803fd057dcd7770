import type { Band } from '../difficulty'
import type { sizes } from './grid'

export interface MazeValues {
  size: keyof typeof sizes
  ends: 'long' | 'short'
  band: Band
}
