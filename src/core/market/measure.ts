import { seeded, seedOf } from './chance'
import { stem, wordsOf } from './words'
import { marketOf, type MarketTitle, world } from './world'

/** Figures of a phrase in a market. */
export interface PhraseFigures {
  phrase: string
  niche: string
  /** A month. */
  searches: number
  /** Share of searchers who buy. */
  buyShare: number
  /** Buyers a month: searches × share. */
  demand: number
  /** Strength of the first ten titles, 0 to 10. */
  crowding: number
  /** Buyers a month that the first page does not hold fast: demand × (1 − crowding ÷ 10). */
  room: number
  /** Typical price of the first ten, minor units. */
  price: number
}

/** Room: what of the demand the first page does not hold fast. */
export const roomOf = (demand: number, crowding: number): number => demand * (1 - crowding / 10)

/**
 * How strong one title stands on a phrase's first page, 0 to 1: by rank (0.4, falling with its logarithm), reviews (0.3), age
 * (0.1; what has stood long stands fast) and an exact match in its title (0.2).
 */
export function strengthOf(t: MarketTitle, phrase: string): number {
  const byRank = 0.4 * Math.max(0, Math.min(1, 1 - Math.log10(Math.max(1, t.rank)) / 6))
  const byReviews = 0.3 * Math.min(1, Math.log10(1 + t.reviews) / 3.2)
  const byAge = 0.1 * Math.min(1, t.age / 60)
  return byRank + byReviews + byAge + (t.title.toLowerCase().includes(phrase) ? 0.2 : 0)
}

/** The titles that a phrase shows first: those that say its words, then by rank. */
export function firstTitles(phrase: string, niche: number, count = 10): MarketTitle[] {
  const { titles, byNiche } = world()
  const words = phrase.split(' ').map(stem)
  const says = (t: MarketTitle): number => {
    const own = stemsOf(t)
    let n = 0
    for (const w of words) if (own.has(w)) n++
    return n
  }
  return byNiche[niche]!.map(i => titles[i]!)
    .map(t => [t, Math.log10(t.rank) - says(t)] as const)
    .sort((a, b) => a[1] - b[1])
    .slice(0, count)
    .map(x => x[0])
}

const stemsOfTitle = new WeakMap<MarketTitle, Set<string>>()
function stemsOf(t: MarketTitle): Set<string> {
  let own = stemsOfTitle.get(t)
  if (!own) stemsOfTitle.set(t, (own = new Set(wordsOf(t.title))))
  return own
}

/** Makes the marketplace and works out every phrase's first page, so that no question waits for it. */
export function prepare(): void {
  world().phrases.forEach((_, i) => firstPage(i))
}

// A phrase's first page is the same in all markets: its strength and middle price are worked out once.
const firstPages: ({ strength: number; price: number } | undefined)[] = []
function firstPage(index: number): { strength: number; price: number } {
  let p = firstPages[index]
  if (!p) {
    const { phrase, niche } = world().phrases[index]!
    const first = firstTitles(phrase, niche)
    const prices = first.map(t => t.price).sort((a, b) => a - b)
    firstPages[index] = p = {
      strength: first.reduce((s, t) => s + strengthOf(t, phrase), 0),
      price: prices[prices.length >> 1]!,
    }
  }
  return p
}

const remembered = new Map<string, PhraseFigures>()

/** Measures a phrase (by its index in the world) in a market. */
export function measure(index: number, marketId: string): PhraseFigures {
  const key = `${marketId}/${index}`
  let f = remembered.get(key)
  if (f) return f
  const { phrases, niches } = world()
  const p = phrases[index]!
  const n = niches[p.niche]!
  const m = marketOf(marketId)
  const rnd = seeded(seedOf(`${key}|${p.phrase}`))
  const searches = Math.max(
    10,
    Math.round(
      (n.form.searches *
        (0.25 + n.theme.pull) *
        p.share *
        m.size *
        (m.leans === n.theme.near ? 1.5 : 1) *
        (0.6 + 0.8 * rnd())) /
        10,
    ) * 10,
  )
  const buyShare = Math.min(0.6, n.form.buyers * p.buyers * (0.75 + 0.5 * rnd()))
  const { strength: full, price } = firstPage(index)
  const crowding = Math.round(Math.min(10, full * 1.25 * p.crowd * (0.85 + 0.3 * rnd())) * 10) / 10
  const demand = Math.round(searches * buyShare)
  f = {
    phrase: p.phrase,
    niche: n.name,
    searches,
    buyShare: Math.round(buyShare * 1000) / 1000,
    demand,
    crowding,
    room: Math.round(roomOf(demand, crowding)),
    price,
  }
  remembered.set(key, f)
  return f
}
