import { Fault } from '../../trade'
import type { PuzzleWork } from '../puzzle'
import { draw } from './draw'
import type { Inequality, InequalityValues } from './grid'
import { make } from './make'
import { bandsOf } from './reason'
import { prove } from './solve'

const rowsOf = (size: number, cells: number[]): number[][] =>
  Array.from({ length: size }, (_, r) => cells.slice(r * size, (r + 1) * size))

export const work: PuzzleWork<InequalityValues, Inequality> = {
  make: ({ size, band }, seed) => {
    const own = bandsOf(Number(size))
    if (!own.includes(band))
      throw new Fault('band', `A square of ${size} by ${size} is never ${band}: it is ${own.join(', ')}.`)
    return make(Number(size), band, seed)
  },
  prove,
  ratio: () => 1,
  draw,
  record: ({ size, givens, signs, solution }) => ({
    size,
    givens: rowsOf(size, givens),
    signs: signs.map(([less, more]) => ({
      row: Math.floor(less / size),
      col: less % size,
      row2: Math.floor(more / size),
      col2: more % size,
    })),
    solution: rowsOf(size, solution),
  }),
}
