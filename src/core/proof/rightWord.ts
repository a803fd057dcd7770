import type { Reading } from './doubt'
import { isCapital } from './readLine'
import type { BookTally } from './tally'

/** A word without the ending that says whose something is. */
export const bareWord = (form: string): string => form.replace(/'s?$/i, '')

/** Whether a word is known, to the dictionary or to the author. A single letter is. */
export function rightWord(form: string, { speller, known }: Reading): boolean {
  if (form.length < 2 || !speller || speller.right(form) || known(form)) return true
  const bare = bareWord(form)
  if (bare !== form && (bare.length < 2 || speller.right(bare) || known(bare))) return true
  // 'tis, 'em: a word that begins with its apostrophe.
  return speller.right(`'${form}`)
}

/** So often a name stands in a book before it is learnt. */
const LEARNT_AT = 3

/**
 * The names of a book, by their capitals and their count: words that no dictionary has, that stand there several times, at least once
 * inside a sentence, and never with a small letter.
 */
export function learntNames(book: BookTally, reading: Reading): string[] {
  const counts = new Map<string, { count: number; inside: number }>()
  for (const [form, count] of book.forms) {
    if (!isCapital(form[0]!) || rightWord(form, reading)) continue
    const name = bareWord(form)
    const there = counts.get(name) ?? { count: 0, inside: 0 }
    counts.set(name, { count: there.count + count, inside: there.inside + (book.inside.get(form) ?? 0) })
  }
  return [...counts]
    .filter(([name, { count, inside }]) => count >= LEARNT_AT && inside && !book.count(name.toLowerCase()))
    .map(([name]) => name)
}
