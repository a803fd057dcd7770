import { PathBuilder } from '../../marks'
import { CELL_LINE, gridLines, held, layGrid, setMiddle } from '../gridDrawing'
import type { PuzzleBox, PuzzleWork } from '../puzzle'
import { make } from './make'
import { prove } from './solve'
import type { Shaded, ShadeValues } from './values'

/** Numbers by the side of a cell; the key under the grid: its gap and its squares, in sides of a cell. */
const NUMBER = 0.42
const GAP = 0.8
const SWATCH = 1.5

const below = (answer: boolean): number => (answer ? 0 : GAP + SWATCH)
const ratio = ({ rows, cols }: Shaded, answer: boolean): number => cols / (rows + below(answer))

/** Squares with their numbers and the key under them; an answer is shaded. */
async function draw({ out, puzzle, answer, width, height, place, styleOf }: PuzzleBox<Shaded>): Promise<void> {
  const { rows, cols, numbers, key } = puzzle
  const share = rows / (rows + below(answer))
  const grid = layGrid(rows, cols, width, height * share)
  const { cell, x0, y0 } = grid
  if (answer) {
    key.forEach((k, i) => {
      const squares = new PathBuilder()
      numbers.forEach(
        (n, at) => n === i + 1 && squares.rect(x0 + (at % cols) * cell, y0 + Math.floor(at / cols) * cell, cell, cell),
      )
      if (k) out.add({ kind: 'path', path: squares.build(), fill: { k } })
    })
    gridLines(out, { ...grid, hair: held(CELL_LINE, width) * 0.6 })
    return
  }
  gridLines(out, grid)
  const size = cell * NUMBER
  const style = await styleOf('figtree/regular', size)
  numbers.forEach((n, at) => {
    const [x, y] = [x0 + ((at % cols) + 0.5) * cell, y0 + (Math.floor(at / cols) + 0.5) * cell]
    setMiddle(out, String(n), { style, size, x, y, place })
  })
  const top = y0 + (rows + GAP) * cell
  const step = SWATCH * cell * 1.9
  const left = (width - step * key.length + step - 2 * SWATCH * cell * 0.5) / 2 - SWATCH * cell * 0.3
  const label = await styleOf('figtree/bold', SWATCH * cell * 0.5)
  const frames = new PathBuilder()
  const hair = held(CELL_LINE, width)
  key.forEach((k, i) => {
    const [x, side] = [left + i * step, SWATCH * cell * 0.86]
    const square = new PathBuilder().rect(x, top, side, side)
    if (k) out.add({ kind: 'path', path: square.build(), fill: { k } })
    frames.rect(x, top, side, hair).rect(x, top + side - hair, side, hair)
    frames.rect(x, top, hair, side).rect(x + side - hair, top, hair, side)
    setMiddle(out, String(i + 1), {
      style: label,
      size: SWATCH * cell * 0.5,
      x: x + side * 1.4,
      y: top + side / 2,
      place,
    })
  })
  out.add({ kind: 'path', path: frames.build(), fill: { k: 1 } })
}

export const work: PuzzleWork<ShadeValues, Shaded> = {
  make,
  prove,
  ratio,
  draw,
  record: ({ rows, cols, name, numbers, key }) => ({
    rows,
    cols,
    shows: name,
    numbers: Array.from({ length: rows }, (_, r) => Array.from(numbers.subarray(r * cols, (r + 1) * cols))),
    key: key.map((k, i) => ({ number: i + 1, tone: k })),
  }),
}
