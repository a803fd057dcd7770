import type { WordSource } from '../../words'
import type { Band } from '../difficulty'

export interface ScrambleValues {
  words: WordSource
  count: number
  deal: 'once' | 'again'
  band: Band
}

/** Words whose letters are out of order. */
export interface Scramble {
  items: { word: string; letters: string; mixed: string }[]
}
