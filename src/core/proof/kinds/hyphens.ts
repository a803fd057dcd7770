import type { PlacedSeen, ProofKind } from '../doubt'
import { casedAs } from '../readLine'
import type { BookTally } from '../tally'

const COMPOUND = /(?<![\p{L}\p{M}\p{N}'’-])[\p{L}\p{M}]{2,}[-‐‑][\p{L}\p{M}]{2,}(?![\p{L}\p{M}\p{N}'’-])/gu

/** So many times as often as the other stands what a book has decided for. */
const CLEARLY = 3

interface Way {
  words: string
  places: { section: string; line: number; from: number; to: number }[]
}

/** Words that stand hyphenated at one place, and as one word or as two at another. */
export const hyphens: ProofKind = {
  id: 'hyphens',
  name: ['word with its hyphen and without', 'words with their hyphen and without'],
  looksAt: 'The book has a word with a hyphen at one place, and as one word, or as two, at another.',
  look: ({ text }) =>
    /[-‐‑]/.test(text)
      ? [...text.matchAll(COMPOUND)].map(m => ({
          from: m.index,
          to: m.index + m[0].length,
          as: m[0].replace(/[‐‑]/g, '-'),
        }))
      : [],
  judge: (seen, book) => {
    const compounds = new Map<string, PlacedSeen[]>()
    for (const s of seen) {
      const low = s.as!.toLowerCase()
      compounds.set(low, [...(compounds.get(low) ?? []), s])
    }
    const out: PlacedSeen[] = []
    for (const [compound, places] of compounds) {
      const [first, second] = compound.split('-') as [string, string]
      const ways: Way[] = [
        { words: compound, places },
        { words: first + second, places: solid(book, first + second) },
        { words: `${first} ${second}`, places: apart(book, first, second).filter(p => !joined(p, places)) },
      ].filter(w => w.places.length)
      if (ways.length < 2) continue
      const [best, ...others] = ways.sort((a, b) => b.places.length - a.places.length) as [Way, ...Way[]]
      const n = best.places.length
      for (const { words, places: doubtful } of others) {
        // Two words that may well be two words: only where the book has made up its mind.
        if ((words.includes(' ') || best.words.includes(' ')) && n < CLEARLY * doubtful.length) continue
        for (const { section, line, from, to } of doubtful)
          out.push({
            ...{ section, line, from, to },
            says: `“${best.words}” stands ${n.toLocaleString('en')} ${n === 1 ? 'time' : 'times'}`,
            remedies: [best.words],
            about: `${words} ${best.words}`,
          })
      }
    }
    return out
  },
}

/** Whether what stands between two words is the hyphen of a compound. */
const joined = (at: Way['places'][number], compounds: readonly PlacedSeen[]): boolean =>
  compounds.some(c => c.section === at.section && c.line === at.line && c.from === at.from)

const cased = (word: string): string[] => [word, casedAs(word, 'Aa')]

const solid = (book: BookTally, word: string): Way['places'] => cased(word).flatMap(book.placesOf.bind(book))

/** Where two words stand beside each other with a space between. */
function apart(book: BookTally, first: string, second: string): Way['places'] {
  const ends = new Map<string, Map<number, Map<number, number>>>()
  for (const { section, line, from, to } of book.placesOf(second)) {
    const lines = ends.get(section) ?? ends.set(section, new Map()).get(section)!
    const places = lines.get(line) ?? lines.set(line, new Map()).get(line)!
    places.set(from, to)
  }
  if (!ends.size) return []
  return cased(first).flatMap(form =>
    book.placesOf(form).flatMap(p => {
      const to = ends
        .get(p.section)
        ?.get(p.line)
        ?.get(p.to + 1)
      return to === undefined ? [] : [{ ...p, to }]
    }),
  )
}
