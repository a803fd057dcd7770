import type { PathBuilder } from '../../marks'
import type { Rect } from '../rect'

/** Heights 0 to 1 over an area, at points a step apart, row by row. */
export interface Field {
  area: Rect
  step: number
  across: number
  down: number
  heights: Float32Array
}

/** Directions that slopes are drawn from: across and down of each. */
const SLOPES = 64
const slopes = Float64Array.from({ length: 2 * SLOPES }, (_, i) => {
  const a = ((i >> 1) / SLOPES) * 2 * Math.PI
  return i % 2 ? Math.sin(a) : Math.cos(a)
})

/** A smooth field by chance: two octaves of gradient noise (K. Perlin, 1985), whose hills are about `size` wide. */
export function field(area: Rect, step: number, size: number, chance: () => number): Field {
  const across = Math.ceil(area.width / step) + 2
  const down = Math.ceil(area.height / step) + 2
  const order = Array.from({ length: 256 }, () => Math.floor(chance() * SLOPES))
  const slope = (x: number, y: number): number => order[(x + order[y & 255]! * 7 + 1013) & 255]!
  const noise = (x: number, y: number): number => {
    const [x0, y0] = [Math.floor(x), Math.floor(y)]
    const [fx, fy] = [x - x0, y - y0]
    const at = (dx: number, dy: number): number => {
      const k = slope(x0 + dx, y0 + dy)
      return slopes[2 * k]! * (fx - dx) + slopes[2 * k + 1]! * (fy - dy)
    }
    const [u, v] = [ease(fx), ease(fy)]
    const top = at(0, 0) + u * (at(1, 0) - at(0, 0))
    return top + v * (at(0, 1) + u * (at(1, 1) - at(0, 1)) - top)
  }
  const heights = new Float32Array(across * down)
  let [least, most] = [Infinity, -Infinity]
  for (let j = 0; j < down; j++)
    for (let i = 0; i < across; i++) {
      const [x, y] = [(i * step) / size, (j * step) / size]
      const h = noise(x, y) + 0.4 * noise(x * 2.1 + 37, y * 2.1 + 11)
      heights[j * across + i] = h
      least = Math.min(least, h)
      most = Math.max(most, h)
    }
  for (let k = 0; k < heights.length; k++) heights[k] = (heights[k]! - least) / (most - least || 1)
  return { area, step, across, down, heights }
}

const ease = (t: number): number => t * t * t * (t * (t * 6 - 15) + 10)

/** Sides of a square between four points: from which corner to which, counted from its top left, clockwise. */
const SIDES = [
  [0, 1],
  [1, 2],
  [2, 3],
  [3, 0],
] as const

/** The lines along which a field has a height, joined into curves (marching squares). */
export function levelLines({ area, step, across, down, heights }: Field, level: number, out: PathBuilder): void {
  /** From where a piece of a line begins to where it ends; points are named by the edge of the grid that they lie on. */
  const next = new Map<number, { to: number; x: number; y: number }>()
  for (let j = 0; j + 1 < down; j++)
    for (let i = 0; i + 1 < across; i++) {
      // Most squares have no line in them.
      const [k, below] = [j * across + i, (j + 1) * across + i]
      const under = heights[k]! < level
      if (
        heights[k + 1]! < level === under &&
        heights[below]! < level === under &&
        heights[below + 1]! < level === under
      )
        continue
      const corner = [k, k + 1, below + 1, below]
      const h = corner.map(c => heights[c]! - level)
      // A line goes in where it rises above the level clockwise, and out where it falls below it.
      const cuts = SIDES.flatMap(([a, b], side) => (h[a]! < 0 === h[b]! < 0 ? [] : [{ side, enters: h[a]! < 0 }]))
      const point = (side: number): { edge: number; x: number; y: number } => {
        const [a, b] = SIDES[side]!
        const t = h[a]! / (h[a]! - h[b]!)
        const [pa, pb] = [corner[a]!, corner[b]!]
        const at = (c: number): [number, number] => [c % across, Math.floor(c / across)]
        const [[ax, ay], [bx, by]] = [at(pa), at(pb)]
        return {
          edge: Math.min(pa, pb) * 2 + (Math.abs(pa - pb) === 1 ? 0 : 1),
          x: area.x + (ax + (bx - ax) * t) * step,
          y: area.y + (ay + (by - ay) * t) * step,
        }
      }
      for (const [n, cut] of cuts.entries()) {
        if (!cut.enters) continue
        const end = cuts[(n + 1) % cuts.length]!
        const [from, to] = [point(cut.side), point(end.side)]
        next.set(from.edge, { to: to.edge, x: from.x, y: from.y })
      }
    }
  join(next, out)
}

/** Draws the pieces one after the other, each line once and rounded through the middles of its pieces: those that begin at the border first, then those that close. */
function join(next: Map<number, { to: number; x: number; y: number }>, out: PathBuilder): void {
  const reached = new Set([...next.values()].map(n => n.to))
  const follow = (start: number): void => {
    const line: { x: number; y: number }[] = []
    let key = start
    for (let at = next.get(key); at; at = next.get(key)) {
      line.push(at)
      next.delete(key)
      key = at.to
    }
    draw(out, line, key === start)
  }
  for (const key of [...next.keys()]) if (!reached.has(key)) follow(key)
  for (const key of [...next.keys()]) if (next.has(key)) follow(key)
}

function draw(out: PathBuilder, line: readonly { x: number; y: number }[], closes: boolean): void {
  const n = line.length
  if (n < 2) return
  const middle = (i: number): [number, number] => {
    const [a, b] = [line[(i + n) % n]!, line[(i + 1) % n]!]
    return [(a.x + b.x) / 2, (a.y + b.y) / 2]
  }
  if (closes) out.move(...middle(-1))
  else out.move(line[0]!.x, line[0]!.y)
  for (let i = closes ? 0 : 1; i < (closes ? n : n - 1); i++) out.quad(line[i]!.x, line[i]!.y, ...middle(i))
  if (closes) out.close()
  else out.line(line[n - 1]!.x, line[n - 1]!.y)
}
