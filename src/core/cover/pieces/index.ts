import { type CoverPiece, isWords } from '../../book'
import type { DrawnPiece, PieceDrawing, PiecePlace } from './kind'
import { drawLogo } from './logo'
import { drawOrnamentPiece } from './ornament'
import { drawPicture } from './picture'
import { drawRepeat } from './repeat'
import { drawShape } from './shape'
import { drawText } from './text'

export type { DrawnPiece, PieceDrawing, PiecePlace, WordsSet } from './kind'
export { wordsOf } from './words'
export { covering } from './picture'
export { usualForm } from './shape'

/** Draws a piece of any kind. */
export async function drawPiece(
  piece: CoverPiece,
  place: PiecePlace,
  drawing: PieceDrawing,
): Promise<DrawnPiece | undefined> {
  if (isWords(piece)) return drawText(piece, place, drawing)
  switch (piece.kind) {
    case 'shape':
      return drawShape(piece, place)
    case 'picture':
      return drawPicture(piece, place, drawing)
    case 'ornament':
      return drawOrnamentPiece(piece, place)
    case 'logo':
      return drawLogo(place, drawing)
    case 'repeat':
      return drawRepeat(piece, place, drawing)
  }
}
