import { endlessness } from './endless'

/** What is looked for, and how closely. */
export interface Search {
  words: string
  /** Capitals and small letters are told apart. */
  cases?: boolean
  /** Letters with accents and without are told apart. */
  accents?: boolean
  /** No part of a longer word. */
  whole?: boolean
  /** The words are a pattern: a regular expression as ECMA-262 has them. */
  pattern?: boolean
}

/** Where in a line something was found, UTF-16 units; of a pattern what its brackets hold. */
export interface Found {
  from: number
  to: number
  groups?: readonly (string | undefined)[]
}

/** Finds in a line, from its beginning on. */
export type Finder = (line: string) => Found[]

/** What finds, or why it cannot; undefined where there is nothing to look for. */
export function finderOf(search: Search): { find: Finder } | { trouble: string } | undefined {
  if (!search.words) return undefined
  return search.pattern ? patternFinder(search) : { find: wordFinder(search) }
}

function wordFinder({ words, cases = false, accents = false, whole = false }: Search): Finder {
  const folding = { cases, accents }
  const wanted = folded(words, folding).text
  return line => {
    const { text, at } = folded(line, folding)
    const out: Found[] = []
    if (!wanted) return out
    for (let i = text.indexOf(wanted); i >= 0; i = text.indexOf(wanted, i + wanted.length)) {
      const [from, to] = [at ? at[i]! : i, at ? at[i + wanted.length]! : i + wanted.length]
      if (to > from && (!whole || isWhole(line, from, to))) out.push({ from, to })
    }
    return out
  }
}

const inWord = /[\p{L}\p{M}\p{N}]/u
/** No letter goes on before or behind. */
function isWhole(line: string, from: number, to: number): boolean {
  const before = [...line.slice(Math.max(0, from - 2), from)].at(-1)
  const [behind] = line.slice(to, to + 2)
  return !(before && inWord.test(before)) && !(behind && inWord.test(behind))
}

interface Folded {
  text: string
  /** Where each unit of it, and its end, stands in what was folded; where absent, at the same place. */
  at?: Int32Array
}

const MARK = /\p{M}/u

/** A text in which letters are alike that are not told apart. */
function folded(text: string, { cases, accents }: { cases: boolean; accents: boolean }): Folded {
  if (cases && accents) return { text }
  // Most lines have no accents, and keep their length in another case.
  if (accents || (text.normalize('NFD') === text && !MARK.test(text))) {
    const is = cases ? text : text.toLowerCase()
    if (is.length === text.length) return { text: is }
  }
  const kept = letterByLetter[cases ? 'cases' : accents ? 'accents' : 'none']
  const there = kept.get(text)
  if (there) return there
  const made = foldedLetters(text, cases, accents)
  // A book that is searched as one types has the same lines at every key.
  if (kept.size >= MOST_KEPT) kept.clear()
  kept.set(text, made)
  return made
}

/** Lines that had to be folded letter by letter, by what is told apart in them. */
const letterByLetter = {
  cases: new Map<string, Folded>(),
  accents: new Map<string, Folded>(),
  none: new Map<string, Folded>(),
}
const MOST_KEPT = 20_000

function foldedLetters(text: string, cases: boolean, accents: boolean): Folded {
  let out = ''
  const at: number[] = []
  for (let i = 0; i < text.length;) {
    const letter = String.fromCodePoint(text.codePointAt(i)!)
    let is = accents ? letter : letter.normalize('NFD').replace(/\p{M}/gu, '')
    if (!cases) is = is.toLowerCase()
    for (let k = 0; k < is.length; k++) at.push(i)
    out += is
    i += letter.length
    // A mark that stands by itself goes with its letter.
    if (!accents) while (i < text.length && /\p{M}/u.test(text[i]!)) i++
  }
  at.push(text.length)
  return { text: out, at: Int32Array.from(at) }
}

function patternFinder({ words, cases, whole }: Search): ReturnType<typeof finderOf> {
  const endless = endlessness(words)
  if (endless) return { trouble: endless }
  let pattern: RegExp
  try {
    pattern = new RegExp(words, cases ? 'gu' : 'giu')
  } catch (e) {
    return { trouble: plainly((e as Error).message) }
  }
  const find: Finder = line =>
    [...line.matchAll(pattern)].flatMap(({ index, 0: is, ...m }) => {
      const to = index + is.length
      // What is found everywhere is found nowhere.
      if (!is || (whole && !isWhole(line, index, to))) return []
      return [
        { from: index, to, groups: Object.entries(m).flatMap(([k, v]) => (/^\d+$/.test(k) ? [v as string] : [])) },
      ]
    })
  return { find }
}

/** What is wrong with a pattern, in plain words. */
function plainly(said: string): string {
  if (/Unterminated group|missing \)/i.test(said))
    return 'A bracket ( is opened and not closed: write \\( for a bracket itself.'
  if (/Unmatched '\)'/i.test(said)) return 'A bracket ) closes what was not opened: write \\) for a bracket itself.'
  if (/Unterminated character class/i.test(said))
    return 'A bracket [ is opened and not closed: write \\[ for a bracket itself.'
  if (/Nothing to repeat/i.test(said))
    return 'There is nothing before *, + or ? that could be repeated: write \\* for the sign itself.'
  if (/Lone quantifier brackets|Incomplete quantifier/i.test(said))
    return 'A { or } stands alone: write \\{ for the sign itself.'
  if (/\\ at end/i.test(said)) return 'A \\ at the end has nothing behind it.'
  return 'This pattern cannot be read: a sign in it asks for a \\ before it.'
}
