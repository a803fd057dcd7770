import { cs } from './cs'
import { da } from './da'
import { de } from './de'
import { el } from './el'
import { en } from './en'
import { es } from './es'
import { fi } from './fi'
import { fr } from './fr'
import { it } from './it'
import { nb } from './nb'
import { nl } from './nl'
import { pl } from './pl'
import { pt } from './pt'
import { ru } from './ru'
import { sv } from './sv'
import type { PrintedWords } from './words'

export type { PrintedWords } from './words'

const languages: Record<string, PrintedWords> = { en, de, fr, es, it, pt, nl, sv, pl, cs, da, nb, fi, el, ru }

/** The languages in which books print their own words, by BCP 47 primary tag. */
export const printedLanguages: readonly string[] = Object.keys(languages)

/** "en-GB" -> "en". */
export const primaryTag = (language: string): string => language.toLowerCase().split('-')[0]!

/** The words of a book's language; English where it is none of those that are offered. */
export const printedWords = (language: string): PrintedWords => languages[primaryTag(language)] ?? en

/** Letters of a text by which its language is told. */
const TOLD_BY = 40_000
/** The language is told by so many of its frequent words at the least, and by more than any other has by this factor. */
const FEWEST = 8
const CLEARLY = 1.15

/** The language of a text, among those that are offered, by its most frequent words; undefined where they do not tell. */
export function languageOf(text: string): string | undefined {
  const counts = new Map<string, number>()
  for (const w of text
    .slice(0, TOLD_BY)
    .toLowerCase()
    .match(/\p{L}+/gu) ?? [])
    counts.set(w, (counts.get(w) ?? 0) + 1)
  const told = Object.entries(languages)
    .map(([tag, { frequent }]) => ({ tag, n: frequent.split(' ').reduce((n, w) => n + (counts.get(w) ?? 0), 0) }))
    .sort((a, b) => b.n - a.n)
  const [first, second] = told
  return first!.n >= FEWEST && first!.n > second!.n * CLEARLY ? first!.tag : undefined
}

/** Words with what is put in: "Published by {imprint}". */
export const filled = (words: string, values: Record<string, string | number>): string =>
  words.replace(/\{(\w+)\}/g, (_m, name: string) => String(values[name] ?? ''))
