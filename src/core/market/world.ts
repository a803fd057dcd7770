import { seeded, seedOf } from './chance'
import { firstNames, forms, type MarketId, markets, nameParts, narrowers, themes, titleWords } from './vocabulary'

/** A title of the simulated marketplace. Prices in minor units; age in months; rank 1 is the best seller of all. */
export interface MarketTitle {
  title: string
  author: string
  niche: number
  rank: number
  price: number
  pages: number
  reviews: number
  age: number
}

/** A niche: a theme in a form. */
export interface Niche {
  name: string
  theme: (typeof themes)[number]
  form: (typeof forms)[number]
}

/** A phrase readers search for, before a market is looked at. */
interface PhraseSeed {
  phrase: string
  niche: number
  share: number
  buyers: number
  crowd: number
}

export interface World {
  niches: Niche[]
  titles: MarketTitle[]
  /** Indexes into `titles` by niche, best rank first. */
  byNiche: number[][]
  phrases: PhraseSeed[]
}

const TITLES_A_NICHE = 52

let made: World | undefined

/** The marketplace: 400 niches, 20,800 titles and the phrases that lead to them. Made once, the same everywhere. */
export function world(): World {
  if (made) return made
  const niches: Niche[] = themes.flatMap(theme =>
    forms.map(form => ({ name: `${theme.word} ${form.word}`, theme, form })),
  )
  const titles: MarketTitle[] = []
  const byNiche: number[][] = []
  const total = niches.length * TITLES_A_NICHE
  niches.forEach((n, i) => {
    const rnd = seeded(seedOf(n.name))
    const own: number[] = []
    for (let k = 0; k < TITLES_A_NICHE; k++) {
      const t = titleOf(n, i, k, rnd, total)
      own.push(titles.push(t) - 1)
    }
    own.sort((a, b) => titles[a]!.rank - titles[b]!.rank)
    byNiche.push(own)
  })
  const phrases: PhraseSeed[] = []
  niches.forEach((n, niche) => {
    phrases.push({ phrase: n.name, niche, share: 1, buyers: 1, crowd: 1 })
    for (const w of narrowers)
      if (!w.only || w.only === n.form.kind) {
        const rnd = seeded(seedOf(`${n.name}|${w.words}`))
        if (rnd() < 0.25) continue
        phrases.push({
          phrase: w.before ? `${w.words} ${n.name}` : `${n.name} ${w.words}`,
          niche,
          share: w.share * (0.5 + rnd()),
          buyers: w.buyers * (0.8 + 0.4 * rnd()),
          crowd: w.crowd * (0.8 + 0.4 * rnd()),
        })
      }
  })
  return (made = { niches, titles, byNiche, phrases })
}

function titleOf(n: Niche, niche: number, k: number, rnd: () => number, total: number): MarketTitle {
  const pick = <T>(list: readonly T[]): T => list[Math.floor(rnd() * list.length)]!
  const capital = (s: string): string => s.replace(/(^|\s)\p{L}/gu, c => c.toUpperCase())
  const fiction = n.form.kind === 'fiction'
  const name = fiction
    ? `The ${pick(titleWords.adjective)} ${pick(titleWords.noun)}`
    : `${pick(titleWords.adjective)} ${capital(n.theme.word)}`
  const says = rnd() < 0.55
  const title = fiction
    ? says
      ? `${name}: a ${n.name}`
      : name
    : `${name} ${capital(n.form.word)}${says && rnd() < 0.3 ? ' in Large Print' : ''}`
  const strength = (n.form.crowd * 0.55 + n.theme.pull * 0.3 + 0.15 * rnd()) * rnd() ** (0.35 + k / 14)
  const age = Math.floor(1 + rnd() ** 1.6 * 120)
  return {
    title,
    niche,
    age,
    author: `${pick(firstNames)} ${pick(nameParts[0])}${pick(nameParts[1])}`,
    rank: Math.max(1, Math.round(total * 42 * (1 - strength) ** 5 + 40 * (1 + k))),
    price: Math.round((n.form.price[0] + rnd() * (n.form.price[1] - n.form.price[0])) / 100) * 100 - 1,
    pages: Math.round((n.form.pages[0] + rnd() * (n.form.pages[1] - n.form.pages[0])) / 2) * 2,
    reviews: Math.floor(strength ** 3 * age * 32 * rnd()),
  }
}

export const marketOf = (id: string): (typeof markets)[number] => markets.find(m => m.id === id) ?? markets[0]
export const isMarket = (id: string): id is MarketId => markets.some(m => m.id === id)
