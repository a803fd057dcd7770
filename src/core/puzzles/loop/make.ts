import { seeded, shuffled } from '../../trade'
import { bands } from '../difficulty'
import type { Candidate } from '../puzzle'
import { nameOfCells } from '../turns'
import { latticeOf, type Loop, type LoopValues } from './lattice'
import { cellsNeeded, reason } from './reason'

/** How much of the sheet lies within the line, and how often it grows where it has most neighbours already: less, and it winds more. */
const WITHIN = 0.55
const FILLS = 0.12
/** Growths that are tried before the line is long enough as it is. */
const PATIENCE = 40

/** Parts in which numbers that could go come back where the loop is too hard without them. */
const PARTS = 4

/** A loop as hard as the band: of the numbers of a line those are said that the ways of the band cannot do without. */
export function make({ rows, cols, band }: LoopValues, seed: number): Candidate<Loop> | undefined {
  const chance = seeded(seed)
  const within = region(rows, cols, chance)
  const lattice = latticeOf(rows, cols)
  const { sides, cellsOfSide, sidesOfCell } = lattice
  const line = Uint8Array.from({ length: sides }, (_, s) => cellsOfSide[s]!.reduce((n, c) => n + within[c]!, 0) & 1)
  const all = Int8Array.from(sidesOfCell, own => own.reduce((n, s) => n + line[s]!, 0))
  const enough = cellsNeeded(lattice, all, shuffled([...all.keys()], chance), band)
  // An early number may be idle beside later ones: asked the other way round, hardly one is left that could go.
  const least = enough && cellsNeeded(lattice, all, [...enough].reverse(), band)
  if (!least) return undefined
  const clues = new Int8Array(all.length).fill(-1)
  for (const c of least) clues[c] = all[c]!
  const spare = enough.filter(c => clues[c]! < 0)
  for (let part = 0; part <= PARTS; part++) {
    const found = reason(rows, cols, clues, band)
    if (found?.difficulty.band === band) {
      found.needed.forEach((needed, c) => needed || (clues[c] = -1))
      const puzzle = { rows, cols, clues, line }
      return {
        puzzle,
        difficulty: found.difficulty,
        twin: nameOfCells(rows, cols, (r, c) => String(clues[r * cols + c])),
      }
    }
    if (found && bands.indexOf(found.difficulty.band) < bands.indexOf(band)) return undefined
    for (const c of spare.splice(0, Math.ceil(spare.length / (PARTS - part)))) clues[c] = all[c]!
  }
  return undefined
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
