import type { PicturePiece } from '../../book'
import { type Item, type Path, PathBuilder } from '../../marks'
import { treatedFrom } from '../treatment'
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
  const made = treatedFrom(asset, piece)
  // Until it is made it is seen as it is.
  const shownAs = made !== undefined && assets.some(a => a.id === made) ? made : asset.id
  const image: Item = { kind: 'image', asset: shownAs, ...at }
  // Mirrored about the middle of where it lies.
  const shown: Item = piece.mirrored
    ? { kind: 'group', transform: [-1, 0, 0, 1, 2 * at.x + at.width, 0], layers: [{ items: [image] }] }
    : image
  const mask = masks[piece.mask ?? 'rectangle']
  const items = piece.fade ? faded(shown, piece.fade, { box, mask }) : [shown]
  return { layer: { items: [{ kind: 'group', role: 'picture', clip: mask(box), layers: [{ items }] }] } }
}

/** Steps of a fade: finer than an eye tells apart. */
const STEPS = 48

/** A picture that goes over into nothing: over and over, each time a little less of it, until together they cover. No step has an edge that shows. */
function faded(
  shown: Item,
  { toward, over }: NonNullable<PicturePiece['fade']>,
  { box, mask }: { box: Rect; mask: (box: Rect) => Path },
): Item[] {
  return Array.from({ length: STEPS }, (_, i): Item => {
    const seen = (i + 1) / STEPS
    const opacity = 1 - (1 - seen) / (1 - i / STEPS)
    const rest = lessOf(box, toward, (over * i) / STEPS)
    const clip = toward === 'all sides' ? mask(rest) : masks.rectangle(rest)
    return { kind: 'group', clip, ...(opacity < 1 ? { opacity } : {}), layers: [{ items: [shown] }] }
  })
}

/** A box without a share of it at a side, or at all of them up to its middle. */
function lessOf({ x, y, width, height }: Rect, side: NonNullable<PicturePiece['fade']>['toward'], share: number): Rect {
  const [across, down] = [width * share, height * share]
  switch (side) {
    case 'head':
      return { x, y: y + down, width, height: height - down }
    case 'foot':
      return { x, y, width, height: height - down }
    case 'left':
      return { x: x + across, y, width: width - across, height }
    case 'right':
      return { x, y, width: width - across, height }
    case 'all sides':
      return { x: x + across / 2, y: y + down / 2, width: width - across, height: height - down }
  }
}
