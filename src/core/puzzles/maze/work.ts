import type { PuzzleWork } from '../puzzle'
import { draw } from './draw'
import { type Maze, sizes, ways } from './grid'
import { make } from './make'
import { prove } from './solve'
import type { MazeValues } from './values'

const letters = ['E', 'S', 'W', 'N']

export const work: PuzzleWork<MazeValues, Maze> = {
  make: ({ size, ends, band }, seed) => {
    const [rows, cols] = sizes[size]
    return make({ rows, cols, ends }, band, seed)
  },
  prove,
  ratio: ({ rows, cols }) => cols / rows,
  draw,
  record: ({ cols, open, start, end, path }) => {
    const at = (cell: number): { row: number; col: number } => ({ row: Math.floor(cell / cols), col: cell % cols })
    return {
      shape: 'rectangle',
      cells: Array.from(open, (bits, cell) => ({ ...at(cell), open: letters.filter((_l, i) => bits & ways[i]!) })),
      start: at(start),
      end: at(end),
      path: path.map(at),
    }
  },
}
