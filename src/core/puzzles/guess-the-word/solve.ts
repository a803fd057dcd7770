import type { Proof } from '../puzzle'
import type { GuessSheet } from './values'

/**
 * A game has the answer that the other player keeps. Held is what makes it playable: blanks for the word's letters only, every letter of
 * it on the strip, and no word twice on the sheet.
 */
export function prove({ rounds, lamps }: GuessSheet): Proof {
  const strip = new Set('ABCDEFGHIJKLMNOPQRSTUVWXYZ')
  const words = rounds.map(({ word }) =>
    word
      .normalize('NFC')
      .toUpperCase()
      .split('')
      .filter(sign => /\p{L}|\p{N}/u.test(sign))
      .join(''),
  )
  const playable = rounds.every(
    ({ letters }, i) => letters === words[i] && Array.from(letters).every(sign => strip.has(sign)),
  )
  return { answers: lamps > 0 && rounds.length && new Set(words).size === words.length ? 1 : 0, agrees: playable }
}
