import { type Band, bands, type Difficulty } from '../difficulty'
import { type Chart, chartOf, type Nurikabe } from './waters'

/** Ways of reasoning from the easiest to the hardest, and what one use of each costs a person. */
const costs = {
  'island that is whole': 0.5,
  'between two islands': 0.5,
  'no pool of four': 1,
  'only way for the sea': 1.5,
  'only way for an island': 1.5,
  'out of reach of all islands': 2,
  'one supposed and refuted': 10,
} as const
type Way = keyof typeof costs

/** Where the bands begin: costs for each cell. Waters made for a band fall into it often enough. */
const begins = [0, 0.98, 1.2, 1.4, 1.7]

const OPEN = 0
const SEA = 1
const LAND = 2

/** Cells that hang together. */
interface Group {
  cells: number[]
  /** Open cells beside it. */
  ways: number[]
  /** Which island it is part of, -1 where that is not known; of the sea, always. */
  island: number
}

interface Groups {
  groups: Group[]
  /** Of each cell the group that it is in, or -1. */
  at: Int16Array
}

/** Beside a cell are groups of more than one island. */
const MANY = -2

/** What is known of the cells. */
class Known {
  readonly state: Uint8Array
  readonly steps: Partial<Record<Way, number>> = {}
  broken = false

  constructor(
    readonly puzzle: Nurikabe,
    readonly chart: Chart,
    from?: Known,
  ) {
    this.state = from ? from.state.slice() : new Uint8Array(puzzle.rows * puzzle.cols)
    if (!from) for (const { cell } of puzzle.islands) this.state[cell] = LAND
  }

  set(cell: number, to: number, way: Way): void {
    if (this.state[cell] === to) return
    if (this.state[cell] !== OPEN) {
      this.broken = true
      return
    }
    this.state[cell] = to
    this.steps[way] = (this.steps[way] ?? 0) + 1
  }

  /** All groups of a state, and for each cell which. */
  groups(of: number): Groups {
    const at = new Int16Array(this.state.length).fill(-1)
    const wayOf = new Int16Array(this.state.length).fill(-1)
    const groups: Group[] = []
    for (let first = 0; first < this.state.length; first++) {
      if (this.state[first] !== of || at[first]! >= 0) continue
      const g = groups.length
      const group: Group = { cells: [first], ways: [], island: -1 }
      at[first] = g
      for (const c of group.cells)
        for (const n of this.chart.beside[c]!) {
          if (this.state[n] === of) {
            if (at[n]! >= 0) continue
            at[n] = g
            group.cells.push(n)
          } else if (this.state[n] === OPEN && wayOf[n] !== g) {
            wayOf[n] = g
            group.ways.push(n)
          }
        }
      groups.push(group)
    }
    return { groups, at }
  }

  /** Follows all ways but supposing as far as they lead. */
  settle(): void {
    for (let before = -1; !this.broken;) {
      const known = this.state.reduce((n, s) => n + (s ? 1 : 0), 0)
      if (known === before) return
      before = known
      this.pools()
      if (!this.broken) this.waters()
      if (!this.broken) this.lands()
    }
  }

  /** Of four cells in a square one is land. */
  private pools(): void {
    for (const square of this.chart.squares) {
      let sea = 0
      let open = -1
      for (const c of square)
        if (this.state[c] === SEA) sea++
        else if (this.state[c] === OPEN) open = c
      if (sea === 4) this.broken = true
      if (sea === 3 && open >= 0) this.set(open, LAND, 'no pool of four')
    }
  }

  /** The sea hangs together: a part of it that has one way on takes it, as long as there is more of the sea elsewhere. */
  private waters(): void {
    const { groups } = this.groups(SEA)
    const whole = this.state.length - this.puzzle.islands.reduce((n, i) => n + i.size, 0)
    for (const { cells, ways } of groups) {
      if (cells.length > whole || (cells.length < whole && !ways.length)) this.broken = true
      if (cells.length < whole && ways.length === 1) this.set(ways[0]!, SEA, 'only way for the sea')
    }
  }

  /** Groups of land with the island each is part of; broken where one has two numbers. */
  private lettered(): Groups {
    const { groups, at } = this.groups(LAND)
    this.puzzle.islands.forEach(({ cell }, i) => {
      const group = groups[at[cell]!]!
      if (group.island >= 0) this.broken = true
      group.island = i
    })
    return { groups, at }
  }

  private lands(): void {
    const { islands } = this.puzzle
    const { groups } = this.lettered()
    if (this.broken) return
    for (const { cells, ways, island } of groups) {
      const size = island < 0 ? Infinity : islands[island]!.size
      if (cells.length > size) this.broken = true
      if (cells.length === size) for (const c of ways) this.set(c, SEA, 'island that is whole')
      else if (!ways.length) this.broken = true
      else if (ways.length === 1) this.set(ways[0]!, LAND, 'only way for an island')
      if (this.broken) return
    }
    this.reaches()
  }

