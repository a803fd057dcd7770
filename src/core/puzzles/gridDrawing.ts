import { PathBuilder, type LayerBuilder, type MarkPlace } from '../marks'
import { setFrag, type TextStyle } from '../type'

/** A line by the length of what it belongs to, points. What is printed thinner than the least breaks up, wider than the most it shouts. */
export interface Weight {
  share: number
  least: number
  most: number
}

/** Lines around a grid and between its parts, and between its cells, by the shorter side of the grid. */
export const FRAME: Weight = { share: 1 / 160, least: 0.9, most: 2.4 }
export const CELL_LINE: Weight = { share: 1 / 560, least: 0.3, most: 0.7 }

export const held = ({ share, least, most }: Weight, of: number): number => Math.min(most, Math.max(least, of * share))

/** A grid laid in the middle of a box: its cells' side, where its left top is, its lines; points. */
export interface LaidGrid {
  rows: number
  cols: number
  cell: number
  x0: number
  y0: number
  /** How wide its frame is, and the lines between its cells. */
  frame: number
  hair: number
}

/** Lays a grid of square cells as large as a box allows; its frame stays inside of the box. */
export function layGrid(rows: number, cols: number, width: number, height: number): LaidGrid {
  const shorter = Math.min((width / cols) * Math.min(rows, cols), (height / rows) * Math.min(rows, cols))
  const frame = held(FRAME, shorter)
  const cell = Math.min((width - frame) / cols, (height - frame) / rows)
  return {
    rows,
    cols,
    cell,
    x0: (width - cols * cell) / 2,
    y0: (height - rows * cell) / 2,
    frame,
    hair: held(CELL_LINE, shorter),
  }
}

/** The lines of a grid: heavy where `heavy` says so of the n-th line across and down, light elsewhere. The outermost are heavy. */
export function gridLines(
  out: LayerBuilder,
  { rows, cols, cell, x0, y0, frame, hair }: LaidGrid,
  heavy: (n: number, down: boolean) => boolean = () => false,
): void {
  const lines = new PathBuilder()
  const [w, h] = [cols * cell, rows * cell]
  for (let c = 0; c <= cols; c++) {
    const wide = c === 0 || c === cols || heavy(c, true) ? frame : hair
    lines.rect(x0 + c * cell - wide / 2, y0 - frame / 2, wide, h + frame)
  }
  for (let r = 0; r <= rows; r++) {
    const wide = r === 0 || r === rows || heavy(r, false) ? frame : hair
    lines.rect(x0 - frame / 2, y0 + r * cell - wide / 2, w + frame, wide)
  }
  out.add({ kind: 'path', path: lines.build(), fill: { k: 1 } })
}

/** Height of a figure's body by its size. */
const BODY = 0.7

/** Sets words with their middle at a point: figures and capitals stand in the middle of their height. */
export function setMiddle(
  out: LayerBuilder,
  text: string,
  { style, size, x, y, place }: { style: TextStyle; size: number; x: number; y: number; place: MarkPlace },
): void {
  const frag = style.frag(text)
  setFrag(out, frag, { x: x - frag.width / 2, y: y + (size * BODY) / 2, place })
}
