import type { Role } from '../roles'

/** The words that a book prints by itself, in one language. `{name}` and the like stand for what is put in. */
export interface PrintedWords {
  /** Sections that have a name and no title of their own. */
  sections: Partial<Record<Role, string>>
  /** What else manuscripts call such sections: they are known by it, and never printed. */
  alsoCalled: Partial<Record<Role, readonly string[]>>
  /** Words that hardly a page of the language lacks: it is known by them. */
  frequent: string
  chapter: string
  part: string
  /** Notes where they stand behind the book. */
  notes: string
  /** Names in the ebook's lists: where the reader goes. */
  cover: string
  titlePage: string
  copyright: string
  textBegins: string
  pages: string
  landmarks: string
  /** Over the words of a sound or a film. */
  spoken: string
  /** Between the last two of several names. */
  and: string
  /** Over an author's other books, where it says the author's name. */
  alsoBy?: string
  /** A title and who wrote it, as one line. */
  by: string
  inSeries: string
  rights: string
  published: string
  publishedAt: string
  /** Who else made the book, by MARC relator code. */
  as: Record<'edt' | 'ill' | 'trl' | 'aui' | 'pht' | 'cov' | 'ctb', string>
}
