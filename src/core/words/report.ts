import { banks } from './banks'
import { gridLetters } from './letters'
import { offending } from './offence'
import type { WordList } from './wordList'

/** What is to be known of lists before a puzzle is made of them. */
export interface WordReport {
  lists: number
  words: number
  clued: number
  /** Letters of the longest word. */
  longest: number
  /** Words that stand in more than one place. */
  twice: string[]
  /** Words that stand inside another of their list, forth or back: a search would find them there as well. */
  inside: { word: string; within: string }[]
  /** Words that are likely to offend. */
  offending: string[]
  /** Words with signs that a grid leaves out, other than spaces, hyphens and apostrophes. */
  signs: string[]
  /** Banks that share the most words with them, the nearest first; none where none shares any. */
  near: { id: string; name: string; shared: number }[]
}

/** Looks over lists of words of a language. */
export function reportOn(lists: readonly WordList[], language: string): WordReport {
  const seen = new Map<string, number>()
  const report: WordReport = {
    lists: lists.length,
    words: 0,
    clued: 0,
    longest: 0,
    twice: [],
    inside: [],
    offending: offending(
      lists.flatMap(l => l.words.map(w => w.word)),
      language,
    ),
    signs: [],
    near: [],
  }
  for (const { words } of lists) {
    const letters = words.map(w => gridLetters(w.word))
    words.forEach(({ word, clue }, i) => {
      const of = letters[i]!
      report.words++
      if (clue) report.clued++
      report.longest = Math.max(report.longest, of.length)
      const times = (seen.get(of) ?? 0) + 1
      seen.set(of, times)
      if (times === 2) report.twice.push(word)
      if (/[^\p{L}\p{M}\p{N}\s'’‘\-–]/u.test(word)) report.signs.push(word)
    })
    report.inside.push(
      ...insides(
        words.map(w => w.word),
        letters,
      ),
    )
  }
  report.near = nearest(new Set(seen.keys()))
  return report
}

/** Words inside of others: each is looked up among the parts of those that are longer. */
function insides(words: readonly string[], letters: readonly string[]): WordReport['inside'] {
  const lengths = [...new Set(letters.map(l => l.length))]
  const known = new Map(letters.map((l, i) => [l, i]))
  const out: WordReport['inside'] = []
  letters.forEach((long, i) => {
    const back = Array.from(long).reverse().join('')
    for (const length of lengths)
      for (let at = 0; length < long.length && at + length <= long.length; at++)
        for (const text of [long, back]) {
          const inner = known.get(text.slice(at, at + length))
          if (inner !== undefined && !out.some(o => o.word === words[inner] && o.within === words[i]))
            out.push({ word: words[inner]!, within: words[i]! })
        }
  })
  return out
}

/** How many banks are offered beside a list. */
const OFFERED = 3

function nearest(letters: ReadonlySet<string>): WordReport['near'] {
  return banks
    .map(({ id, name, words }) => ({ id, name, shared: words.filter(w => letters.has(gridLetters(w.word))).length }))
    .filter(b => b.shared)
    .sort((a, b) => b.shared - a.shared)
    .slice(0, OFFERED)
}
