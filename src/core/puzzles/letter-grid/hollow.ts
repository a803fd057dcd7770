import type { Bed, CellBox } from './grid'

/** A bed with those cells closed that lie farther than so many cells from where it ends, at corners too. */
export function ringOf({ rows, cols, open }: Bed, wide: number): Bed {
  let core = open
  for (let i = 0; i < wide; i++) core = core.map((own, at) => (own && hemmedIn(core, { rows, cols, at }) ? 1 : 0))
  return { rows, cols, open: open.map((own, at) => own - core[at]!) }
}

function hemmedIn(cells: Uint8Array, { rows, cols, at }: { rows: number; cols: number; at: number }): boolean {
  const [r, c] = [Math.floor(at / cols), at % cols]
  if (!r || !c || r === rows - 1 || c === cols - 1) return false
  for (let y = r - 1; y <= r + 1; y++) for (let x = c - 1; x <= c + 1; x++) if (!cells[y * cols + x]) return false
  return true
}

/** What a box is worth to something that is about as wide as high; more cells are worth more. */
export const squarely = (high: number, wide: number): number => Math.min(high, wide) ** 2 + (high * wide) / 1e4

/**
 * The box that is worth most of those whose cells are all marked (1), as a rule the one of most cells: of several the first. Nothing where
 * none is. A box that is larger either way must be worth no less.
 */
export function largestBox(
  cells: Uint8Array,
  { rows, cols }: { rows: number; cols: number },
  worth = (high: number, wide: number): number => high * wide,
): CellBox | undefined {
  const high = new Array<number>(cols).fill(0)
  let best: CellBox | undefined
  for (let r = 0; r < rows; r++) {
    for (let c = 0; c < cols; c++) high[c] = cells[r * cols + c] ? high[c]! + 1 : 0
    // From each column on to the right, as high as the lowest so far.
    for (let from = 0; from < cols; from++) {
      let low = Infinity
      for (let to = from; to < cols && high[to]; to++) {
        low = Math.min(low, high[to]!)
        const wide = to - from + 1
        if (worth(low, wide) > (best ? worth(best.rows, best.cols) : 0))
          best = { row: r - low + 1, col: from, rows: low, cols: wide }
      }
    }
  }
  return best
}
