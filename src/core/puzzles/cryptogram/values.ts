import type { WordSource } from '../../words'
import type { Band } from '../difficulty'

export interface CryptogramValues {
  words: WordSource
  band: Band
}

/** A text in which every letter stands for another, always the same. */
export interface Cryptogram {
  /** As it is printed in the answer, and its capitals as they are ciphered. */
  plain: string
  letters: string
  cipher: string
  /** Ciphered letter to plain letter. */
  key: Record<string, string>
  /** Plain letters that are given. */
  hints: string[]
}

export const SHORTEST = 20
export const LONGEST = 120
