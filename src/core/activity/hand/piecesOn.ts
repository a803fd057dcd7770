import { type GroupMark, type Layer, layerBox, type PageMarks } from '../../marks'
import { pieceName } from '../piece'

/** A piece of a page as it stands: its box in points from the trim's left top. */
export interface PieceOn {
  /** Its name among all of the page. */
  piece: string
  x: number
  y: number
  width: number
  height: number
  words?: string
  made?: string
}

/** The pieces of a page from the back to the front, those within others behind these. */
export function piecesOn(page: PageMarks): PieceOn[] {
  const found: PieceOn[] = []
  const visit = (layer: Layer, name: string, at: { x: number; y: number }): void => {
    for (const item of layer.items) {
      if (item.kind !== 'group') continue
      const own = item.piece ? pieceName(name, item.piece.id) : name
      if (item.piece) found.push(...pieceAt(item, own, at))
      const [, , , , dx, dy] = item.transform ?? [1, 0, 0, 1, 0, 0]
      for (const inner of item.layers) visit(inner, own, { x: at.x + dx, y: at.y + dy })
    }
  }
  for (const { layer, x, y } of page.layers) visit(layer, '', { x, y })
  return found
}

function pieceAt(group: GroupMark, piece: string, at: { x: number; y: number }): PieceOn[] {
  const [x0, y0, x1, y1] = layerBox({ items: [group] })
  if (x1 < x0) return []
  const { words, made } = group.piece!
  return [
    {
      piece,
      x: at.x + x0,
      y: at.y + y0,
      width: x1 - x0,
      height: y1 - y0,
      ...(words !== undefined && { words }),
      ...(made !== undefined && { made }),
    },
  ]
}
