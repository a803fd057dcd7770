import type { PuzzleWork } from '../puzzle'
import { draw, margins } from './draw'
import { make } from './make'
import type { PictureLogic, PictureValues } from './picture'
import { prove } from './solve'

export const work: PuzzleWork<PictureValues, PictureLogic> = {
  make,
  prove,
  ratio: puzzle => {
    const { left, head } = margins(puzzle)
    return (puzzle.cols + left) / (puzzle.rows + head)
  },
  draw,
  record: ({ rows, cols, rowClues, colClues, filled }) => ({
    rowClues,
    colClues,
    solution: Array.from({ length: rows }, (_, r) =>
      Array.from(filled.subarray(r * cols, (r + 1) * cols), f => (f ? '#' : '.')).join(''),
    ),
  }),
}
