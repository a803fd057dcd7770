import type { Rect } from './rect'

/** [a b c d e f]: x' = a·x + c·y + e, y' = b·x + d·y + f. */
export type Matrix = [number, number, number, number, number, number]

export const middleOf = ({ x, y, width, height }: Rect): { x: number; y: number } => ({
  x: x + width / 2,
  y: y + height / 2,
})

/** Turns by degrees, clockwise, about a point. */
export function turnAbout(degrees: number, { x, y }: { x: number; y: number }): Matrix {
  const a = (degrees * Math.PI) / 180
  const [cos, sin] = [Math.cos(a), Math.sin(a)]
  return [cos, sin, -sin, cos, x - x * cos + y * sin, y - x * sin - y * cos]
}

/** What does `inner` first, and then `outer`. */
export function onto([a, b, c, d, e, f]: Matrix, [p, q, r, s, t, u]: Matrix): Matrix {
  return [a * p + c * q, b * p + d * q, a * r + c * s, b * r + d * s, a * t + c * u + e, b * t + d * u + f]
}
