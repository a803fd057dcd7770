/** What a cover shows under its words: pixels of the whole sheet with its bleed, four bytes each, row by row. */
export interface CoverGround {
  width: number
  height: number
  rgba: ArrayLike<number>
  /** Pixels a point. */
  scale: number
}
