import { seeded, shuffled } from '../../trade'
import type { Difficulty } from '../difficulty'
import type { Candidate } from '../puzzle'
import { nameOfCells } from '../turns'
import { type Kakuro, type KakuroValues, LONGEST, type Run, runsOf, summed } from './sheet'
import { reason } from './reason'

/** Share of the cells without the head row and left column that hold no digit, at most. */
const CLOSED = 0.42
/** Digits that are changed, one at a time, before a sheet is given up: so many for each cell. */
const CHANGES = 4
/** Share of the cells that the easy ways leave open, at most, where harder ones are tried. */
const NEARLY = { hard: 0.4, stubborn: 0.6 }

/** A sheet whose digits are changed until sums alone lead to them; nothing where they do not, or not as hard as the band. */
export function make({ rows, cols, band }: KakuroValues, seed: number): Candidate<Kakuro> | undefined {
  const chance = seeded(seed)
  const open = pattern(rows, cols, chance)
  const bare = runsOf(rows, cols, open)
  const digits = filled(rows * cols, bare, chance)
  if (!digits) return undefined
  const unclear = (sets: Uint16Array): number[] => [...sets.keys()].filter(c => sets[c]! & (sets[c]! - 1))
  const cells = [...open.keys()].filter(c => open[c])
  // The easy ways are quick: what is hard is what they nearly lead through.
  const quick = band === 'hard' || band === 'stubborn' ? 'middling' : band
  const nearly = band === 'hard' || band === 'stubborn' ? cells.length * NEARLY[band] : 0
  let runs = summed(bare, digits)
  let now = reason(runs, rows * cols, quick)
  /** How hard the sheet is as it stands, where it is as hard as wanted. */
  const reached = (): Difficulty | undefined => {
    const left = unclear(now.sets).length
    if (quick !== band && (!left || left > nearly)) return undefined
    const { difficulty } = quick === band ? now : reason(runs, rows * cols, band)
    return difficulty?.band === band ? difficulty : undefined
  }
  let difficulty = reached()
  for (let i = 0; i < CHANGES * cells.length && !difficulty; i++) {
    const left = unclear(now.sets)
    // Where sums lead to all digits, but not as hard as wanted, any digit may be another.
    const from = left.length ? left : cells
    const cell = from[Math.floor(chance() * from.length)]!
    const was = digits[cell]!
    const taken = new Set(bare.filter(run => run.cells.includes(cell)).flatMap(run => run.cells.map(c => digits[c]!)))
    const others = [1, 2, 3, 4, 5, 6, 7, 8, 9].filter(d => !taken.has(d))
    if (!others.length) continue
    digits[cell] = others[Math.floor(chance() * others.length)]!
    const next = summed(bare, digits)
    const then = reason(next, rows * cols, quick)
    if (unclear(then.sets).length <= Math.max(left.length, nearly)) {
      runs = next
      now = then
      difficulty = reached()
    } else digits[cell] = was
  }
  if (!difficulty) return undefined
  const puzzle = { rows, cols, runs, solution: digits }
  // Sums follow from the digits: sheets with the same digits are the same.
  const twin = nameOfCells(rows - 1, cols - 1, (r, c) => String(digits[(r + 1) * cols + c + 1]))
  return { puzzle, difficulty, twin }
}

/** Open cells, alike when turned by half: no run of one cell or of more than nine, and all hang together. */
function pattern(rows: number, cols: number, chance: () => number): Uint8Array {
  const open = Uint8Array.from({ length: rows * cols }, (_, c) => (c >= cols && c % cols ? 1 : 0))
  const inner = [...open.keys()].filter(c => open[c])
  const opposite = (cell: number): number => rows * cols + cols - cell
  const sound = (): boolean => {
    const lengths = runsOf(rows, cols, open).map(run => run.cells.length)
    return lengths.every(n => n > 1) && hangsTogether(open, cols)
  }
  let closed = 0
  const most = inner.length * CLOSED
  for (const cell of shuffled([...inner], chance)) {
    if (closed >= most) break
    const pair = [cell, opposite(cell)].filter((c, i, all) => open[c] && all.indexOf(c) === i)
    if (!pair.length) continue
    for (const c of pair) open[c] = 0
    if (sound()) closed += pair.length
    else for (const c of pair) open[c] = 1
  }
  return open
}

function hangsTogether(open: Uint8Array, cols: number): boolean {
  const first = open.indexOf(1)
  if (first < 0) return false
  const reached = new Set([first])
  for (const c of reached) for (const n of [c - 1, c + 1, c - cols, c + cols]) if (open[n]) reached.add(n)
  return reached.size === open.reduce((n, o) => n + o, 0)
}

/** Digits by chance, different in each run; the cell with the fewest left is filled first. */
function filled(cells: number, runs: Run[], chance: () => number): number[] | undefined {
  if (runs.some(run => run.cells.length > LONGEST)) return undefined
  const digits = new Array<number>(cells).fill(0)
  const peers = digits.map((_d, c) => [...new Set(runs.filter(r => r.cells.includes(c)).flatMap(r => r.cells))])
  const open = [...digits.keys()].filter(c => peers[c]!.length)
  let budget = 4000
  const fill = (): boolean => {
    let best: { cell: number; fitting: number[] } | undefined
    for (const cell of open) {
      if (digits[cell]) continue
      const fitting = [1, 2, 3, 4, 5, 6, 7, 8, 9].filter(d => peers[cell]!.every(p => digits[p] !== d))
      if (!best || fitting.length < best.fitting.length) best = { cell, fitting }
    }
    if (!best) return true
    for (const d of shuffled(best.fitting, chance)) {
      if (--budget < 0) return false
      digits[best.cell] = d
      if (fill()) return true
    }
    digits[best.cell] = 0
    return false
  }
  return fill() ? digits : undefined
}
