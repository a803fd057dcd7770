import type { Asset, TitleData } from '../../book'
import type { Colour, Layer } from '../../marks'
import type { FontShelf } from '../../type'
import type { Flat } from '../geometry'
import type { Rect } from '../rect'

/** What pieces are drawn with. */
export interface PieceDrawing {
  flat: Flat
  data: TitleData
  /** What is kept clear on the back. */
  barcode: Rect | undefined
  shelf: FontShelf
  assets: readonly Asset[]
}

/** Where a piece is drawn: its own area begins at 0, 0, and runs along the book on a spine. */
export interface PiecePlace {
  /** The area on the flat. */
  area: Rect
  /** The box in it, points. */
  box: Rect
}

/** How words were set: for checks and views. */
export interface WordsSet {
  text: string
  /** Of the ink, in the piece's area. */
  ink: Rect
  /** Of each of its letters, where they do not fill that: bent ones. */
  spots?: Rect[]
  size: number
  colour: Colour
  /** They did not fit their box even at the least size. */
  tooLong: boolean
  /** Words with characters that no face has: an empty box would be printed. */
  missing: string[]
  /** What lies under the words and belongs to them: the ground that they are read on. */
  under: Layer | undefined
}

/** What a piece became, in its own area. Undefined where there is nothing to draw. */
export interface DrawnPiece {
  layer: Layer
  words?: WordsSet
}
