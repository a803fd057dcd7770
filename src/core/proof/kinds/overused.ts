import type { PlacedSeen, ProofKind } from '../doubt'
import type { BookTally } from '../tally'

/** A word stands so often in a section before it is noticed, and so many times as often as in the rest. */
const OFTEN = 6
const TIMES = 3
/** Dunning's log-likelihood, at which chance is one in ten thousand. */
const CHANCE = 15.13
/** So many words of a section at most. */
const WORDS = 5
/** So often a phrase stands in the book. */
const PHRASES = 4
const MOST_PHRASES = 30
/** The commonest words of a book say nothing of it: so many at most, and no more than such a part of its words. */
const SMALL_WORDS = 80
const SMALL_SHARE = 0.05

/** Words that a section uses much oftener than the rest of the book, and phrases that come again and again. */
export const overused: ProofKind = {
  id: 'overused',
  name: ['word or phrase too often', 'words or phrases too often'],
  looksAt: 'A section has a word much oftener than the rest of the book, or a phrase comes again and again.',
  judge: (_seen, book) => {
    const counts = Uint32Array.from(book.low.values()).sort()
    const least = counts.at(-1 - Math.min(SMALL_WORDS, Math.ceil(book.low.size * SMALL_SHARE))) ?? 0
    const small = (word: string): boolean => (book.low.get(word) ?? 0) > least
    return [...words(book, small), ...phrases(book, small)]
  },
}

type IsSmall = (word: string) => boolean

function words(book: BookTally, small: IsSmall): PlacedSeen[] {
  return book.order.flatMap(section => {
    const tally = book.section(section)
    if (!tally || tally.words === book.words) return []
    const rest = book.words - tally.words
    return [...tally.low]
      .filter(([word, { count }]) => count >= OFTEN && word.length > 2 && !small(word))
      .flatMap(([word, { count: n, at }]) => {
        const elsewhere = (book.low.get(word) ?? n) - n
        const times = n / tally.words / (Math.max(elsewhere, 0.5) / rest)
        if (times < TIMES) return []
        const strength = likelihood(n, tally.words, elsewhere, rest)
        return strength < CHANCE ? [] : [{ word, n, at, strength, elsewhere, times }]
      })
      .sort((a, b) => b.strength - a.strength)
      .slice(0, WORDS)
      .map(({ word, n, at: [line, from, to], elsewhere, times }) => ({
        section,
        ...{ line, from, to },
        says: elsewhere
          ? `“${word}” ${n} times here, ${Math.round(times)} times as often as elsewhere`
          : `“${word}” ${n} times here, and nowhere else`,
        about: word,
      }))
  })
}

/** Dunning's log-likelihood of a count here and one in the rest. */
function likelihood(here: number, size: number, rest: number, restSize: number): number {
  const all = (here + rest) / (size + restSize)
  const part = (n: number, of: number): number => (n ? n * Math.log(n / (of * all)) : 0)
  return 2 * (part(here, size) + part(rest, restSize))
}

/** Three words, at their first place in each section that has them. */
function phrases(book: BookTally, small: IsSmall): PlacedSeen[] {
  const often: [three: string, n: number][] = []
  // Nearly all stand there once: none of them is copied.
  book.threes.forEach((n, three) => {
    if (n >= PHRASES && says(three.split(' '), book, small)) often.push([three, n])
  })
  const oftenest = often.sort((a, b) => b[1] - a[1]).slice(0, MOST_PHRASES)
  return oftenest.flatMap(([three, n]) => {
    const [first, second, third] = three.split(' ') as [string, string, string]
    return book.order.flatMap(section => {
      const tally = book.section(section)
      if (!tally?.threes.has(three)) return []
      const next = startsOf(tally.places, second)
      const last = startsOf(tally.places, third)
      for (const form of [first, first.charAt(0).toUpperCase() + first.slice(1)]) {
        const at = tally.places.get(form) ?? []
        for (let i = 0; i < at.length; i += 3) {
          const line = at[i]!
          const middle = next.get(line)?.get(at[i + 2]! + 1)
          const to = middle === undefined ? undefined : last.get(line)?.get(middle + 1)
          if (to !== undefined)
            return [{ section, line, from: at[i + 1]!, to, says: `“${three}” ${n} times in the book`, about: three }]
        }
      }
      return []
    })
  })
}

/** Whether words say something, beside small words: names do not count. */
const says = (words: readonly string[], book: BookTally, small: IsSmall): boolean =>
  words.filter(w => !small(w) && w.length > 2 && book.count(w) > 0).length >= 2

/** Ends of a word's places by line and beginning. */
function startsOf(places: ReadonlyMap<string, readonly number[]>, word: string): Map<number, Map<number, number>> {
  const out = new Map<number, Map<number, number>>()
  for (const form of [word, word.charAt(0).toUpperCase() + word.slice(1)]) {
    const at = places.get(form) ?? []
    for (let i = 0; i < at.length; i += 3)
      (out.get(at[i]!) ?? out.set(at[i]!, new Map()).get(at[i]!)!).set(at[i + 1]!, at[i + 2]!)
  }
  return out
}
