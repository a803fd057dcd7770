import type { Asset, Ground } from '../../book'
import { type Layer, LayerBuilder, type PageMarks, PathBuilder } from '../../marks'
import { fields } from '../../trade'
import { rounded } from '../looks/frame'
import { placePicture } from '../placePicture'
import { patternOf, patterns } from './patterns'

export { patternOf, patterns }

const { amount, list, one, shape, text } = fields

/** Repeat of a pattern that says nothing else, points. */
export const PLAIN_REPEAT = 24
/** How far the clear room goes beyond what stands in it, points. */
const AROUND = 10

export const groundSchema = () =>
  shape({
    tone: amount(0, 1).required(),
    patterns: list(one(...patterns.map(p => p.id)).required(), patterns.length),
    pictures: list(text(80).required(), 200),
    size: amount(6, 200),
    clear: fields.yesNo(),
  })

/** A leaf that a ground is drawn on, points: its trim, its bleed, and the box within its margins. */
export interface GroundOn {
  width: number
  height: number
  bleed: PageMarks['bleed']
  room: { x: number; y: number; width: number; height: number }
  /** The book's pictures by id. */
  assets?: ReadonlyMap<string, Asset> | undefined
}

/** Which of a ground's pictures or patterns a page has; neither for an even tone. */
export function groundAt({ pictures, patterns: all }: Ground, index: number): { picture?: string; pattern?: string } {
  const inTurn = (of: readonly string[]): string => of[index % of.length]!
  if (pictures?.length) return { picture: inTurn(pictures) }
  return all?.length ? { pattern: inTurn(all) } : {}
}

/** A tone, a pattern or a picture under the whole leaf and over its edge, the same from the leaf's middle to all sides. */
export function drawGround(
  ground: Ground,
  { pattern, picture }: ReturnType<typeof groundAt>,
  { width, height, bleed, room, assets }: GroundOn,
): Layer {
  const out = new LayerBuilder()
  const [x0, y0, x1, y1] = [-bleed.left, -bleed.top, width + bleed.right, height + bleed.bottom]
  const leaf = new PathBuilder().rect(x0, y0, x1 - x0, y1 - y0).build()
  const known = pattern === undefined ? undefined : patternOf(pattern)
  const colour = { k: ground.tone }
  if (picture !== undefined) {
    const box = { x: x0, y: y0, width: x1 - x0, height: y1 - y0 }
    const place = { section: 'ground', block: 'picture' }
    placePicture(out, box, { id: picture, asset: assets?.get(picture), fit: 'fill', tone: ground.tone, place })
  } else if (!known) {
    // Where pictures are wanted and none is chosen yet, the leaf is bare.
    if (!ground.pictures) out.add({ kind: 'path', path: leaf, fill: colour })
  } else {
    const { path, across, down, shift, line } = known.tile(ground.size ?? PLAIN_REPEAT)
    const all = new PathBuilder()
    const rows = Math.ceil(Math.max(height / 2 - y0, y1 - height / 2) / down) + 1
    const columns = Math.ceil(Math.max(width / 2 - x0, x1 - width / 2) / across) + 1
    for (let row = -rows; row <= rows; row++)
      for (let column = -columns; column <= columns; column++)
        all.append(path, width / 2 + column * across + (row % 2 ? shift : 0), height / 2 + row * down)
    const own = new LayerBuilder()
    const drawn = all.build()
    own.add(
      line
        ? { kind: 'path', path: drawn, stroke: { colour, width: line } }
        : { kind: 'path', path: drawn, fill: colour },
    )
    out.add({ kind: 'group', role: 'ground', clip: leaf, layers: [own.build()] })
  }
  if (ground.clear) {
    const box = rounded(room.x - AROUND, room.y - AROUND, room.width + 2 * AROUND, room.height + 2 * AROUND, AROUND)
    out.add({ kind: 'path', path: box.build(), fill: { k: 0 } })
  }
  return out.build()
}
