import type { TitleData } from './book'
import { authorsOf, joinedNames } from './names'
import { printedWords } from './printedWords'

/** The name printed as the author's: all contributors with role aut, joined in the book's language. */
export const authorLine = (data: TitleData): string => joinedNames(authorsOf(data), printedWords(data.language).and)
