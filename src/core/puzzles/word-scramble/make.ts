import { once, seeded, shuffled } from '../../trade'
import { type DealtWord, dealt, dictionary, listsOf, offences, plainLetters } from '../../words'
import { bands, type Difficulty } from '../difficulty'
import type { Candidate, InRun } from '../puzzle'
import { sharedName } from '../turns'
import type { Scramble, ScrambleValues } from './values'

/** Where the bands begin: bits that the order of a word's letters holds, in the mean. */
const begins = [0, 7, 10, 12.5, 15.5]
/** Orders that are tried for one word. */
const ORDERS = 40

/** Bits that an order of letters holds: the logarithm of how many orders there are. */
function bitsOf(letters: string): number {
  const counts = new Map<string, number>()
  let bits = 0
  Array.from(letters).forEach((sign, i) => {
    const n = (counts.get(sign) ?? 0) + 1
    counts.set(sign, n)
    bits += Math.log2(i + 1) - Math.log2(n)
  })
  return bits
}

const inOrder = (letters: string): string => Array.from(letters).sort().join('')
/** How many known words have the same letters. */
const anagrams = once(() => {
  const of = new Map<string, number>()
  for (const word of dictionary().known) of.set(inOrder(word), (of.get(inOrder(word)) ?? 0) + 1)
  return of
})
const bad = once(() => offences().filter(w => w.length < 9))

/** Words of the band's length, none an anagram of another word, each in an order that keeps little of its own. */
export function make(
  { words, count, deal, band }: ScrambleValues,
  seed: number,
  at: InRun,
): Candidate<Scramble> | undefined {
  const chance = seeded(seed)
  const level = bands.indexOf(band)
  const [from, to] = [begins[level]!, begins[level + 1] ?? Infinity]
  const lists = listsOf(words)
  const suits = ({ letters }: DealtWord): boolean => {
    if (letters.length < 3) return false
    const bits = bitsOf(letters)
    const own = dictionary().rank.has(letters) ? 1 : 0
    return bits >= from && bits < to && (anagrams().get(inOrder(letters)) ?? 0) <= own
  }
  const agree = (a: DealtWord, b: DealtWord): boolean => inOrder(a.letters) !== inOrder(b.letters)
  const taken = dealt(lists, { count, index: at.index, seed: at.run, once: deal === 'once', suits, agree })
  const items: Scramble['items'] = []
  for (const { word, letters } of taken) {
    const mixed = mix(letters, chance)
    if (!mixed) return undefined
    items.push({ word, letters, mixed })
  }
  const difficulty = measure(items)
  if (difficulty.band !== band) return undefined
  const twin = sharedName([
    items
      .map(i => i.mixed)
      .sort()
      .join('/'),
  ])
  return { puzzle: { items }, difficulty, twin }
}

/** An order in which few letters stand where they belong or beside their own neighbour, and which spells nothing that offends. */
function mix(letters: string, chance: () => number): string | undefined {
  let best: { mixed: string; kept: number } | undefined
  for (let i = 0; i < ORDERS; i++) {
    const mixed = shuffled(Array.from(letters), chance).join('')
    const plain = plainLetters(mixed)
    if (mixed === letters || bad().some(b => plain.includes(b))) continue
    const kept = keptIn(letters, mixed)
    if (!best || kept < best.kept) best = { mixed, kept }
    if (!kept) break
  }
  return best?.mixed
}

/** Letters at their own place, and pairs that stay together. */
function keptIn(letters: string, mixed: string): number {
  const own = Array.from(letters)
  return Array.from(mixed).filter((sign, i, all) => own[i] === sign || (i > 0 && letters.includes(all[i - 1]! + sign)))
    .length
}

function measure(items: Scramble['items']): Difficulty {
  const mean = items.reduce((n, i) => n + bitsOf(i.letters), 0) / items.length
  const kept = items.reduce((n, i) => n + keptIn(i.letters, i.mixed), 0)
  const letters = items.reduce((n, i) => n + i.letters.length, 0)
  const steps = { 'letter to be placed': letters - kept, ...(kept && { 'letter left where it belongs': kept }) }
  return { band: bands[begins.filter(b => mean >= b).length - 1]!, steps }
}
