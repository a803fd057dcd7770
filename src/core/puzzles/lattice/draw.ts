import { PathBuilder } from '../../marks'
import { setFrag, type TextStyle } from '../../type'
import { CELL_LINE, FRAME, held, setMiddle } from '../gridDrawing'
import type { PuzzleBox } from '../puzzle'
import type { Crossword } from './crossword'

/** Letters, and numbers in the corner, by the side of a cell. */
const LETTER = 0.58
const NUMBER = 0.3
/** Clues, in sides of a cell: their size, leading, the gap above them and between columns. */
const CLUE = 0.36
const LEADING = 1.24
const GAP = 0.8
const BETWEEN = 0.5
/** Width of a letter of a clue, by its size: as the shape is told before its face is loaded. */
const WIDE = 0.5

/** Cells that clues are as wide as where the grid is narrower; a small grid has them under itself, in two columns and larger. */
const CLUES = 15
const SMALL = 10
const columnsOf = ({ cols }: Crossword): number => (cols < SMALL ? 2 : 3)
const wide = ({ cols }: Crossword, answer: boolean): number => (answer || cols < SMALL ? cols : Math.max(cols, CLUES))
const clueSize = ({ cols }: Crossword): number => (cols < SMALL ? CLUE * 1.35 : CLUE)

/** Clue lines that a column must hold, about. */
function high(puzzle: Crossword): number {
  const columns = columnsOf(puzzle)
  const room = (wide(puzzle, false) - (columns - 1) * BETWEEN) / columns / (clueSize(puzzle) * WIDE) - 3
  const lines = puzzle.entries.reduce((n, e) => n + Math.ceil((e.clue.length + 4) / room), 0) + 3
  return GAP + (Math.ceil(lines / columns) + 1) * clueSize(puzzle) * LEADING
}

export const ratio = (puzzle: Crossword, answer: boolean): number =>
  (wide(puzzle, answer) + 0.1) / (puzzle.rows + 0.1 + (answer ? 0 : high(puzzle)))

/** Where the cells of a grid lie. */
export interface Laid {
  cell: number
  x0: number
  y0: number
}

/** The grid, and under it its clues; an answer is the grid with its letters. */
export async function draw(on: PuzzleBox<Crossword>): Promise<void> {
  const { puzzle, answer, width, height, place, styleOf, out } = on
  const { rows, cols, letters, entries, given } = puzzle
  const frame = held(FRAME, Math.min(width, height))
  const cell = Math.min((width - frame) / wide(puzzle, answer), (height - frame) / (rows + (answer ? 0 : high(puzzle))))
  const laid = { cell, x0: (width - cols * cell) / 2, y0: frame / 2 }
  drawCells(on, laid)
  const [size, small] = [cell * LETTER, cell * NUMBER]
  const [letter, told, number] = [
    await styleOf('figtree/regular', size),
    await styleOf('figtree/bold', size),
    await styleOf('figtree/regular', small),
  ]
  for (const e of entries) {
    const [x, y] = [laid.x0 + e.col * cell, laid.y0 + e.row * cell]
    setFrag(out, number.frag(String(e.number)), { x: x + cell * 0.07, y: y + small * 0.95, place })
  }
  const isGiven = new Set(given)
  letters.forEach((sign, at) => {
    if (!sign || !(answer || isGiven.has(at))) return
    const [x, y] = [laid.x0 + ((at % cols) + 0.5) * cell, laid.y0 + (Math.floor(at / cols) + 0.56) * cell]
    setMiddle(out, sign, { style: isGiven.has(at) ? told : letter, size, x, y, place })
  })
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

/** A line of the clues' columns: a heading, or words of a clue, the first with its number. */
interface Line {
  text: string
  number?: string
  heading?: boolean
}

/** Clues in columns, as large as lets them all stand. */
async function clues({ out, puzzle, width, height, place, styleOf }: PuzzleBox<Crossword>, laid: Laid): Promise<void> {
  const { cell, y0 } = laid
  const x0 = (width - wide(puzzle, false) * cell) / 2
  const top = y0 + (puzzle.rows + GAP) * cell
  const columns = columnsOf(puzzle)
  const room = ((wide(puzzle, false) - (columns - 1) * BETWEEN) * cell) / columns
  for (let size = clueSize(puzzle) * cell; ; size *= 0.95) {
    const [text, head] = [await styleOf('figtree/regular', size), await styleOf('figtree/bold', size)]
    const lines = linesOf(puzzle, { text, room, indent: size * 1.7 })
    const most = Math.floor((height - top) / (size * LEADING))
    const each = Math.max(Math.ceil(lines.length / columns), 1)
    // Columns are broken where no heading is left alone at a foot.
    const parts = split(lines, columns, Math.max(each, 1))
    if (parts.some(p => p.length > most) && size > cell * 0.12) continue
    parts.forEach((part, c) =>
      part.forEach((line, i) => {
        const x = x0 + c * (room + BETWEEN * cell)
        const y = top + (i + 0.8) * size * LEADING
        if (line.number) setFrag(out, head.frag(line.number), { x, y, place })
        setFrag(out, (line.heading ? head : text).frag(line.text), { x: line.heading ? x : x + size * 1.7, y, place })
      }),
    )
    return
  }
}

function split(lines: Line[], columns: number, each: number): Line[][] {
  const out: Line[][] = []
  let from = 0
  for (let c = 0; c < columns; c++) {
    let to = c === columns - 1 ? lines.length : Math.min(lines.length, from + each)
    if (lines[to - 1]?.heading && to < lines.length) to--
    out.push(lines.slice(from, to))
    from = to
  }
  return out
}

function linesOf(
  { entries }: Crossword,
  { text, room, indent }: { text: TextStyle; room: number; indent: number },
): Line[] {
  const out: Line[] = []
  for (const [way, heading] of [
    ['across', 'Across'],
    ['down', 'Down'],
  ] as const) {
    out.push({ text: heading, heading: true })
    for (const e of entries.filter(x => x.way === way)) {
      const length = e.word.includes(' ')
        ? e.word
            .split(' ')
            .map(w => w.length)
            .join(', ')
        : String(Array.from(e.answer).length)
      let line = ''
      let number: string | undefined = String(e.number)
      for (const word of `${e.clue} (${length})`.split(' ')) {
        const longer = line ? `${line} ${word}` : word
        if (line && text.frag(longer).width > room - indent) {
          out.push({ text: line, ...(number && { number }) })
          number = undefined
          line = word
        } else line = longer
      }
      out.push({ text: line, ...(number && { number }) })
    }
  }
  return out
}
