import { fields } from '../trade'

const { shape, text } = fields

/** A word as its author wrote it, phrases with their spaces; a clue where there is one. */
export interface Word {
  word: string
  clue?: string | undefined
}

/** Words that belong together: a page's, or a theme's. */
export interface WordList {
  name: string
  words: readonly Word[]
}

/** Where a puzzle's words come from: a bank that ships, or the author's own text, kept as it was written. */
export interface WordSource {
  /** Id of a bank; the text counts where it is empty. */
  bank: string
  text: string
}

/** Most lists, and most words of one, that a run holds. */
export const MOST_LISTS = 500
export const MOST_WORDS = 2000
/** Most letters of an author's own text of words. */
export const MOST_TEXT = 400_000

export const sourceSchema = () => shape({ bank: text(40).defined(), text: text(MOST_TEXT).defined() }).required()
