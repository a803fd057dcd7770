import { stem } from './words'

/** What each word stands in: numbers of phrases and of titles, each list in rising order. */
export interface Postings {
  phrases: number[]
  titles: number[]
}

/** One inverted index over phrases and titles. A word counts once for each. */
export function wordIndex(phrases: readonly string[], titles: readonly string[]): Map<string, Postings> {
  const index = new Map<string, Postings>()
  // Few words make many titles: each spelling is cut to its stem once.
  const known = new Map<string, Postings>()
  const postings = (spelt: string): Postings => {
    let p = known.get(spelt)
    if (!p) {
      const word = stem(spelt)
      index.set(word, (p = index.get(word) ?? { phrases: [], titles: [] }))
      known.set(spelt, p)
    }
    return p
  }
  const add = (texts: readonly string[], list: (p: Postings) => number[]): void =>
    texts.forEach((text, i) => {
      for (const spelt of text.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? []) {
        const numbers = list(postings(spelt))
        if (numbers.at(-1) !== i) numbers.push(i)
      }
    })
  add(phrases, p => p.phrases)
  add(titles, p => p.titles)
  return index
}

/** Where `value` stands in a rising list, or would stand. */
export function placeIn(list: readonly number[], value: number): number {
  let [low, high] = [0, list.length]
  while (low < high) {
    const mid = (low + high) >> 1
    if (list[mid]! < value) low = mid + 1
    else high = mid
  }
  return low
}
