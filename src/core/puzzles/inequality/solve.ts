import type { Proof } from '../puzzle'
import type { Inequality } from './grid'

/** All orders of the numbers 1 to n: what a row can be. */
function orders(n: number): number[][] {
  if (n === 0) return [[]]
  return orders(n - 1).flatMap(o => Array.from({ length: n }, (_, at) => [...o.slice(0, at), n, ...o.slice(at)]))
}
const ordersOf = new Map<number, number[][]>()

/**
 * Solves a square by whole rows: of all the orders that a row can have, those are struck out that no order of another row goes with,
 * in any column or across any sign; where that comes to rest, the row with the fewest is tried order by order.
 */
export function prove({ size: n, givens, signs, solution }: Inequality): Proof {
  if (!ordersOf.has(n)) ordersOf.set(n, orders(n))
  const within = signs.filter(([a, b]) => Math.floor(a / n) === Math.floor(b / n))
  const across = signs.filter(([a, b]) => Math.floor(a / n) !== Math.floor(b / n))
  const first = Array.from({ length: n }, (_, r) =>
    ordersOf.get(n)!.filter(row => {
      const numberAt = (cell: number): number => row[cell - r * n]!
      return (
        row.every((v, c) => !givens[r * n + c] || givens[r * n + c] === v) &&
        within.every(([a, b]) => Math.floor(a / n) !== r || numberAt(a) < numberAt(b))
      )
    }),
  )
  let answers = 0
  let agrees = false
  const search = (rows: number[][][]): void => {
    const left = struck(n, rows, across)
    if (left.some(orders => !orders.length)) return
    const open = [...left.keys()].filter(r => left[r]!.length > 1)
    if (!open.length) {
      answers++
      agrees = left.flatMap(([row]) => row!).every((v, i) => v === solution[i])
      return
    }
    const r = open.reduce((a, b) => (left[b]!.length < left[a]!.length ? b : a))
    for (const order of left[r]!) {
      if (answers > 1) return
      search(left.map((orders, i) => (i === r ? [order] : orders)))
    }
  }
  search(first)
  return { answers: answers as Proof['answers'], agrees: answers === 1 && agrees }
}

/** The orders that are left of each row when none can be struck out any more. */
function struck(n: number, rows: number[][][], across: Inequality['signs']): number[][][] {
  let left = rows
  for (;;) {
    // What each cell can still be, as bits; a number that a cell has for certain is nobody else's in the column.
    const may = left.map(orders => {
      const seen = new Array<number>(n).fill(0)
      for (const order of orders) for (let c = 0; c < n; c++) seen[c]! |= 1 << order[c]!
      return seen
    })
    const fits = may.map((seen, r) => seen.map((_set, c) => fitting(n, r, c, { may, across })))
    const next = left.map((orders, r) => orders.filter(order => order.every((v, c) => fits[r]![c]! & (1 << v))))
    if (next.every((orders, r) => orders.length === left[r]!.length)) return next
    left = next
  }
}

interface Seen {
  may: number[][]
  across: Inequality['signs']
}

/** Numbers, as bits, that leave one for every other cell of the column, and for those above and below that a sign ties to the cell. */
function fitting(n: number, r: number, c: number, { may, across }: Seen): number {
  let fits = may[r]![c]!
  for (let other = 0; other < n; other++) {
    const set = may[other]![c]!
    if (other !== r && !(set & (set - 1))) fits &= ~set
  }
  for (const [less, more] of across) {
    const cell = r * n + c
    if (less !== cell && more !== cell) continue
    const other = less === cell ? more : less
    const set = may[Math.floor(other / n)]![other % n]!
    const [lowest, highest] = [31 - Math.clz32(set & -set), 31 - Math.clz32(set)]
    fits &= less === cell ? (1 << highest) - 1 : ~((1 << (lowest + 1)) - 1)
  }
  return fits
}
