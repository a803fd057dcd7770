import type { Point } from '../../silhouettes'

const distance = ([x1, y1]: Point, [x2, y2]: Point): number => Math.hypot(x2 - x1, y2 - y1)

/** Length of a closed line. */
export const lengthOf = (ring: readonly Point[]): number =>
  ring.reduce((n, p, i) => n + distance(p, ring[(i + 1) % ring.length]!), 0)

/** Turning in radians from which a point is a corner: one has to be a dot, or the picture loses it. */
const CORNER = 0.7

/** So many points of a closed line: its corners, and between them others at like distances. Nothing where it has more corners than points. */
export function dotsAlong(ring: readonly Point[], count: number): Point[] | undefined {
  const length = lengthOf(ring)
  const near = (length / count) * 0.55
  const corners: { at: number; turn: number }[] = []
  let at = 0
  const places = ring.map((p, i) => {
    const here = at
    at += distance(p, ring[(i + 1) % ring.length]!)
    return here
  })
  ring.forEach((p, i) => {
    const turn = turning(ring.at(i - 1)!, p, ring[(i + 1) % ring.length]!)
    if (turn >= CORNER) corners.push({ at: places[i]!, turn })
  })
  // Of corners that lie close together the sharpest one stays.
  const kept: number[] = []
  for (const c of [...corners].sort((a, b) => b.turn - a.turn || a.at - b.at))
    if (kept.every(k => Math.min(Math.abs(k - c.at), length - Math.abs(k - c.at)) >= near)) kept.push(c.at)
  if (kept.length > count) return undefined
  if (!kept.length) kept.push(0)
  kept.sort((a, b) => a - b)
  const spans = kept.map((from, i) => ({
    from,
    length: (kept[(i + 1) % kept.length]! - from + length) % length || length,
    dots: 1,
  }))
  for (let left = count - kept.length; left > 0; left--)
    spans.reduce((a, b) => (b.length / (b.dots + 1) > a.length / (a.dots + 1) ? b : a)).dots++
  return spans.flatMap(s =>
    Array.from({ length: s.dots }, (_, i) => pointAt(ring, places, (s.from + (s.length * i) / s.dots) % length)),
  )
}

function turning(a: Point, b: Point, c: Point): number {
  const turn = Math.atan2(c[1] - b[1], c[0] - b[0]) - Math.atan2(b[1] - a[1], b[0] - a[0])
  return Math.abs(((turn + 3 * Math.PI) % (2 * Math.PI)) - Math.PI)
}

function pointAt(ring: readonly Point[], places: readonly number[], at: number): Point {
  let i = places.length - 1
  while (i > 0 && places[i]! > at) i--
  const [p, q] = [ring[i]!, ring[(i + 1) % ring.length]!]
  const t = (at - places[i]!) / (distance(p, q) || 1)
  return [p[0] + (q[0] - p[0]) * t, p[1] + (q[1] - p[1]) * t]
}

/** Whether any two lines of a closed way cross or touch, other than where one goes on as the next. */
export function crosses(dots: readonly Point[]): boolean {
  const side = (a: Point, b: Point, p: Point): number =>
    Math.sign((b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]))
  const n = dots.length
  for (let i = 0; i < n; i++)
    for (let k = i + 2; k < n; k++) {
      if (i === 0 && k === n - 1) continue
      const [a, b, c, d] = [dots[i]!, dots[i + 1]!, dots[k]!, dots[(k + 1) % n]!]
      if (Math.max(a[0], b[0]) < Math.min(c[0], d[0]) || Math.max(c[0], d[0]) < Math.min(a[0], b[0])) continue
      if (side(a, b, c) !== side(a, b, d) && side(c, d, a) !== side(c, d, b)) return true
    }
  return false
}
