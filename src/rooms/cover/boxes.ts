import type { CoverPiece, Flat, Rect } from '@/core/cover'
import { zoneOf } from '@/core/cover'

/** The zone a piece is placed in: its panel's safe zone, or the spine's text zone. Undefined where the panel has none. */
export const zoneFor = (flat: Flat, panel: CoverPiece['panel']): Rect | undefined =>
  panel === 'spine' ? zoneOf(flat, 'spine text', 'spine') : zoneOf(flat, 'safe', panel)

/** A piece's box on the flat, points. Along the spine the box's x runs down the book, its y across from the front. */
export function boxOnFlat(flat: Flat, p: Pick<CoverPiece, 'panel' | 'box'>): Rect | undefined {
  const zone = zoneFor(flat, p.panel)
  if (!zone) return undefined
  const b = p.box
  if (p.panel !== 'spine')
    return {
      x: zone.x + b.x * zone.width,
      y: zone.y + b.y * zone.height,
      width: b.width * zone.width,
      height: b.height * zone.height,
    }
  return {
    x: zone.x + zone.width - (b.y + b.height) * zone.width,
    y: zone.y + b.x * zone.height,
    width: b.height * zone.width,
    height: b.width * zone.height,
  }
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
  const [across, down] = [(rect.x - zone.x) / zone.width, (rect.y - zone.y) / zone.height]
  const [w, h] = [rect.width / zone.width, rect.height / zone.height]
  if (panel !== 'spine') {
    const [x, width] = within(across, w)
    const [y, height] = within(down, h)
    return { x, y, width, height }
  }
  const [x, width] = within(down, h)
  const [y, height] = within(1 - across - w, w)
  return { x, y, width, height }
}
