import type { PageMarks } from '../marks'
import type { Cover } from './draw'

/** What a cover shows under its words: pixels of the whole sheet with its bleed, four bytes each, row by row. */
export interface CoverGround {
  width: number
  height: number
  rgba: ArrayLike<number>
  /** Pixels a point. */
  scale: number
}

/** The sheet without its words: ground, motif, picture. */
export const groundPage = ({ page }: Cover): PageMarks => ({ ...page, layers: page.layers.slice(0, 1) })
