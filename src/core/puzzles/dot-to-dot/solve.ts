import type { Proof } from '../puzzle'
import { DOT, type DotToDot, FIGURE } from './values'

/**
 * Joins the dots as their numbers say and looks at what is printed: no two numbers over each other, none over a dot or out of the box,
 * each nearer to its own dot than to any other, and no line that meets another one before the picture is closed.
 */
export function prove({ dots, labels, size, width, height }: DotToDot): Proof {
  const n = dots.length
  const half = (i: number): number => (String(i + 1).length * FIGURE * size) / 2
  const r = DOT * size
  const slack = 1e-9
  let readable = labels.length === n && n > 2
  for (let i = 0; i < n && readable; i++) {
    const [x, y] = labels[i]!
    if (x - half(i) < -slack || y - size / 2 < -slack || x + half(i) > width + slack || y + size / 2 > height + slack)
      readable = false
    for (let k = 0; k < n && readable; k++) {
      const [ox, oy] = labels[k]!
      if (k !== i && Math.abs(x - ox) < half(i) + half(k) - slack && Math.abs(y - oy) < size - slack) readable = false
      const [dx, dy] = dots[k]!
      if (Math.abs(x - dx) < half(i) + r - slack && Math.abs(y - dy) < size / 2 + r - slack) readable = false
    }
    const own = gap(labels[i]!, half(i), size / 2, dots[i]!)
    if (dots.some((d, k) => k !== i && gap(labels[i]!, half(i), size / 2, d) < own * 0.5)) readable = false
  }
  let meets = false
  for (let i = 0; i < n && !meets; i++)
    for (let k = i + 1; k < n && !meets; k++) {
      const next = k === i + 1 || (i === 0 && k === n - 1)
      if (!next && meet(dots[i]!, dots[(i + 1) % n]!, dots[k]!, dots[(k + 1) % n]!)) meets = true
    }
  return { answers: meets ? 2 : 1, agrees: readable && !meets }
}

/** From a dot to the box of a number. */
function gap([x, y]: readonly [number, number], w: number, h: number, [px, py]: readonly [number, number]): number {
  return Math.hypot(Math.max(0, Math.abs(px - x) - w), Math.max(0, Math.abs(py - y) - h))
}

/** Where two lines meet, by their shares of both: solved as two equations. */
function meet(
  [x1, y1]: readonly [number, number],
  [x2, y2]: readonly [number, number],
  [x3, y3]: readonly [number, number],
  [x4, y4]: readonly [number, number],
): boolean {
  const below = (x1 - x2) * (y3 - y4) - (y1 - y2) * (x3 - x4)
  if (Math.abs(below) < 1e-15) return false
  const t = ((x1 - x3) * (y3 - y4) - (y1 - y3) * (x3 - x4)) / below
  const u = ((x1 - x3) * (y1 - y2) - (y1 - y3) * (x1 - x2)) / below
  return t >= 0 && t <= 1 && u >= 0 && u <= 1
}
