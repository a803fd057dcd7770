import type { PathBuilder } from '../../marks'
import { IN, ON, OUT } from './circle'
import type { Plan, Point } from './plan'
import type { Maze } from './maze'

/** Arcs are cut at so many places of the way round, the head and the sides among them: so near to it a curve is a true arc. */
const PARTS = 12

/** A maze of rings, in the middle of a box. */
export function circlePlan(
  { ground, open, start, end }: Maze,
  { unit, width, height }: { unit: number; width: number; height: number },
): Plan {
  const { sectors, first, radius } = ground.rings!
  /** A place by its distance from the middle, in cells, and its share of the way round from the head. */
  const at = (distance: number, share: number): Point => [
    width / 2 + Math.sin(share * 2 * Math.PI) * distance * unit,
    height / 2 - Math.cos(share * 2 * Math.PI) * distance * unit,
  ]
  const place = (cell: number): { ring: number; share: number } => {
    const ring = first.findLastIndex(f => f <= cell)
    return { ring, share: (cell - first[ring]! + 0.5) / sectors[ring]! }
  }
  const last = sectors.length - 1
  const isDoor = (cell: number): boolean => [start, end].some(d => d.cell === cell && d.side === OUT)
  return {
    unit,
    centre: cell => {
      const { ring, share } = place(cell)
      return ring ? at(radius + ring - 0.5, share) : at(0, 0)
    },
    gap: cell => at(radius + last, place(cell).share),
    walls: (out, wall) => {
      const half = wall / 2 / unit
      for (let ring = 1; ring <= last; ring++) {
        const n = sectors[ring]!
        const inner = radius + ring - 1
        const cell = (i: number): number => first[ring]! + (i % n)
        // Towards the middle, then on with the clock; what lies out of a cell is drawn by the next ring, or as the rim.
        for (const [from, to] of arcs(n, i => !(open[cell(i)]! & (1 << IN))))
          band(out, at, [inner - half, inner + half], [from / n, to / n])
        if (ring === last)
          for (const [from, to] of arcs(n, i => !isDoor(cell(i))))
            band(out, at, [inner + 1 - half, inner + 1 + half], [from / n, to / n])
        for (let i = 0; i < n; i++) {
          if (open[cell(i)]! & (1 << ON)) continue
          const share = (i + 1) / n
          const [x1, y1] = at(inner - half, share)
          const [x2, y2] = at(inner + 1 + half, share)
          const [dx, dy] = [(Math.cos(share * 2 * Math.PI) * wall) / 2, (Math.sin(share * 2 * Math.PI) * wall) / 2]
          out
            .move(x1 - dx, y1 - dy)
            .line(x2 - dx, y2 - dy)
            .line(x2 + dx, y2 + dy)
            .line(x1 + dx, y1 + dy)
            .close()
        }
      }
    },
  }
}

/** Parts of a ring of `n` cells that a wall stands along, each as long as it goes: they may go on past the head. */
function arcs(n: number, stands: (i: number) => boolean): [number, number][] {
  const gap = Array.from({ length: n }, (_, i) => i).find(i => !stands(i))
  if (gap === undefined) return [[0, n]]
  const out: [number, number][] = []
  let from = -1
  for (let i = gap + 1; i <= gap + n; i++) {
    const here = stands(i % n)
    if (here && from < 0) from = i
    if (!here && from >= 0) {
      out.push([from, i])
      from = -1
    }
  }
  return out
}

/** An arc as wide as a wall, between two distances from the middle and two shares of the way round. */
function band(
  out: PathBuilder,
  at: (distance: number, share: number) => Point,
  [inner, outer]: readonly [number, number],
  [from, to]: readonly [number, number],
): void {
  const cuts = [from]
  for (let k = Math.floor(from * PARTS) + 1; k < to * PARTS; k++) cuts.push(k / PARTS)
  cuts.push(to)
  const curve = (distance: number, a: number, b: number): void => {
    // How far the handles of a curve lie along its tangents, by its radius: the usual approximation of an arc.
    const reach = (4 / 3) * Math.tan(((b - a) * 2 * Math.PI) / 4)
    const handle = (share: number, by: number): Point => {
      const [x, y] = at(distance, share)
      const [alongX, alongY] = at(distance, share + 0.25)
      const [cx, cy] = at(0, 0)
      return [x + (alongX - cx) * by, y + (alongY - cy) * by]
    }
    out.cubic(...handle(a, reach), ...handle(b, -reach), ...at(distance, b))
  }
  out.move(...at(outer, from))
  for (let i = 1; i < cuts.length; i++) curve(outer, cuts[i - 1]!, cuts[i]!)
  out.line(...at(inner, to))
  for (let i = cuts.length - 1; i > 0; i--) curve(inner, cuts[i]!, cuts[i - 1]!)
  out.close()
}
