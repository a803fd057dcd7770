import type { ObjectSchema } from 'yup'
import type { LayerBuilder, MarkPlace } from '../marks'
import type { TextStyle } from '../type'
import type { Difficulty } from './difficulty'
import type { Rules } from './rules'

/** A puzzle as its maker hands it over. */
export interface Candidate<Z> {
  puzzle: Z
  difficulty: Difficulty
  /** The same for twins: puzzles that a turn, a mirror or other names for the same signs make of each other. */
  twin: string
}

/** A puzzle that was made and proven. */
export interface Made<Z = unknown> extends Candidate<Z> {
  /** What its own chance began with. */
  seed: number
}

/** What a solver that shares no code with the maker says of a puzzle: how many answers it has (2: two or more), and whether the only one is the maker's. */
export interface Proof {
  answers: 0 | 1 | 2
  agrees: boolean
}

/** Where a puzzle, or its answer, is drawn: a box of points with its left top at the origin. */
export interface PuzzleBox<Z> {
  out: LayerBuilder
  puzzle: Z
  answer: boolean
  width: number
  height: number
  place: MarkPlace
  /** Of the book, BCP 47. */
  language: string
  /** A style of text for small print: face key, size in points. */
  styleOf(face: string, size: number): Promise<TextStyle>
}

/** Which puzzle of its run one is, from 0, and the run's own seed: what is dealt over all of them is dealt by both. */
export interface InRun {
  index: number
  run: number
}

/** What a kind of puzzle does; all of it the same for the same values on every machine. */
export interface PuzzleWork<P extends object, Z> {
  /** A puzzle, or nothing where this seed leads to none within a budget of steps. Throws a Fault where the values lead to none at all. */
  make(params: P, seed: number, at: InRun): Candidate<Z> | undefined
  prove(puzzle: Z): Proof
  /** Width by height of its drawing, or of its answer's. */
  ratio(puzzle: Z, answer: boolean): number
  draw(on: PuzzleBox<Z>): void | Promise<void>
  /** What `press puzzles` prints of it: puzzle and answer, complete enough for another program to check. docs/formats.md. */
  record(puzzle: Z): object
}

/** A grid that a shape is laid on, and the values of the kind that make it so. */
export interface ShapeGrid {
  rows: number
  cols: number
  values: object
}

/**
 * What a value of a kind is set with: one of a few words, several of them (`none`: what is taken where none is chosen), a whole number, or a source of words (`clued`: each wants its clue; `sayings`: they are whole
 * sentences; `apart`: none may stand inside another), or a shape of the author's own (`grids`: the grid it is laid on by the other
 * values, and larger ones that there are); `says` is its name for those who cannot see the sentence.
 */
export type PuzzleControl = { says: string } & (
  | { as: 'choice'; choices: readonly { value: string; words: string }[] }
  | { as: 'several'; none: string; choices: readonly { value: string; words: string }[] }
  | { as: 'count'; least: number; most: number }
  | { as: 'words'; clued: boolean; sayings?: boolean; rows?: boolean; apart?: boolean }
  | { as: 'shape'; grids: (values: never) => readonly ShapeGrid[] }
)

/** A kind of puzzle: one folder of `core/puzzles`. `P`: its values. `Z`: one puzzle with its answer. */
export interface PuzzleKind<P extends object = object, Z = unknown> {
  id: string
  /** "Sudoku". */
  name: string
  /** What it asks of whoever solves it, in a few words. */
  says: string
  /** The shape of its values, held against everything that comes in; made when it is asked for. */
  schema: () => ObjectSchema<P>
  /** How a new one begins. */
  plain: P
  /** Its values in a sentence: "Grids of {size}, {band} to solve." */
  sentence: string
  controls: { [K in keyof P & string]-?: PuzzleControl }
  /** How it is solved, and values that make a small example. */
  howTo: { rules: Rules; values: Partial<P> }
  /** Its maker, solver and drawing: loaded when a puzzle is first wanted. */
  work(): Promise<PuzzleWork<P, Z>>
}

/** Kinds are written with their own types and kept without them: values were checked against the kind's schema. */
export const aPuzzle = <P extends object, Z>(kind: PuzzleKind<P, Z>): PuzzleKind => kind as unknown as PuzzleKind
