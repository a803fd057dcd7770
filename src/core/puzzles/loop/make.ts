import { seeded, shuffled } from '../../trade'
import { hintsFor } from '../hints'
import type { Candidate } from '../puzzle'
import { nameOfCells } from '../turns'
import { latticeOf, type Loop, type LoopValues } from './lattice'
import { reason, reasoningOf } from './reason'

/** How much of the sheet lies within the line, and how often it grows where it has most neighbours already: less, and it winds more. */
const WITHIN = 0.55
const FILLS = 0.12
/** Growths that are tried before the line is long enough as it is. */
const PATIENCE = 40

/** Share of the cells whose numbers are said before it is asked which others are needed: so few never lead to the end. */
const AT_ONCE = 0.3

/** A loop as hard as the band: of the numbers of a line those are said that the ways of the band cannot do without. */
export function make({ rows, cols, band }: LoopValues, seed: number): Candidate<Loop> | undefined {
  const chance = seeded(seed)
  const within = region(rows, cols, chance)
  const { sides, cellsOfSide, sidesOfCell } = latticeOf(rows, cols)
  const line = Uint8Array.from({ length: sides }, (_, s) => cellsOfSide[s]!.reduce((n, c) => n + within[c]!, 0) & 1)
  const all = Int8Array.from(sidesOfCell, own => own.reduce((n, s) => n + line[s]!, 0))
  const clues = new Int8Array(all.length)
  let idle: number[] = []
  const made = hintsFor(band, {
    order: shuffled([...all.keys()], chance),
    atOnce: AT_ONCE,
    begin: () => reasoningOf(rows, cols, all, band),
    grade: cells => {
      clues.fill(-1)
      for (const c of cells) clues[c] = all[c]!
      const found = reason(rows, cols, clues, band)
      idle = cells.filter(c => !found?.needed[c])
      return found?.difficulty
    },
  })
  if (!made) return undefined
  // Numbers that said nothing on the way.
  for (const c of idle) clues[c] = -1
  const puzzle = { rows, cols, clues, line }
  const twin = nameOfCells(rows, cols, (r, c) => String(clues[r * cols + c]))
  return { puzzle, difficulty: made.difficulty, twin }
}

/** The eight cells around one, in a ring. */
const ring = [
  [-1, -1],
  [-1, 0],
  [-1, 1],
  [0, 1],
  [1, 1],
  [1, 0],
  [1, -1],
  [0, -1],
] as const

/** Cells that hang together and leave none cut off: their border is one closed line. It grows cell by cell. */
function region(rows: number, cols: number, chance: () => number): Uint8Array {
  const within = new Uint8Array(rows * cols)
  const holds = (r: number, c: number): number => (r < 0 || r >= rows || c < 0 || c >= cols ? 0 : within[r * cols + c]!)
  /** A cell may join where those around it that are within stand in one row, with one that shares a side. */
  const joins = (cell: number): boolean => {
    const [r, c] = [Math.floor(cell / cols), cell % cols]
    const around = ring.map(([y, x]) => holds(r + y, c + x))
    const changes = around.filter((v, i) => v !== around[(i + 1) % 8]).length
    return changes === 2 && [1, 3, 5, 7].some(i => around[i])
  }
  const besides = (cell: number): number => {
    const [r, c] = [Math.floor(cell / cols), cell % cols]
    return holds(r - 1, c) + holds(r + 1, c) + holds(r, c - 1) + holds(r, c + 1)
  }
  within[Math.floor(chance() * within.length)] = 1
  let count = 1
  for (let failed = 0; failed < within.length * PATIENCE && count < within.length * WITHIN;) {
    const cell = Math.floor(chance() * within.length)
    if (!within[cell] && joins(cell) && (besides(cell) === 1 || chance() < FILLS)) {
      within[cell] = 1
      count++
      failed = 0
    } else failed++
  }
  return within
}
