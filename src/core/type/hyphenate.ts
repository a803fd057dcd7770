import type { Hyphenator } from './textStyle'

/** Languages with shipped patterns, by BCP 47 tag. */
const patterns: Record<string, () => Promise<{ default: { hyphenateSync(text: string, options: { hyphenChar: string }): string } }>> = {
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
    const { hyphenateSync } = (await patterns[name]!()).default
    h = word => {
      const parts = hyphenateSync(word.toLowerCase(), { hyphenChar: '\u00ad' }).split('\u00ad')
      const at: number[] = []
      let n = 0
      for (let i = 0; i < parts.length - 1; i++) {
        n += parts[i]!.length
        if (n >= before && word.length - n >= after) at.push(n)
      }
      return at
    }
    loaded.set(key, h)
  }
  return h
}
