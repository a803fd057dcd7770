import { Fault } from '../../trade'
import type { PuzzleWork } from '../puzzle'
import { draw } from './draw'
import type { Sudoku } from './grid'
import { make } from './make'
import { prove } from './solve'
import { hardestOf, type SudokuValues } from './values'

export const work: PuzzleWork<SudokuValues, Sudoku> = {
  make: ({ size, band }, seed) => {
    const hardest = hardestOf(size)
    if (!hardest.includes(band))
      throw new Fault(
        'band',
        `A sudoku of ${size} by ${size} is never ${band}: it has too few numbers. It can be ${hardest.join(' or ')}.`,
      )
    return make(Number(size), band, seed)
  },
  prove,
  ratio: () => 1,
  draw,
  record: puzzle => puzzle,
}
