import { exactCovers } from '../exactCover'
import type { Proof } from '../puzzle'
import type { Sudoku } from './grid'

/** Solves a sudoku as an exact cover: each cell has one number, each row, column and box each number once. */
export function prove({ size: n, boxRows, boxCols, givens, solution }: Sudoku): Proof {
  const choices: [number, number, number][] = []
  const rows: number[][] = []
  for (let r = 0; r < n; r++)
    for (let c = 0; c < n; c++)
      for (let v = 1; v <= n; v++) {
        const given = givens[r]![c]!
        if (given && given !== v) continue
        const box = Math.floor(r / boxRows) * (n / boxCols) + Math.floor(c / boxCols)
        choices.push([r, c, v])
        rows.push([r * n + c, n * n + r * n + v - 1, 2 * n * n + c * n + v - 1, 3 * n * n + box * n + v - 1])
      }
  let agrees = false
  const answers = exactCovers(4 * n * n, rows, 2, chosen => {
    agrees = chosen.every(i => solution[choices[i]![0]]![choices[i]![1]] === choices[i]![2])
  })
  return { answers: answers as Proof['answers'], agrees: answers === 1 && agrees }
}
