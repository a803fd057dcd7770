import { type Band, bands, type Difficulty } from '../difficulty'
import type { Run } from './sheet'

/** Ways of reasoning from the easiest to the hardest, and what one use of each costs a person. */
const costs = {
  'digits that a sum is made of': 1,
  'what is left for the last cell': 1,
  'digit taken in its run': 0.5,
  'digit that goes nowhere else': 4,
  'all ways to fill a run': 6,
  'one supposed and refuted': 25,
} as const
type Way = keyof typeof costs

/** Where the bands begin that go without filling a whole run in mind: costs for each open cell. What needs that is hard at least. */
const begins = [0, 1.72, 1.87]

const ALL = 0x1ff
const bitsIn = (set: number): number => {
  let n = 0
  for (let s = set; s; s &= s - 1) n++
  return n
}

/** Sets of digits (digit 1 is bit 0) by how many there are and what they add up to. */
const combinations: number[][][] = Array.from({ length: 10 }, () => Array.from({ length: 46 }, () => []))
for (let set = 0; set <= ALL; set++) {
  let sum = 0
  for (let d = 0; d < 9; d++) if (set & (1 << d)) sum += d + 1
  combinations[bitsIn(set)]![sum]!.push(set)
}

/** What each cell can still hold. */
class Notes {
  broken = false
  readonly steps: Partial<Record<Way, number>> = {}
  constructor(
    readonly runs: Run[],
    readonly sets: Uint16Array,
  ) {}

  keep(cell: number, allowed: number): boolean {
    const now = this.sets[cell]!
    if (!(now & ~allowed)) return false
    this.sets[cell] = now & allowed
    if (!this.sets[cell]) this.broken = true
    return true
  }

  use(way: Way): true {
    this.steps[way] = (this.steps[way] ?? 0) + 1
    return true
  }
}

/** A digit that stands for certain is nobody else's in its run. */
function taken(notes: Notes): boolean {
  let any = false
  for (const { cells } of notes.runs)
    for (const cell of cells) {
      const set = notes.sets[cell]!
      if (set & (set - 1)) continue
      let took = false
      for (const other of cells) if (other !== cell && notes.keep(other, ALL & ~set)) took = true
      if (took) any = notes.use('digit taken in its run')
    }
  return any
}

/** Sets of digits that a run can still be made of. */
function possible(notes: Notes, run: Run): number[] {
  const union = run.cells.reduce((s, c) => s | notes.sets[c]!, 0)
  const certain = run.cells.reduce((s, c) => (bitsIn(notes.sets[c]!) === 1 ? s | notes.sets[c]! : s), 0)
  return combinations[run.cells.length]![run.sum]!.filter(
    set => !(set & ~union) && (set & certain) === certain && run.cells.every(c => set & notes.sets[c]!),
  )
}

function madeOf(notes: Notes): boolean {
  let any = false
  for (const run of notes.runs) {
    const sets = possible(notes, run)
    if (!sets.length) notes.broken = true
    const allowed = sets.reduce((a, b) => a | b, 0)
    let took = false
    for (const c of run.cells) if (notes.keep(c, allowed)) took = true
    if (took)
      any = notes.use(
        run.cells.filter(c => bitsIn(notes.sets[c]!) > 1).length
          ? 'digits that a sum is made of'
          : 'what is left for the last cell',
      )
    if (notes.broken) return any
  }
  return any
}

/** A digit that every set of a run has, and only one of its cells can hold. */
function nowhereElse(notes: Notes): boolean {
  for (const run of notes.runs) {
    const wanted = possible(notes, run).reduce((a, b) => a & b, ALL)
    for (let d = 0; d < 9; d++) {
      if (!(wanted & (1 << d))) continue
      const places = run.cells.filter(c => notes.sets[c]! & (1 << d))
      if (places.length === 1 && notes.keep(places[0]!, 1 << d)) return notes.use('digit that goes nowhere else')
    }
  }
  return false
}

/** What a cell holds in some way to fill its run. */
function allWays(notes: Notes): boolean {
  for (const run of notes.runs) {
    if (run.cells.every(c => bitsIn(notes.sets[c]!) === 1)) continue
    const found = new Uint16Array(run.cells.length)
    const fill = (i: number, used: number, left: number): boolean => {
      if (i === run.cells.length) return left === 0
      let any = false
      for (let set = notes.sets[run.cells[i]!]! & ~used; set; set &= set - 1) {
        const bit = set & -set
        const digit = 32 - Math.clz32(bit)
        if (digit > left) break
        if (!fill(i + 1, used | bit, left - digit)) continue
        found[i]! |= bit
        any = true
      }
      return any
    }
    fill(0, 0, run.sum)
    let took = false
    run.cells.forEach((c, i) => {
      if (notes.keep(c, found[i]!)) took = true
    })
    if (took) return notes.use('all ways to fill a run')
  }
  return false
}

/** A digit that leads by the easy ways to a run that does not come out. */
function supposed(notes: Notes): boolean {
  const cells = [...notes.sets.keys()].filter(c => bitsIn(notes.sets[c]!) > 1)
  cells.sort((a, b) => bitsIn(notes.sets[a]!) - bitsIn(notes.sets[b]!) || a - b)
  for (const cell of cells)
    for (let set = notes.sets[cell]!; set; set &= set - 1) {
      const trial = new Notes(notes.runs, notes.sets.slice())
      trial.sets[cell] = set & -set
      while (!trial.broken && (taken(trial) || madeOf(trial)));
      if (trial.broken) {
        notes.keep(cell, ALL & ~(set & -set))
        return notes.use('one supposed and refuted')
      }
    }
  return false
}

const ways = [taken, madeOf, nowhereElse, allWays, supposed]
const waysUpTo: Record<Band, number> = { gentle: 3, easy: 3, middling: 3, hard: 4, stubborn: 5 }

/** How far the ways of a band lead: what each cell can still hold, and how hard it was where they lead to the end. */
export function reason(runs: Run[], cells: number, band: Band): { sets: Uint16Array; difficulty?: Difficulty } {
  const sets = new Uint16Array(cells)
  for (const run of runs) for (const c of run.cells) sets[c] = ALL
  const notes = new Notes(runs, sets)
  const allowed = ways.slice(0, waysUpTo[band])
  while (!notes.broken && allowed.some(way => way(notes)));
  const open = sets.reduce((n, s) => n + (s ? 1 : 0), 0)
  if (notes.broken || sets.some(s => bitsIn(s) > 1)) return { sets }
  const cost = Object.entries(notes.steps).reduce((sum, [way, n]) => sum + costs[way as Way] * n, 0)
  const level = notes.steps['one supposed and refuted']
    ? 4
    : notes.steps['all ways to fill a run']
      ? 3
      : begins.filter(b => cost / open >= b).length - 1
  return { sets, difficulty: { band: bands[level]!, steps: notes.steps } }
}
