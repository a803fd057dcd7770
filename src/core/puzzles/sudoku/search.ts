import type { Grid } from './grid'

/** What the cells of a grid may still be, as bits; `left` are without a number. */
export interface State {
  may: Int32Array
  left: number
}

export const openState = (grid: Grid): State => ({
  may: new Int32Array(grid.size ** 2).fill(2 ** grid.size - 1),
  left: grid.size ** 2,
})
export const copied = (s: State): State => ({ may: s.may.slice(), left: s.left })

/** A cell that has its number is marked by this bit beside the number's own. */
export const SET = 1 << 20

/** Bits of 32 that are set: counted in pairs, fours and bytes at once. */
export const bitCount = (x: number): number => {
  x -= (x >>> 1) & 0x55555555
  x = (x & 0x33333333) + ((x >>> 2) & 0x33333333)
  return Math.imul((x + (x >>> 4)) & 0x0f0f0f0f, 0x01010101) >>> 24
}
export const lowest = (x: number): number => 31 - Math.clz32(x & -x)

/** Cells that are still to be put, while one is: each comes once at the most. */
const waiting = new Int32Array(512)

/** Puts a number into a cell and follows what it leaves only one number. False where a cell is left none. */
export function assign({ flat: { peers, peersEach } }: Grid, state: State, cell: number, bit: number): boolean {
  const { may } = state
  if (may[cell]! & SET) return (may[cell]! & bit) !== 0
  if (!(may[cell]! & bit)) return false
  waiting[0] = cell
  may[cell] = bit
  for (let count = 1; count;) {
    const at = waiting[--count]!
    if (may[at]! & SET) continue
    const value = may[at]!
    may[at] = value | SET
    state.left--
    for (let i = at * peersEach; i < (at + 1) * peersEach; i++) {
      const p = peers[i]!
      const m = may[p]!
      if (!(m & value)) continue
      if (m & SET) return false
      const rest = m & ~value
      if (!rest) return false
      may[p] = rest
      if (!(rest & (rest - 1))) waiting[count++] = p
    }
  }
  return true
}

/** Numbers that have one place left in a unit are put there, as long as there are any. False on a contradiction. */
function placeHidden(grid: Grid, state: State): boolean {
  const { may } = state
  const { size } = grid
  const { units } = grid.flat
  const all = 2 ** size - 1
  for (let again = true; again && state.left;) {
    again = false
    for (let from = 0; from < units.length; from += size) {
      let once = 0
      let twice = 0
      let placed = 0
      for (let i = from; i < from + size; i++) {
        const m = may[units[i]!]!
        if (m & SET) placed |= m
        else {
          twice |= once & m
          once |= m
        }
      }
      if (((once | placed) & all) !== all) return false
      let single = once & ~twice & ~placed
      while (single) {
        const bit = single & -single
        single ^= bit
        for (let i = from; i < from + size; i++) {
          const cell = units[i]!
          if (may[cell]! & SET || !(may[cell]! & bit)) continue
          if (!assign(grid, state, cell, bit)) return false
          again = true
          break
        }
      }
    }
  }
  return true
}

/** How far a search may go: it ends when its steps are used up. */
export interface Budget {
  steps: number
}

/**
 * Counts how many ways a grid can be filled, up to `limit`, trying numbers in the order that `order` puts them in. `filled` gets each
 * as bits. Undefined where the budget was used up.
 */
export function countFillings(grid: Grid, state: State, { limit, ...how }: Counting): number | undefined {
  return countFrom(grid, state, limit, how)
}

interface Counting {
  limit: number
  budget: Budget
  order?: (bits: number[]) => number[]
  filled?: (may: Int32Array) => void
}

function countFrom(grid: Grid, state: State, limit: number, how: Omit<Counting, 'limit'>): number | undefined {
  const { budget, order, filled } = how
  if (budget.steps-- <= 0) return undefined
  if (!placeHidden(grid, state)) return 0
  if (!state.left) {
    filled?.(state.may)
    return 1
  }
  let best = -1
  let least = 99
  for (let c = 0; c < state.may.length && least > 2; c++) {
    const m = state.may[c]!
    if (m & SET) continue
    const n = bitCount(m)
    if (n < least) [best, least] = [c, n]
  }
  const bits: number[] = []
  for (let m = state.may[best]!; m; m &= m - 1) bits.push(m & -m)
  let count = 0
  const next = copied(state)
  for (const bit of order ? order(bits) : bits) {
    next.may.set(state.may)
    next.left = state.left
    if (!assign(grid, next, best, bit)) continue
    const n = countFrom(grid, next, limit - count, how)
    if (n === undefined) return undefined
    count += n
    if (count >= limit) break
  }
  return count
}
