import type { Band } from '../difficulty'

/** A square in which every row and column has each number once; cells count from 0, row by row. */
export interface Inequality {
  size: number
  /** Numbers that are given, 0 where none is. */
  givens: number[]
  /** Two neighbours, the first of which has the lower number. */
  signs: (readonly [less: number, more: number])[]
  solution: number[]
}

export const sizes = ['4', '5', '6', '7'] as const

export interface InequalityValues {
  size: (typeof sizes)[number]
  band: Band
}

/** Rows, then columns: their cells. */
export function linesOf(size: number): number[][] {
  const all = [...Array(size).keys()]
  return [...all.map(r => all.map(c => r * size + c)), ...all.map(c => all.map(r => r * size + c))]
}

/** All pairs of cells that lie side by side or one above the other. */
export function neighbours(size: number): [number, number][] {
  const pairs: [number, number][] = []
  for (let cell = 0; cell < size * size; cell++) {
    if ((cell + 1) % size) pairs.push([cell, cell + 1])
    if (cell + size < size * size) pairs.push([cell, cell + size])
  }
  return pairs
}
