import { primaryTag } from '../book'

/** How a kind of puzzle is solved, a sentence each, by the languages in which books print their own words. */
export type Rules = Readonly<Record<string, readonly string[]>> & { readonly en: readonly string[] }

/** The rules in a book's language; in English where it is none of those that are offered. */
export const rulesIn = (rules: Rules, language: string): readonly string[] => rules[primaryTag(language)] ?? rules.en
