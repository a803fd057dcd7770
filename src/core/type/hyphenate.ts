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
    const set = (await patterns[name]!()).default.patterns
    h = word => divide(word.toLowerCase(), set).filter(n => n >= before && word.length - n >= after)
    loaded.set(key, h)
  }
  return h
}

// Levels between the letters of the word at hand: reused, since every new word asks.
let scratch = new Uint8Array(64)

/** Where patterns divide a lower-case word: odd levels between letters (Liang's rule). */
function divide(word: string, [levels, trie, exceptions]: PatternSet): number[] {
  const known = exceptions?.[word]
  if (known) return known
  const text = `.${word}.`
  if (scratch.length < word.length + 2) scratch = new Uint8Array(word.length * 2)
  const best = scratch.fill(0, 0, word.length + 2)
  for (let from = 0; from < text.length; from++) {
    // A pattern's first level stands before its first letter; the dot before the word has no place of its own.
    const base = from === 0 ? 0 : from - 1
    let at: Trie = trie
    for (let i = from; i < text.length; i++) {
      const node = at[text[i]!]
      if (node === undefined) break
      const index = typeof node === 'number' ? node : Array.isArray(node) ? node[1] : -1
      if (index >= 0) {
        const row = levels[index]!
        for (let k = 0; k < row.length; k++) if (row[k]! > best[base + k]!) best[base + k] = row[k]!
      }
      if (typeof node === 'number') break
      at = Array.isArray(node) ? node[0] : node
    }
  }
  const out: number[] = []
  for (let n = 2; n < word.length - 1; n++) if (best[n]! & 1) out.push(n)
  return out
}
