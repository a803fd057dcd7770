import type { CoverPiece } from '../book'
import { type Flat, zoneOf } from './geometry'
import type { Rect } from './rect'
import { fromSpineBox, spineBox } from './spineText'

/** A sheet, or the whole flat, to the bleed. */
export const sheetOf = ({
  x = 0,
  y = 0,
  width,
  height,
  bleed,
}: Omit<Rect, 'x' | 'y'> & Partial<Rect> & Pick<Flat, 'bleed'>): Rect => ({
  x: x - bleed.left,
  y: y - bleed.top,
  width: width + bleed.left + bleed.right,
  height: height + bleed.top + bleed.bottom,
})

/** How far a fold may lie beside its place, points. */
const driftOf = (flat: Flat): number => (zoneOf(flat, 'drift', 'spine')?.width ?? 0) / 2

type On = Pick<CoverPiece, 'panel' | 'within'>

/** The area that a piece is placed in, points on the flat. Undefined where this flat has none: words have no place on a thin spine. */
export function areaOf(flat: Flat, { panel, within = 'safe' }: On): Rect | undefined {
  const sheet = sheetOf(flat)
  if (within === 'safe' && panel !== 'sheet')
    return panel === 'spine' ? zoneOf(flat, 'spine text', 'spine') : zoneOf(flat, 'safe', panel)
  if (within === 'safe') {
    const [back, front] = [zoneOf(flat, 'safe', 'back')!, zoneOf(flat, 'safe', 'front')!]
    return { ...back, width: front.x + front.width - back.x }
  }
  if (panel === 'sheet') return sheet
  const { x, width } = flat.panels[panel]
  if (width <= 0) return undefined
  if (within === 'folds' && panel === 'spine') {
    const by = 2 * driftOf(flat)
    return { x: x - by, y: sheet.y, width: width + 2 * by, height: sheet.height }
  }
  const own = flat.sheets.find(s => s.name === panel)
  if (own) return sheetOf({ ...own.rect, bleed: own.bleed })
  const left = panel === 'back' ? sheet.x : x
  const right = panel === 'front' ? sheet.x + sheet.width : x + width
  return { x: left, y: sheet.y, width: right - left, height: sheet.height }
}

/** An area's width and height as its pieces see it: along the spine they run along the book. */
export const sizeIn = (area: Rect, panel: CoverPiece['panel']): { width: number; height: number } =>
  panel === 'spine' ? { width: area.height, height: area.width } : { width: area.width, height: area.height }

/** A piece's box on the flat, points, before it is turned. */
export function boxOnFlat(flat: Flat, { box: b, ...on }: On & Pick<CoverPiece, 'box'>): Rect | undefined {
  const area = areaOf(flat, on)
  if (!area) return undefined
  const { width, height } = sizeIn(area, on.panel)
  const box = { x: b.x * width, y: b.y * height, width: b.width * width, height: b.height * height }
  return on.panel === 'spine' ? spineBox(area, box, flat.spineReads) : { ...box, x: area.x + box.x, y: area.y + box.y }
}

/** The least part of its area that a piece has. */
const LEAST = 0.004
const held = (from: number, size: number): [number, number] => {
  // What is larger than its area reaches over it on purpose.
  if (size > 1) return [from, size]
  const s = Math.max(LEAST, Math.min(1, size))
  return [Math.max(0, Math.min(1 - s, from)), s]
}

/** A box that does not leave its area, unless it is larger and reaches over it on purpose. */
export function keptIn(box: CoverPiece['box']): CoverPiece['box'] {
  const [x, width] = held(box.x, box.width)
  const [y, height] = held(box.y, box.height)
  return { x, y, width, height }
}

/** The same the other way: a box on the flat in parts of the piece's area, kept inside it. */
export function boxInArea(flat: Flat, on: On, rect: Rect): CoverPiece['box'] | undefined {
  const area = areaOf(flat, on)
  if (!area) return undefined
  const size = sizeIn(area, on.panel)
  const box =
    on.panel === 'spine'
      ? fromSpineBox(area, rect, flat.spineReads)
      : { ...rect, x: rect.x - area.x, y: rect.y - area.y }
  return keptIn({
    x: box.x / size.width,
    y: box.y / size.height,
    width: box.width / size.width,
    height: box.height / size.height,
  })
}
