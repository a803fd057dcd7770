import type { PuzzleWork } from '../puzzle'
import { draw } from './draw'
import { make } from './make'
import { prove } from './solve'
import type { Nurikabe, NurikabeValues } from './waters'

export const work: PuzzleWork<NurikabeValues, Nurikabe> = {
  make,
  prove,
  ratio: ({ rows, cols }) => cols / rows,
  draw,
  record: ({ rows, cols, islands, sea }) => ({
    rows,
    cols,
    islands: islands.map(({ cell, size }) => ({ row: Math.floor(cell / cols), col: cell % cols, size })),
    solution: Array.from({ length: rows }, (_, r) =>
      Array.from(sea.subarray(r * cols, (r + 1) * cols), s => (s ? '#' : '.')).join(''),
    ),
  }),
}
