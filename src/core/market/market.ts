import { seeded, seedOf } from '../trade'
import { makeStock, type MarketTitle, type Niche, type PhraseSeed } from './make'
import { roomOf, strengthOf } from './strength'
import { type MarketId, markets } from './vocabulary'
import { placeIn, wordIndex } from './wordIndex'
import { wordsOf } from './words'

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

/** A simulated marketplace that can be asked. */
export interface Market {
  readonly niches: readonly Niche[]
  readonly titles: readonly MarketTitle[]
  readonly phrases: readonly PhraseSeed[]
  /** Phrases related to a word or phrase: those that hold its words first, then its neighbours; the most room first. At most `limit`. */
  related(word: string, market: MarketId, limit?: number): PhraseFigures[]
  /** A phrase's figures; undefined where nobody searches for it. */
  figuresOf(phrase: string, market: MarketId): PhraseFigures | undefined
  /** The titles that a phrase shows first: those that say its words, then by rank. Empty where nobody searches for it. */
  titlesOf(phrase: string, count?: number): MarketTitle[]
}

/** How many words of a question are looked at. */
const WORDS_ASKED = 8

/** Makes a marketplace of about `size` titles; the same for the same seed, on every machine. It keeps what it once worked out. */
export const createMarket = (seed: number, size: number): Market => new SimulatedMarket(seed, makeStock(seed, size))

class SimulatedMarket implements Market {
  readonly niches: readonly Niche[]
  readonly titles: readonly MarketTitle[]
  readonly phrases: readonly PhraseSeed[]
  private readonly index: ReturnType<typeof wordIndex>
  private readonly numberOf: Map<string, number>
  /** Figures of each phrase, by market. */
  private readonly measured: Map<MarketId, (phrase: number) => PhraseFigures>

  constructor(
    private readonly seed: number,
    private readonly stock: ReturnType<typeof makeStock>,
  ) {
    const { niches, titles, phrases } = stock
    this.niches = niches
    this.titles = titles
    this.phrases = phrases
    this.index = wordIndex(
      phrases.map(p => p.phrase),
      titles.map(t => t.title),
    )
    this.numberOf = new Map(phrases.map((p, i) => [p.phrase, i]))
    this.measured = new Map(markets.map(m => [m.id, remembering((i: number) => this.measure(i, m.id))]))
  }

  related(word: string, market: MarketId, limit = 80): PhraseFigures[] {
    const hits = this.hitsOf(wordsOf(word).slice(0, WORDS_ASKED))
    const best = Math.max(0, ...hits.values())
    const own = [...hits].filter(([, n]) => n === best).map(([i]) => i)
    const found = this.byRoom(own, market)
    if (own.length >= limit / 2) return found.slice(0, limit)
    // Neighbours widen the search when the word alone gives little.
    const near = new Set(own.map(i => this.kinOf(i)))
    const isNear = (i: number): boolean => this.phrases[i]!.share === 1 && !hits.has(i) && near.has(this.kinOf(i))
    return [...found, ...this.byRoom([...this.phrases.keys()].filter(isNear), market)].slice(0, limit)
  }

  figuresOf(phrase: string, market: MarketId): PhraseFigures | undefined {
    const i = this.numberOf.get(phrase.toLowerCase())
    return i === undefined ? undefined : this.measured.get(market)!(i)
  }

  titlesOf(phrase: string, count = 10): MarketTitle[] {
    const i = this.numberOf.get(phrase.toLowerCase())
    return i === undefined ? [] : this.firstTitles(this.phrases[i]!, count)
  }

  private firstTitles(p: PhraseSeed, count: number): MarketTitle[] {
    const { perNiche } = this.stock
    const start = p.niche * perNiche
    const says = new Uint8Array(perNiche)
    for (const w of new Set(wordsOf(p.phrase))) {
      const list = this.index.get(w)!.titles
      for (let i = placeIn(list, start); list[i]! < start + perNiche; i++) says[list[i]! - start]!++
    }
    return this.titles
      .slice(start, start + perNiche)
      .map((t, i) => [t, Math.log10(t.rank) - says[i]!] as const)
      .sort((a, b) => a[1] - b[1])
      .slice(0, count)
      .map(([t]) => t)
  }

  /** A phrase's first page is the same in all markets: its strength and middle price are worked out once. */
  private readonly firstPage = remembering((i: number): { strength: number; price: number } => {
    const { phrase } = this.phrases[i]!
    const first = this.firstTitles(this.phrases[i]!, 10)
    const prices = first.map(t => t.price).sort((a, b) => a - b)
    return { strength: first.reduce((s, t) => s + strengthOf(t, phrase), 0), price: prices[prices.length >> 1]! }
  })

  private measure(i: number, id: MarketId): PhraseFigures {
    const p = this.phrases[i]!
    const n = this.niches[p.niche]!
    const m = markets.find(x => x.id === id)!
    const rnd = seeded(seedOf(`${this.seed}|${id}|${p.phrase}`))
    const drawn = n.form.searches * (0.25 + n.theme.pull) * p.share * m.size * (m.leans === n.theme.near ? 1.5 : 1)
    const searches = Math.max(10, Math.round((drawn * (0.6 + 0.8 * rnd())) / 10) * 10)
    const buyShare = Math.min(0.6, n.form.buyers * p.buyers * (0.75 + 0.5 * rnd()))
    const { strength, price } = this.firstPage(i)
    const crowding = Math.round(Math.min(10, strength * 1.25 * p.crowd * (0.85 + 0.3 * rnd())) * 10) / 10
    const demand = Math.round(searches * buyShare)
    return {
      phrase: p.phrase,
      niche: n.name,
      searches,
      buyShare: Math.round(buyShare * 1000) / 1000,
      demand,
      crowding,
      room: Math.round(roomOf(demand, crowding)),
      price,
    }
  }

  private byRoom(phrases: number[], market: MarketId): PhraseFigures[] {
    return phrases.map(this.measured.get(market)!).sort((a, b) => b.room - a.room || (a.phrase < b.phrase ? -1 : 1))
  }

  /** How many of the words each phrase holds. "light" finds "lighthouse": from three letters on, a word may be a beginning. */
  private hitsOf(words: string[]): Map<number, number> {
    const { index } = this
    const hits = new Map<number, number>()
    for (const w of words) {
      const keys = index.has(w) ? [w] : w.length >= 3 ? [...index.keys()].filter(k => k.startsWith(w)) : []
      for (const k of keys) for (const i of index.get(k)!.phrases) hits.set(i, (hits.get(i) ?? 0) + 1)
    }
    return hits
  }

  /** Neighbours have the same form, and themes that are near each other. */
  private kinOf(i: number): string {
    const { form, theme } = this.niches[this.phrases[i]!.niche]!
    return `${theme.near}/${form.word}`
  }
}

/** A function that works each answer out once. */
function remembering<T>(work: (i: number) => T): (i: number) => T {
  const known = new Map<number, T>()
  return i => {
    if (!known.has(i)) known.set(i, work(i))
    return known.get(i)!
  }
}
