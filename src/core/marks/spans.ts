import { Op, type Path } from './path'

/** Points of a curve between two of its ends: enough for a letter at any size of print. */
const STEPS = 8

/**
 * How far an outline reaches sideways within a band of heights (same units as the path, y as drawn): [least x, greatest x], or
 * undefined where it has nothing there. Curves are followed, not their control points.
 */
export function spanWithin(p: Path, low: number, high: number): [number, number] | undefined {
  let least = Infinity
  let greatest = -Infinity
  let [x, y, sx, sy] = [0, 0, 0, 0]
  const to = (nx: number, ny: number): void => {
    // The part of the edge that lies in the band, by its ends.
    const [a, b] =
      y <= ny
        ? [
            { x, y },
            { x: nx, y: ny },
          ]
        : [
            { x: nx, y: ny },
            { x, y },
          ]
    if (b.y >= low && a.y <= high) {
      const at = (h: number): number => (b.y === a.y ? a.x : a.x + ((b.x - a.x) * (h - a.y)) / (b.y - a.y))
      for (const v of b.y === a.y ? [a.x, b.x] : [at(Math.max(low, a.y)), at(Math.min(high, b.y))]) {
        least = Math.min(least, v)
        greatest = Math.max(greatest, v)
      }
    }
    x = nx
    y = ny
  }
  let k = 0
  const c = p.xy
  for (const op of p.ops) {
    if (op === Op.close) {
      to(sx, sy)
      continue
    }
    if (op === Op.move) {
      ;[x, y, sx, sy] = [c[k]!, c[k + 1]!, c[k]!, c[k + 1]!]
      k += 2
    } else if (op === Op.line) {
      to(c[k]!, c[k + 1]!)
      k += 2
    } else {
      const n = op === Op.quad ? 4 : 6
      const [x0, y0] = [x, y]
      for (let i = 1; i <= STEPS; i++) {
        const t = i / STEPS
        const u = 1 - t
        if (n === 4)
          to(u * u * x0 + 2 * u * t * c[k]! + t * t * c[k + 2]!, u * u * y0 + 2 * u * t * c[k + 1]! + t * t * c[k + 3]!)
        else
          to(
            u * u * u * x0 + 3 * u * u * t * c[k]! + 3 * u * t * t * c[k + 2]! + t * t * t * c[k + 4]!,
            u * u * u * y0 + 3 * u * u * t * c[k + 1]! + 3 * u * t * t * c[k + 3]! + t * t * t * c[k + 5]!,
          )
      }
      k += n
    }
  }
  return greatest >= least ? [least, greatest] : undefined
}
