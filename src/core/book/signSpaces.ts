import { primaryTag } from './printedWords'

/** The space that stands before a sign in French: a narrow one, but for the colon and the closing quote, whose is whole; neither breaks a line (Lexique des règles typographiques en usage à l’Imprimerie nationale). */
const NARROW = '\u202f'
const WHOLE = '\u00a0'

/** Whether a language sets spaces before its signs. Swiss French sets none. */
export const spacesSigns = (language: string): boolean => primaryTag(language) === 'fr' && !/^fr-ch$/i.test(language)

/** The space that a sign wants before it; undefined for what is none of these signs. */
export const spaceBefore = (sign: string): string | undefined =>
  sign === ':' ? WHOLE : /^[;!?]$/.test(sign) ? NARROW : undefined

/** A sign with what stands before it, where French sets a space: behind a word, a quote or a bracket, and not inside an address, a time or a row of signs. */
export const signsToSpace = /(?<=[\p{L}\p{N}»)\]’”…%])[ \u00a0\u202f]?[;:!?](?=[\s)\]»”’.…]|$)/gu

/** What stands at a match of `signsToSpace` when it is set right; undefined where it is already, or where it is not known whether it is a sign of its sentence. */
export function withSpace(match: string): string | undefined {
  const sign = match.at(-1)!
  const right = `${spaceBefore(sign)}${sign}`
  return match === right ? undefined : right
}
