import type { TitleData } from './book'

/** The names of a book's authors. */
export const authorsOf = (data: TitleData): string[] => data.contributors.filter(c => c.role === 'aut').map(c => c.name)

/** Names as a sentence has them: "A, B and C". */
export const joinedNames = (names: string[], and: string): string =>
  names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} ${and} ${names.at(-1)}`
