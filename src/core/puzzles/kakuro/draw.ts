import { PathBuilder } from '../../marks'
import { gridLines, layGrid, setMiddle } from '../gridDrawing'
import type { PuzzleBox } from '../puzzle'
import type { Kakuro } from './sheet'

const FIGURE = 0.56
const SUM = 0.34
/** How dark a cell without a digit is, and how far a sum stands from its corner, by the side of a cell. */
const CLOSED = 0.16
const INTO = 0.3

/** Open cells, and toned ones with the sums of what lies below and to the right, parted by a line from corner to corner. */
export async function draw({ out, puzzle, answer, width, height, place, styleOf }: PuzzleBox<Kakuro>): Promise<void> {
  const { rows, cols, runs, solution } = puzzle
  const grid = layGrid(rows, cols, width, height)
  const { cell, x0, y0, hair } = grid
  const corner = (at: number): [number, number] => [x0 + (at % cols) * cell, y0 + Math.floor(at / cols) * cell]
  const open = new Set(runs.flatMap(run => run.cells))
  const closed = new PathBuilder()
  for (let at = 0; at < rows * cols; at++) if (!open.has(at)) closed.rect(...corner(at), cell, cell)
  out.add({ kind: 'path', path: closed.build(), fill: { k: CLOSED } })
  gridLines(out, grid)
  const headed = new Set(runs.map(run => run.cells[0]! - (run.down ? cols : 1)))
  const parted = new PathBuilder()
  for (const at of headed) {
    const [x, y] = corner(at)
    parted.move(x, y).line(x + cell, y + cell)
  }
  out.add({ kind: 'path', path: parted.build(), stroke: { colour: { k: 1 }, width: hair } })
  const small = cell * SUM
  const sums = await styleOf('figtree/bold', small)
  for (const { cells, down, sum } of runs) {
    const [x, y] = corner(cells[0]! - (down ? cols : 1))
    const [sx, sy] = down
      ? [x + cell * INTO, y + cell * (1 - INTO / 1.2)]
      : [x + cell * (1 - INTO), y + (cell * INTO) / 1.2]
    setMiddle(out, String(sum), { style: sums, size: small, x: sx, y: sy, place })
  }
  if (!answer) return
  const size = cell * FIGURE
  const style = await styleOf('figtree/regular', size)
  for (const at of open) {
    const [x, y] = corner(at)
    setMiddle(out, String(solution[at]), { style, size, x: x + cell / 2, y: y + cell / 2, place })
  }
}
