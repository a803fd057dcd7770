import { Fault } from '../../trade'
import type { PuzzleWork } from '../puzzle'
import { draw } from './draw'
import { make } from './make'
import type { Kakuro, KakuroValues } from './sheet'
import { prove } from './solve'

/** Cells within the head row and the left column of a sheet that is soon seen through. */
const SMALL = 20

export const work: PuzzleWork<KakuroValues, Kakuro> = {
  make: (values, seed) => {
    const { rows, cols, band } = values
    if ((rows - 1) * (cols - 1) <= SMALL && (band === 'hard' || band === 'stubborn'))
      throw new Fault(
        'band',
        `A sheet of ${cols} by ${rows} is never ${band}: it has too few sums. It can be middling.`,
      )
    return make(values, seed)
  },
  prove,
  ratio: ({ rows, cols }) => cols / rows,
  draw,
  record: ({ rows, cols, runs, solution }) => ({
    rows,
    cols,
    runs: runs.map(({ cells, down, sum }) => ({
      row: Math.floor(cells[0]! / cols),
      col: cells[0]! % cols,
      length: cells.length,
      direction: down ? 'down' : 'across',
      sum,
    })),
    solution: Array.from({ length: rows }, (_, r) => solution.slice(r * cols, (r + 1) * cols)),
  }),
}
