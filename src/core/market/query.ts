import { type PhraseFigures, firstTitles, measure } from './measure'
import { wordsOf } from './words'
import { type MarketTitle, world } from './world'

/** Which phrases hold a word, so that a question is answered without looking at all of them. */
let index: Map<string, number[]> | undefined

function phraseIndex(): Map<string, number[]> {
  if (index) return index
  index = new Map()
  world().phrases.forEach((p, i) => {
    for (const w of new Set(wordsOf(p.phrase))) {
      const list = index!.get(w)
      if (list) list.push(i)
      else index!.set(w, [i])
    }
  })
  return index
}

/** Phrases related to a word or phrase in a market: those that hold its words first, then its neighbours; the most room first. At most `limit`. */
export function relatedPhrases(word: string, market: string, limit = 80): PhraseFigures[] {
  const words = wordsOf(word).slice(0, 8)
  if (!words.length) return []
  const hits = new Map<number, number>()
  const starts = [...phraseIndex().keys()]
  for (const w of words) {
    // "light" finds "lighthouse": from three letters on, a word may be a beginning.
    const keys = phraseIndex().has(w) ? [w] : w.length >= 3 ? starts.filter(s => s.startsWith(w)) : []
    for (const k of keys) for (const i of phraseIndex().get(k)!) hits.set(i, (hits.get(i) ?? 0) + 1)
  }
  const best = Math.max(0, ...hits.values())
  const own = [...hits].filter(([, n]) => n === best).map(([i]) => i)
  const { phrases, niches } = world()
  // Neighbours: the same form with a theme nearby. They widen the search when the word alone gives little.
  const near = new Set(own.map(i => niches[phrases[i]!.niche]!).map(n => `${n.theme.near}/${n.form.word}`))
  const neighbours =
    own.length < limit / 2
      ? phrases
          .map((p, i) => [p, i] as const)
          .filter(
            ([p, i]) =>
              p.share === 1 && !hits.has(i) && near.has(`${niches[p.niche]!.theme.near}/${niches[p.niche]!.form.word}`),
          )
          .map(([, i]) => i)
      : []
  const sorted = (list: number[]): PhraseFigures[] =>
    list.map(i => measure(i, market)).sort((a, b) => b.room - a.room || (a.phrase < b.phrase ? -1 : 1))
  return [...sorted(own), ...sorted(neighbours)].slice(0, limit)
}

/** The first ten titles of a phrase. */
export function titlesOf(phrase: string): MarketTitle[] {
  const p = world().phrases.find(x => x.phrase === phrase.toLowerCase())
  return p ? firstTitles(p.phrase, p.niche) : []
}

/** A phrase's figures in a market; undefined where nobody searches for it. */
export function figuresOf(phrase: string, market: string): PhraseFigures | undefined {
  const i = world().phrases.findIndex(x => x.phrase === phrase.toLowerCase())
  return i < 0 ? undefined : measure(i, market)
}
