import { LayerBuilder, PathBuilder } from '../../marks'
import { setFrag, type TextStyle } from '../../type'
import { FRAME, held, setMiddle } from '../gridDrawing'
import type { PuzzleBox } from '../puzzle'
import { drawHollow } from './drawHollow'
import { cellOf, type LetterGrid, type PlacedWord } from './grid'

/** Letters, by the side of a cell. */
const LETTER = 0.62
/** Words beside the grid, by the side of a cell; their lines; between grid and words, or grid and message. */
const WORD = 0.56
const LEADING = 1.7
const GAP = 0.9
/** Width of a letter of a list, by its size: figtree's capitals, as the shape of a drawing is told before its face is loaded. */
const WIDE = 0.7
/** Half the width of a mark, by the side of a cell; how dark a tone is; how wide a line. */
const MARK = 0.37
const TONE = 0.22
const LINE = 0.05

/** How the list stands under its grid, in sides of a cell. */
interface List {
  size: number
  columns: number
  lines: number
  words: string[]
}

/** Words in columns that the longest of them fits into, in the order of the alphabet. */
function listOf({ cols, words }: LetterGrid): List {
  const shown = words.map(w => w.word.toUpperCase()).sort()
  const longest = Math.max(...shown.map(w => w.length))
  // A wide grid is printed small: its words are larger beside its cells.
  let size = Math.max(WORD, cols / 34)
  let columns = Math.floor((cols + size) / ((longest * WIDE + 1) * size))
  if (columns < 1) [columns, size] = [1, cols / (longest * WIDE)]
  columns = Math.min(columns, shown.length, 6)
  return { size, columns, lines: Math.ceil(shown.length / columns), words: shown }
}

/** Sides of a cell that stand under the grid. */
function below(puzzle: LetterGrid, answer: boolean): number {
  if (answer) return puzzle.message ? GAP + WORD * LEADING : 0
  const { size, lines } = listOf(puzzle)
  return GAP + lines * size * LEADING
}

/** Frame's own share of the width, so that letters keep off it. */
const AIR = 0.3

export const ratio = (puzzle: LetterGrid, answer: boolean): number =>
  (puzzle.cols + 2 * AIR) / (puzzle.rows + 2 * AIR + below(puzzle, answer))

/** Letters in their outline, the words under them; an answer has its words marked, and what the left letters say. */
export async function draw(on: PuzzleBox<LetterGrid>): Promise<void> {
  const { puzzle, answer, width, height, place, styleOf } = on
  const { rows, cols, letters } = puzzle
  const frame = held(FRAME, Math.min(width, height))
  const cell = Math.min((width - frame) / (cols + 2 * AIR), (height - frame) / (rows + 2 * AIR + below(puzzle, answer)))
  const { out: page } = on
  const grid = new LayerBuilder()
  const inGrid = { ...on, out: grid }
  const laid: Laid = { cell, frame, x0: (width - cols * cell) / 2, y0: frame / 2 + AIR * cell }
  if (answer) mark(inGrid, laid)
  outline(inGrid, laid)
  await drawHollow(inGrid, laid)
  const size = cell * LETTER
  const style = await styleOf('figtree/regular', size)
  letters.forEach((sign, at) => {
    if (!sign) return
    const x = laid.x0 + ((at % cols) + 0.5) * cell
    setMiddle(grid, sign, { style, size, x, y: laid.y0 + (Math.floor(at / cols) + 0.5) * cell, place })
  })
  page.add({ kind: 'group', piece: { id: 'grid' }, layers: [grid.build()] })
  const top = laid.y0 + (rows + AIR) * cell + frame / 2 + GAP * cell
  if (!answer) await list(on, laid, top)
  else if (puzzle.message) {
    const small = await fitting(styleOf, puzzle.message.words, WORD * cell, cols * cell)
    const frag = small.frag(puzzle.message.words)
    const own = new LayerBuilder()
    setFrag(own, frag, { x: (width - frag.width) / 2, y: top + WORD * cell * 0.3, place })
    page.add({ kind: 'group', piece: { id: 'message' }, layers: [own.build()] })
  }
}

interface Laid {
  cell: number
  frame: number
  x0: number
  y0: number
}

/** A style as large as a line leaves room for. */
async function fitting(
  styleOf: PuzzleBox<LetterGrid>['styleOf'],
  text: string,
  size: number,
  room: number,
): Promise<TextStyle> {
  const style = await styleOf('figtree/regular', size)
  const { width } = style.frag(text)
  return width <= room ? style : styleOf('figtree/regular', (size * room) / width)
}

