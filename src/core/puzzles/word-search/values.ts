import type { WordSource } from '../../words'
import type { Band } from '../difficulty'
import type { OwnShape } from '../../silhouettes'
import type { Marked } from '../letter-grid/grid'

export const ways = ['band', 'forward', 'slanting', 'all'] as const

/** Solid; or a ring of letters, around nothing, a saying or a silhouette, another for each puzzle. */
export const hollows = ['none', 'bare', 'saying', 'silhouette'] as const

export interface WordSearchValues {
  words: WordSource
  /** Words in a puzzle. */
  count: number
  /** Each word once in the run, or again when all are through. */
  deal: 'once' | 'again'
  rows: number
  cols: number
  /** The grid as large as said, or from there as large as the words want. */
  size: 'held' | 'grown'
  directions: (typeof ways)[number]
  /** Letters in a hundred that stand in a cell of another word. */
  overlap: number
  /** The grid whole, or cut to silhouettes: all of them in turn, or one; letters inside of them, or around. */
  outline: string
  /** Silhouettes in turn. */
  outlines?: readonly string[] | undefined
  own?: OwnShape | undefined
  side: 'inside' | 'outside'
  /** What is closed in the middle: nothing where it is not said. */
  hollow?: (typeof hollows)[number] | undefined
  message: 'none' | 'saying'
  /** Where the sayings of hollows and messages come from; those that ship where it is not said. */
  sayings?: WordSource | undefined
  band: Band
  marked: Marked
}

export const LEAST = 6
export const MOST = 40
