import { type Band, bands, type Difficulty } from '../difficulty'
import type { Reasoning } from '../hints'
import { type Lattice, latticeOf } from './lattice'

/** Ways of reasoning, and what one use of each costs a person beyond looking at single numbers and points. */
const costs = {
  'number that has its sides': 0,
  'point where the line goes on': 0,
  'ring that would close too soon': 0.5,
  'two sides ahead': 1,
  'a few sides ahead': 3,
  'many sides ahead': 7,
  'one supposed and refuted': 15,
} as const
type Way = keyof typeof costs

/** Sides that follow from one that is supposed until it is refuted: up to here each look ahead is called so. */
const ahead: readonly [Way, number][] = [
  ['two sides ahead', 3],
  ['a few sides ahead', 8],
  ['many sides ahead', 20],
  ['one supposed and refuted', 400],
]
/** How far a band may look ahead. */
const looks: Record<Band, number> = { gentle: 1, easy: 2, middling: 3, hard: 4, stubborn: 4 }
/** Where the bands begin: costs for a hundred cells. */
const begins = [0, 36, 48, 75, 110]

const OPEN = 0
const LINE = 1
const BARE = 2
/** In place of two ends: the side joined the ends of one piece. */
const CLOSES = -1

/** What is known of the sides; what was supposed is taken back. */
class Known {
  readonly state: Uint8Array
  readonly steps: Partial<Record<Way, number>> = {}
  broken = false
  private readonly linesOfCell: Int8Array
  private readonly openOfCell: Int8Array
  private readonly linesOfPoint: Int8Array
  private readonly openOfPoint: Int8Array
  /** The other end of the piece of line that ends at a point; itself where none does. */
  private readonly far: Int16Array
  /** Sides in the order in which they became known. */
  private readonly trail: number[] = []
  /** The ends of the two pieces that each side of the line joined, or that it closed a ring. */
  private readonly joined: number[] = []
  private seen = 0
  private drawn = 0
  private rings = 0
  /** Steps of what is only supposed are nobody's. */
  private counts = true
  /** Numbers that said something on the way. */
  readonly needed: Uint8Array
  private asked: number[] = []
  /** When something became known around a point last, and a side was looked ahead from. */
  private clock = 0
  private noted = 0
  readonly moved: Int32Array
  /** By how far it was looked, then by side. */
  private readonly looked: Int32Array[]

  constructor(
    readonly lattice: Lattice,
    readonly clues: Int8Array,
  ) {
    const { sides, points, rows, cols, sidesOfPoint } = lattice
    this.state = new Uint8Array(sides)
    this.needed = new Uint8Array(rows * cols)
    this.linesOfCell = new Int8Array(rows * cols)
    this.openOfCell = new Int8Array(rows * cols).fill(4)
    this.linesOfPoint = new Int8Array(points)
    this.openOfPoint = Int8Array.from(sidesOfPoint, s => s.length)
    this.far = Int16Array.from({ length: points }, (_, p) => p)
    this.moved = new Int32Array(points).fill(1)
    this.looked = ahead.map(() => new Int32Array(sides))
  }

  set(side: number, to: number): void {
    if (this.state[side] !== OPEN) {
      if (this.state[side] !== to) this.broken = true
      return
    }
    this.state[side] = to
    this.trail.push(side)
    const [p, q] = this.lattice.pointsOfSide[side]!
    for (const c of this.lattice.cellsOfSide[side]!) {
      this.openOfCell[c]!--
      if (to === LINE) this.linesOfCell[c]!++
    }
    this.openOfPoint[p]!--
    this.openOfPoint[q]!--
    if (to !== LINE) return
    this.linesOfPoint[p]!++
    this.linesOfPoint[q]!++
    this.drawn++
    if (this.far[p] === q) {
      this.joined.push(CLOSES, CLOSES)
      this.rings++
      return
    }
    const [a, b] = [this.far[p]!, this.far[q]!]
    this.joined.push(a, b)
    this.far[a] = b
    this.far[b] = a
  }

