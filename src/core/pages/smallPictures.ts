import type { Asset, ImageJson, SignJson } from '../book'
import type { LayerBuilder } from '../marks'
import type { ParagraphBuilder } from '../type'
import { IMAGE_PPI } from '../trade'
import type { BlockContext } from './context'
import type { TextBase } from './typefaces'

/** The greatest width at which a picture still has its pixels in print, points. */
export const sharpWidth = (a: Pick<Asset, 'width'>): number => (a.width / IMAGE_PPI) * 72

/** What a picture says to who cannot see it: nothing, where it is decoration. */
export const altOf = (attrs: ImageJson['attrs'] | SignJson['attrs']): string => (attrs.decoration ? '' : attrs.alt)

/** The author's own picture as an ornament, `height` points high around a centre; false where it is not among the book's. */
export function drawOwnOrnament(
  out: LayerBuilder,
  id: string,
  { cx, cy, height }: { cx: number; cy: number; height: number },
  ctx: BlockContext,
): boolean {
  const asset = id ? ctx.assets.get(id) : undefined
  if (!asset) return false
  const h = Math.min(
    height,
    (sharpWidth(asset) * asset.height) / asset.width,
    (ctx.measure * asset.height) / asset.width,
  )
  const w = (h * asset.width) / asset.height
  out.add({ kind: 'image', asset: asset.id, x: cx - w / 2, y: cy - h / 2, width: w, height: h, alt: '' })
  return true
}

/** Room that a small picture asks for in a line, points, before it is known how much there is. */
export function signRoom(sign: SignJson, ctx: BlockContext, base: TextBase): number {
  const asset = ctx.assets.get(sign.attrs.asset)
  return asset ? Math.min(sharpWidth(asset), (base.size * sign.attrs.height * asset.width) / asset.height) : 0
}

/** A small picture in the line, its foot on the baseline; where it is not here, nothing. */
export function addSign(b: ParagraphBuilder, sign: SignJson, ctx: BlockContext, base: TextBase): void {
  const asset = ctx.assets.get(sign.attrs.asset)
  if (!asset) return
  // It may not push the lines apart, and is never larger than its pixels allow.
  const most = Math.min(
    ctx.style.text.leading * 0.92,
    (Math.min(sharpWidth(asset), ctx.measure / 2) * asset.height) / asset.width,
  )
  const height = Math.min(most, base.size * Math.min(2, Math.max(0.3, sign.attrs.height)))
  const width = (height * asset.width) / asset.height
  b.sign(width, ctx.faces.of(base), (out, { x, y, scale = 1, place }) =>
    out.add({
      kind: 'image',
      asset: asset.id,
      x,
      y: y - height,
      width: width * scale,
      height,
      alt: altOf(sign.attrs),
      place,
    }),
  )
}
