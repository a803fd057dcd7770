import type { WordSource } from '../../words'
import type { Band } from '../difficulty'

export interface VowelValues {
  words: WordSource
  count: number
  deal: 'once' | 'again'
  band: Band
}

/** Words whose vowels were taken out. */
export interface MissingVowels {
  /** What they have in common, where it is said. */
  theme?: string | undefined
  items: { word: string; letters: string; given: string }[]
  /** All words that they were taken from: none of the others has the same consonants in the same order. */
  among: string[]
}
