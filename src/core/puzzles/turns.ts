import { seedOf } from '../trade'

/** Where a cell of a grid comes to lie when the grid is turned or mirrored; `rows` and `cols` are those of the turned grid. */
export interface Turn {
  rows: number
  cols: number
  to(row: number, col: number): readonly [row: number, col: number]
}

/** The eight ways to lay a grid: itself, turned by quarters, and each mirrored. */
export function turns(rows: number, cols: number): Turn[] {
  return [0, 1, 2, 3, 4, 5, 6, 7].map(form => {
    const [up, side, across] = [form & 1, form & 2, form & 4]
    return {
      rows: across ? cols : rows,
      cols: across ? rows : cols,
      to: (r, c) => {
        const at = [up ? rows - 1 - r : r, side ? cols - 1 - c : c] as const
        return across ? [at[1], at[0]] : at
      },
    }
  })
}

/** A name that all forms of a puzzle share, made of each of them said in letters. Others hardly ever have it: two numbers of 32 bits. */
export function sharedName(forms: readonly string[]): string {
  const least = forms.reduce((a, b) => (b < a ? b : a))
  const half = least.length >> 1
  return `${seedOf(least).toString(36)}.${seedOf(least.slice(half) + least.slice(0, half)).toString(36)}`
}

/** A name that a grid of cells shares with its turned and mirrored forms. `cell` says what stands in one; the same, the same sign. */
export function nameOfCells(rows: number, cols: number, cell: (row: number, col: number) => string): string {
  return sharedName(
    turns(rows, cols).map(turn => {
      const out = new Array<string>(rows * cols)
      for (let r = 0; r < rows; r++)
        for (let c = 0; c < cols; c++) {
          const [row, col] = turn.to(r, c)
          out[row * turn.cols + col] = cell(r, c)
        }
      return `${turn.rows}x${turn.cols}:${out.join(',')}`
    }),
  )
}
