import { primaryTag } from './printedWords'

export type LetterCase = 'capitals' | 'small' | 'title'

/** Words that an English title keeps small, but for its first and last. */
const SMALL = new Set(
  'a an and as at but by for from if in into nor of off on onto or over so than the to up via with yet'.split(' '),
)
const word = /[\p{L}\p{M}\p{N}]+(?:['’][\p{L}\p{M}]+)*/gu

/** What follows the case that a text is in: small letters, a title, capitals, and small letters again. */
export function nextCase(text: string, language: string): LetterCase {
  if (text === text.toLocaleUpperCase(language)) return 'small'
  return text === text.toLocaleLowerCase(language) ? 'title' : 'capitals'
}

/** A text in another case, by the rules of its language. Titles have every word with a capital in English, the first in others. */
export function inCase(text: string, as: LetterCase, language: string): string {
  if (as === 'capitals') return text.toLocaleUpperCase(language)
  const small = text.toLocaleLowerCase(language)
  if (as === 'small') return small
  const words = [...small.matchAll(word)]
  const english = primaryTag(language) === 'en'
  let out = ''
  let from = 0
  words.forEach((m, i) => {
    const edge = i === 0 || (english && i === words.length - 1)
    const raised = edge || (english && !SMALL.has(m[0]))
    out += small.slice(from, m.index) + (raised ? capital(m[0], language) : m[0])
    from = m.index + m[0].length
  })
  return out + small.slice(from)
}

function capital(text: string, language: string): string {
  const [first = ''] = text
  // Dutch raises both letters of its digraph.
  const n = primaryTag(language) === 'nl' && /^ij/.test(text) ? 2 : first.length
  return text.slice(0, n).toLocaleUpperCase(language) + text.slice(n)
}
