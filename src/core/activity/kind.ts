import type { ObjectSchema } from 'yup'
import type { Asset, HandPage, Run } from '../book'
import type { Edges, LayerBuilder, MarkPlace } from '../marks'
import type { Rules, ShapeGrid } from '../puzzles'
import type { Ticker } from '../trade'
import type { TextStyle } from '../type'
import type { PageLook } from './looks'

/** What a value of a sentence is set with. Lengths in points, shares 0 to 1, counts whole; `says` is its name for those who cannot see the sentence. */
export type Control = { says: string } & (
  | { as: 'length' | 'share'; least: number; most: number; step: number }
  | { as: 'count'; least: number; most: number }
  | { as: 'choice'; choices: readonly { value: string; words: string }[] }
  | { as: 'several'; none: string; choices: readonly { value: string; words: string }[] }
  | { as: 'columns'; most: number }
  | { as: 'run' }
  | { as: 'date' }
  | { as: 'holidays' }
  | { as: 'pictures'; one?: 'page' }
  | { as: 'placed' }
  | { as: 'words'; clued: boolean; sayings?: boolean; rows?: boolean; apart?: boolean }
  | { as: 'shape'; grids: (values: never) => readonly ShapeGrid[] }
)

/** Room of a page between its margins, points. What is drawn has the room's left top at the origin. */
export interface Room {
  width: number
  height: number
}

/** The whole leaf about a room: its left top, trim and what is printed over the trim; points from the room's left top. */
export interface Leaf extends Room {
  x: number
  y: number
  bleed: Edges
}

/** A page of a run as its kind draws it. */
export interface DrawnPage<P, M> {
  out: LayerBuilder
  params: P
  /** What `make` made. */
  made: M
  /** Which page of the run, from 0. */
  index: number
  room: Room
  leaf: Leaf
  /** Below the heading, where there is one. */
  top: number
  side: Side
  place: MarkPlace
  /** Of the book, as a tag: "en-GB". */
  language: string
  look: PageLook
  /** How much larger small print is than usual: in large print more than 1. */
  print: number
  styleOf: StyleOf
  /** What a piece of it says after the author's hand, by its name and what was made: see `wordedPiece`. */
  words: (piece: string, made: string) => string
  /** The book's pictures by id. */
  assets?: ReadonlyMap<string, Asset> | undefined
  /** The folio of a page of the run that it refers to, where references are printed. */
  folioOf?: ((index: number) => string | undefined) | undefined
}

export type Side = 'recto' | 'verso'

/** A style of text for small print: face key, size in points, tone (1: black). */
export type StyleOf = (face: string, size: number, tone?: number) => Promise<TextStyle>

/** What the pages of a run are made from. */
export interface Making<P> {
  params: P
  seed: number
  /** Of the book, as a tag. */
  language: string
  /** How many things it is for: a page each, or several a page. */
  count: number
  /** Which of them are wanted, from 0, where its kind makes each by itself and not all are. */
  only?: readonly number[] | undefined
  /** The run that it refers to and what was made for it, where its kind refers to one and it is there. */
  other?: MadeRun | undefined
  /** What runs of the same kind before it in the book have: it makes no twins of these. */
  avoid?: ReadonlySet<string> | undefined
  /** Hears how far it has come, and throws when nobody waits any more. */
  ticker?: Ticker | undefined
}

/** A run with what its kind made for it. */
export interface MadeRun {
  run: Run
  kind: RunKind
  made: unknown
  /** The author's hand on its pages, by their index. */
  hands?: { on: ReadonlyMap<number, HandPage> }
}

/**
 * A kind of run. It is one folder: its values with their schema, the sentence they are said in, what makes and what draws it, its
 * tests. `P`: its values. `M`: what is made of them once for the whole run, before pages are drawn (a puzzle's grids, say).
 */
export interface RunKind<P extends object = object, M = unknown> {
  id: string
  /** "Lined". */
  name: string
  /** What its pages are for, in a few words. */
  says: string
  /** Among what it is offered. */
  family: Family
  /** The shape of its values, held against everything that comes in; made when it is asked for. */
  schema: () => ObjectSchema<P>
  /** How a new run of it begins. */
  plain: P
  /** Its values in a sentence: "Lines {spacing} apart". What stands in [name=value: …] is said only where that value is. */
  sentence: string
  controls: { [K in keyof P & string]: Control }
  /** All its pages look alike: one is drawn for all of them. */
  alike: boolean
  /** What its pages show is an array of things made each by itself: some can be made without the others. */
  singly?: boolean
  /** It prints nothing, not even a folio. */
  bare?: boolean
  /** A left page is drawn otherwise than a right one. */
  sided?: boolean
  /** The side that its first page asks for. */
  begins?(params: P): Side | undefined
  /** The run that its values name: its pages show what belongs to that one's. */
  refersTo?(params: P): string
  /** How many pages its values, or the run it refers to, lead to; where absent or undefined, as many as the run says. */
  pagesFor?(params: P, other: Run | undefined): number | undefined
  /** Where its pages answer what the other run asks: the page for one thing, from 0. */
  answerPage?(params: P, asked: number): number
  /** What the list that one of its pages is made from is called. */
  listName?(params: P, index: number): Promise<string | undefined>
  /** What one of its pages is made from, by a name that stays with it wherever it stands: a row, a day, a picture. */
  madeFrom?(params: P, made: M, index: number): string | undefined | Promise<string | undefined>
  /** Some of it is printed over the edge of the leaf. */
  bleeds?(params: P): boolean
  /** Width by height of one thing that its pages show, where that follows from it. */
  ratio?(made: M, index: number): number | Promise<number>
  /** What its pages ask of the reader, to be answered elsewhere in the book. */
  answers?: DrawsAnswers
  /** How what its pages ask is solved, and values that make a small example. */
  howTo?: { rules: Rules; values: Partial<P> }
  /** Makes what its pages show: the same for the same values and seed. */
  make(of: Making<P>): M | Promise<M>
  /** What was made, each by a name that it shares with its twins: no run has what one of its kind before it has. */
  twins?(made: M): readonly string[]
  draw(page: DrawnPage<P, M>): void | Promise<void>
  /** What stands on its sample, where its pages are the author's own and none is there yet. */
  example?(page: Omit<DrawnPage<P, M>, 'made'>): void | Promise<void>
}

/** What kinds are offered under. */
export const families = {
  rulings: 'To write and draw on',
  sheets: 'To fill in',
  dates: 'Days, weeks, months',
  puzzles: 'Puzzles',
  read: 'To read and look at',
} as const
export type Family = keyof typeof families

/** How a kind whose pages ask something draws the answers, a page's answer in a box. */
export interface DrawsAnswers {
  /** Width by height of one. */
  ratio(made: unknown, index: number): number | Promise<number>
  draw(
    made: unknown,
    index: number,
    on: Pick<DrawnPage<object, unknown>, 'out' | 'place' | 'styleOf' | 'language'> & Room,
  ): void | Promise<void>
}

/** Kinds are written with their own types and kept without them: what a run holds was checked against its kind's schema. */
export const aKind = <P extends object, M>(kind: RunKind<P, M>): RunKind => kind as unknown as RunKind
