import type { WordSource } from '../../words'
import type { Band } from '../difficulty'

export interface GuessValues {
  words: WordSource
  /** Rounds on a page. */
  count: number
  deal: 'once' | 'again'
  /** Misses that end a round. */
  lamps: number
  band: Band
}

/** A sheet for two: one knows the words, the other asks for letters. */
export interface GuessSheet {
  /** What the words have in common, where that can be said. */
  theme?: string | undefined
  lamps: number
  rounds: { word: string; letters: string }[]
}
