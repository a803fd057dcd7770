'use client'
import type Konva from 'konva'
import { type RefObject, useEffect } from 'react'
import type { CoverPiece } from '@/core/book'
import { boxOnFlat, type Flat, type Rect } from '@/core/cover'

/** What is dragged takes along what was seen there, until the press has drawn it anew. `width`: of the stage, pixels. */
export function useLifted(
  shapes: RefObject<Map<string, Konva.Rect>>,
  { flat, picture, width, px }: { flat: Flat; picture: ImageBitmap | undefined; width: number; px: (r: Rect) => Rect },
): (piece: CoverPiece, node: Konva.Node) => void {
  useEffect(() => {
    for (const node of shapes.current.values()) node.setAttrs({ fillPatternImage: undefined })
  }, [shapes, picture])
  return (piece, node) => {
    const home = boxOnFlat(flat, piece)
    // What is turned lies in no box that could be cut out.
    if (!picture || !home || piece.turn) return
    const at = px(home)
    const fine = picture.width / width
    node.setAttrs({
      fillPatternImage: picture,
      fillPatternRepeat: 'no-repeat',
      fillPatternScale: { x: 1 / fine, y: 1 / fine },
      fillPatternOffset: { x: at.x * fine, y: at.y * fine },
    })
  }
}