  /** Takes back what became known since the trail had a length. */
  takeBack(to: number): void {
    while (this.trail.length > to) {
      const side = this.trail.pop()!
      const was = this.state[side]!
      this.state[side] = OPEN
      const [p, q] = this.lattice.pointsOfSide[side]!
      for (const c of this.lattice.cellsOfSide[side]!) {
        this.openOfCell[c]!++
        if (was === LINE) this.linesOfCell[c]!--
      }
      this.openOfPoint[p]!++
      this.openOfPoint[q]!++
      if (was !== LINE) continue
      this.linesOfPoint[p]!--
      this.linesOfPoint[q]!--
      this.drawn--
      const [b, a] = [this.joined.pop()!, this.joined.pop()!]
      if (a === CLOSES) {
        this.rings--
        continue
      }
      this.far[b] = q
      this.far[a] = p
    }
    this.seen = Math.min(this.seen, to)
    this.broken = false
  }

  /** Follows single numbers and points from what became known; no further than so many sides. */
  settle(most = Infinity): void {
    const { cellsOfSide, pointsOfSide } = this.lattice
    const end = this.trail.length + most
    while (this.seen < this.trail.length && !this.broken && this.trail.length <= end) {
      const side = this.trail[this.seen++]!
      for (const c of cellsOfSide[side]!) this.cell(c)
      for (const p of pointsOfSide[side]!) this.point(p)
    }
    if (this.rings && !this.broken) this.held()
  }

  private need(cell: number): void {
    if (this.counts) this.needed[cell] = 1
    else this.asked.push(cell)
  }

  private use(way: Way): void {
    if (this.counts) this.steps[way] = (this.steps[way] ?? 0) + 1
  }

  cell(c: number): void {
    const clue = this.clues[c]!
    if (clue < 0) return
    const [lines, open] = [this.linesOfCell[c]!, this.openOfCell[c]!]
    if (lines > clue || lines + open < clue) {
      this.broken = true
      this.need(c)
      return
    }
    if (!open || (lines !== clue && lines + open !== clue)) return
    this.need(c)
    this.rest(this.lattice.sidesOfCell[c]!, lines === clue ? BARE : LINE)
    this.use('number that has its sides')
  }

  private point(p: number): void {
    const [lines, open] = [this.linesOfPoint[p]!, this.openOfPoint[p]!]
    const sides = this.lattice.sidesOfPoint[p]!
    if (lines > 2 || (lines === 1 && !open)) {
      this.broken = true
      return
    }
    if (!open) return
    if (lines === 2 || (lines === 0 && open === 1) || (lines === 1 && open === 1)) {
      this.rest(sides, lines === 1 ? LINE : BARE)
      this.use('point where the line goes on')
      return
    }
    if (lines !== 1) return
    // A side that would join both ends of one piece closes a ring: only the last side may.
    for (const s of sides) {
      if (this.state[s] !== OPEN) continue
      const [a, b] = this.lattice.pointsOfSide[s]!
      if (this.far[p] !== (a === p ? b : a) || this.mayClose(s)) continue
      this.set(s, BARE)
      this.use('ring that would close too soon')
    }
  }

  private rest(sides: number[], to: number): void {
    for (const s of sides) if (this.state[s] === OPEN) this.set(s, to)
  }

  /** Whether all that is said would hold if this side were the last. */
  private mayClose(side: number): boolean {
    const [p] = this.lattice.pointsOfSide[side]!
    if (this.pieceFrom(p) !== this.drawn) return false
    const beside = this.lattice.cellsOfSide[side]!
    const short = this.clues.findIndex((n, c) => n >= 0 && this.linesOfCell[c]! + (beside.includes(c) ? 1 : 0) !== n)
    if (short >= 0) this.need(short)
    return short < 0
  }

  /** Sides of the piece of line that ends at a point. */
  private pieceFrom(p: number): number {
    let count = 0
    let [at, came] = [p, -1]
    for (;;) {
      const next = this.lattice.sidesOfPoint[at]!.find(s => s !== came && this.state[s] === LINE)
      if (next === undefined) return count
      count++
      const [a, b] = this.lattice.pointsOfSide[next]!
      at = a === at ? b : a
      came = next
      // A point with three lines, not yet looked at, could lead round for ever.
      if (at === p || count > this.drawn) return count
    }
  }

