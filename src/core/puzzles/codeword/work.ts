import { LayerBuilder, PathBuilder } from '../../marks'
import { setFrag } from '../../type'
import { CELL_LINE, FRAME, held, setMiddle } from '../gridDrawing'
import { drawCells } from '../lattice/draw'
import type { PuzzleBox, PuzzleWork } from '../puzzle'
import { make } from './make'
import { prove } from './solve'
import type { Codeword, CodewordValues } from './values'

/** Letters and numbers by the side of a cell; the key under the grid: its gap, its cells, in sides of a cell. */
const LETTER = 0.56
const NUMBER = 0.29
const GAP = 0.7
const KEY_ROWS = 2

const across = (puzzle: Codeword): number => Math.ceil(Object.keys(puzzle.key).length / KEY_ROWS)
/** Height under the grid: the key's cells are as wide as the grid allows, one and a third times as high. */
const below = (puzzle: Codeword): number => GAP + KEY_ROWS * (puzzle.cols / across(puzzle)) * 1.34

const ratio = (puzzle: Codeword, answer: boolean): number => puzzle.cols / (puzzle.rows + (answer ? 0 : below(puzzle)))

/** Where a lattice lies, points. */
interface Laid {
  cell: number
  x0: number
  y0: number
}

/** The lattice with its numbers, letters that are given in theirs; under it the key to be filled in. */
async function draw(on: PuzzleBox<Codeword>): Promise<void> {
  const { out, puzzle, answer, width, height } = on
  const { rows, cols } = puzzle
  const frame = held(FRAME, Math.min(width, height))
  const cell = Math.min((width - frame) / cols, (height - frame) / (rows + (answer ? 0 : below(puzzle))))
  const laid = { cell, x0: (width - cols * cell) / 2, y0: frame / 2 }
  const [grid, key] = [new LayerBuilder(), new LayerBuilder()]
  await drawGrid({ ...on, out: grid }, laid)
  out.add({ kind: 'group', piece: { id: 'grid' }, layers: [grid.build()] })
  if (answer) return
  await drawKey({ ...on, out: key }, laid)
  out.add({ kind: 'group', piece: { id: 'key' }, layers: [key.build()] })
}

async function drawGrid(on: PuzzleBox<Codeword>, { cell, x0, y0 }: Laid): Promise<void> {
  const { out, puzzle, answer, place, styleOf } = on
  const { cols, numbers, letters, hints } = puzzle
  drawCells({ ...on, puzzle: { ...puzzle, black: true } }, { cell, x0, y0 })
  const given = new Set(hints)
  const [size, small] = [cell * LETTER, cell * NUMBER]
  const [letter, told, number] = [
    await styleOf('figtree/regular', size),
    await styleOf('figtree/bold', size),
    await styleOf('figtree/regular', small),
  ]
  numbers.forEach((n, at) => {
    if (!n) return
    const [x, y] = [x0 + (at % cols) * cell, y0 + Math.floor(at / cols) * cell]
    setFrag(out, number.frag(String(n)), { x: x + cell * 0.07, y: y + small * 0.95, place })
    if (answer || given.has(n))
      setMiddle(out, letters[at]!, {
        style: given.has(n) ? told : letter,
        size,
        x: x + cell / 2,
        y: y + cell * 0.6,
        place,
      })
  })
}

/** A cell a number, two rows of them, for the letter that it is. */
async function drawKey(
  { out, puzzle, width, place, styleOf }: PuzzleBox<Codeword>,
  { cell, x0, y0 }: Laid,
): Promise<void> {
  const { rows, cols, hints, key } = puzzle
  const given = new Set(hints)
  const wide = (cols * cell) / across(puzzle)
  const top = y0 + (rows + GAP) * cell
  const hair = held(CELL_LINE, width)
  const lines = new PathBuilder()
  const [size, small] = [wide * 0.5, wide * 0.28]
  const [letter, number] = [await styleOf('figtree/bold', size), await styleOf('figtree/regular', small)]
  for (const [n, sign] of Object.entries(key)) {
    const i = Number(n) - 1
    const [x, y] = [x0 + (i % across(puzzle)) * wide, top + Math.floor(i / across(puzzle)) * wide * 1.34]
    const side = wide * 0.9
    lines
      .rect(x, y, side, hair)
      .rect(x, y + side * 1.3, side, hair)
      .rect(x, y, hair, side * 1.3)
    lines.rect(x + side - hair, y, hair, side * 1.3)
    setFrag(out, number.frag(n), { x: x + wide * 0.08, y: y + small * 1.1, place })
    if (given.has(Number(n))) setMiddle(out, sign, { style: letter, size, x: x + side / 2, y: y + side * 0.8, place })
  }
  out.add({ kind: 'path', path: lines.build(), fill: { k: 1 } })
}

export const work: PuzzleWork<CodewordValues, Codeword> = {
  make,
  prove,
  ratio,
  draw,
  record: ({ rows, cols, numbers, key, hints }) => ({
    rows,
    cols,
    numbers: Array.from({ length: rows }, (_, r) => numbers.slice(r * cols, (r + 1) * cols)),
    key,
    hints,
  }),
}
