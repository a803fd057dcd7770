import { seeded, seedOf } from '../trade'
import { firstNames, forms, nameParts, narrowers, themes, titleWords } from './vocabulary'

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
export interface PhraseSeed {
  phrase: string
  niche: number
  share: number
  buyers: number
  crowd: number
}

/** A simulated marketplace before it is asked. Titles of a niche stand together: those of niche n from n × perNiche on. */
export interface Stock {
  niches: Niche[]
  titles: MarketTitle[]
  perNiche: number
  phrases: PhraseSeed[]
}

/** Makes niches, `size` titles or a few more (each niche has as many), and the phrases that lead to them. The same for the same seed, everywhere. */
export function makeStock(seed: number, size: number): Stock {
  const niches: Niche[] = themes.flatMap(theme =>
    forms.map(form => ({ name: `${theme.word} ${form.word}`, theme, form })),
  )
  const perNiche = Math.ceil(size / niches.length)
  const titles = niches.flatMap((n, i) => {
    const rnd = seeded(seedOf(`${seed}|${n.name}`))
    return Array.from({ length: perNiche }, (_, k) => titleOf(n, i, k / perNiche, rnd, niches.length * perNiche))
  })
  return { niches, titles, perNiche, phrases: niches.flatMap((n, i) => phrasesOf(n, i, seed)) }
}

function phrasesOf(n: Niche, niche: number, seed: number): PhraseSeed[] {
  const out: PhraseSeed[] = [{ phrase: n.name, niche, share: 1, buyers: 1, crowd: 1 }]
  for (const w of narrowers) {
    if (w.only && w.only !== n.form.kind) continue
    const rnd = seeded(seedOf(`${seed}|${n.name}|${w.words}`))
    if (rnd() < 0.25) continue
    out.push({
      phrase: w.before ? `${w.words} ${n.name}` : `${n.name} ${w.words}`,
      niche,
      share: w.share * (0.5 + rnd()),
      buyers: w.buyers * (0.8 + 0.4 * rnd()),
      crowd: w.crowd * (0.8 + 0.4 * rnd()),
    })
  }
  return out
}

/** One title of a niche, `place` of the way down its list, 0 to 1. */
function titleOf(n: Niche, niche: number, place: number, rnd: () => number, total: number): MarketTitle {
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
  const strength = (n.form.crowd * 0.55 + n.theme.pull * 0.3 + 0.15 * rnd()) * rnd() ** (0.35 + place * 3.7)
  const age = Math.floor(1 + rnd() ** 1.6 * 120)
  return {
    title,
    niche,
    age,
    author: `${pick(firstNames)} ${pick(nameParts[0])}${pick(nameParts[1])}`,
    rank: Math.max(1, Math.round(total * 42 * (1 - strength) ** 5 + 40 * (1 + place * 52))),
    price: Math.round((n.form.price[0] + rnd() * (n.form.price[1] - n.form.price[0])) / 100) * 100 - 1,
    pages: Math.round((n.form.pages[0] + rnd() * (n.form.pages[1] - n.form.pages[0])) / 2) * 2,
    reviews: Math.floor(strength ** 3 * age * 32 * rnd()),
  }
}
