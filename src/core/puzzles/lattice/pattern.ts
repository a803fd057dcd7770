import { inOnePiece, type Pattern, slotsOf } from './lattice'

/** Letters of the shortest and of the longest word. */
const SHORTEST = 3
const LONGEST = 11

/** How letters cross: each stands in two words, or about every other one. */
export type Crossing = 'all' | 'half'

/** Share of the cells that are blocked where all letters cross, before words are looked for. */
const BLOCKED = 0.18
/** Letters of the longest word that is not cut at once where all letters cross. */
const OPEN = 8
/** Patterns that are begun before the search is given up. */
const TRIES = 200

/**
 * A pattern that is the same turned upside down, in one piece, every word of three letters or more. `half`: every other line has words
 * of its own, joined by those that cross them. Nothing where chance leads to none.
 */
export function symmetric(rows: number, cols: number, crossing: Crossing, chance: () => number): Pattern | undefined {
  for (let attempt = 0; attempt < TRIES; attempt++) {
    const open = new Uint8Array(rows * cols).fill(1)
    const block = (at: number): void => {
      open[at] = 0
      open[rows * cols - 1 - at] = 0
    }
    if (crossing === 'half') {
      // The rows and columns that words stand in: those of one parity.
      const [r0, c0] = [Math.floor(chance() * 2), Math.floor(chance() * 2)]
      for (let r = 0; r < rows; r++)
        for (let c = 0; c < cols; c++) if (r % 2 !== r0 && c % 2 !== c0) open[r * cols + c] = 0
    }
    const pattern = { rows, cols, open }
    if (crossing === 'all') sprinkle(pattern, chance)
    else if (!cut(pattern, block, chance)) continue
    if (sound(pattern, crossing)) return pattern
  }
  return undefined
}

/** Blocks cells of long slots until none is longer than words are. */
function cut(pattern: Pattern, block: (at: number) => void, chance: () => number): boolean {
  for (let i = 0; i < 60; i++) {
    // A few more cuts than must be make more words.
    const long = slotsOf(pattern).filter(s => s.cells.length > (i < 4 ? 7 : LONGEST))
    if (!long.length) return true
    const { cells } = long[Math.floor(chance() * long.length)]!
    block(cells[SHORTEST + Math.floor(chance() * (cells.length - 2 * SHORTEST))]!)
  }
  return false
}

/** Blocks a cell of words that are too long, then cells by chance, wherever the words that are cut stay long enough. */
function sprinkle(pattern: Pattern, chance: () => number): void {
  const { rows, cols, open } = pattern
  const wanted = Math.round(rows * cols * BLOCKED)
  for (let i = 0; i < 60; i++) {
    const long = slotsOf(pattern).filter(s => s.cells.length > OPEN)
    if (!long.length) break
    const { cells } = long[Math.floor(chance() * long.length)]!
    mirrored(pattern, cells[Math.floor(chance() * cells.length)]!)
  }
  for (let i = 0; i < 4 * open.length && open.filter(o => !o).length < wanted; i++)
    mirrored(pattern, Math.floor(chance() * open.length))
}

/** Blocks a cell and its like on the other side of a lattice in which all letters cross; false where that cannot be, and nothing changes. */
export function mirrored(pattern: Pattern, at: number): boolean {
  const { open } = pattern
  if (!open[at]) return false
  const other = open.length - 1 - at
  open[at] = open[other] = 0
  if (sound(pattern, 'all')) return true
  open[at] = open[other] = 1
  return false
}

/** Every word long enough and none too long, all in one piece, every open cell in a word (in two where all cross). */
function sound(pattern: Pattern, crossing: Crossing): boolean {
  const slots = slotsOf(pattern)
  if (slots.some(s => s.cells.length < SHORTEST || (crossing === 'half' && s.cells.length > LONGEST + 4))) return false
  const words = new Uint8Array(pattern.open.length)
  for (const { cells } of slots) for (const at of cells) words[at]!++
  const least = crossing === 'all' ? 2 : 1
  return pattern.open.every((o, at) => !o || words[at]! >= least) && inOnePiece(pattern)
}
