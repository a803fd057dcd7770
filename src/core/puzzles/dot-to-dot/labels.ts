import type { Point } from '../../silhouettes'
import { DOT, FIGURE } from './values'

/** Directions and distances that are tried for a number, by its height: close and outside of the picture first. */
const DIRECTIONS = 16
const FAR = [0.95, 1.3, 1.8]

/** What it costs that a number lies over a line, in directions further from where it should be. */
const OVER = 10

/** Where numbers are tried, the best places first. */
const ways = FAR.flatMap((far, f) =>
  Array.from({ length: DIRECTIONS }, (_, k) => ({
    turn: (Math.ceil(k / 2) * (k % 2 ? 1 : -1) * 2 * Math.PI) / DIRECTIONS,
    far,
    cost: k + f * 3,
  })),
).sort((a, b) => a.cost - b.cost)

interface Box {
  x: number
  y: number
  w: number
  h: number
}

const within = ({ x, y, w, h }: Box, { width, height }: { width: number; height: number }): boolean =>
  x - w / 2 >= 0 && y - h / 2 >= 0 && x + w / 2 <= width && y + h / 2 <= height

const apart = (a: Box, b: Box): boolean => Math.abs(a.x - b.x) * 2 >= a.w + b.w || Math.abs(a.y - b.y) * 2 >= a.h + b.h

/**
 * Places for the numbers of dots, in none of which a number lies over another number, over a dot, or out of the box; over a line only
 * where nothing else is free. Nothing where they are too close together.
 */
export function placeNumbers(
  dots: readonly Point[],
  size: number,
  box: { width: number; height: number },
): Point[] | undefined {
  const boxes = dots.map(([x, y]): Box => ({ x, y, w: 2 * DOT * size, h: 2 * DOT * size }))
  const placed: Box[] = []
  // Only what is near can be in the way: boxes by squares of the page.
  const square = size * 3
  const near = new Map<string, Box[]>()
  const put = (b: Box): void => {
    const key = `${Math.floor(b.x / square)},${Math.floor(b.y / square)}`
    const list = near.get(key)
    if (list) list.push(b)
    else near.set(key, [b])
  }
  const around = (b: Box): Box[] => {
    const [c, r] = [Math.floor(b.x / square), Math.floor(b.y / square)]
    return [-1, 0, 1].flatMap(dy => [-1, 0, 1].flatMap(dx => near.get(`${c + dx},${r + dy}`) ?? []))
  }
  for (const b of boxes) put(b)
  for (let i = 0; i < dots.length; i++) {
    const [x, y] = dots[i]!
    const [before, after] = [dots.at(i - 1)!, dots[(i + 1) % dots.length]!]
    // Away from both lines that meet here.
    const away = Math.atan2(2 * y - before[1] - after[1], 2 * x - before[0] - after[0])
    const wide = String(i + 1).length * FIGURE * size
    let best: { box: Box; cost: number } | undefined
    for (const { turn, far, cost } of ways) {
      if (best && cost >= best.cost) break
      const [ux, uy] = [Math.cos(away + turn), Math.sin(away + turn)]
      const own: Box = { x: x + ux * (far * size * 0.55 + wide / 2), y: y + uy * far * size * 0.8, w: wide, h: size }
      if (!within(own, box) || !around(own).every(b => apart(own, b))) continue
      const over = [i - 2, i - 1, i, i + 1].filter(s => {
        const [p, q] = [dots.at(s % dots.length)!, dots[(s + 1 + dots.length) % dots.length]!]
        return meets(own, p, q)
      }).length
      if (!best || cost + over * OVER < best.cost) best = { box: own, cost: cost + over * OVER }
    }
    if (!best) return undefined
    placed.push(best.box)
    put(best.box)
  }
  return placed.map((b): Point => [b.x, b.y])
}

/** Whether a line goes through a box: some of its points lie in it. */
function meets({ x, y, w, h }: Box, p: Point, q: Point): boolean {
  for (let i = 0; i <= 8; i++) {
    const [px, py] = [p[0] + ((q[0] - p[0]) * i) / 8, p[1] + ((q[1] - p[1]) * i) / 8]
    if (Math.abs(px - x) * 2 < w && Math.abs(py - y) * 2 < h) return true
  }
  return false
}
