import { primaryTag } from '@/core/book'

/** Why a language's words cannot be looked up. */
export interface NoDictionary {
  why: string
}

/** Dictionaries that ship, by primary tag; two of English and of Portuguese. Their licences stand beside them. */
const shipped: Record<string, string> = {
  en: 'en-gb',
  'en-us': 'en',
  fr: 'fr',
  es: 'es',
  nl: 'nl',
  da: 'da',
  sv: 'sv',
  pl: 'pl',
  el: 'el',
  ru: 'ru',
  pt: 'pt',
  'pt-pt': 'pt-pt',
}

const LICENCE =
  'the open dictionaries of this language come under a licence (GPL) under which none can ship with Porchlight'
const lacking: Record<string, string> = {
  de: LICENCE,
  it: LICENCE,
  nb: LICENCE,
  cs: LICENCE,
  fi: 'there is no open dictionary of this language in the form that can be read here',
}

/** The files' name of a language's dictionary, or why there is none. */
export function dictionaryOf(language: string): { name: string } | NoDictionary {
  const name = shipped[language.toLowerCase()] ?? shipped[primaryTag(language)]
  return name
    ? { name }
    : { why: lacking[primaryTag(language)] ?? 'no dictionary of this language ships with Porchlight' }
}

/** The names of all dictionaries that ship. */
export const shippedDictionaries: readonly string[] = [...new Set(Object.values(shipped))]
