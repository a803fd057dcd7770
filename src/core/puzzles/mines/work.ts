import type { PuzzleWork } from '../puzzle'
import { draw } from './draw'
import type { Mines, MinesValues } from './field'
import { make } from './make'
import { prove } from './solve'

export const work: PuzzleWork<MinesValues, Mines> = {
  make,
  prove,
  ratio: ({ rows, cols }) => cols / rows,
  draw,
  record: ({ rows, cols, clues, mines }) => ({
    rows,
    cols,
    clues: Array.from({ length: rows }, (_, r) =>
      Array.from(clues.subarray(r * cols, (r + 1) * cols), n => (n < 0 ? '?' : n)),
    ),
    mines: Array.from(mines.keys())
      .filter(cell => mines[cell])
      .map(cell => ({ row: Math.floor(cell / cols), col: cell % cols })),
  }),
}
