import type { Proof } from '../puzzle'
import type { Kakuro } from './sheet'

/** Whether so many different digits, none of those used (as bits), can add up to a sum. */
const known = new Map<number, boolean>()
function comesOut(count: number, sum: number, used: number): boolean {
  if (count === 0) return sum === 0
  if (sum <= 0) return false
  const key = (count * 64 + sum) * 512 + used
  let answer = known.get(key)
  if (answer === undefined) {
    answer = false
    for (let d = 1; d <= 9 && !answer; d++)
      if (!(used & (1 << (d - 1)))) answer = comesOut(count - 1, sum - d, used | (1 << (d - 1)))
    known.set(key, answer)
  }
  return answer
}

/** Solves a sheet by trying: the cell that the rest of both its sums leaves the fewest digits is filled first. */
export function prove({ runs, solution }: Kakuro): Proof {
  const of = solution.map((_d, cell) => [...runs.keys()].filter(i => runs[i]!.cells.includes(cell)))
  const open = [...of.keys()].filter(cell => of[cell]!.length)
  const left = runs.map(run => ({ count: run.cells.length, sum: run.sum, used: 0 }))
  const digits = solution.map(() => 0)
  const fits = (cell: number, d: number): boolean =>
    of[cell]!.every(i => {
      const { count, sum, used } = left[i]!
      const bit = 1 << (d - 1)
      return !(used & bit) && comesOut(count - 1, sum - d, used | bit)
    })
  const put = (cell: number, d: number, by: 1 | -1): void => {
    digits[cell] = by === 1 ? d : 0
    for (const i of of[cell]!) {
      left[i]!.count -= by
      left[i]!.sum -= by * d
      left[i]!.used ^= 1 << (d - 1)
    }
  }
  let answers = 0
  let agrees = false
  const search = (): void => {
    let best: { cell: number; fitting: number[] } | undefined
    for (const cell of open) {
      if (digits[cell]) continue
      const fitting = [1, 2, 3, 4, 5, 6, 7, 8, 9].filter(d => fits(cell, d))
      if (!best || fitting.length < best.fitting.length) best = { cell, fitting }
      if (fitting.length < 2) break
    }
    if (!best) {
      answers++
      agrees = open.every(cell => digits[cell] === solution[cell])
      return
    }
    for (const d of best.fitting) {
      put(best.cell, d, 1)
      search()
      put(best.cell, d, -1)
      if (answers > 1) return
    }
  }
  search()
  return { answers: answers as Proof['answers'], agrees: answers === 1 && agrees }
}
