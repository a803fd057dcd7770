import type { WordList } from './wordList'

/** Lists as plain text that reads back the same: a heading a list, a word a line, its clue after a colon. */
export const writeWordText = (lists: readonly WordList[]): string =>
  lists
    .map(({ name, words }) =>
      [`# ${name}`, ...words.map(({ word, clue }) => (clue ? `${word}: ${clue}` : word)), ''].join('\n'),
    )
    .join('\n')
