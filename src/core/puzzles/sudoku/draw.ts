import { gridLines, layGrid, setMiddle } from '../gridDrawing'
import type { PuzzleBox } from '../puzzle'
import type { Sudoku } from './grid'

/** Height of a figure by its cell's side. */
const FIGURE = 0.6
const FIGURE_OF_TWO = 0.5

/** The grid with its figures; an answer shows what was given heavier than what was found. */
export async function draw({ out, puzzle, answer, width, height, place, styleOf }: PuzzleBox<Sudoku>): Promise<void> {
  const { size, boxRows, boxCols, givens, solution } = puzzle
  const grid = layGrid(size, size, width, height)
  gridLines(out, grid, (n, down) => n % (down ? boxCols : boxRows) === 0)
  const points = grid.cell * (size > 9 ? FIGURE_OF_TWO : FIGURE)
  const [given, found] = [await styleOf('figtree/bold', points), await styleOf('figtree/regular', points)]
  for (let r = 0; r < size; r++)
    for (let c = 0; c < size; c++) {
      const value = givens[r]![c]! || (answer ? solution[r]![c]! : 0)
      if (!value) continue
      const [x, y] = [grid.x0 + (c + 0.5) * grid.cell, grid.y0 + (r + 0.5) * grid.cell]
      setMiddle(out, String(value), { style: givens[r]![c] ? given : found, size: points, x, y, place })
    }
}
