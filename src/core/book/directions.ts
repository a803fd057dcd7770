import type { TitleData } from './book'

/** Signs that turn the direction of reading (Unicode UAX 9: embeddings, overrides, isolates): unseen, they make a title look like another. */
const signs = /[\u202a-\u202e\u2066-\u2069]/gu

export const turnsDirection = (text: string): boolean => text.search(signs) >= 0

/** The text with such signs shown by their numbers. */
export const withSignsShown = (text: string): string =>
  text.replace(signs, c => `⟨U+${c.codePointAt(0)!.toString(16).toUpperCase()}⟩`)

/** What of a title's data has such signs, shown; nothing where none has. */
export function turnedTexts(data: TitleData): string[] {
  return [data.title, data.subtitle, data.series?.name, data.imprint.name, ...data.contributors.map(c => c.name)]
    .filter((t): t is string => !!t && turnsDirection(t))
    .map(withSignsShown)
}

/** The data without them. */
export function withoutTurns(data: TitleData): TitleData {
  return JSON.parse(JSON.stringify(data), (_k, v: unknown) =>
    typeof v === 'string' ? v.replace(signs, '') : v,
  ) as TitleData
}
