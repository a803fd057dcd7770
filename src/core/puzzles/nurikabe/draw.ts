import { PathBuilder } from '../../marks'
import { gridLines, layGrid, setMiddle } from '../gridDrawing'
import type { PuzzleBox } from '../puzzle'
import type { Nurikabe } from './waters'

const FIGURE = 0.54
/** How dark the sea of an answer is: numbers and lines stay to be seen. */
const SEA = 0.62

/** The numbers of the islands in a grid; the answer's sea is filled. */
export async function draw({ out, puzzle, answer, width, height, place, styleOf }: PuzzleBox<Nurikabe>): Promise<void> {
  const { rows, cols, islands, sea } = puzzle
  const grid = layGrid(rows, cols, width, height)
  const { cell, x0, y0 } = grid
  if (answer) {
    const waters = new PathBuilder()
    sea.forEach((s, at) => s && waters.rect(x0 + (at % cols) * cell, y0 + Math.floor(at / cols) * cell, cell, cell))
    out.add({ kind: 'path', path: waters.build(), fill: { k: SEA } })
  }
  gridLines(out, grid)
  const size = cell * FIGURE
  const style = await styleOf('figtree/regular', size)
  for (const island of islands) {
    const [x, y] = [x0 + ((island.cell % cols) + 0.5) * cell, y0 + (Math.floor(island.cell / cols) + 0.5) * cell]
    setMiddle(out, String(island.size), { style, size, x, y, place })
  }
}
