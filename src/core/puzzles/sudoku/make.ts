import { seeded, shuffled } from '../../trade'
import { type Band, type Difficulty } from '../difficulty'
import type { Candidate } from '../puzzle'
import { grade, help } from './grade'
import { type Grid, gridOf, type Sudoku } from './grid'
import { assign, copied, countFillings, lowest, openState, SET } from './search'
import { twinOf } from './twin'

/** Steps of search that one grid, and one question whether a puzzle has one answer, may take. */
const FILL_STEPS = 3000
const UNIQUE_STEPS = 400
/** How often numbers are given back in other places before another grid is tried. */
const HELPINGS = 6
/** Greater grids are hard enough as they are emptied in pairs. */
const LARGEST_SINGLY = 9
const SMALL = 6
/** Of the numbers that a gentle grid could do without, as many as this are given back, by chance from none. */
const GENEROUS = 0.4

/**
 * A sudoku of a size and band: a full grid by chance, numbers taken out as long as one answer is left, then given back until the
 * band is not passed. Where that is too easy, numbers are taken out one by one; nothing where it is too easy even then.
 */
export function make(size: number, band: Band, seed: number): Candidate<Sudoku> | undefined {
  const grid = gridOf(size)
  const chance = seeded(seed)
  const solution = fullGrid(grid, chance)
  if (!solution) return undefined
  const given = [...solution]
  const last = given.length - 1
  const half = Array.from({ length: (last >> 1) + 1 }, (_, i) => i)
  const singly = size <= LARGEST_SINGLY
  // Two at a time across the centre. Small grids that lose their numbers so are hardly ever hard.
  if (!singly || size > SMALL || band === 'gentle')
    takeOut(grid, given, { solution, parts: shuffled(half, chance).map(c => (c === last - c ? [c] : [c, last - c])) })
  if (band === 'gentle') {
    const open = shuffled(
      [...given.keys()].filter(c => given[c]! < 0),
      chance,
    )
    for (const c of open.slice(0, Math.floor(open.length * GENEROUS * chance()))) given[c] = solution[c]!
  }
  let best = heldTo(band, grid, given, { solution, chance })
  if (!best && singly && band !== 'gentle') {
    takeOut(grid, given, { solution, parts: shuffled([...solution.keys()], chance).map(c => [c]) })
    best = heldTo(band, grid, given, { solution, chance })
  }
  if (!best) return undefined
  const rows = (cells: number[]): number[][] =>
    Array.from({ length: size }, (_, r) => cells.slice(r * size, (r + 1) * size).map(v => v + 1))
  const { givens, difficulty } = best
  return {
    puzzle: { size, boxRows: grid.boxRows, boxCols: grid.boxCols, givens: rows(givens), solution: rows(solution) },
    difficulty,
    twin: twinOf(grid, givens, solution),
  }
}

/** Gives numbers back until the band is not passed, each where the reasoning of the band leads no further. Nothing where the band is not reached. */
function heldTo(
  band: Band,
  grid: Grid,
  given: number[],
  { solution, chance }: { solution: number[]; chance: () => number },
): { givens: number[]; difficulty: Difficulty } | undefined {
  for (let i = 0; i < HELPINGS; i++) {
    const helped = help(grid, given, { band, solution, chance })
    const givens = given.map((v, c) => (helped.includes(c) ? solution[c]! : v))
    const difficulty = grade(grid, givens)
    if (difficulty?.band === band) return { givens, difficulty }
    // Nothing was given: another try would come to the same.
    if (!helped.length) return undefined
  }
  return undefined
}

function fullGrid(grid: Grid, chance: () => number): number[] | undefined {
  let cells: number[] | undefined
  countFillings(grid, openState(grid), {
    limit: 1,
    budget: { steps: FILL_STEPS },
    order: bits => shuffled(bits, chance),
    filled: may => (cells = Array.from(may, m => lowest(m & ~SET))),
  })
  return cells
}

/** Empties cells, those of a part together, while the answer stays the only one. */
function takeOut(
  grid: Grid,
  given: number[],
  { solution, parts }: { solution: number[]; parts: readonly number[][] },
): void {
  for (const part of parts) {
    const cells = part.filter(c => given[c]! >= 0)
    for (const c of cells) given[c] = -1
    if (!follow(grid, given, cells, solution) && !hasOneAnswer(grid, given, cells, solution))
      for (const c of cells) given[c] = solution[c]!
  }
}

/** Whether the numbers of cells follow one by one from the givens at a look: only they fit, or only there. Most do; a search is dear. */
function follow({ size, units, unitsOf, peers }: Grid, givens: number[], cells: number[], solution: number[]): boolean {
  const put: number[] = []
  const goesIn = (c: number, v: number): boolean => givens[c]! < 0 && peers[c]!.every(p => givens[p] !== v)
  const found = cells.every(c => {
    const v = solution[c]!
    const only = Array.from({ length: size }, (_, w) => w).every(w => w === v || !goesIn(c, w))
    if (!only && !unitsOf[c]!.some(u => units[u]!.every(other => other === c || !goesIn(other, v)))) return false
    givens[c] = v
    put.push(c)
    return true
  })
  for (const c of put) givens[c] = -1
  return found
}

/** Whether no filling has another number in one of the cells: all others of the givens are known to leave one answer with them. */
function hasOneAnswer(grid: Grid, givens: number[], cells: number[], solution: number[]): boolean {
  const given = openState(grid)
  for (let c = 0; c < givens.length; c++) if (givens[c]! >= 0 && !assign(grid, given, c, 1 << givens[c]!)) return false
  return cells.every(c => {
    if (given.may[c]! & SET) return true
    const other = copied(given)
    const rest = other.may[c]! & ~(1 << solution[c]!)
    other.may[c] = rest
    // Where one number is left it is put there; `assign` wants to see it as one of several.
    if (!(rest & (rest - 1)) && !assign(grid, other, c, rest)) return true
    return countFillings(grid, other, { limit: 1, budget: { steps: UNIQUE_STEPS } }) === 0
  })
}
