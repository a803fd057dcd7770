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

/** A screen's notion of paper. */
const PAPER = '#fffefb'
const PAPER_RGB = [0xff, 0xfe, 0xfb] as const
/** A page to be shown small is drawn so many times larger, what is fine made darker by a gain, and then made small: as it is it would fade away. */
const LARGER = 4
/** The gain of pages no larger than a thumb. */
export const TINY_GAIN = 7

/** A page painted so small that its hairlines would be lost, with a gain that keeps them to be seen. */
export function drawSmall(
  page: PageMarks,
  scale: number,
  pictures: Pictures,
  { part, gain }: { part?: Part | undefined; gain: number },
): OffscreenCanvas {
  const large = draw(page, scale * LARGER, pictures, part)
  const ctx = large.getContext('2d')!
  const image = ctx.getImageData(0, 0, large.width, large.height)
  // How much lighter the darkest of a pixel's colours is made: all three alike, so that greys stay grey.
  const shares = PAPER_RGB.map(paper =>
    Float32Array.from({ length: 256 }, (_, v) => gained(v, paper, gain) / Math.max(1, v)),
  )
  const { data } = image
  for (let i = 0; i < data.length; i += 4) {
    const share = Math.min(shares[0]![data[i]!]!, shares[1]![data[i + 1]!]!, shares[2]![data[i + 2]!]!)
    for (let c = 0; c < 3; c++) data[i + c] = data[i + c]! * share
  }
  ctx.putImageData(image, 0, 0)
  const small = new OffscreenCanvas(Math.ceil(large.width / LARGER), Math.ceil(large.height / LARGER))
  const to = small.getContext('2d')!
  to.imageSmoothingQuality = 'high'
  to.drawImage(large, 0, 0, small.width, small.height)
  return small
}

/** Paper and black stay as they are; what is a little darker than paper becomes more so. */
export const gained = (value: number, paper: number, gain: number): number =>
  Math.round(paper * Math.min(1, value / paper) ** gain)

/** A page, or a part of it, painted at `scale` pixels a point. `paper` is a screen's notion of cream, unless said otherwise. */
export function draw(
  page: PageMarks,
  scale: number,
  pictures: Pictures,
  part: Part = { x: 0, y: 0, width: page.width, height: page.height },
  paper = PAPER,
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
