/** A known point: a rank and the copies sold a month there. */
export interface RankPoint {
  rank: number
  copies: number
}

/** Sales from rank: copies = scale × rank^−slope. */
export interface RankLaw {
  scale: number
  slope: number
  /** By how much each point lies off the line, as a factor. */
  residuals: number[]
}

/** Fits the power law to known points by least squares in logarithms. Wants two points of different rank at least. */
export function fitRankLaw(points: RankPoint[]): RankLaw {
  const xs = points.map(p => Math.log(p.rank))
  const ys = points.map(p => Math.log(p.copies))
  const n = points.length
  const mx = xs.reduce((s, x) => s + x, 0) / n
  const my = ys.reduce((s, y) => s + y, 0) / n
  const sxx = xs.reduce((s, x) => s + (x - mx) ** 2, 0)
  if (n < 2 || sxx === 0) throw new RangeError('a power law wants two points of different rank')
  const slope = -xs.reduce((s, x, i) => s + (x - mx) * (ys[i]! - my), 0) / sxx
  const scale = Math.exp(my + slope * mx)
  return { scale, slope, residuals: points.map(p => p.copies / (scale * p.rank ** -slope)) }
}

/** Copies a month at a rank. */
export const copiesAt = (law: RankLaw, rank: number): number => law.scale * rank ** -law.slope

/** The simulated shop's own known points. */
export const shopPoints: RankPoint[] = [
  { rank: 100, copies: 2900 },
  { rank: 1000, copies: 640 },
  { rank: 10_000, copies: 120 },
  { rank: 100_000, copies: 14 },
  { rank: 600_000, copies: 2 },
]
