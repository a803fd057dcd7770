import type { PuzzleWork } from '../puzzle'
import { likeness, silhouetteFor, wholeIn } from '../../silhouettes'
import { circleGround } from './circle'
import { draw } from './draw'
import { gridGround } from './grid'
import { make } from './make'
import { type Maze, sizes } from './maze'
import { prove } from './solve'
import type { MazeValues } from './values'

/** How well a silhouette must read on the grid. */
const READS = 0.75

/** Sides as a record names them: of a cell of a grid; of one of a ring as they lie at its head. */
const letters = ['E', 'S', 'W', 'N']
const ringLetters = ['E', 'N', 'W', 'S', 'N']

export const work: PuzzleWork<MazeValues, Maze> = {
  make: ({ size, outline, own, outlines, doors = 'across', ends, band }, seed, at) => {
    const [rows, cols] = sizes[size]
    if (outline === 'circle') return make(circleGround(cols), { ends, doors, band }, seed)
    const shape = silhouetteFor({ outline, own, outlines }, at, s => likeness(s, rows, cols) >= READS)
    return make(gridGround(rows, cols, shape && wholeIn(shape, rows, cols)), { ends, doors, band }, seed)
  },
  prove,
  ratio: ({ ground }) => (ground.shape === 'circle' ? 1 : ground.cols / ground.rows),
  draw,
  record: ({ ground, open, start, end, path }) => {
    const { shape, cols, inside, rings } = ground
    const at = (cell: number): object => {
      if (!rings) return { row: Math.floor(cell / cols), col: cell % cols }
      const ring = rings.first.findLastIndex(f => f <= cell)
      return { ring, sector: cell - rings.first[ring]! }
    }
    const named = (cell: number): string[] => {
      const sides = Array.from({ length: ground.sides }, (_, k) => k).filter(k => open[cell]! & (1 << k))
      // All that leads from the disc in the middle leads out.
      const names = sides.map(k => (!rings ? letters[k]! : cell ? ringLetters[k]! : 'N'))
      return [...new Set(names)]
    }
    return {
      shape,
      ...(rings && { sectors: rings.sectors }),
      cells: Array.from(open, (_bits, cell) => ({ ...at(cell), open: named(cell) })).filter((_c, cell) => inside[cell]),
      start: at(start.cell),
      end: at(end.cell),
      path: path.map(at),
    }
  },
}
