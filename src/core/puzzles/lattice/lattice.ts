import { alike } from '../../trade'
/** Cells that letters stand in: 1 open, 0 blocked; row by row. */
export interface Pattern {
  rows: number
  cols: number
  open: Uint8Array
}

export type Way = 'across' | 'down'

/** Cells in a line that a word stands in: two or more open ones, as long as they go on. */
export interface Slot {
  way: Way
  row: number
  col: number
  cells: number[]
}

/** A word of a grid, with the number by which its clue is found. */
export interface Entry extends Slot {
  number: number
  answer: string
}

/** The slots of a pattern in the order of reading, across before down where two begin in one cell. */
export function slotsOf({ rows, cols, open }: Pattern): Slot[] {
  const isOpen = (r: number, c: number): boolean => r >= 0 && c >= 0 && r < rows && c < cols && !!open[r * cols + c]
  const out: Slot[] = []
  for (let row = 0; row < rows; row++)
    for (let col = 0; col < cols; col++)
      for (const [way, down, right] of [
        ['across', 0, 1],
        ['down', 1, 0],
      ] as const) {
        if (!isOpen(row, col) || isOpen(row - down, col - right) || !isOpen(row + down, col + right)) continue
        const cells: number[] = []
        for (let r = row, c = col; isOpen(r, c); r += down, c += right) cells.push(r * cols + c)
        out.push({ way, row, col, cells })
      }
  return out
}

/** Slots with what stands in them, numbered as they are read. */
export function entriesOf(pattern: Pattern, letters: readonly string[]): Entry[] {
  let [number, at] = [0, -1]
  return slotsOf(pattern).map(slot => {
    if (slot.cells[0] !== at) {
      at = slot.cells[0]!
      number++
    }
    return { ...slot, number, answer: slot.cells.map(cell => letters[cell]).join('') }
  })
}

/** Whether all open cells hang together. */
export function inOnePiece({ rows, cols, open }: Pattern): boolean {
  const seen = new Uint8Array(open.length)
  return alike(open, { rows, cols, first: open.indexOf(1), seen }).length === open.reduce((n, o) => n + o, 0)
}