  /** Open cells that no island comes to, or that would join two; land that no island comes to cannot be. */
  private reaches(): void {
    const { islands } = this.puzzle
    const lettered = this.lettered()
    if (this.broken) return
    const beside = this.islandsBeside(lettered)
    const reached = new Uint8Array(this.state.length)
    for (const [g, { island }] of lettered.groups.entries()) {
      if (island < 0) continue
      if (this.reach(g, islands[island]!.size, { lettered, beside, reached }) < islands[island]!.size)
        this.broken = true
    }
    if (this.broken) return
    for (let c = 0; c < this.state.length; c++) {
      if (this.state[c] === LAND && !reached[c]) this.broken = true
      if (this.state[c] !== OPEN) continue
      if (beside[c] === MANY) this.set(c, SEA, 'between two islands')
      else if (!reached[c]) this.set(c, SEA, 'out of reach of all islands')
    }
  }

  /** Of each cell the group with a number that is beside it: -1 none, or MANY. */
  private islandsBeside({ groups, at }: Groups): Int16Array {
    const out = new Int16Array(this.state.length).fill(-1)
    for (let c = 0; c < out.length; c++)
      for (const n of this.chart.beside[c]!) {
        const g = at[n]!
        if (g >= 0 && groups[g]!.island >= 0 && g !== out[c]) out[c] = out[c] === -1 ? g : MANY
      }
    return out
  }

  /** Marks all cells that an island comes to with the cells it still wants; how many there are, its own included. */
  private reach(
    g: number,
    size: number,
    { lettered: { groups, at }, beside, reached }: { lettered: Groups; beside: Int16Array; reached: Uint8Array },
  ): number {
    const own = groups[g]!.cells
    const cost = new Uint8Array(this.state.length)
    for (const c of own) {
      cost[c] = own.length
      reached[c] = 1
    }
    const queue = [...own]
    for (const c of queue) {
      const next = cost[c]! + 1
      if (next > size) break
      for (const n of this.chart.beside[c]!) {
        // A cell beside another island would join both.
        if (cost[n] || this.state[n] === SEA || (beside[n] !== -1 && beside[n] !== g)) continue
        if (this.state[n] === LAND && groups[at[n]!]!.island >= 0) continue
        cost[n] = next
        reached[n] = 1
        queue.push(n)
      }
    }
    return queue.length
  }

  open(): number[] {
    return [...this.state.keys()].filter(c => this.state[c] === OPEN)
  }

  done(): boolean {
    return !this.state.includes(OPEN)
  }
}

/** A cell that, as land or as sea, leads to what cannot be. */
function supposed(known: Known): boolean {
  for (let cell = 0; cell < known.state.length; cell++) {
    if (known.state[cell] !== OPEN) continue
    if (!known.chart.beside[cell]!.some(n => known.state[n] !== OPEN)) continue
    for (const to of [LAND, SEA]) {
      const trial = new Known(known.puzzle, known.chart, known)
      trial.state[cell] = to
      trial.settle()
      if (!trial.broken) continue
      known.set(cell, to === LAND ? SEA : LAND, 'one supposed and refuted')
      return true
    }
  }
  return false
}

/** Suppositions that a band may ask for on eight by eight cells, and the share of the cells that may be open before the first. */
const suppositions: Record<Band, { most: number; open: number }> = {
  gentle: { most: 0, open: 0 },
  easy: { most: 0, open: 0 },
  middling: { most: 3, open: 0.15 },
  hard: { most: 8, open: 0.35 },
  stubborn: { most: 30, open: 0.6 },
}

/** How hard a puzzle is by the ways of a band, or the cells that they leave open. */
export function reasoned(puzzle: Nurikabe, band: Band): { difficulty?: Difficulty; open: number[] } {
  const known = new Known(puzzle, chartOf(puzzle.rows, puzzle.cols))
  known.settle()
  const { open } = suppositions[band]
  const most = (suppositions[band].most * known.state.length) / 64
  const opened = known.open()
  if (opened.length <= open * known.state.length)
    for (let i = 0; i < most && !known.broken && !known.done() && supposed(known); i++) known.settle()
  if (known.broken || !known.done()) return { open: opened }
  const cost = Object.entries(known.steps).reduce((sum, [way, n]) => sum + costs[way as Way] * n, 0)
  const level = begins.filter(b => cost / known.state.length >= b).length - 1
  return { difficulty: { band: bands[level]!, steps: known.steps }, open: [] }
}
