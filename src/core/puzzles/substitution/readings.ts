import { once } from '../../trade'
import { dictionary } from '../../words'

/** All words by length, as a reader has them who takes his time. */
const lexicon = once(() => {
  const of = new Map<number, string[]>()
  const { known, others } = dictionary()
  for (const word of new Set([...known, ...others, 'A', 'I'])) {
    const list = of.get(word.length)
    if (list) list.push(word)
    else of.set(word.length, [word])
  }
  return of
})
/** Steps after which there is held to be more than one reading: too much is open. */
const STEPS = 400_000

/** Words in a code, the code's signs whatever they are; what some signs stand for; and words beside those of the dictionary that count. */
export interface Coded<S> {
  words: readonly (readonly S[])[]
  given: ReadonlyMap<S, string>
  also: readonly string[]
}

/**
 * Tries word by word what every one can be, always the one that can be the fewest: how many readings there are in which all are words
 * (2: two or more), and the last one found.
 */
export function readings<S>({ words, given, also }: Coded<S>): { count: 0 | 1 | 2; key: ReadonlyMap<S, string> } {
  const ofLength = (length: number): string[] => [
    ...new Set([...(lexicon().get(length) ?? []), ...also.filter(w => w.length === length)]),
  ]
  const [reads, taken] = [new Map(given), new Map([...given].map(([sign, to]) => [to, sign]))]
  const fits = (code: readonly S[], word: string): boolean =>
    code.every((sign, i) => {
      const read = reads.get(sign)
      return read === undefined
        ? !taken.has(word[i]!) && code.indexOf(sign) === word.indexOf(word[i]!)
        : read === word[i]
    })
  let [count, steps, key]: [number, number, ReadonlyMap<S, string>] = [0, 0, new Map()]
  const search = (open: readonly { code: readonly S[]; could: readonly string[] }[]): void => {
    if (count > 1 || steps++ > STEPS) return
    if (!open.length) {
      count++
      key = new Map(reads)
      return
    }
    const next = open.map(({ code, could }) => ({ code, could: could.filter(w => fits(code, w)) }))
    const least = next.reduce((a, b) => (b.could.length < a.could.length ? b : a))
    const rest = next.filter(n => n !== least)
    for (const word of least.could) {
      const fresh = least.code.filter((sign, i, all) => !reads.has(sign) && all.indexOf(sign) === i)
      for (const sign of fresh) {
        const to = word[least.code.indexOf(sign)]!
        reads.set(sign, to)
        taken.set(to, sign)
      }
      search(rest)
      for (const sign of fresh) {
        taken.delete(reads.get(sign)!)
        reads.delete(sign)
      }
      if (count > 1) return
    }
  }
  search(words.map(code => ({ code, could: ofLength(code.length) })))
  return { count: steps > STEPS ? 2 : (Math.min(2, count) as 0 | 1 | 2), key }
}
