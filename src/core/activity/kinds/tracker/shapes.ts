import { PathBuilder } from '../../../marks'
import type { Box } from '../../sheet'

/** One shape to colour in: its outline, and where its number stands: the middle of it, and how wide it may be; points. */
export interface Shaped {
  outline: PathBuilder
  x: number
  y: number
  width: number
}

/** Fills a box with so many shapes in the order in which they are coloured. */
type Fill = (box: Box, count: number, chance: () => number) => Shaped[]

/** Between shapes, by the room that each has. */
const GAP = 0.12

/** Rows and columns of cells, `ratio` wide by high, as large as the box allows for so many. */
function cellsIn({ width, height }: Box, count: number, ratio: number): { cols: number; rows: number; unit: number } {
  let best = { cols: 1, rows: count, unit: 0 }
  for (let cols = 1; cols <= count; cols++) {
    const rows = Math.ceil(count / cols)
    const unit = Math.min(width / (cols * ratio), height / rows)
    if (unit > best.unit) best = { cols, rows, unit }
  }
  return best
}

/** Cells row by row in the middle of a box; `each` draws one about its middle, `unit` high. */
const inRows =
  (ratio: number, each: (x: number, y: number, unit: number) => PathBuilder): Fill =>
  (box, count) => {
    const { cols, rows, unit } = cellsIn(box, count, ratio)
    const [stepX, stepY] = [box.width / cols, Math.min(box.height / rows, unit * 1.5)]
    const top = box.y + (box.height - stepY * rows) / 2
    return Array.from({ length: count }, (_, i) => {
      const x = box.x + ((i % cols) + 0.5) * stepX
      const y = top + (Math.floor(i / cols) + 0.5) * stepY
      return { outline: each(x, y, unit * (1 - GAP)), x, y, width: unit * ratio * 0.6 }
    })
  }

const circle = (x: number, y: number, unit: number): PathBuilder => new PathBuilder().circle(x, y, unit / 2)

/** A drop, its point upwards. */
function drop(x: number, y: number, unit: number): PathBuilder {
  const [r, head] = [unit * 0.34, y - unit / 2]
  const low = y + unit / 2 - r
  return new PathBuilder()
    .move(x, head)
    .cubic(x + r * 0.5, low - r * 1.2, x + r, low - r * 0.6, x + r, low)
    .cubic(x + r, low + r * 0.55, x + r * 0.55, low + r, x, low + r)
    .cubic(x - r * 0.55, low + r, x - r, low + r * 0.55, x - r, low)
    .cubic(x - r, low - r * 0.6, x - r * 0.5, low - r * 1.2, x, head)
    .close()
}

/** Cells of a comb: every second row half a cell to the side. */
const comb: Fill = (box, count) => {
  let best = { cols: 1, side: 0 }
  for (let cols = 1; cols <= count; cols++) {
    const rows = Math.ceil(count / cols)
    const side = Math.min(box.width / (Math.sqrt(3) * (cols + 0.5)), box.height / (1.5 * rows + 0.5))
    if (side > best.side) best = { cols, side }
  }
  const { cols, side } = best
  const rows = Math.ceil(count / cols)
  const [wide, high] = [Math.sqrt(3) * side, 1.5 * side]
  const left = box.x + (box.width - wide * (cols + 0.5)) / 2
  const top = box.y + (box.height - (high * rows + side / 2)) / 2
  return Array.from({ length: count }, (_, i) => {
    const row = Math.floor(i / cols)
    const x = left + ((i % cols) + (row % 2) / 2 + 0.5) * wide
    const y = top + row * high + side
    const outline = new PathBuilder()
    for (let k = 0; k < 6; k++) {
      const [a, r] = [(Math.PI / 3) * k + Math.PI / 6, side * (1 - GAP / 2)]
      const at = [x + Math.cos(a) * r, y + Math.sin(a) * r] as const
      if (k) outline.line(...at)
      else outline.move(...at)
    }
    return { outline: outline.close(), x, y, width: wide * 0.6 }
  })
}

/** A book is so much higher than wide; how they differ in width and height; the board below them, by the height of a shelf. */
const SPINE = { ratio: 4.2, width: 0.3, height: 0.22 }
const BOARD = 0.05

/** Backs of books on shelves, no two alike. */
const shelves: Fill = (box, count, chance) => {
  const { cols, rows } = cellsIn(box, count, 1 / SPINE.ratio)
  const shelf = box.height / rows
  const board = shelf * BOARD
  const out: Shaped[] = []
  for (let row = 0; row < rows; row++) {
    const here = Math.min(cols, count - row * cols)
    const foot = box.y + (row + 1) * shelf - board
    const widths = Array.from({ length: here }, () => 1 - SPINE.width / 2 + chance() * SPINE.width)
    // A shelf that is not full keeps its books together at the left.
    const unit = (box.width * (here / cols)) / widths.reduce((a, b) => a + b, 0)
    let x = box.x
    for (const share of widths) {
      const width = share * unit
      const high = (shelf - board) * (1 - GAP / 2 - chance() * SPINE.height)
      const outline = new PathBuilder().rect(x, foot - high, width, high)
      // A band across the back, where a title would stand.
      outline.rect(x, foot - high * 0.86, width, high * 0.1)
      out.push({ outline, x: x + width / 2, y: foot - high * 0.14, width: width * 0.8 })
      x += width
    }
    out.at(-1)?.outline.rect(box.x, foot, box.width, board)
  }
  return out
}

/** What can be coloured in, by what a sentence calls it. */
export const fills = {
  books: { words: 'books on shelves', fill: shelves },
  comb: { words: 'cells of a comb', fill: comb },
  drops: { words: 'drops', fill: inRows(0.72, drop) },
  circles: { words: 'circles', fill: inRows(1, circle) },
} as const satisfies Record<string, { words: string; fill: Fill }>
