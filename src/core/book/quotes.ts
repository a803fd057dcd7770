import { primaryTag } from './printedWords'
import { type Turned, units } from './turned'

/** The marks that a typed " and ' become; `apart` stands inside the double ones, where the language sets a space there. */
export interface QuoteMarks {
  double: [open: string, close: string]
  single: [open: string, close: string]
  apart?: string
}

/** By language; usage as in the Unicode CLDR's delimiters. A tag's region is asked first. */
const marks: Record<string, QuoteMarks> = {
  en: { double: ['“', '”'], single: ['‘', '’'] },
  de: { double: ['„', '“'], single: ['‚', '‘'] },
  'de-ch': { double: ['«', '»'], single: ['‹', '›'] },
  fr: { double: ['«', '»'], single: ['‹', '›'], apart: '\u202f' },
  'fr-ch': { double: ['«', '»'], single: ['‹', '›'] },
  es: { double: ['«', '»'], single: ['‘', '’'] },
  it: { double: ['«', '»'], single: ['‘', '’'] },
  pt: { double: ['«', '»'], single: ['‘', '’'] },
  'pt-br': { double: ['“', '”'], single: ['‘', '’'] },
  nl: { double: ['“', '”'], single: ['‘', '’'] },
  sv: { double: ['”', '”'], single: ['’', '’'] },
  pl: { double: ['„', '”'], single: ['‚', '’'] },
  cs: { double: ['„', '“'], single: ['‚', '‘'] },
  da: { double: ['»', '«'], single: ['›', '‹'] },
  nb: { double: ['«', '»'], single: ['‘', '’'] },
  fi: { double: ['”', '”'], single: ['’', '’'] },
  el: { double: ['«', '»'], single: ['‘', '’'] },
  ru: { double: ['«', '»'], single: ['„', '“'] },
}

export const quotesOf = (language: string): QuoteMarks =>
  marks[language.toLowerCase()] ?? marks[primaryTag(language)] ?? marks.en!

/** A word that begins with an apostrophe rather than a quotation. */
const elided = /^(?:tis|twas|twere|twill|til|till|em|cause|bout|round|n|cos|fraid|neath|\d0s|\d\d)(?![\p{L}])/iu
const opens = /[\s\u00a0\u202f([{—–\-/“‘„‚«‹”’]$/u

/**
 * The sign that a typed quote becomes between the text before and after it. `open`: whether a single quotation is open there,
 * since its end and an apostrophe are typed alike. `doubtful`: a guess.
 */
export function quoteBetween(
  typed: '"' | "'",
  before: string,
  after: string,
  language: string,
  open: boolean,
): { sign: string; doubtful: boolean } {
  const { double, single, apart = '' } = quotesOf(language)
  const atStart = !before || opens.test(before)
  // Feet and inches, minutes and seconds: nobody's quotation, unless one is open that ends in a figure.
  if (/\d$/.test(before) && !(typed === "'" && open)) {
    if (typed === "'" && /^[\p{L}]/u.test(after)) return { sign: '’', doubtful: false }
    return typed === '"' ? { sign: apart + double[1], doubtful: true } : { sign: '’', doubtful: true }
  }
  if (typed === '"')
    return {
      sign: atStart && !!after.trim() ? double[0] + apart : apart + double[1],
      doubtful: atStart && !after.trim(),
    }
  if (!atStart) return { sign: open && !/^\p{L}/u.test(after) ? single[1] : '’', doubtful: false }
  if (elided.test(after)) return { sign: '’', doubtful: true }
  return after.trim() ? { sign: single[0], doubtful: false } : { sign: open ? single[1] : '’', doubtful: true }
}

/** A text with its typed quotes as the language has them: what each typed character becomes, and the positions of guesses. */
export function turnQuotes(typed: string, language: string): Turned {
  const { single, apart } = quotesOf(language)
  const becomes = units(typed)
  const doubtful: number[] = []
  let before = ''
  let open = false
  for (let i = 0; i < typed.length; i++) {
    const c = typed[i]!
    if (c === '"' || c === "'") {
      const { sign, doubtful: guess } = quoteBetween(c, before, typed.slice(i + 1), language, open)
      if (c === "'" && (sign === single[0] || sign === single[1]))
        open = sign === single[0] && (sign !== single[1] || !open)
      if (guess) doubtful.push(i)
      becomes[i] = sign
      // A space that was typed inside the marks gives way to the language's own.
      if (apart && sign.startsWith(apart) && isSpace(typed[i - 1])) becomes[i - 1] = ''
      if (apart && sign.endsWith(apart) && isSpace(typed[i + 1])) becomes[++i] = ''
    }
    before += becomes[i]
  }
  return { becomes, doubtful }
}

const isSpace = (c: string | undefined): boolean => c !== undefined && /[\s\u00a0\u202f]/.test(c)
