import { type Canvas2D, type PageMarks, paintPage, type Pictures } from '@/core/marks'

/** What of a page is painted, points from the trim's top left. */
export interface Part {
  x: number
  y: number
  width: number
  height: number
}

/** A page with what runs over its edges. */
export const withBleed = ({ width, height, bleed }: PageMarks): Part => ({
  x: -bleed.left,
  y: -bleed.top,
  width: width + bleed.left + bleed.right,
  height: height + bleed.top + bleed.bottom,
})

/** A page, or a part of it, painted at `scale` pixels a point. `paper` is a screen's notion of cream, unless said otherwise. */
export function draw(
  page: PageMarks,
  scale: number,
  pictures: Pictures,
  part: Part = { x: 0, y: 0, width: page.width, height: page.height },
  paper = '#fffefb',
): OffscreenCanvas {
  const canvas = new OffscreenCanvas(
    Math.max(1, Math.round(part.width * scale)),
    Math.max(1, Math.round(part.height * scale)),
  )
  const ctx = canvas.getContext('2d')!
  // Fine lines of a drawing survive being made small.
  ctx.imageSmoothingQuality = 'high'
  ctx.scale(scale, scale)
  ctx.translate(-part.x, -part.y)
  paintPage(ctx as unknown as Canvas2D, page, pictures, paper)
  return canvas
}
