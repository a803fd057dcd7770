import type { Line } from '@/core/book'

/** A word of a line. */
export interface Word {
  /** Where it stands, UTF-16 units. */
  from: number
  to: number
  /** Without soft hyphens, and with the apostrophe as dictionaries have it. */
  form: string
}

/** A line as a proof-reader has it: what is not the book's own language is not read. */
export interface ReadLine {
  of: Line
  /** The line's text; letters of passages in another language, of addresses and of other things stand as U+FFFC, at the same places. */
  text: string
  words: readonly Word[]
}

const OTHER = '\ufffc'
const WORD = /[\p{L}\p{M}\u00ad]+(?:['’][\p{L}\p{M}\u00ad]+)*/gu
/** What nobody spells: addresses of the web and of people. */
const ADDRESS = /(?:https?:\/\/|www\.)\S+|[\w.+-]+@[\w-]+(?:\.[\w-]+)+/g

/** Reads a line. */
export function readLine(of: Line): ReadLine {
  let text = of.text
  for (const [from, to] of of.foreign ?? []) text = blotted(text, from, to)
  if (/[:@.]/.test(text)) for (const m of text.matchAll(ADDRESS)) text = blotted(text, m.index, m.index + m[0].length)
  return { of, text, words: wordsIn(text) }
}

const blotted = (text: string, from: number, to: number): string =>
  text.slice(0, from) + OTHER.repeat(to - from) + text.slice(to)

/** The words of a text. */
export function wordsIn(text: string): Word[] {
  const words: Word[] = []
  for (const m of text.matchAll(WORD)) {
    const form = m[0].includes('\u00ad') ? m[0].replaceAll('\u00ad', '') : m[0]
    if (form)
      words.push({
        from: m.index,
        to: m.index + m[0].length,
        form: form.includes('’') ? form.replaceAll('’', "'") : form,
      })
  }
  return words
}

const BEGINS = /(?:^|[.!?…:\n])["“”„«»‘’'()[\]\s—–-]*$/

/** Whether a place of a text is the beginning of a sentence, or of what is said. */
export function beginsThere(text: string, at: number): boolean {
  const before = text.slice(Math.max(0, at - 8), at)
  if (at <= 8 && !/\S/.test(before)) return true
  return BEGINS.test(before) || /["“„«‘]$/.test(before)
}

/** Whether a letter is a capital, where its script has them. */
export const isCapital = (letter: string): boolean => letter !== letter.toLowerCase() && letter === letter.toUpperCase()

/** A word with its first letter as another word has its own. */
export function casedAs(word: string, like: string): string {
  const [first = '', second = ''] = like
  if (!isCapital(first)) return word
  if (second && isCapital(second) && like === like.toUpperCase()) return word.toUpperCase()
  return word.charAt(0).toUpperCase() + word.slice(1)
}
