/** How large a spread is shown: 0 fits it into its place, else times its size in print, up to where one letter fills the view. */
export const zoomSteps = [0, 1, 2, 4, 8, 16] as const

/** CSS pixels a point at the size in print. */
const IN_PRINT = 96 / 72

export const scaleOf = (zoom: number, fit: number): number => (zoom ? zoom * IN_PRINT : fit)

/** The next step up or down; from a fitted spread the first one that is larger than it. */
export function zoomBy(zoom: number, by: 1 | -1, fit: number): number {
  if (!zoom) return by > 0 ? (zoomSteps.find(z => z * IN_PRINT > fit) ?? 1) : 0
  const i = zoomSteps.findIndex(z => z >= zoom)
  const next = zoomSteps[Math.min(zoomSteps.length - 1, Math.max(0, i + by))]!
  return next * IN_PRINT <= fit && by < 0 ? 0 : next
}

/** In words, as of the size in print. */
export const zoomWords = (zoom: number, fit: number): string => `${Math.round((scaleOf(zoom, fit) / IN_PRINT) * 100)} %`

/** A rectangle, in the unit of whoever says it. */
export interface Rect {
  x: number
  y: number
  width: number
  height: number
}

/** Pages larger than this many pixels either way are painted in the part that is in view. */
const WHOLE = 4096
/** Parts begin and end on a raster, CSS pixels, so that a little scrolling paints nothing anew. */
const RASTER = 512

/**
 * The part of a page to paint, points: all of it while that is no great picture, else what is in view with some way around it;
 * undefined where nothing of it is. `view` is what is in view of the page, CSS pixels from its top left.
 */
export function partInView(
  page: { width: number; height: number },
  scale: number,
  ratio: number,
  view: Rect,
): Rect | undefined {
  if (Math.max(page.width, page.height) * scale * ratio <= WHOLE)
    return { x: 0, y: 0, width: page.width, height: page.height }
  const span = (from: number, length: number, most: number): [number, number] => {
    const a = Math.floor((from - RASTER / 2) / RASTER) * RASTER
    const b = Math.ceil((from + length + RASTER / 2) / RASTER) * RASTER
    return [Math.max(0, a) / scale, Math.min(most, b / scale)]
  }
  const [x0, x1] = span(view.x, view.width, page.width)
  const [y0, y1] = span(view.y, view.height, page.height)
  return x1 > x0 && y1 > y0 ? { x: x0, y: y0, width: x1 - x0, height: y1 - y0 } : undefined
}
