import type { PicturePiece } from '../../book'
import { type Item, type Path, PathBuilder } from '../../marks'
import { cutFrom } from '../cutOut'
import type { Rect } from '../rect'
import type { DrawnPiece, PieceDrawing, PiecePlace } from './kind'
import { ellipse } from './shape'

const masks: Record<NonNullable<PicturePiece['mask']>, (box: Rect) => Path> = {
  rectangle: ({ x, y, width, height }) => new PathBuilder().rect(x, y, width, height).build(),
  round: ({ x, y, width, height }) => ellipse(x + width / 2, y + height / 2, width / 2, height / 2),
  arch: ({ x, y, width, height }) => {
    const r = Math.min(width / 2, height)
    const k = r * 0.5522847498
    const top = y + r
    return new PathBuilder()
      .move(x, y + height)
      .line(x, top)
      .cubic(x, top - k, x + width / 2 - k, y, x + width / 2, y)
      .cubic(x + width / 2 + k, y, x + width, top - k, x + width, top)
      .line(x + width, y + height)
      .close()
      .build()
  },
}

/** Where a picture lies when it covers a box: what is in focus is as near to the middle as the picture reaches. */
export function covering(
  box: Rect,
  size: { width: number; height: number },
  { focus = { x: 0.5, y: 0.5 }, zoom = 1 }: Pick<PicturePiece, 'focus' | 'zoom'>,
): Rect {
  const scale = Math.max(box.width / size.width, box.height / size.height) * Math.max(1, zoom)
  const [width, height] = [size.width * scale, size.height * scale]
  const along = (from: number, room: number, whole: number, at: number): number =>
    Math.min(from, Math.max(from + room - whole, from + room / 2 - whole * at))
  return {
    x: along(box.x, box.width, width, focus.x),
    y: along(box.y, box.height, height, focus.y),
    width,
    height,
  }
}

/** Undefined where the book has no such picture. */
export function drawPicture(
  piece: PicturePiece,
  { box }: PiecePlace,
  { assets }: PieceDrawing,
): DrawnPiece | undefined {
  const asset = assets.find(a => a.id === piece.asset)
  if (!asset) return undefined
  const focus = piece.mirrored && piece.focus ? { ...piece.focus, x: 1 - piece.focus.x } : piece.focus
  const at = covering(box, asset, { ...(focus && { focus }), ...(piece.zoom !== undefined && { zoom: piece.zoom }) })
  const without = piece.cut && cutFrom(asset, piece.cut)
  // Until it is cut it is seen as it is.
  const shownAs = without !== undefined && assets.some(a => a.id === without) ? without : asset.id
  const image: Item = { kind: 'image', asset: shownAs, ...at }
  // Mirrored about the middle of where it lies.
  const shown: Item = piece.mirrored
    ? { kind: 'group', transform: [-1, 0, 0, 1, 2 * at.x + at.width, 0], layers: [{ items: [image] }] }
    : image
  return {
    layer: {
      items: [
        { kind: 'group', role: 'picture', clip: masks[piece.mask ?? 'rectangle'](box), layers: [{ items: [shown] }] },
      ],
    },
  }
}
