/** The eight ways to read in a grid, and their steps. */
export const directions = ['E', 'SE', 'S', 'SW', 'W', 'NW', 'N', 'NE'] as const
export type Direction = (typeof directions)[number]
export const steps: Record<Direction, readonly [down: number, right: number]> = {
  E: [0, 1],
  SE: [1, 1],
  S: [1, 0],
  SW: [1, -1],
  W: [0, -1],
  NW: [-1, -1],
  N: [-1, 0],
  NE: [-1, 1],
}

/** How found words are marked in an answer. */
export const marked = ['tone', 'outline', 'strike'] as const
export type Marked = (typeof marked)[number]
export const markedChoices = [
  { value: 'tone', words: 'a tone' },
  { value: 'outline', words: 'an outline' },
  { value: 'strike', words: 'a line through' },
]

/** A word in a grid: the first letter's cell, and where it reads to. */
export interface PlacedWord {
  /** As it is printed in the list beside the grid. */
  word: string
  letters: string
  row: number
  col: number
  direction: Direction
}

/** Cells that letters may stand in: 1 open, 0 closed; row by row. */
export interface Bed {
  rows: number
  cols: number
  open: Uint8Array
}

/** A box of cells. */
export interface CellBox {
  row: number
  col: number
  rows: number
  cols: number
}

/** What stands in a hollow: a saying, or a silhouette by its id; nothing where it is bare. */
export interface Hollow {
  box: CellBox
  holds: { saying: string } | { silhouette: string } | undefined
}

/** A grid full of letters, as it is printed. */
export interface LetterGrid extends Bed {
  /** A letter a cell, empty where it is closed. */
  letters: string[]
  words: PlacedWord[]
  marked: Marked
  /** What the letters say that belong to no word, in the order of reading, before the rest of them. */
  message?: { words: string; letters: string } | undefined
  /** What stands where the grid is hollow. */
  hollow?: Hollow | undefined
}

export const wholeBed = (rows: number, cols: number): Bed => ({ rows, cols, open: new Uint8Array(rows * cols).fill(1) })

/** The cell of a word's n-th letter. */
export function cellOf({ row, col, direction }: PlacedWord, n: number, cols: number): number {
  const [down, right] = steps[direction]
  return (row + down * n) * cols + col + right * n
}
