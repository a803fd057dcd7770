import type { PuzzleWork } from '../puzzle'
import { silhouetteFor } from '../silhouettes/choose'
import { likeness, wholeIn } from '../silhouettes/cover'
import { draw } from './draw'
import { type Maze, sizes, ways } from './grid'
import { make } from './make'
import { prove } from './solve'
import type { MazeValues } from './values'

/** How well a silhouette must read on the grid. */
const READS = 0.75

const letters = ['E', 'S', 'W', 'N']

export const work: PuzzleWork<MazeValues, Maze> = {
  make: ({ size, outline = 'none', ends, band }, seed, at) => {
    const [rows, cols] = sizes[size]
    const shape = silhouetteFor(outline, at, s => likeness(s, rows, cols) >= READS)
    return make({ rows, cols, ends, inside: shape && wholeIn(shape, rows, cols) }, band, seed)
  },
  prove,
  ratio: ({ rows, cols }) => cols / rows,
  draw,
  record: ({ cols, open, inside, start, end, path }) => {
    const at = (cell: number): { row: number; col: number } => ({ row: Math.floor(cell / cols), col: cell % cols })
    return {
      shape: inside.every(Boolean) ? 'rectangle' : 'silhouette',
      cells: Array.from(open, (bits, cell) => ({
        ...at(cell),
        open: letters.filter((_l, i) => bits & ways[i]!),
      })).filter((_c, cell) => inside[cell]),
      start: at(start),
      end: at(end),
      path: path.map(at),
    }
  },
}
