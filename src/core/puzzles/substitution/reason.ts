import { once } from '../../trade'
import { dictionary } from '../../words'
import { bands, type Difficulty } from '../difficulty'

/** How a person reads on: the word for which the fewest known ones are left, and what that costs by how many they are. */
const costs = { 'word with one reading': 1, 'word among a few': 3, 'word among some': 6, 'word among many': 10 }
type Way = keyof typeof costs
const wayOf = (readings: number): Way =>
  readings <= 1
    ? 'word with one reading'
    : readings <= 4
      ? 'word among a few'
      : readings <= 20
        ? 'word among some'
        : 'word among many'

/** Where a word has the same letters: “LETTER” is 0 1 2 2 1 3. */
export function patternOf(word: string): string {
  const seen = new Map<string, number>()
  return Array.from(word, sign => {
    if (!seen.has(sign)) seen.set(sign, seen.size)
    return seen.get(sign)
  }).join('.')
}

const byPattern = once(() => {
  const of = new Map<string, string[]>()
  const { known, others } = dictionary()
  for (const word of ['A', 'I', ...others, ...known]) {
    const pattern = patternOf(word)
    const list = of.get(pattern)
    if (list) list.push(word)
    else of.set(pattern, [word])
  }
  return of
})

/** Known words that a word could be where some letters are known: of its pattern, those letters where they are, and nowhere else. */
function readings(word: string, among: readonly string[], known: ReadonlySet<string>): string[] {
  return among.filter(other => {
    for (let i = 0; i < word.length; i++)
      if (known.has(word[i]!) ? other[i] !== word[i] : known.has(other[i]!)) return false
    return true
  })
}

/**
 * How hard words are to read, each of whose letters stands for another, for a person who knows some: right at every step, as all who come
 * to the end are. `begins`: where the bands begin, costs.
 */
export function reason(words: readonly string[], given: Iterable<string>, begins: readonly number[]): Difficulty {
  const known = new Set(given)
  const steps: Partial<Record<Way, number>> = {}
  const open = new Map<string, readonly string[]>()
  const isOpen = (w: string): boolean => Array.from(w).some(sign => !known.has(sign))
  for (const w of words) if (isOpen(w)) open.set(w, byPattern().get(patternOf(w)) ?? [])
  while (open.size) {
    let best: { word: string; left: number } | undefined
    for (const [word, among] of open) {
      const left = readings(word, among, known)
      open.set(word, left)
      // Among equals the longer one: it opens more.
      if (!best || left.length < best.left || (left.length === best.left && word.length > best.word.length))
        best = { word, left: left.length }
    }
    const way = wayOf(best!.left)
    steps[way] = (steps[way] ?? 0) + 1
    for (const sign of best!.word) known.add(sign)
    for (const word of open.keys()) if (!isOpen(word)) open.delete(word)
  }
  const cost = Object.entries(steps).reduce((n, [way, times]) => n + costs[way as Way] * times, 0)
  return { band: bands[begins.filter(b => cost >= b).length - 1]!, steps: steps as Record<string, number> }
}

/** Looks at the words of a text that are tried before it is held to be open. */
const LOOKS = 300

/**
 * Letters that must be given for a text to have one reading. As long as there is another one, of the letters in which it differs the one
 * is given that the text has least often: such letters nothing else tells.
 */
export function untold(words: readonly string[]): string[] {
  const distinct = [...new Set(words)]
  const often = new Map<string, number>()
  for (const sign of distinct.join('')) often.set(sign, (often.get(sign) ?? 0) + 1)
  const rarest = (signs: Iterable<string>): string =>
    [...signs].reduce((a, b) => (often.get(b)! < often.get(a)! || (often.get(b) === often.get(a) && b < a) ? b : a))
  // What the text itself has is known to be words, names and forms among them.
  const among = new Map(
    distinct.map(w => {
      const alike = distinct.filter(o => patternOf(o) === patternOf(w))
      return [w, [...new Set([...(byPattern().get(patternOf(w)) ?? []), ...alike])]]
    }),
  )
  const given = new Set<string>()
  for (;;) {
    const other = otherReading(among, given)
    if (!other) return [...given].sort()
    const differs = [...often.keys()].filter(sign => !given.has(sign) && other.get(sign) !== sign)
    given.add(rarest(differs.length ? differs : [...often.keys()].filter(sign => !given.has(sign))))
  }
}

/** A reading of a text that is not its own: letter to letter. Where it is too open to tell, as far as it was read. */
function otherReading(
  among: ReadonlyMap<string, readonly string[]>,
  given: ReadonlySet<string>,
): ReadonlyMap<string, string> | undefined {
  const reads = new Map([...given].map(sign => [sign, sign]))
  const used = new Set(given)
  let looks = 0
  const fits = (word: string, other: string): boolean => {
    for (let i = 0; i < word.length; i++) {
      const read = reads.get(word[i]!)
      if (read === undefined ? used.has(other[i]!) : read !== other[i]) return false
    }
    return true
  }
  const go = (left: ReadonlyMap<string, readonly string[]>): boolean => {
    let best: [string, readonly string[]] | undefined
    const narrowed = new Map<string, readonly string[]>()
    for (const [word, among] of left) {
      const still = among.filter(o => fits(word, o))
      if (!still.length) return false
      narrowed.set(word, still)
      if (!best || still.length < best[1].length) best = [word, still]
    }
    if (!best) return [...reads].some(([a, b]) => a !== b)
    const [word, readings] = best
    narrowed.delete(word)
    // Readings that are not the text's own first: they are what is looked for.
    for (const other of [...readings].sort((a, b) => Number(a === word) - Number(b === word))) {
      if (looks++ > LOOKS) return true
      const fresh = [...new Set(word)].filter(sign => !reads.has(sign))
      for (const sign of fresh) {
        reads.set(sign, other[word.indexOf(sign)]!)
        used.add(other[word.indexOf(sign)]!)
      }
      if (go(narrowed)) return true
      for (const sign of fresh) {
        used.delete(reads.get(sign)!)
        reads.delete(sign)
      }
    }
    return false
  }
  return go(among) ? reads : undefined
}
