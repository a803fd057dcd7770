import { once } from '../trade'
import clues from './clues.json' with { type: 'json' }
import file from './dictionary.json' with { type: 'json' }

/** English words by how often they are said, the most common first; capitals. Made by scripts/dictionary.mjs from open lists. */
export interface Dictionary {
  /** Words that most adults know: of dictionaries, and their forms; none that offends. */
  known: readonly string[]
  /** Words that hold sentences together, and forms that follow no rule. */
  others: readonly string[]
  /** Place of a known word in that order, from 0. */
  rank: ReadonlyMap<string, number>
}

export const dictionary = once((): Dictionary => {
  const list = (words: string): string[] => words.toUpperCase().split(' ')
  const known = list(file.known)
  return { known, others: list(file.others), rank: new Map(known.map((w, i) => [w, i])) }
})

/** What a word means, cut to the length of a clue, from an open dictionary; nothing where none says it without the word itself. */
export const meaningOf = (letters: string): string | undefined =>
  (clues as Record<string, string>)[letters.toLowerCase()]
