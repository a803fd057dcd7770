import type { Hyphenator } from './textStyle'

/**
 * Liang's patterns ("Word Hy-phen-a-tion by Com-put-er", 1983) as the package `hyphen` ships them: levels by number, a trie from
 * letters to these numbers, and words that are exceptions with their divisions. The package's own walker builds many strings a
 * word; this one walks the same trie by index.
 */
type Trie = { [letter: string]: TrieNode }
type TrieNode = number | Trie | [Trie, number]
type PatternSet = [levels: number[][], trie: Trie, exceptions?: Record<string, number[]>]

/** Languages with shipped patterns, by BCP 47 tag. */
const patterns: Record<string, () => Promise<{ default: { patterns: PatternSet } }>> = {
  'en-gb': () => import('hyphen/en-gb/index.js'),
  'en-us': () => import('hyphen/en-us/index.js'),
  de: () => import('hyphen/de/index.js'),
  fr: () => import('hyphen/fr/index.js'),
  es: () => import('hyphen/es/index.js'),
  it: () => import('hyphen/it/index.js'),
  pt: () => import('hyphen/pt/index.js'),
  nl: () => import('hyphen/nl/index.js'),
  sv: () => import('hyphen/sv/index.js'),
  pl: () => import('hyphen/pl/index.js'),
  cs: () => import('hyphen/cs/index.js'),
  da: () => import('hyphen/da/index.js'),
  nb: () => import('hyphen/nb/index.js'),
  fi: () => import('hyphen/fi/index.js'),
  el: () => import('hyphen/el-monoton/index.js'),
  ru: () => import('hyphen/ru/index.js'),
}

/** The pattern set for a language tag, the nearest there is: "en" -> "en-us", "de-AT" -> "de". Undefined where none ships. */
export function patternsFor(language: string): string | undefined {
  const tag = language.toLowerCase()
  if (patterns[tag]) return tag
  const base = tag.split('-')[0]!
  return base === 'en' ? (/-(gb|ie|au|nz|za)$/.test(tag) ? 'en-gb' : 'en-us') : patterns[base] ? base : undefined
}

const loaded = new Map<string, Hyphenator>()

/**
 * A function that gives the places where a word may be divided (offsets in characters), at least `before` letters from its start
 * and `after` from its end. Undefined where the language has no patterns here.
 */
export async function loadHyphenator(language: string, before = 2, after = 3): Promise<Hyphenator | undefined> {
  const name = patternsFor(language)
  if (!name) return undefined
  const key = `${name}/${before}/${after}`
  let h = loaded.get(key)
  if (!h) {
    const set = new Patterns((await patterns[name]!()).default.patterns)
    h = word => divide(word.toLowerCase(), set).filter(n => n >= before && word.length - n >= after)
    loaded.set(key, h)
  }
  return h
}

/** Letters a language's patterns may use, and the highest code among them. */
const ALPHABET = 64
const HIGHEST = 0x2020

/**
 * The patterns as a table of nodes by letters, so that a step is one look into an array. Filled as words ask: a book touches a small
 * part of a language's patterns, and taking over all of them would cost more than it saves.
 */
class Patterns {
  readonly exceptions: Record<string, number[]>
  private readonly sources: Trie[] = []
  private readonly rows: (number[] | undefined)[] = []
  private readonly letters = new Uint8Array(HIGHEST)
  private known = 0
  /** 0: not yet asked; −1: no pattern goes on so; else the node. */
  private next = new Int32Array(256 * ALPHABET)

  constructor([levels, trie, exceptions]: PatternSet) {
    this.levels = levels
    this.exceptions = exceptions ?? {}
    this.open(trie, undefined)
  }
  private readonly levels: number[][]

  /** The node behind a letter, or −1. The root is 0. */
  step(from: number, letter: number): number {
    if (letter >= HIGHEST) return -1
    let index = this.letters[letter]!
    if (!index) {
      // Only letters that patterns go on with are numbered: those of other scripts would fill the table.
      if (this.known === ALPHABET - 1 || this.sources[from]![String.fromCharCode(letter)] === undefined) return -1
      this.letters[letter] = index = ++this.known
    }
    const at = from * ALPHABET + index
    return this.next[at]! || this.ask(at, from, letter)
  }

  /** The levels of the pattern that ends at a node, if one does. */
  row(node: number): number[] | undefined {
    return this.rows[node]
  }

  private ask(at: number, from: number, letter: number): number {
    const found = this.sources[from]![String.fromCharCode(letter)]
    const to =
      found === undefined
        ? -1
        : typeof found === 'number'
          ? this.open({}, this.levels[found])
          : Array.isArray(found)
            ? this.open(found[0], this.levels[found[1]])
            : this.open(found, undefined)
    this.next[at] = to
    return to
  }

  private open(source: Trie, row: number[] | undefined): number {
    const node = this.sources.push(source) - 1
    this.rows.push(row)
    if (this.sources.length * ALPHABET > this.next.length) {
      const longer = new Int32Array(this.next.length * 2)
      longer.set(this.next)
      this.next = longer
    }
    return node
  }
}

const DOT = 46

// Levels between the letters of the word at hand: reused, since every new word asks.
let scratch = new Uint8Array(64)

/** Where patterns divide a lower-case word: odd levels between letters (Liang's rule). */
function divide(word: string, patterns: Patterns): number[] {
  const known = Object.hasOwn(patterns.exceptions, word) ? patterns.exceptions[word] : undefined
  if (known) return known
  const n = word.length
  if (scratch.length < n + 2) scratch = new Uint8Array(n * 2)
  const best = scratch.fill(0, 0, n + 2)
  // The word stands between two dots; a pattern's first level stands before its first letter, and the first dot has no place of its own.
  for (let from = -1; from <= n; from++) {
    const base = Math.max(from, 0)
    let node = 0
    for (let i = from; i <= n; i++) {
      node = patterns.step(node, i < 0 || i === n ? DOT : word.charCodeAt(i))
      if (node < 0) break
      const row = patterns.row(node)
      if (row) for (let k = 0; k < row.length; k++) if (row[k]! > best[base + k]!) best[base + k] = row[k]!
    }
  }
  const out: number[] = []
  for (let i = 2; i < n - 1; i++) if (best[i]! & 1) out.push(i)
  return out
}
