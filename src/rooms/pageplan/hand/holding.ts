import type { PieceOn } from '@/core/activity'

/** What an author has taken hold of: a page of the open spread by its place in the book, or a piece of it. */
export interface Hold {
  index: number
  piece?: string
}

/** Hears that a piece was moved or sized: its box was, and is to be; points from the trim's left top. */
export type Reshape = (hold: Hold, was: PieceOn, now: Pick<PieceOn, 'x' | 'y' | 'width' | 'height'>) => void