async function list({ out, puzzle, place, styleOf }: PuzzleBox<LetterGrid>, { cell, x0 }: Laid, top: number) {
  const { size, columns, lines, words } = listOf(puzzle)
  const across = (puzzle.cols * cell) / columns
  const longest = words.reduce((a, b) => (b.length > a.length ? b : a))
  const style = await fitting(styleOf, longest, size * cell, across)
  const own = new LayerBuilder()
  words.forEach((word, i) => {
    const [column, line] = [Math.floor(i / lines), i % lines]
    const y = top + (line + 0.3) * size * LEADING * cell
    setFrag(own, style.frag(word), { x: x0 + column * across, y, place })
  })
  out.add({ kind: 'group', piece: { id: 'words' }, layers: [own.build()] })
}

/** A line around the open cells: a frame where all are open. */
function outline({ out, puzzle: { rows, cols, open } }: PuzzleBox<LetterGrid>, { cell, frame, x0, y0 }: Laid): void {
  const lines = new PathBuilder()
  const air = AIR * cell
  const isOpen = (r: number, c: number): boolean => r >= 0 && c >= 0 && r < rows && c < cols && !!open[r * cols + c]
  if (open.every(Boolean)) {
    const [x, y, w, h] = [x0 - air, y0 - air, cols * cell + 2 * air, rows * cell + 2 * air]
    lines.rect(x - frame / 2, y - frame / 2, w + frame, frame).rect(x - frame / 2, y + h - frame / 2, w + frame, frame)
    lines.rect(x - frame / 2, y - frame / 2, frame, h + frame).rect(x + w - frame / 2, y - frame / 2, frame, h + frame)
  } else
    for (let r = 0; r <= rows; r++)
      for (let c = 0; c <= cols; c++) {
        const [x, y] = [x0 + c * cell, y0 + r * cell]
        if (c < cols && isOpen(r, c) !== isOpen(r - 1, c)) lines.rect(x - frame / 2, y - frame / 2, cell + frame, frame)
        if (r < rows && isOpen(r, c) !== isOpen(r, c - 1)) lines.rect(x - frame / 2, y - frame / 2, frame, cell + frame)
      }
  out.add({ kind: 'path', path: lines.build(), fill: { k: 1 } })
}

/** Found words: a band of tone, its outline, or a line through. */
function mark({ out, puzzle }: PuzzleBox<LetterGrid>, { cell, x0, y0 }: Laid): void {
  const { words, cols, marked } = puzzle
  const centre = (at: number): [number, number] => [
    x0 + ((at % cols) + 0.5) * cell,
    y0 + (Math.floor(at / cols) + 0.5) * cell,
  ]
  const ends = (w: PlacedWord): [number, number, number, number] => [
    ...centre(cellOf(w, 0, cols)),
    ...centre(cellOf(w, Array.from(w.letters).length - 1, cols)),
  ]
  const line = Math.max(0.5, cell * LINE)
  for (const word of words) {
    const path = new PathBuilder()
    if (marked === 'strike') {
      const [x1, y1, x2, y2] = ends(word)
      path.move(x1, y1).line(x2, y2)
      out.add({ kind: 'path', path: path.build(), stroke: { colour: { k: 1 }, width: line } })
      continue
    }
    band(path, ends(word), cell * MARK)
    out.add(
      marked === 'tone'
        ? { kind: 'path', path: path.build(), fill: { k: TONE } }
        : { kind: 'path', path: path.build(), stroke: { colour: { k: 1 }, width: line } },
    )
  }
}

/** How far the handles of a quarter of a circle reach, by its radius. */
const QUARTER = 0.5522847498

/** A band with round ends along a line. */
function band(path: PathBuilder, [x1, y1, x2, y2]: readonly [number, number, number, number], r: number): void {
  const length = Math.hypot(x2 - x1, y2 - y1) || 1
  // Along the line, and across it.
  const [ax, ay] = [((x2 - x1) / length) * r, ((y2 - y1) / length) * r]
  const [cx, cy] = [-ay, ax]
  const k = QUARTER
  path
    .move(x1 + cx, y1 + cy)
    .line(x2 + cx, y2 + cy)
    .cubic(x2 + cx + k * ax, y2 + cy + k * ay, x2 + ax + k * cx, y2 + ay + k * cy, x2 + ax, y2 + ay)
    .cubic(x2 + ax - k * cx, y2 + ay - k * cy, x2 - cx + k * ax, y2 - cy + k * ay, x2 - cx, y2 - cy)
    .line(x1 - cx, y1 - cy)
    .cubic(x1 - cx - k * ax, y1 - cy - k * ay, x1 - ax - k * cx, y1 - ay - k * cy, x1 - ax, y1 - ay)
    .cubic(x1 - ax + k * cx, y1 - ay + k * cy, x1 + cx - k * ax, y1 + cy - k * ay, x1 + cx, y1 + cy)
    .close()
}
