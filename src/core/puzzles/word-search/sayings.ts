import { Fault, once, seeded, seedOf, shuffled } from '../../trade'
import { gridLetters, linesOf, offences, sayings } from '../../words'
import { silhouettes } from '../../silhouettes'
import type { Hollow } from '../letter-grid/grid'
import type { InRun } from '../puzzle'
import type { WordSearchValues } from './values'

/** What a puzzle says: in its hollow, or by the letters left over. Sayings that ship come in an order of the run's own, the author's as they are written. */

interface Message {
  words: string
  letters: string
}

/** The author's own sayings, in order; nothing where those that ship are wanted. */
function ownSayings({ sayings: source }: WordSearchValues): string[] | undefined {
  if (!source || source.bank) return undefined
  const own = linesOf(source.text)
  if (!own.length)
    throw new Fault('words', 'There are no sayings of your own yet: write some, a line each, or take those that ship.')
  return own
}

const inTurn = <T>(all: readonly T[], index: number): T => all[index % all.length]!
const inOrderOf = <T>(all: readonly T[], name: string): T[] => shuffled([...all], seeded(seedOf(name)))

/** What stands in the hollow of a puzzle: another in each of a run, as far as they go. */
export function held(values: WordSearchValues, { index, run }: InRun): Hollow['holds'] {
  const { hollow, message } = values
  if (hollow === 'silhouette') return { silhouette: inTurn(inOrderOf(silhouettes(), `hollows/${run}`), index).id }
  if (hollow !== 'saying') return undefined
  const own = ownSayings(values)
  if (!own) return { saying: inTurn(inOrderOf(sayings, `hollows/${run}`), index) }
  // Where the letters say one as well, theirs is the next.
  return { saying: inTurn(own, message === 'saying' ? 2 * index : index) }
}

const backwards = (letters: string): string => Array.from(letters).reverse().join('')
/** Words that offend, each as it is read and backwards. */
const eitherWay = once(() => offences().map(word => [word, backwards(word)] as const))
/** A word that offends and that letters spell one after the other, on or back. */
const offence = (letters: string): string | undefined =>
  eitherWay().find(ways => ways.some(w => letters.includes(w)))?.[0]

/** Sayings none of whose letters, read on or back, spell a word that offends: their lines stand in the grid as they are. */
const clean = once(() =>
  sayings.map(words => ({ words, letters: gridLetters(words) })).filter(({ letters }) => !offence(letters)),
)
/** Of so many in turn the one is taken that leaves the least over. */
const FEW = 8

/** A saying for the letters left over; others for other puzzles of the run, as far as they go. Throws a Fault where none can stand there. */
export function messageFor(
  free: number,
  values: WordSearchValues,
  { index, run }: InRun,
  chance: () => number,
): Message {
  const own = ownSayings(values)
  if (own) return ownMessage(inTurn(own, values.hollow === 'saying' ? 2 * index + 1 : index), free)
  const fits = inOrderOf(clean(), `sayings/${run}`).filter(s => s.letters.length <= free)
  if (!fits.length)
    throw new Fault(
      'message',
      `Only ${free} letters are left over, too few for a saying: take fewer words or a larger grid.`,
    )
  const few = Array.from({ length: Math.min(FEW, fits.length) }, (_, i) => inTurn(fits, index * FEW + i))
  few.sort((a, b) => b.letters.length - a.letters.length)
  // Where the first makes no grid, another try may take the second.
  return few[Math.floor(chance() ** 3 * few.length)]!
}

/** Wanted as it is, so it is said why it cannot be. */
function ownMessage(words: string, free: number): Message {
  const letters = gridLetters(words)
  const named = `“${words.length > 60 ? `${words.slice(0, 60)}…` : words}”`
  if (letters.length > free)
    throw new Fault(
      'message',
      `${named} has ${letters.length} letters, and ${free} are left over: take fewer words, a larger grid, or a shorter saying.`,
    )
  const bad = acrossKnown(words)
  if (bad)
    throw new Fault(
      'message',
      `The letters of ${named}, one after the other, spell “${bad.toLowerCase()}”, which offends: word it otherwise.`,
    )
  return { words, letters }
}

/** A word that offends and that letters of several words spell together: what lies within one of them is the author's own word. */
function acrossWords(words: string): string | undefined {
  const parts = words.split(/\s+/).map(gridLetters)
  const bounds = parts.map((_p, i) => parts.slice(0, i + 1).join('').length)
  const wordAt = (at: number): number => bounds.findIndex(end => at < end)
  const letters = parts.join('')
  return eitherWay().find(ways =>
    ways.some(b => {
      for (let at = letters.indexOf(b); at >= 0; at = letters.indexOf(b, at + 1))
        if (wordAt(at) !== wordAt(at + b.length - 1)) return true
      return false
    }),
  )?.[0]
}

/** A puzzle is tried several times with the same saying: what was found of the last ones is known. */
const known = new Map<string, string | undefined>()
const MOST_KNOWN = 1000
function acrossKnown(words: string): string | undefined {
  if (!known.has(words)) {
    if (known.size >= MOST_KNOWN) known.clear()
    known.set(words, acrossWords(words))
  }
  return known.get(words)
}
