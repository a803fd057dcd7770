import type { Band } from '../difficulty'

/** A picture in cells, and the lengths of its filled stretches along each row and column. An empty line has none. */
export interface PictureLogic {
  rows: number
  cols: number
  rowClues: number[][]
  colClues: number[][]
  /** 1 where a cell is filled, row by row. */
  filled: Uint8Array
}

export interface PictureValues {
  rows: number
  cols: number
  /** Blots where it is not said. */
  pictures?: 'blots' | 'silhouettes' | undefined
  /** Silhouettes that are taken. */
  outlines?: readonly string[] | undefined
  band: Band
}

export const LEAST = 5
export const MOST = 25

/** Lengths of the filled stretches of a line. */
export function stretches(line: ArrayLike<number>): number[] {
  const out: number[] = []
  for (let i = 0; i < line.length; i++) {
    if (!line[i]) continue
    if (i && line[i - 1]) out[out.length - 1]!++
    else out.push(1)
  }
  return out
}

/** Cells of each line, rows first, then columns. */
export function linesOf(rows: number, cols: number): number[][] {
  return [
    ...Array.from({ length: rows }, (_, r) => Array.from({ length: cols }, (_, c) => r * cols + c)),
    ...Array.from({ length: cols }, (_, c) => Array.from({ length: rows }, (_, r) => r * cols + c)),
  ]
}

/** The puzzle that a picture asks. */
export function asked(rows: number, cols: number, filled: Uint8Array): PictureLogic {
  const clues = linesOf(rows, cols).map(line => stretches(line.map(c => filled[c]!)))
  return { rows, cols, filled, rowClues: clues.slice(0, rows), colClues: clues.slice(rows) }
}
