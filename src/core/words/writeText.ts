import type { WordList } from './wordList'

/** Lists as plain text that reads back the same: a heading a list, a word a line, its clue after a colon. */
export const writeWordText = (lists: readonly WordList[]): string =>
  lists
    .map(({ name, words }) =>
      [`# ${name}`, ...words.map(({ word, clue }) => (clue ? `${word}: ${clue}` : word)), ''].join('\n'),
    )
    .join('\n')

/** A list to begin with, as it is to be written. */
export const sampleOf = (clued: boolean): string =>
  clued
    ? '# The harbour\nanchor: Iron hook that holds a ship\nbollard: Post that takes a rope\nquay: Paved edge of the port\n\n# The garden\ntrowel: Small spade for one hand\ndibber: Stick that makes a hole for a seedling\n'
    : '# The harbour\nanchor\nbollard\nlighthouse\nrowing boat\n\n# The garden\ntrowel\nwatering can\n'
