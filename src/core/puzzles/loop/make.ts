import { seeded, shuffled } from '../../trade'
import type { Band, Difficulty } from '../difficulty'
import type { Candidate } from '../puzzle'
import { nameOfCells } from '../turns'
import { latticeOf, type Loop, type LoopValues } from './lattice'
import { reason } from './reason'

/** How much of the sheet lies within the line, and how often it grows where it has most neighbours already: less, and it winds more. */
const WITHIN = 0.55
const FILLS = 0.12
/** Growths that are tried before the line is long enough as it is. */
const PATIENCE = 40

/** A loop as hard as the band: every cell says its number at first; then those go that the ways of the band can do without. */
export function make({ rows, cols, band }: LoopValues, seed: number): Candidate<Loop> | undefined {
  const chance = seeded(seed)
  const within = region(rows, cols, chance)
  const { sides, cellsOfSide, sidesOfCell } = latticeOf(rows, cols)
  const line = Uint8Array.from({ length: sides }, (_, s) => cellsOfSide[s]!.reduce((n, c) => n + within[c]!, 0) & 1)
  const all = Int8Array.from(sidesOfCell, own => own.reduce((n, s) => n + line[s]!, 0))
  const clues = all.slice()
  /** How hard the loop is by the ways of a band as it stands; numbers that say nothing on the way go at once. */
  const held = (by: Band): Difficulty | undefined => {
    const found = reason(rows, cols, clues, by)
    found?.needed.forEach((needed, c) => needed || (clues[c] = -1))
    return found?.difficulty
  }
  let difficulty = held(band)
  if (!difficulty) return undefined
  const order = shuffled([...clues.keys()], chance)
  /** Hides numbers, as many at once as the ways of a band can do without; whether it came to the wanted band on the way. */
  const hide = (among: number[], by: Band): boolean => {
    const cells = among.filter(c => clues[c]! >= 0)
    if (!cells.length) return false
    for (const c of cells) clues[c] = -1
    const without = held(by)
    if (without) {
      difficulty = without
      return band !== 'gentle' && without.band === band
    }
    for (const c of cells) clues[c] = all[c]!
    const half = cells.length >> 1
    return half > 0 && (hide(cells.slice(0, half), by) || hide(cells.slice(half), by))
  }
  const inTurn = (by: Band, together: number): boolean => {
    const said = order.filter(c => clues[c]! >= 0)
    for (let i = 0; i < said.length; i += together) if (hide(said.slice(i, i + together), by)) return true
    return false
  }
  // What a short look ahead can do without goes first: it is quick to try.
  if (!inTurn('gentle', 12) && band !== 'gentle') inTurn(band, 4)
  if (difficulty.band !== band) return undefined
  const puzzle = { rows, cols, clues, line }
  return { puzzle, difficulty, twin: nameOfCells(rows, cols, (r, c) => String(clues[r * cols + c])) }
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
