import { type CoverPiece, type Flat, fromSpineBox, type Rect, spineBox, zoneOf } from '@/core/cover'

/** The zone a piece is placed in: its panel's safe zone, or the spine's text zone. Undefined where the panel has none. */
export const zoneFor = (flat: Flat, panel: CoverPiece['panel']): Rect | undefined =>
  panel === 'spine' ? zoneOf(flat, 'spine text', 'spine') : zoneOf(flat, 'safe', panel)

/** A zone's width and height as its pieces see it: along the spine the words run along the book. */
export const sizeFor = (zone: Rect, panel: CoverPiece['panel']): { width: number; height: number } =>
  panel === 'spine' ? { width: zone.height, height: zone.width } : { width: zone.width, height: zone.height }

/** A piece's box on the flat, points. */
export function boxOnFlat(flat: Flat, { panel, box: b }: Pick<CoverPiece, 'panel' | 'box'>): Rect | undefined {
  const zone = zoneFor(flat, panel)
  if (!zone) return undefined
  const { width, height } = sizeFor(zone, panel)
  const box = { x: b.x * width, y: b.y * height, width: b.width * width, height: b.height * height }
  return panel === 'spine' ? spineBox(zone, box, flat.spineReads) : { ...box, x: zone.x + box.x, y: zone.y + box.y }
}

const LEAST = 0.02
const within = (from: number, size: number): [number, number] => {
  const s = Math.max(LEAST, Math.min(1, size))
  return [Math.max(0, Math.min(1 - s, from)), s]
}

/** The same the other way: a box on the flat as parts of the piece's zone, kept inside it. */
export function boxInZone(flat: Flat, panel: CoverPiece['panel'], rect: Rect): CoverPiece['box'] | undefined {
  const zone = zoneFor(flat, panel)
  if (!zone) return undefined
  const size = sizeFor(zone, panel)
  const box =
    panel === 'spine' ? fromSpineBox(zone, rect, flat.spineReads) : { ...rect, x: rect.x - zone.x, y: rect.y - zone.y }
  const [x, width] = within(box.x / size.width, box.width / size.width)
  const [y, height] = within(box.y / size.height, box.height / size.height)
  return { x, y, width, height }
}
