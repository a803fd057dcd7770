import type { MarketTitle } from './make'

/** Room: buyers a month that the first page does not hold fast. `crowding` 0 to 10. */
export const roomOf = (demand: number, crowding: number): number => demand * (1 - crowding / 10)

/**
 * How strong one title stands on a phrase's first page, 0 to 1: by rank (0.4, falling with its logarithm), reviews (0.3), age
 * (0.1; what has stood long stands fast) and an exact match in its title (0.2).
 */
export function strengthOf(t: Omit<MarketTitle, 'niche'>, phrase: string): number {
  const byRank = 0.4 * Math.max(0, Math.min(1, 1 - Math.log10(Math.max(1, t.rank)) / 6))
  const byReviews = 0.3 * Math.min(1, Math.log10(1 + t.reviews) / 3.2)
  const byAge = 0.1 * Math.min(1, t.age / 60)
  return byRank + byReviews + byAge + (t.title.toLowerCase().includes(phrase) ? 0.2 : 0)
}
