import type { Asset } from '../book'
import { type LayerBuilder, type MarkPlace } from '../marks'
import type { Leaf } from './kind'
import { rounded } from './looks/frame'
import { Lines } from './ruling'

/** Where a picture is put, points. */
export interface PictureBox {
  x: number
  y: number
  width: number
  height: number
}

/** A whole leaf with what is cut off. */
export const overEdge = ({ x, y, width, height, bleed }: Leaf): PictureBox => ({
  x: x - bleed.left,
  y: y - bleed.top,
  width: width + bleed.left + bleed.right,
  height: height + bleed.top + bleed.bottom,
})

export interface PictureSet {
  id: string | undefined
  asset: Asset | undefined
  fit: 'within' | 'fill'
  /** Radius of its corners, points. */
  round?: number
  /** How dark black is in it; as it is where that is not said. */
  tone?: number
  place: MarkPlace
}

/** A cross in place of a picture that is not there. */
const MISSING = 0.5
/** Of what is left free this much stands above: the eye's middle is higher than a ruler's. */
const ABOVE = 0.42

/** Puts a picture into a box, whole or filling it; returns the box that it is seen in. One that is gone leaves a crossed box: its place is seen. */
export function placePicture(
  out: LayerBuilder,
  box: PictureBox,
  { id, asset, fit, round = 0, tone, place }: PictureSet,
): PictureBox {
  if (!asset || id === undefined) {
    const { x, y, width, height } = box
    new Lines()
      .box(x, y, width, height)
      .along([
        [x, y],
        [x + width, y + height],
      ])
      .into(out, MISSING)
    new Lines()
      .along([
        [x + width, y],
        [x, y + height],
      ])
      .into(out, MISSING)
    return box
  }
  const ratio = asset.width / asset.height
  const fills = fit === 'fill'
  const width = fills ? Math.max(box.width, box.height * ratio) : Math.min(box.width, box.height * ratio)
  const size = { width, height: width / ratio }
  const x = box.x + (box.width - size.width) / 2
  const y = box.y + (box.height - size.height) * (fills ? 0.5 : ABOVE)
  const shown = fills ? box : { x, y, ...size }
  const image = {
    kind: 'image' as const,
    asset: id,
    x,
    y,
    ...size,
    alt: asset.name ?? '',
    place,
    ...(tone !== undefined && { tone }),
  }
  if (fills || round) {
    const clip = rounded(shown.x, shown.y, shown.width, shown.height, round).build()
    out.add({ kind: 'group', clip, layers: [{ items: [image] }] })
  } else out.add(image)
  return shown
}
