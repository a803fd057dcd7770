import { type Band, bands, type Difficulty } from '../difficulty'
import type { Nearness } from './field'

/** Ways of reasoning from the easiest to the hardest, and what one use of each costs a person beyond looking at single numbers. */
const costs = {
  'number with all its mines': 0,
  'number that wants all its cells': 0,
  'number within another': 3,
  'two numbers that overlap': 6,
  'three numbers together': 10,
  'one supposed and refuted': 16,
} as const
type Way = keyof typeof costs

/** Where the bands begin: costs for a hundred cells that are not shown; a small field counts as one of this many. */
const begins = [0, 3, 10, 20, 36]
const SMALL = 60

const UNKNOWN = 0
const CLEAR = 1
const MINE = 2

/** What is known of a field: of each cell, and of each number how many mines and cells it still wants. */
class Known {
  readonly state: Uint8Array
  /** Mines that are still to be found around a number, and the cells of which nothing is known. */
  readonly wants: Int8Array
  readonly open: Int8Array
  broken = false
  /** Ways that were used, and how often. */
  readonly steps: Partial<Record<Way, number>> = {}
  /** Numbers to be looked at: something around them became known. */
  private touched: number[]

  constructor(
    readonly clues: Int8Array,
    readonly near: number[][],
    readonly close: number[][],
    from?: Known,
  ) {
    this.touched = from ? [] : Array.from(clues.keys()).filter(c => clues[c]! >= 0)
    this.state = from ? from.state.slice() : Uint8Array.from(clues, c => (c >= 0 ? CLEAR : UNKNOWN))
    this.wants = from ? from.wants.slice() : clues.slice()
    this.open = from
      ? from.open.slice()
      : Int8Array.from(clues, (c, cell) => (c < 0 ? 0 : near[cell]!.reduce((n, o) => n + (clues[o]! < 0 ? 1 : 0), 0)))
  }

  set(cell: number, to: number): void {
    if (this.state[cell] !== UNKNOWN) {
      if (this.state[cell] !== to) this.broken = true
      return
    }
    this.state[cell] = to
    for (const o of this.near[cell]!) {
      if (this.clues[o]! < 0) continue
      this.open[o]!--
      if (to === MINE) this.wants[o]!--
      if (this.wants[o]! < 0 || this.wants[o]! > this.open[o]!) this.broken = true
      this.touched.push(o)
    }
  }

  /** Whether two cells lie side by side, at a corner too. */
  touches(a: number, b: number): boolean {
    return this.near[a]!.includes(b)
  }

  unknownAround(cell: number): number[] {
    return this.near[cell]!.filter(o => this.state[o] === UNKNOWN)
  }

  used(way: Way): true {
    this.steps[way] = (this.steps[way] ?? 0) + 1
    return true
  }

  /** Single numbers that have all their mines, or want all their cells, as far as they lead. */
  settle(): void {
    while (this.touched.length && !this.broken) {
      const cell = this.touched.pop()!
      if (!this.open[cell]) continue
      const wants = this.wants[cell]!
      if (wants && wants !== this.open[cell]) continue
      for (const o of this.near[cell]!) if (this.state[o] === UNKNOWN) this.set(o, wants ? MINE : CLEAR)
      this.used(wants ? 'number that wants all its cells' : 'number with all its mines')
    }
  }

  done(): boolean {
    return !this.state.includes(UNKNOWN)
  }
}

/** Numbers that still want something. */
const wanting = (known: Known): number[] =>
  Array.from(known.clues.keys()).filter(cell => known.clues[cell]! >= 0 && known.open[cell]!)

/** Two numbers: the cells of one alone have as few or as many mines as the other leaves them. */
function overlap(known: Known, within: boolean): boolean {
  const { wants, open, near, state } = known
  for (const a of wanting(known))
    for (const b of known.close[a]!) {
      if (!open[b]) continue
      let shared = 0
      for (const c of near[b]!) if (state[c] === UNKNOWN && known.touches(a, c)) shared++
      if (!shared || shared === open[a] || (within && shared < open[b]!)) continue
      const rest = open[a]! - shared
      // What the shared cells have: at most, and at least, as b allows.
      const most = Math.min(shared, wants[b]!)
      const least = Math.max(0, wants[b]! - (open[b]! - shared))
      const to = wants[a] === least ? CLEAR : wants[a]! - most === rest ? MINE : UNKNOWN
      if (to === UNKNOWN) continue
      for (const c of known.unknownAround(a)) if (!known.touches(b, c)) known.set(c, to)
      return known.used(within ? 'number within another' : 'two numbers that overlap')
    }
  return false
}

/** Three numbers: two that share no cell lie within a third, and leave its other cells as many mines as cells, or none. */
function threeTogether(known: Known): boolean {
  for (const a of wanting(known)) {
    const cells = known.unknownAround(a)
    const inside = known.close[a]!.filter(b => known.open[b] && known.unknownAround(b).every(c => cells.includes(c)))
    for (const b of inside)
      for (const d of inside) {
        if (b === d || known.unknownAround(b).some(c => known.touches(d, c))) continue
        const rest = cells.filter(c => !known.touches(b, c) && !known.touches(d, c))
        const wants = known.wants[a]! - known.wants[b]! - known.wants[d]!
        if (!rest.length || (wants !== 0 && wants !== rest.length)) continue
        for (const c of rest) known.set(c, wants ? MINE : CLEAR)
        return known.used('three numbers together')
      }
  }
  return false
}

/** A mine, or none, in a cell that leads by single numbers to one that has too many or too few. */
function supposed(known: Known): boolean {
  for (let cell = 0; cell < known.state.length; cell++) {
    if (known.state[cell] !== UNKNOWN || !known.near[cell]!.some(o => known.clues[o]! >= 0)) continue
    for (const to of [MINE, CLEAR]) {
      const trial = new Known(known.clues, known.near, known.close, known)
      trial.set(cell, to)
      trial.settle()
      if (!trial.broken) continue
      known.set(cell, to === MINE ? CLEAR : MINE)
      return known.used('one supposed and refuted')
    }
  }
  return false
}

/** Beyond single numbers. */
const ways: ((known: Known) => boolean)[] = [k => overlap(k, true), k => overlap(k, false), threeTogether, supposed]

/** How hard a field is by the ways of a band; nothing where they do not lead to its end. */
export function reason(clues: Int8Array, { near, close }: Nearness, band: Band): Difficulty | undefined {
  const known = new Known(clues, near, close)
  const hidden = known.state.filter(s => s === UNKNOWN).length
  const allowed = ways.slice(0, bands.indexOf(band))
  do known.settle()
  while (!known.done() && allowed.some(way => way(known)))
  if (!known.done()) return undefined
  const cost = Object.entries(known.steps).reduce((sum, [way, n]) => sum + costs[way as Way] * n, 0)
  const level = begins.filter(b => (cost / Math.max(SMALL, hidden)) * 100 >= b).length - 1
  return { band: bands[level]!, steps: known.steps }
}
