import { filled, primaryTag, printedWords } from '../printedWords'
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
import { pt, ptEurope } from './pt'
import { ru } from './ru'
import type { NumberWords } from './spoken'
import { sv } from './sv'

export { numberInWords } from './en'
export type { NumberWords } from './spoken'

const languages: Record<string, NumberWords> = { cs, da, de, el, en, es, fi, fr, it, nb, nl, pl, pt, ru, sv }

/** How a language says numbers in headings; undefined where it is none of those that books print their own words in. */
export const numberWords = (language: string): NumberWords | undefined =>
  language.toLowerCase() === 'pt-pt' ? ptEurope : languages[primaryTag(language)]

/** Up to this number headings are said in words in every language; English has words for 999. */
export const MOST_SAID = 99

/** "Chapter Four", "Viertes Kapitel": a counted section in words. In figures beyond what is said in words. */
export function countedInWords(language: string, what: 'chapter' | 'part', n: number): string {
  const words = numberWords(language) ?? en
  if (words !== en && n > MOST_SAID) return countedInFigures(language, what, n)
  const said = words[what](n)[0]!
  return said.charAt(0).toUpperCase() + said.slice(1)
}

/** "Chapter 4", "4. luku". */
export const countedInFigures = (language: string, what: 'chapter' | 'part', n: number): string =>
  filled(printedWords(language)[what], { n })
