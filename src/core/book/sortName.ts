import type { Contributor } from './book'

/** What stands behind a name without being part of it. */
const BEHIND = /^(?:jr|sr|ii|iii|iv|phd|md|esq)\.?$/i
/** Words that are in no person's name: what has them is sorted as it stands. */
const NO_PERSON =
  /^(?:the|and|&|press|ltd|inc|company|co|group|society|school|committee|editors?|verlag|gmbh|éditions|editorial)\.?$/i

/**
 * How a person's name sorts in catalogues: "Fenwright, Orla". The last word goes first, and what is between stays with the given
 * name, as catalogues of most languages have it; whoever sorts otherwise says so (`sortName`). Undefined where nothing is known: of
 * one word, or of what is no person.
 */
export function derivedSortName(name: string): string | undefined {
  const words = name.replace(/,/g, ' ').trim().split(/\s+/)
  if (name.includes(',') || words.some(w => NO_PERSON.test(w) || /\d/.test(w))) return undefined
  const last = words.findLastIndex(w => !BEHIND.test(w))
  if (last < 1) return undefined
  return [`${words[last]!}, ${words.slice(0, last).join(' ')}`, ...words.slice(last + 1)].join(', ')
}

/** How a contributor sorts: as the author says, or as names of persons do. */
export const sortNameOf = ({ name, sortName }: Pick<Contributor, 'name' | 'sortName'>): string | undefined =>
  sortName?.trim() || derivedSortName(name)
