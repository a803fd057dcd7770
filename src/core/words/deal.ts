import { Fault, seeded, seedOf, shuffled } from '../trade'
import { allBanks, banks } from './banks'
import { gridLetters } from './letters'
import { readWordTable } from './readTable'
import { sayingBank } from './sayings'
import type { Word, WordList, WordSource } from './wordList'

/** A word with its letters as a grid has them. */
export interface DealtWord extends Word {
  letters: string
}

/** What a puzzle of a run asks of its words. */
export interface Deal {
  /** How many words it wants. */
  count: number
  /** Which puzzle of its run it is, from 0, and the seed of the run: all its puzzles are dealt to by one shuffle. */
  index: number
  seed: number
  /** No word a second time; otherwise all are shuffled and dealt anew when they are through. */
  once: boolean
  /** Whether a word can be used at all. */
  suits(word: DealtWord): boolean
  /** Whether two words may stand in one puzzle: none inside another, if the kind cannot have that. */
  agree?(a: DealtWord, b: DealtWord): boolean
}

let last: { text: string; lists: WordList[] } | undefined

/** Lists of a source: a bank that ships, or the author's own. Throws a Fault where there are none. */
export function listsOf({ bank, text }: WordSource): readonly WordList[] {
  if (!bank) {
    // The puzzles of a run ask for the same one after another.
    if (last?.text !== text) last = { text, lists: readWordTable(text, 'Words').lists }
    return last.lists
  }
  const found = [allBanks, sayingBank, ...banks].find(b => b.id === bank)
  if (!found) throw new Fault('words', `There is no bank of words called “${bank}”: choose another.`)
  return [found]
}

/**
 * Deals the words of one puzzle. Several lists are dealt one a puzzle, in turn; one list is dealt over all puzzles without repeats.
 * Throws a Fault that says what is short.
 */
export function dealt(lists: readonly WordList[], deal: Deal): DealtWord[] {
  const { count, index, seed, once } = deal
  const several = lists.length > 1
  if (several && once && index >= lists.length)
    throw new Fault('words', `There are ${lists.length} lists: they make as many puzzles, not more.`)
  const list = lists[index % lists.length]!
  const words = list.words.map(w => ({ ...w, letters: gridLetters(w.word) })).filter(w => deal.suits(w))
  if (words.length < count)
    throw new Fault(
      'words',
      `The list “${list.name}” has ${words.length} words that can be used, and ${count} are wanted: ask for fewer, or choose a longer list.`,
      undefined,
      words.length >= 3 ? { says: `Take ${words.length} words`, values: { count: words.length } } : undefined,
    )
  const turns = several ? 1 : Math.floor(words.length / count)
  const turn = several ? Math.floor(index / lists.length) : Math.floor(index / turns)
  if (once && turn > 0)
    throw new Fault(
      'words',
      `The list “${list.name}” has ${words.length} words: enough for ${turns} puzzles of ${count}. Ask for fewer, or let words come again.`,
      undefined,
      { says: 'Let words come again', values: { deal: 'again' } },
    )
  const order = shuffled(words, seeded(seedOf(`deal/${seed}/${list.name}/${turn}`)))
  const at = several ? 0 : (index % turns) * count
  // What is left over when all puzzles have theirs comes in where two words of one cannot stand together.
  const spare = [...order.slice(turns * count), ...(several ? order.slice(count) : [])]
  const taken: DealtWord[] = []
  for (const word of [...order.slice(at, at + count), ...spare]) {
    if (taken.length === count) break
    if (taken.every(t => deal.agree?.(t, word) ?? true)) taken.push(word)
  }
  if (taken.length < count) throw clash(order.slice(at, at + count), deal)
  return taken
}

function clash(words: readonly DealtWord[], { agree }: Deal): Fault {
  for (const a of words)
    for (const b of words)
      if (a !== b && !agree!(a, b))
        return new Fault(
          'words',
          `“${a.word}” and “${b.word}” cannot stand in one puzzle, one inside the other: leave one out, or ask for fewer words.`,
        )
  return new Fault('words', 'These words cannot stand in one puzzle: ask for fewer.')
}
