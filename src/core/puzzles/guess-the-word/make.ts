import { once } from '../../trade'
import { allBanks, type DealtWord, dealt, dictionary, gridLetters, listsOf } from '../../words'
import { bands, type Difficulty } from '../difficulty'
import type { Candidate, InRun } from '../puzzle'
import { sharedName } from '../turns'
import type { GuessSheet, GuessValues } from './values'

/** Where the bands begin: misses of one who knows many words, in the mean of the rounds. */
const begins = [0, 1.5, 2.75, 4, 5.5]

const byLength = once(() => {
  const of = new Map<number, string[]>()
  for (const word of dictionary().known) {
    const list = of.get(word.length)
    if (list) list.push(word)
    else of.set(word.length, [word])
  }
  return of
})

/** Letters by how often texts have them: what is asked for when no known word is left. */
const COMMON = Array.from('ETAOINSHRDLCUMWFGYPBVKJXQZ')

/** What is known at a turn of the game, and the letter that most of the words that are left have. */
interface Turn {
  left: readonly string[]
  ask: string
  next: Map<string, Turn>
}
const asks = (left: readonly string[], asked: ReadonlySet<string>): Turn => {
  const counts = new Map<string, number>()
  for (const w of left)
    for (const sign of new Set(w)) if (!asked.has(sign)) counts.set(sign, (counts.get(sign) ?? 0) + 1)
  const first = COMMON.find(sign => !asked.has(sign))!
  const [ask] = [...counts].reduce((a, b) => (b[1] > a[1] || (b[1] === a[1] && b[0] < a[0]) ? b : a), [first, 0])
  return { left, ask, next: new Map() }
}
const firstTurn = new Map<number, Turn>()
const known = new Map<string, { misses: number; hits: number }>()

/** How one fares who asks at each turn for the letter that most of the known words have that are left. Turns are shared by words. */
function guessed(word: string): { misses: number; hits: number } {
  const before = known.get(word)
  if (before) return before
  const asked = new Set<string>()
  let turn = firstTurn.get(word.length)
  if (!turn) firstTurn.set(word.length, (turn = asks(byLength().get(word.length) ?? [], asked)))
  let [misses, hits] = [0, 0]
  for (;;) {
    const { ask } = turn
    asked.add(ask)
    const shown = Array.from(word, sign => (sign === ask ? '1' : '0')).join('')
    if (shown.includes('1')) hits++
    else misses++
    if (Array.from(word).every(sign => asked.has(sign))) break
    let next = turn.next.get(shown)
    if (!next) {
      const left = turn.left.filter(w => Array.from(shown).every((s, i) => (w[i] === ask) === (s === '1')))
      turn.next.set(shown, (next = asks(left, asked)))
    }
    turn = next
  }
  known.set(word, { misses, hits })
  return { misses, hits }
}

/** Words that are as hard to guess as the band says. */
export function make(values: GuessValues, _seed: number, at: InRun): Candidate<GuessSheet> | undefined {
  const { words, count, deal, lamps, band } = values
  const lists = listsOf(words)
  const level = bands.indexOf(band)
  const [from, to] = [begins[level]!, begins[level + 1] ?? Infinity]
  const suits = ({ letters }: DealtWord): boolean => {
    if (letters.length < 4 || !/^[A-Z]+$/.test(letters)) return false
    const { misses } = guessed(letters)
    return misses >= from && misses < to
  }
  const rounds = dealt(lists, { count, index: at.index, seed: at.run, once: deal === 'once', suits })
  const difficulty = measure(rounds.map(r => r.letters))
  if (difficulty.band !== band) return undefined
  const theme = words.bank === allBanks.id ? undefined : lists[lists.length > 1 ? at.index % lists.length : 0]!.name
  const puzzle = { theme, lamps, rounds: rounds.map(({ word }) => ({ word, letters: gridLetters(word) })) }
  return {
    puzzle,
    difficulty,
    twin: sharedName([
      rounds
        .map(r => r.letters)
        .sort()
        .join('/'),
    ]),
  }
}

function measure(words: readonly string[]): Difficulty {
  const all = words.map(guessed)
  const [misses, hits] = [all.reduce((n, g) => n + g.misses, 0), all.reduce((n, g) => n + g.hits, 0)]
  const mean = misses / words.length
  const steps = { 'letter that is there': hits, ...(misses && { 'letter that is not': misses }) }
  return { band: bands[begins.filter(b => mean >= b).length - 1]!, steps }
}
