import { type Canvas2D, type PageMarks, paintPage, type Pictures } from '@/core/marks'

/** A page painted at `scale` pixels a point; with its bleed where asked. `paper` is a screen's notion of cream, unless said otherwise. */
export function draw(page: PageMarks, scale: number, pictures: Pictures, withBleed = false, paper = '#fffefb'): OffscreenCanvas {
  const bleed = withBleed ? page.bleed : { top: 0, right: 0, bottom: 0, left: 0 }
  const canvas = new OffscreenCanvas(Math.max(1, Math.round((page.width + bleed.left + bleed.right) * scale)), Math.max(1, Math.round((page.height + bleed.top + bleed.bottom) * scale)))
  const ctx = canvas.getContext('2d')!
  // Fine lines of a drawing survive being made small.
  ctx.imageSmoothingQuality = 'high'
  ctx.scale(scale, scale)
  ctx.translate(bleed.left, bleed.top)
  paintPage(ctx as unknown as Canvas2D, page, pictures, paper)
  return canvas
}
