import type { ReadLine } from './readLine'
import type { BookTally } from './tally'

/** Something in a line that may be wrong. */
export interface Doubt {
  /** Its kind's id. */
  kind: string
  section: string
  /** Which of the document's lines (`linesOf`); -1 is the section's title. */
  line: number
  block: string
  /** Of verse which of its lines. */
  row: number
  /** Where in the line, UTF-16 units. */
  from: number
  to: number
  /** What stands there. */
  was: string
  /** What is doubted, in a few words. */
  says: string
  /** What may stand there instead, the likeliest first. */
  remedies: readonly string[]
  /** What it is about, wherever it stands: by it a doubt is left everywhere. Absent where that would be the whole kind. */
  about?: string
}

/** What a kind sees in a line by the line alone. */
export interface Seen {
  from: number
  to: number
  says?: string
  remedies?: readonly string[]
  about?: string
  /** What the kind has to know of it when it judges. */
  as?: string
}

/** Something seen, and where in the book. */
export interface PlacedSeen extends Seen {
  section: string
  line: number
}

/** What is known of right words. */
export interface Speller {
  /** Whether a word, its apostrophe typed as ', is one of the language. */
  right(word: string): boolean
}

/** With what a book is read. */
export interface Reading {
  /** BCP 47. */
  language: string
  speller?: Speller
  /** Whether a word is the book's own, or the author's. */
  known(word: string): boolean
}

/** A kind of doubt, which can be switched on. */
export interface ProofKind {
  id: string
  /** One of them, and several. */
  name: readonly [one: string, several: string]
  /** What it looks at, for whoever switches it on: a whole sentence. */
  looksAt: string
  /** What it sees in a line. Where the kind does not judge, each is a doubt. The same line gives the same. */
  look?: (line: ReadLine, language: string) => Seen[]
  /** Which of it is doubtful, given the book. */
  judge?: (seen: readonly PlacedSeen[], book: BookTally, reading: Reading) => PlacedSeen[]
}

/** Names a doubt at its place: so it is left there, and stays left while its words do. */
export const placeKey = ({ kind, section, block, was }: Doubt): string => JSON.stringify([kind, block || section, was])

/** Names what a doubt is about wherever it stands; undefined where it can be left at its place alone. */
export const everywhereKey = ({ kind, about }: Pick<Doubt, 'kind' | 'about'>): string | undefined =>
  about === undefined ? undefined : JSON.stringify([kind, about])