  /** A ring is closed: it must be all there is. */
  private held(): void {
    const short = this.clues.findIndex((clue, c) => clue >= 0 && this.linesOfCell[c] !== clue)
    if (short >= 0) {
      this.broken = true
      this.need(short)
    }
    const first = this.state.indexOf(LINE)
    if (this.pieceFrom(this.lattice.pointsOfSide[first]![0]) !== this.drawn) this.broken = true
  }

  /** Tries a side both ways, no further than so many others; whether one of them is refuted. */
  look(side: number, most: number): boolean {
    const mark = this.trail.length
    this.counts = false
    for (const to of [LINE, BARE]) {
      this.asked = []
      this.set(side, to)
      this.settle(most)
      const refuted = this.broken
      const followed = this.trail.length - mark
      this.takeBack(mark)
      if (!refuted) continue
      this.counts = true
      for (const c of this.asked) this.needed[c] = 1
      this.use(ahead.find(([, n]) => followed <= n + 4)?.[0] ?? 'one supposed and refuted')
      this.set(side, to === LINE ? BARE : LINE)
      return true
    }
    this.counts = true
    return false
  }

  /** Says a number; what lies near has moved. */
  say(cell: number, number: number): void {
    this.clues[cell] = number
    this.clock++
    for (const s of this.lattice.sidesOfCell[cell]!)
      for (const p of this.lattice.pointsOfSide[s]!) this.moved[p] = this.clock
    this.cell(cell)
  }

  isOpen(cell: number): boolean {
    return this.openOfCell[cell]! > 0
  }

  /** Notes what moved since it was noted last, for those sides that lie near. */
  note(): void {
    this.clock++
    for (; this.noted < this.trail.length; this.noted++)
      for (const p of this.lattice.pointsOfSide[this.trail[this.noted]!]!) this.moved[p] = this.clock
  }

  /** Whether something moved near a side since it was looked ahead from as far as this. */
  stirred(side: number, level: number): boolean {
    const since = this.looked[level]![side]!
    this.looked[level]![side] = this.clock + 1
    const { cellsOfSide, sidesOfCell, pointsOfSide } = this.lattice
    for (const c of cellsOfSide[side]!)
      for (const s of sidesOfCell[c]!) for (const p of pointsOfSide[s]!) if (this.moved[p]! >= since) return true
    return false
  }

  get length(): number {
    return this.trail.length
  }
}

/** How hard a loop is by the ways of a band, and which numbers said something; nothing where they do not lead to its end. */
export function reason(
  rows: number,
  cols: number,
  clues: Int8Array,
  band: Band,
): { difficulty: Difficulty; needed: Uint8Array } | undefined {
  const known = new Known(latticeOf(rows, cols), clues)
  clues.forEach((_n, c) => known.cell(c))
  if (!lead(known, band)) return undefined
  const cost = Object.entries(known.steps).reduce((sum, [way, n]) => sum + costs[way as Way] * n, 0)
  const level = begins.filter(b => (cost / (rows * cols)) * 100 >= b).length - 1
  return { difficulty: { band: bands[level]!, steps: known.steps }, needed: known.needed }
}

/** Reasoning about a line whose numbers are said one by one; hints are cells. */
export function reasoningOf(rows: number, cols: number, all: Int8Array, band: Band): Reasoning<number> {
  const known = new Known(latticeOf(rows, cols), new Int8Array(all.length).fill(-1))
  return {
    tell: cell => {
      if (!known.isOpen(cell)) return false
      known.say(cell, all[cell]!)
      return true
    },
    goOn: () => lead(known, band),
  }
}

/** Follows all that the ways of a band lead to; whether that is the end. */
function lead(known: Known, band: Band): boolean {
  const { sides } = known.lattice
  known.settle()
  known.note()
  const far = looks[band]
  for (let level = 0; level < far && known.length < sides && !known.broken;) {
    const most = ahead[level]![1]
    let found = false
    for (let s = 0; s < sides && !known.broken; s++) {
      if (known.state[s] !== OPEN || !known.stirred(s, level)) continue
      if (!known.look(s, most)) continue
      known.settle()
      known.note()
      found = true
      if (level) break
    }
    level = found ? 0 : level + 1
  }
  return !known.broken && known.length === sides
}
