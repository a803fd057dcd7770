import { alike } from '../trade'
import type { Silhouette } from './silhouette'

/** Lines that are read through a cell each way: what it is covered by is told to a sixteenth. */
const FINE = 4

/** A shape laid on a grid. */
export interface Cover {
  rows: number
  cols: number
  /** Share of each cell that the shape covers, 0 to 1; row by row. */
  share: Float32Array
}

/** How a shape covers the cells of a grid; `margin`: cells that are left free around it. */
export function coverOf({ rings, width, height, place }: Silhouette, rows: number, cols: number, margin = 0): Cover {
  const { scale, right, down } = place ?? { scale: 1, right: 0, down: 0 }
  const cell = Math.max(width / (cols - 2 * margin), height / (rows - 2 * margin)) / scale
  const [x0, y0] = [(cols * cell - width) / 2 + right * cols * cell, (rows * cell - height) / 2 + down * rows * cell]
  const share = new Float32Array(rows * cols)
  for (let line = 0; line < rows * FINE; line++) {
    const y = ((line + 0.5) / FINE) * cell - y0
    // Where the line goes in and out of the shape, and which way the outline runs there.
    const cuts: { x: number; way: number }[] = []
    for (const ring of rings)
      ring.forEach(([x1, y1], i) => {
        const [x2, y2] = ring[(i + 1) % ring.length]!
        if (y1 > y === y2 > y) return
        cuts.push({ x: (x1 + ((y - y1) / (y2 - y1)) * (x2 - x1) + x0) / cell, way: y2 > y1 ? 1 : -1 })
      })
    cuts.sort((a, b) => a.x - b.x)
    let wound = 0
    cuts.forEach(({ x: from, way }, k) => {
      wound += way
      // Where outlines overlap, as in some letters, both are the shape.
      if (!wound) return
      const to = cuts[k + 1]!.x
      for (let c = Math.max(0, Math.floor(from)); c < Math.min(cols, to); c++)
        share[Math.floor(line / FINE) * cols + c]! += Math.max(0, Math.min(to, c + 1) - Math.max(from, c)) / FINE
    })
  }
  return { rows, cols, share }
}

/** Cells that are more covered than not: 1. */
export const cellsOf = ({ share }: Cover): Uint8Array => Uint8Array.from(share, s => (s >= 0.5 ? 1 : 0))

/** The same with those turned that were turned by hand; a shape that is all drawn by hand is spread over any grid. */
function mended(cells: Uint8Array, { rings, turned = [] }: Silhouette, rows: number, cols: number): Uint8Array {
  const here = turned.find(t => t.rows === rows && t.cols === cols)
  const from = here ?? (rings.length ? undefined : turned.at(-1))
  if (!from) return cells
  const byHand = new Set(from.cells)
  return cells.map((own, at) => {
    const [r, c] = [Math.floor(at / cols), at % cols]
    const there = Math.floor(((r + 0.5) / rows) * from.rows) * from.cols + Math.floor(((c + 0.5) / cols) * from.cols)
    return byHand.has(there) ? 1 - own : own
  })
}

/** What was found of a shape on a grid, kept as long as the shape is. */
class ByGrid<V> {
  private readonly found = new WeakMap<Silhouette, Map<string, V>>()

  of(shape: Silhouette, grid: readonly number[], find: () => V): V {
    const key = grid.join()
    const own = this.found.get(shape) ?? new Map<string, V>()
    this.found.set(shape, own)
    let value = own.get(key)
    if (value === undefined) own.set(key, (value = find()))
    return value
  }
}

const laid = new ByGrid<Uint8Array>()
const wholes = new ByGrid<Uint8Array>()
const measured = new ByGrid<number>()

/** Cells of a silhouette. */
export const cellsIn = (shape: Silhouette, rows: number, cols: number, margin: number): Uint8Array =>
  laid.of(shape, [rows, cols, margin], () => mended(cellsOf(coverOf(shape, rows, cols, margin)), shape, rows, cols))

/** The largest part of a silhouette's cells that hangs together: the same array for the same shape and grid. */
export const wholeIn = (shape: Silhouette, rows: number, cols: number): Uint8Array =>
  wholes.of(shape, [rows, cols], () => {
    const cells = cellsIn(shape, rows, cols, 0)
    const seen = new Uint8Array(cells.length)
    let best: number[] = []
    for (let first = 0; first < cells.length; first++) {
      if (!cells[first] || seen[first]) continue
      const part = alike(cells, { rows, cols, first, seen })
      if (part.length > best.length) best = part
    }
    const out = new Uint8Array(cells.length)
    for (const at of best) out[at] = 1
    return out
  })

/** How well a shape reads on a grid, 0 to 1: the overlap of its cells with it, less what is lost of its parts. Measured once. */
export const likeness = (shape: Silhouette, rows: number, cols: number): number =>
  measured.of(shape, [rows, cols], () => measuredLikeness(shape, rows, cols))

function measuredLikeness(shape: Silhouette, rows: number, cols: number): number {
  // What is drawn cell by cell is its cells.
  if (!shape.rings.length) return 1
  const cover = coverOf(shape, rows, cols)
  const cells = cellsOf(cover)
  let [both, either] = [0, 0]
  cover.share.forEach((s, at) => {
    both += cells[at] ? s : 0
    either += cells[at] ? 1 : s
  })
  // Against the same on a grid so fine that nothing is lost: parts and holes that are there, and those that are left.
  const fine = cellsOf(coverOf(shape, rows * 4, cols * 4))
  const [own, kept] = [pieces(fine, rows * 4, cols * 4), pieces(cells, rows, cols)]
  const parts = Math.min(own, kept) / Math.max(own, kept, 1)
  return (both / either) * (0.6 + 0.4 * parts)
}

/** Parts of cells that hang together, full ones and empty ones. */
function pieces(cells: Uint8Array, rows: number, cols: number): number {
  const seen = new Uint8Array(cells.length)
  let n = 0
  for (let first = 0; first < cells.length; first++) {
    if (seen[first]) continue
    n++
    alike(cells, { rows, cols, first, seen })
  }
  return n
}
