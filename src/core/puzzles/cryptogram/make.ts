import { once, seeded, shuffled } from '../../trade'
import { dealt, listsOf, offences } from '../../words'
import { bands } from '../difficulty'
import type { Candidate } from '../puzzle'
import { sharedName } from '../turns'
import { reason, untold } from '../substitution/reason'
import { type Cryptogram, type CryptogramValues, LONGEST, SHORTEST } from './values'

const ALPHABET = Array.from('ABCDEFGHIJKLMNOPQRSTUVWXYZ')
const bad = once(() => offences().filter(w => w.length < 12))

/** Words of a text, their apostrophes left out. */
export const wordsOf = (letters: string): string[] => letters.replace(/['’]/g, '').match(/[A-Z]+/g) ?? []

/** Where the bands begin, costs of reading. */
const begins = [0, 7, 11, 15, 20]

/** Letters that must be given of a saying, by its letters: found once. */
const needs = new Map<string, string[]>()
function neededOf(letters: string): string[] {
  let needed = needs.get(letters)
  if (!needed) needs.set(letters, (needed = untold(wordsOf(letters))))
  return needed
}

/**
 * A saying by chance under a cipher in which no letter stands for itself, with as many letters given as the band wants. The same saying
 * is a twin: none comes twice.
 */
export function make({ words, band }: CryptogramValues, seed: number): Candidate<Cryptogram> | undefined {
  const chance = seeded(seed)
  const suits = ({ letters }: { letters: string }): boolean =>
    letters.length >= SHORTEST && letters.length <= LONGEST && /^[A-Z]+$/.test(letters)
  const [said] = dealt(listsOf(words), { count: 1, index: 0, seed, once: false, suits })
  const letters = said!.word.toUpperCase()
  const of = wordsOf(letters)
  const needed = neededOf(letters)
  const order = shuffled([...new Set(of.join(''))], chance).filter(sign => !needed.includes(sign))
  const hints = [...needed]
  let difficulty = reason(of, hints, begins)
  while (bands.indexOf(difficulty.band) > bands.indexOf(band) && order.length) {
    hints.push(order.pop()!)
    difficulty = reason(of, hints, begins)
  }
  const cipher = difficulty.band === band && inoffensive(letters, chance)
  if (!cipher) return undefined
  const text = Array.from(letters, sign => cipher.get(sign) ?? sign).join('')
  const key = Object.fromEntries([...new Set(of.join(''))].sort().map(sign => [cipher.get(sign)!, sign]))
  const puzzle = { plain: said!.word, letters, cipher: text, key, hints: hints.sort() }
  return { puzzle, difficulty, twin: sharedName([letters]) }
}

/** Ciphers that are tried for one whose words offend nobody. */
const CIPHERS = 40
function inoffensive(letters: string, chance: () => number): Map<string, string> | undefined {
  for (let i = 0; i < CIPHERS; i++) {
    const cipher = derangement(chance)
    const words = wordsOf(Array.from(letters, sign => cipher.get(sign) ?? sign).join(''))
    if (!words.some(w => bad().some(b => w.includes(b)))) return cipher
  }
  return undefined
}

/** Letters for letters, none for itself. */
function derangement(chance: () => number): Map<string, string> {
  for (;;) {
    const other = shuffled([...ALPHABET], chance)
    if (other.every((sign, i) => sign !== ALPHABET[i])) return new Map(ALPHABET.map((sign, i) => [sign, other[i]!]))
  }
}
