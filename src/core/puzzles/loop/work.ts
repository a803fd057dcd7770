import type { PuzzleWork } from '../puzzle'
import { draw } from './draw'
import { latticeOf, type Loop, type LoopValues } from './lattice'
import { make } from './make'
import { prove } from './solve'

export const work: PuzzleWork<LoopValues, Loop> = {
  make,
  prove,
  ratio: ({ rows, cols }) => cols / rows,
  draw,
  record: puzzle => {
    const { rows, cols, clues } = puzzle
    return {
      rows,
      cols,
      clues: Array.from({ length: rows }, (_, r) =>
        Array.from(clues.subarray(r * cols, (r + 1) * cols), n => (n < 0 ? '?' : n)),
      ),
      loop: walked(puzzle).map(p => [Math.floor(p / (cols + 1)), p % (cols + 1)]),
    }
  },
}

/** The points of the line in order; the last leads back to the first. */
function walked({ rows, cols, line }: Loop): number[] {
  const { sidesOfPoint, pointsOfSide } = latticeOf(rows, cols)
  let side = line.indexOf(1)
  const [first] = pointsOfSide[side]!
  const points = [first]
  for (let at = first; ;) {
    const [a, b] = pointsOfSide[side]!
    at = a === at ? b : a
    if (at === first) return points
    points.push(at)
    const came = side
    side = sidesOfPoint[at]!.find(s => line[s] && s !== came)!
  }
}
