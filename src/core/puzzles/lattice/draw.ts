import { LayerBuilder, PathBuilder } from '../../marks'
import { setFrag } from '../../type'
import { pageWords } from '../../words'
import { CELL_LINE, FRAME, held, setMiddle } from '../gridDrawing'
import type { PuzzleBox } from '../puzzle'
import { clueBlocks, columnsWith, LEADING } from './clues'
import type { Crossword } from './crossword'

/** Letters, and numbers in the corner, by the side of a cell. */
const LETTER = 0.58
const NUMBER = 0.3
/** Clues, in sides of a cell: their size, the gap above them and between columns. */
const CLUE = 0.42
const GAP = 0.8
const BETWEEN = 0.5
/** Width of a letter of a clue, by its size: as the shape is told before its face is loaded. */
const WIDE = 0.5

/** Cells that clues are as wide as where the grid is narrower; a small grid has them under itself, and larger. */
const CLUES = 15
const SMALL = 10
const clueSize = ({ cols }: Crossword): number => (cols < SMALL ? CLUE * 1.35 : CLUE)
/** Width by height of what many clues are spread to at the least: leaves are about so. */
const LEAF = 0.6
/** Cells that a column of clues is wide. */
const COLUMN = 5

/** How many cells wide grid and clues are, and in how many columns the clues stand: the more clues, the wider. */
function spread(puzzle: Crossword): { wide: number; columns: number; high: number } {
  const { cols, rows } = puzzle
  for (let wide = cols < SMALL ? cols : Math.max(cols, CLUES); ; wide += COLUMN / 2) {
    const columns = Math.max(2, Math.floor(wide / COLUMN))
    const high = clueHeight(puzzle, wide, columns)
    if (wide >= LEAF * (rows + high) || wide > 2 * cols) return { wide, columns, high }
  }
}

/** How high clues are above the foot, the gap over them counted, about; in cells. */
function clueHeight(puzzle: Crossword, wide: number, columns: number): number {
  const room = (wide - (columns - 1) * BETWEEN) / columns / (clueSize(puzzle) * WIDE) - 3
  const lines = puzzle.entries.reduce((n, e) => n + Math.ceil((e.clue.length + 4) / room), 0) + 3
  return GAP + (Math.ceil(lines / columns) + 2) * clueSize(puzzle) * LEADING
}

/** The whole drawing in cells: an answer is its grid alone. */
function sizeOf(puzzle: Crossword, answer: boolean): { wide: number; high: number } {
  if (answer) return { wide: puzzle.cols, high: puzzle.rows }
  const { wide, high } = spread(puzzle)
  return { wide, high: puzzle.rows + high }
}

export function ratio(puzzle: Crossword, answer: boolean): number {
  const { wide, high } = sizeOf(puzzle, answer)
  return (wide + 0.1) / (high + 0.1)
}

/** Where the cells of a grid lie. */
export interface Laid {
  cell: number
  x0: number
  y0: number
}

/** The grid, and under it its clues; an answer is the grid with its letters. */
export async function draw(on: PuzzleBox<Crossword>): Promise<void> {
  const { puzzle, answer, width, height, place, styleOf } = on
  const { cols, letters, entries, given } = puzzle
  const frame = held(FRAME, Math.min(width, height))
  const { wide, high } = sizeOf(puzzle, answer)
  const cell = Math.min((width - frame) / wide, (height - frame) / high)
  const laid = { cell, x0: (width - cols * cell) / 2, y0: frame / 2 }
  const grid = new LayerBuilder()
  drawCells({ ...on, out: grid }, laid)
  const [size, small] = [cell * LETTER, cell * NUMBER]
  const [letter, told, number] = [
    await styleOf('figtree/regular', size),
    await styleOf('figtree/bold', size),
    await styleOf('figtree/regular', small),
  ]
  for (const e of entries) {
    const [x, y] = [laid.x0 + e.col * cell, laid.y0 + e.row * cell]
    setFrag(grid, number.frag(String(e.number)), { x: x + cell * 0.07, y: y + small * 0.95, place })
  }
  const isGiven = new Set(given)
  letters.forEach((sign, at) => {
    if (!sign || !(answer || isGiven.has(at))) return
    const [x, y] = [laid.x0 + ((at % cols) + 0.5) * cell, laid.y0 + (Math.floor(at / cols) + 0.56) * cell]
    setMiddle(grid, sign, { style: isGiven.has(at) ? told : letter, size, x, y, place })
  })
  on.out.add({ kind: 'group', piece: { id: 'grid' }, layers: [grid.build()] })
  if (!answer) await clues(on, laid)
}

/** Blocked cells black, or all open cells framed one by one where nothing is printed elsewhere. */
export function drawCells(
  {
    out,
    puzzle: { rows, cols, open, black },
    width,
  }: { out: PuzzleBox<unknown>['out']; puzzle: Pick<Crossword, 'rows' | 'cols' | 'open' | 'black'>; width: number },
  { cell, x0, y0 }: Laid,
): void {
  const hair = held(CELL_LINE, width) * 1.2
  const [lines, blocks] = [new PathBuilder(), new PathBuilder()]
  const stands = (r: number, c: number): boolean =>
    black || (r >= 0 && c >= 0 && r < rows && c < cols && !!open[r * cols + c])
  for (let r = 0; r <= rows; r++)
    for (let c = 0; c <= cols; c++) {
      const [x, y] = [x0 + c * cell, y0 + r * cell]
      if (c < cols && (stands(r, c) || stands(r - 1, c))) lines.rect(x - hair / 2, y - hair / 2, cell + hair, hair)
      if (r < rows && (stands(r, c) || stands(r, c - 1))) lines.rect(x - hair / 2, y - hair / 2, hair, cell + hair)
      if (black && r < rows && c < cols && !open[r * cols + c]) blocks.rect(x, y, cell, cell)
    }
  out.add({ kind: 'path', path: lines.build(), fill: { k: 1 } })
  if (black) out.add({ kind: 'path', path: blocks.build(), fill: { k: 1 } })
}

/** Clues in columns, as large as lets them all stand. */
async function clues(
  { out, puzzle, width, height, place, styleOf, language }: PuzzleBox<Crossword>,
  laid: Laid,
): Promise<void> {
  const { cell, y0 } = laid
  const { wide, columns: count } = spread(puzzle)
  const x0 = (width - wide * cell) / 2
  const top = y0 + (puzzle.rows + GAP) * cell
  const room = ((wide - (count - 1) * BETWEEN) * cell) / count
  for (let size = clueSize(puzzle) * cell; ; size *= 0.95) {
    const [text, head] = [await styleOf('figtree/regular', size), await styleOf('figtree/bold', size)]
    const indent = size * 1.7
    const broken = { room: room - indent, widthOf: (w: string) => text.frag(w).width, names: pageWords(language) }
    const columns = columnsWith(clueBlocks(puzzle, broken), count)
    const most = (height - top) / (size * LEADING)
    if (columns.some(c => c.height > most) && size > cell * 0.12) continue
    const own = new LayerBuilder()
    columns.forEach(({ lines }, c) => {
      for (const { at, text: words, number, heading } of lines) {
        const x = x0 + c * (room + BETWEEN * cell)
        const y = top + (at + 0.8) * size * LEADING
        if (number) setFrag(own, head.frag(number), { x, y, place })
        setFrag(own, (heading ? head : text).frag(words), { x: heading ? x : x + indent, y, place })
      }
    })
    out.add({ kind: 'group', piece: { id: 'clues' }, layers: [own.build()] })
    return
  }
}
