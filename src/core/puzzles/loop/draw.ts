import { PathBuilder } from '../../marks'
import { held, setMiddle, type Weight } from '../gridDrawing'
import type { PuzzleBox } from '../puzzle'
import type { Loop } from './lattice'

/** Half a dot's width, and the line's of an answer, by the side of a cell. */
const DOT: Weight = { share: 0.055, least: 0.75, most: 1.8 }
const LINE: Weight = { share: 0.11, least: 1, most: 3.4 }
const FIGURE = 0.52

/** Dots at the corners of cells, and numbers between them; the answer joins the dots. */
export async function draw({ out, puzzle, answer, width, height, place, styleOf }: PuzzleBox<Loop>): Promise<void> {
  const { rows, cols, clues, line } = puzzle
  const roughly = Math.min(width / cols, height / rows)
  const dot = held(DOT, roughly)
  const wide = held(LINE, roughly)
  const edge = Math.max(dot, wide / 2)
  const cell = Math.min((width - 2 * edge) / cols, (height - 2 * edge) / rows)
  const [x0, y0] = [(width - cell * cols) / 2, (height - cell * rows) / 2]
  if (answer) {
    // Each side as a bar with square ends: where two meet at a corner, it is filled.
    const bars = new PathBuilder()
    const lying = (rows + 1) * cols
    line.forEach((drawn, side) => {
      if (!drawn) return
      const down = side >= lying
      const at = down ? side - lying : side
      const each = down ? cols + 1 : cols
      const [x, y] = [x0 + (at % each) * cell, y0 + Math.floor(at / each) * cell]
      const [w, h] = down ? [wide, cell + wide] : [cell + wide, wide]
      bars.rect(x - wide / 2, y - wide / 2, w, h)
    })
    out.add({ kind: 'path', path: bars.build(), fill: { k: 1 } })
  }
  const dots = new PathBuilder()
  for (let r = 0; r <= rows; r++) for (let c = 0; c <= cols; c++) dots.circle(x0 + c * cell, y0 + r * cell, dot)
  out.add({ kind: 'path', path: dots.build(), fill: { k: 1 } })
  const size = cell * FIGURE
  const style = await styleOf('figtree/regular', size)
  clues.forEach((clue, at) => {
    if (clue < 0) return
    const [x, y] = [x0 + ((at % cols) + 0.5) * cell, y0 + (Math.floor(at / cols) + 0.5) * cell]
    setMiddle(out, String(clue), { style, size, x, y, place })
  })
}
