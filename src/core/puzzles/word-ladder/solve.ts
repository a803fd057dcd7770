import { dictionary } from '../../words'
import type { Proof } from '../puzzle'
import type { WordLadder } from './values'

/** So many of the dictionary's words count: those that most adults know at once. */
const COUNTED = 9000

/** Letters in which two words differ, two or more as 2. */
function differ(a: string, b: string): number {
  let n = 0
  for (let i = 0; i < a.length && n < 2; i++) if (a[i] !== b[i]) n++
  return n
}

/**
 * For each ladder, from its last word: holds every counted word against those of the step before, and counts in how many ways the first
 * word is reached in no more steps than the ladder has.
 */
export function prove({ ladders }: WordLadder): Proof {
  let [answers, agrees] = [1 as Proof['answers'], true]
  for (const ladder of ladders) {
    const [first, last] = [ladder[0]!, ladder.at(-1)!]
    const words = dictionary()
      .known.slice(0, COUNTED)
      .filter(w => w.length === first.length)
    agrees &&= ladder.every((w, i) => words.includes(w) && (i === 0 || differ(w, ladder[i - 1]!) === 1))
    let edge = new Map([[last, 1]])
    const left = new Set(words)
    left.delete(last)
    let ways = 0
    for (let step = 1; step < ladder.length && !ways; step++) {
      const next = new Map<string, number>()
      for (const word of left) {
        let n = 0
        for (const [other, times] of edge) if (differ(word, other) === 1) n += times
        if (n) next.set(word, n)
      }
      for (const word of next.keys()) left.delete(word)
      ways = next.get(first) ?? 0
      // A way that is shorter is another answer.
      if (ways && step < ladder.length - 1) ways = 2
      edge = next
    }
    if (!ways) answers = 0
    else if (ways > 1 && answers === 1) answers = 2
  }
  return { answers, agrees: answers === 1 && agrees }
}
