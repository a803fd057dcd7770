import { PathBuilder } from '../../marks'
import { gridLines, layGrid, setMiddle } from '../gridDrawing'
import type { PuzzleBox } from '../puzzle'
import type { Mines } from './field'

const FIGURE = 0.56
/** Half a mine's width in an answer, by the side of a cell; how dark a cell with a number is. */
const MINE = 0.3
const SHOWN = 0.08

/** Shown cells are toned and have their number; a mine of the answer is a ball. */
export async function draw({ out, puzzle, answer, width, height, place, styleOf }: PuzzleBox<Mines>): Promise<void> {
  const { rows, cols, clues, mines } = puzzle
  const grid = layGrid(rows, cols, width, height)
  const { cell, x0, y0 } = grid
  const shown = new PathBuilder()
  const balls = new PathBuilder()
  clues.forEach((n, at) => {
    const [x, y] = [x0 + (at % cols) * cell, y0 + Math.floor(at / cols) * cell]
    if (n >= 0) shown.rect(x, y, cell, cell)
    else if (mines[at]) balls.circle(x + cell / 2, y + cell / 2, cell * MINE)
  })
  out.add({ kind: 'path', path: shown.build(), fill: { k: SHOWN } })
  if (answer) out.add({ kind: 'path', path: balls.build(), fill: { k: 1 } })
  gridLines(out, grid)
  const size = cell * FIGURE
  const style = await styleOf('figtree/regular', size)
  clues.forEach((n, at) => {
    if (n < 0) return
    const [x, y] = [x0 + ((at % cols) + 0.5) * cell, y0 + (Math.floor(at / cols) + 0.5) * cell]
    setMiddle(out, String(n), { style, size, x, y, place })
  })
}
