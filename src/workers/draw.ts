import { type Canvas2D, type PageMarks, paintPage, type Pictures } from '@/core/marks'
import { withWashes } from './washes'

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
/** A page to be shown tiny is drawn so many times larger, what is fine made darker by a gain, and then made small: as it is it would fade away. */
const LARGER = 4
/** The gain of pages no larger than a thumb, and the least at which a page is drawn larger first: below it letters stay letters. */
export const TINY_GAIN = 7
const TINY = 2

/**
 * A page painted so small that its hairlines would be lost, with a gain that keeps them to be seen: what is a little darker than paper
 * becomes so many times darker. Paper, black and broad washes of tone stay as they are. The canvas is drawn on again for the next page: what is seen on it is
 * copied at once.
 */
export function drawSmall(
  page: PageMarks,
  scale: number,
  pictures: Pictures,
  { part, gain }: { part?: Part | undefined; gain: number },
): OffscreenCanvas {
  const larger = gain < TINY ? 1 : LARGER
  const within = part ?? trimOf(page)
  const large = keptCanvas(sizeOf(within, scale * larger))
  const before = withWashes(page, k => beforeGain(k, gain))
  drawOn(large, { page: before, scale: scale * larger, pictures, part: within, paper: '#fff' })
  const dark = large.getContext('2d')!
  dark.resetTransform()
  dark.globalCompositeOperation = 'multiply'
  for (const share of gains(gain)) {
    dark.globalAlpha = share
    dark.drawImage(large, 0, 0)
  }
  dark.globalAlpha = 1
  if (larger === 1) return tinted(large)
  const small = keptCanvas({ width: Math.ceil(large.width / larger), height: Math.ceil(large.height / larger) })
  const to = small.getContext('2d')!
  to.imageSmoothingQuality = 'high'
  to.drawImage(large, 0, 0, small.width, small.height)
  return tinted(small)
}

/** What was drawn on white, as on a screen's paper. */
function tinted(canvas: OffscreenCanvas): OffscreenCanvas {
  const ctx = canvas.getContext('2d')!
  ctx.globalCompositeOperation = 'multiply'
  ctx.fillStyle = PAPER
  ctx.fillRect(0, 0, canvas.width, canvas.height)
  return canvas
}

/**
 * With what opacities a picture is laid over itself, multiplied, for a gain: each time v becomes v (1 − a) + a v², which makes what is
 * nearly white (1 + a) times darker.
 */
export function gains(gain: number): number[] {
  const shares: number[] = []
  for (let left = gain; left > 1; left /= 2) shares.push(Math.min(1, left - 1))
  return shares
}

/** How dark something is after a gain, 0 paper, 1 black. */
export const afterGain = (k: number, gain: number): number =>
  1 - gains(gain).reduce((v, a) => v * (1 - a) + a * v * v, 1 - k)

/** How dark something must be to have a tone after a gain: by halving, as the gain has no short inverse. */
function beforeGain(k: number, gain: number): number {
  let [low, high] = [0, k]
  for (let i = 0; i < 20; i++) {
    const middle = (low + high) / 2
    if (afterGain(middle, gain) < k) low = middle
    else high = middle
  }
  return high
}

/** Canvases that small pages are drawn on, by their size: a fresh one is slow to come by while the window is busy. */
const kept = new Map<string, OffscreenCanvas>()
const MOST_KEPT = 6
function keptCanvas({ width, height }: { width: number; height: number }): OffscreenCanvas {
  const key = `${width} × ${height}`
  const canvas = kept.get(key) ?? new OffscreenCanvas(width, height)
  kept.delete(key)
  if (kept.size >= MOST_KEPT) kept.delete(kept.keys().next().value!)
  kept.set(key, canvas)
  // Pages are hundreds of small paths: the processor draws them no slower than the graphics card.
  canvas.getContext('2d', { willReadFrequently: true })!.reset()
  return canvas
}

const trimOf = ({ width, height }: PageMarks): Part => ({ x: 0, y: 0, width, height })

const sizeOf = (part: Part, scale: number): { width: number; height: number } => ({
  width: Math.max(1, Math.round(part.width * scale)),
  height: Math.max(1, Math.round(part.height * scale)),
})

/** A page, or a part of it, painted at `scale` pixels a point. `paper` is a screen's notion of cream, unless said otherwise. */
export function draw(
  page: PageMarks,
  scale: number,
  pictures: Pictures,
  part: Part = trimOf(page),
  paper = PAPER,
): OffscreenCanvas {
  const { width, height } = sizeOf(part, scale)
  const canvas = new OffscreenCanvas(width, height)
  drawOn(canvas, { page, scale, pictures, part, paper })
  return canvas
}

interface Drawn {
  page: PageMarks
  scale: number
  pictures: Pictures
  part: Part
  paper: string
}

function drawOn(canvas: OffscreenCanvas, { page, scale, pictures, part, paper }: Drawn): void {
  const ctx = canvas.getContext('2d')!
  // Fine lines of a drawing survive being made small.
  ctx.imageSmoothingQuality = 'high'
  ctx.scale(scale, scale)
  ctx.translate(-part.x, -part.y)
  paintPage(ctx as unknown as Canvas2D, page, pictures, paper)
}
