import { cuss } from 'cuss'
import { cuss as cussEs } from 'cuss/es'
import { cuss as cussFr } from 'cuss/fr'
import { cuss as cussIt } from 'cuss/it'
import { cuss as cussPt } from 'cuss/pt'
import naughty from 'naughty-words'
import profane from 'profane-words'
import { once } from '../trade'
import { plainLetters } from './letters'

/** Shorter ones stand by chance in every grid; they offend nobody there. */
const LEAST = 3

/** Of five open lists and all their languages in Latin letters: words that no line of a grid may spell, without accents. */
export const offences = once((): readonly string[] => {
  const said = [
    ...[cuss, cussEs, cussFr, cussIt, cussPt].flatMap(list => Object.keys(list)),
    ...Object.values(naughty).flat(),
    ...profane,
  ]
  const latin = said.filter(w => !/[^\p{Script=Latin}\p{Script=Common}\p{Script=Inherited}]/u.test(w))
  return [...new Set(latin.map(plainLetters))].filter(w => w.length >= LEAST && /^[A-Z]+$/.test(w)).sort()
})

/** Of how many of the lists a word of English must be before it is said of an author's own word that it offends: each list by itself has plain ones. */
const AGREED = 2

/** Words of a language that are likely to offend its readers, as `plainLetters` writes them. */
const likely = (language: string): ReadonlySet<string> => {
  const [tag] = language.toLowerCase().split('-')
  const known = byLanguage.get(tag!)
  if (known) return known
  const rated = { en: cuss, es: cussEs, fr: cussFr, it: cussIt, pt: cussPt }[tag!]
  // Of its ratings 0 is hardly, 1 maybe, 2 surely.
  const lists = [
    Object.keys(rated ?? {}).filter(w => rated![w]! >= 1),
    (naughty as Record<string, readonly string[]>)[tag!] ?? [],
    ...(tag === 'en' ? [profane] : []),
  ].map(list => new Set(list.map(plainLetters)))
  const least = tag === 'en' ? AGREED : 1
  const found = new Set(
    [...new Set(lists.flatMap(l => [...l]))].filter(w => lists.filter(l => l.has(w)).length >= least),
  )
  byLanguage.set(tag!, found)
  return found
}
const byLanguage = new Map<string, ReadonlySet<string>>()

/** Those of an author's own words that are likely to offend readers of their language, by any word in them; each once, in order. */
export function offending(words: readonly string[], language: string): string[] {
  const bad = likely(language)
  const offends = (words: string): boolean =>
    [words, ...words.split(/[^\p{L}\p{M}]+/u)].some(w => w !== '' && bad.has(plainLetters(w)))
  return [...new Set(words)].filter(offends)
}
