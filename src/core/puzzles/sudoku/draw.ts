import { PathBuilder } from '../../marks'
import { setFrag } from '../../type'
import type { PuzzleBox } from '../puzzle'
import type { Sudoku } from './grid'

/** Lines by the length of the grid's side: boxes, and cells; points. What is printed thinner than the least would break up. */
const BOX_LINE = { share: 1 / 160, least: 0.9, most: 2.4 }
const CELL_LINE = { share: 1 / 560, least: 0.3, most: 0.7 }
/** Height of a figure by its cell's side. */
const FIGURE = 0.6
const FIGURE_OF_TWO = 0.5
/** Height of a figure's body by its size, so that it stands in the middle. */
const BODY = 0.7

const held = ({ share, least, most }: typeof BOX_LINE, side: number): number =>
  Math.min(most, Math.max(least, side * share))

/** The grid with its figures; an answer shows what was given heavier than what was found. */
export async function draw({ out, puzzle, answer, width, height, place, styleOf }: PuzzleBox<Sudoku>): Promise<void> {
  const { size, boxRows, boxCols, givens, solution } = puzzle
  const heavy = held(BOX_LINE, Math.min(width, height))
  const light = held(CELL_LINE, Math.min(width, height))
  // The frame's own line stays inside of the box.
  const side = Math.min(width, height) - heavy
  const cell = side / size
  const [x0, y0] = [(width - side) / 2, (height - side) / 2]
  const lines = new PathBuilder()
  for (let i = 0; i <= size; i++) {
    const down = i % boxCols === 0 ? heavy : light
    const across = i % boxRows === 0 ? heavy : light
    const from = heavy / 2
    lines.rect(x0 + i * cell - down / 2, y0 - from, down, side + heavy)
    lines.rect(x0 - from, y0 + i * cell - across / 2, side + heavy, across)
  }
  out.add({ kind: 'path', path: lines.build(), fill: { k: 1 } })
  const points = cell * (size > 9 ? FIGURE_OF_TWO : FIGURE)
  const [given, found] = [await styleOf('figtree/bold', points), await styleOf('figtree/regular', points)]
  for (let r = 0; r < size; r++)
    for (let c = 0; c < size; c++) {
      const value = givens[r]![c]! || (answer ? solution[r]![c]! : 0)
      if (!value) continue
      const frag = (givens[r]![c] ? given : found).frag(String(value))
      setFrag(out, frag, {
        x: x0 + (c + 0.5) * cell - frag.width / 2,
        y: y0 + (r + 0.5) * cell + (points * BODY) / 2,
        place,
      })
    }
}
