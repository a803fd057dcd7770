import { PathBuilder } from '../../marks'
import { gridLines, held, type LaidGrid, CELL_LINE, FRAME, setMiddle } from '../gridDrawing'
import type { PuzzleBox } from '../puzzle'
import type { PictureLogic } from './picture'

/** By the side of a cell: from number to number of a column; a digit of a row's number, and the space between two; before the grid. */
const DOWN = 0.74
const DIGIT = 0.33
const SPACE = 0.33
const AIR = 0.22
const FIGURE = 0.58
/** Every so many cells a heavier line helps counting. */
const COUNTED = 5

/** How far a row's numbers reach before the grid, in cells. */
const reach = (clue: number[]): number => clue.reduce((sum, n) => sum + String(n).length * DIGIT + SPACE, 0)

/** Cells that the numbers take above and beside the grid. */
export function margins({ rowClues, colClues }: PictureLogic): { left: number; head: number } {
  const head = Math.max(1, ...colClues.map(c => c.length)) * DOWN
  return { left: Math.max(...rowClues.map(c => reach(said(c)))) + AIR, head: head + AIR }
}

/** An empty line is said as a nought. */
const said = (clue: number[]): number[] => (clue.length ? clue : [0])

/** The grid with its numbers above and beside it; an answer is filled. */
export async function draw({
  out,
  puzzle,
  answer,
  width,
  height,
  place,
  styleOf,
}: PuzzleBox<PictureLogic>): Promise<void> {
  const { rows, cols, rowClues, colClues, filled } = puzzle
  const { left, head } = margins(puzzle)
  const roughly = Math.min(width / (cols + left), height / (rows + head))
  const frame = held(FRAME, roughly * Math.min(rows, cols))
  const cell = Math.min((width - frame) / (cols + left), (height - frame) / (rows + head))
  const x0 = (width - cell * (cols + left) - frame) / 2 + cell * left + frame / 2
  const y0 = (height - cell * (rows + head) - frame) / 2 + cell * head + frame / 2
  const grid: LaidGrid = { rows, cols, cell, x0, y0, frame, hair: held(CELL_LINE, cell * Math.min(rows, cols)) }
  if (answer) {
    const cells = new PathBuilder()
    filled.forEach((f, at) => f && cells.rect(x0 + (at % cols) * cell, y0 + Math.floor(at / cols) * cell, cell, cell))
    out.add({ kind: 'path', path: cells.build(), fill: { k: 1 } })
  }
  gridLines(out, grid, n => n % COUNTED === 0)
  const size = cell * FIGURE
  const style = await styleOf('figtree/regular', size)
  rowClues.forEach((clue, r) =>
    said(clue).forEach((n, i, all) => {
      const x = x0 - cell * (AIR + reach(all.slice(i)) - (reach([n]) - SPACE) / 2)
      setMiddle(out, String(n), { style, size, x, y: y0 + (r + 0.5) * cell, place })
    }),
  )
  colClues.forEach((clue, c) =>
    said(clue).forEach((n, i, all) => {
      const y = y0 - cell * (AIR + (all.length - i - 0.5) * DOWN)
      setMiddle(out, String(n), { style, size, x: x0 + (c + 0.5) * cell, y, place })
    }),
  )
}
