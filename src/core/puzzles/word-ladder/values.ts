import type { Band } from '../difficulty'

export interface LadderValues {
  letters: number
  /** Ladders in a puzzle. */
  count: number
  band: Band
}

/** Ladders: words from one to another, each a letter from the one before; there is no shorter way, and no other as short. */
export interface WordLadder {
  ladders: string[][]
}
