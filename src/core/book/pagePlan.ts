/** The page plan of a book without a manuscript: its runs, block by block. Drawn by `core/activity`. */
export interface PagePlan {
  runs: Run[]
  /** Margins of its pages, points; what an outlet asks for is kept where it asks for more. */
  margins?: PlanMargins
  /** Where a page's number is printed, in the foot margin. */
  folios?: 'none' | 'outside' | 'centre'
  /** Pages that the whole book is to have; as many as it takes where it is not said. */
  wished?: number | undefined
  /** Id of the look of its pages (`core/activity/looks`); the plain one where it is not said. */
  look?: string
  /** Puzzles say on which page their answer stands, answers where their puzzle does. */
  references?: boolean
  /** In large print: what is read is set at 16 points or more, as far as its page allows. */
  large?: boolean
}

export interface PlanMargins {
  head: number
  foot: number
  inside: number
  outside: number
}

/** A run of like pages. What it is stands in its kind's own folder (`core/activity/kinds`). */
export interface Run {
  id: string
  kind: string
  /** Pages that it prints; where it prints on fronts only it takes twice as many. */
  pages: number
  /** The section that it stands behind, of those that come after the front pages; where absent, it follows on the front pages. */
  behind?: string
  heading?: RunHeading
  ground?: Ground
  /** How many of what it asks stand on a page; one where it is not said. */
  each?: number
  /** Its pages are dealt in with those of the run before it, one of each in turn. */
  dealt?: boolean
  /** It prints on the fronts of its leaves only: what their backs have. Both sides where absent. */
  backs?: Backs
  /** What chance begins with where pages are made by it: the same seed makes the same pages. */
  seed: number
  /** Values of its kind. */
  params: Record<string, unknown>
  /** Pages of it that the author changed by hand. */
  hand?: HandPage[]
}

/** What the author did by hand to one page of a run. It stays with what the page was made from, wherever that stands in the run. */
export interface HandPage {
  /** Index of the page in its run, where it stood when it was last changed. */
  page: number
  /** What the page was made from: a row, a list, a picture, a day; empty where its place in the run is all that tells it. */
  of: string
  pieces: HandPiece[]
  /** Pieces from the back to the front; those that are not named stand as made, before these. */
  order?: string[]
  /** Pieces that the author put on it. */
  added?: DesignPiece[]
}

/** Changes of what was done to a piece, or of a placed one: what is undefined is as made. */
export type Changes<T> = { [K in keyof T]?: T[K] | undefined }

/** What was done to one piece of a page. */
export interface HandPiece {
  /** The piece, as the page calls it; of one within another both names with a stroke between. */
  piece: string
  /** What the author calls it. */
  name?: string
  /** Moved by, points. */
  x?: number
  y?: number
  /** By how much larger than made: 1 as made. */
  size?: number
  /** In place of what it says. */
  words?: string
  /** What it said when it was reworded. */
  was?: string
  hidden?: boolean
  /** It is not moved, sized or reworded until it is let free. */
  locked?: boolean
}

/** Something that the author placed on a page. What it is stands in its kind's own folder (`core/activity/design/kinds`). */
export interface DesignPiece {
  id: string
  kind: string
  name?: string
  /** Its box from the left top of the room between the margins, shares of the room's width and height: on another trim it stands where it stood. */
  x: number
  y: number
  width: number
  height: number
  locked?: boolean
  /** Values of its kind. */
  params: Record<string, unknown>
}

/** Printed at the head of each page, or over each of several puzzles. */
export interface RunHeading {
  words: string
  /** Numbered: the first bears this number. */
  from?: number
  /** What each is made from stands in place of the words, where that has a name: a list of words. */
  listed?: boolean
}

/** What is printed under a whole leaf and over its edge. */
export interface Ground {
  /** 0 (paper) to 1 (black): of the tone, of a pattern's lines, or of what is darkest in a picture. */
  tone: number
  /** Patterns (`core/activity/grounds`), page by page in turn; without any an even tone. */
  patterns?: string[]
  /** Pictures of the book, page by page in turn, in place of patterns: each fills the leaf. */
  pictures?: string[]
  /** Of a pattern's repeat, points. */
  size?: number
  /** The room within the margins is left clear. */
  clear?: boolean
}

/** The back of a leaf that prints on its front: nothing, a ground, or what its front's puzzles are answered by. */
export interface Backs {
  ground?: Ground
  answers?: boolean
}
