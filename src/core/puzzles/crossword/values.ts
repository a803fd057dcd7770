import type { WordSource } from '../../words'
import type { Band } from '../difficulty'

export interface CrosswordValues {
  words: WordSource
  count: number
  deal: 'once' | 'again'
  /** Cells of the longest side. */
  side: number
  band: Band
}
