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
const begins = [0, 0.73, 0.83, 1, 1.35]

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
  groups(of: number): { groups: Group[]; at: Int16Array } {
    const at = new Int16Array(this.state.length).fill(-1)
    const groups: Group[] = []
    for (let first = 0; first < this.state.length; first++) {
      if (this.state[first] !== of || at[first]! >= 0) continue
      const group: Group = { cells: [first], ways: [], island: -1 }
      at[first] = groups.length
      for (const c of group.cells)
        for (const n of this.chart.beside[c]!) {
          if (this.state[n] === of && at[n]! < 0) {
            at[n] = groups.length
            group.cells.push(n)
          } else if (this.state[n] === OPEN && !group.ways.includes(n)) group.ways.push(n)
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
  private lettered(): { groups: Group[]; at: Int16Array } {
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
    const { groups, at } = this.lettered()
    if (this.broken) return
    const reached = new Uint8Array(this.state.length)
    groups.forEach(group => {
      if (group.island < 0) return
      const room = this.reach(group, islands[group.island]!.size, groups, at, reached)
      if (room < islands[group.island]!.size) this.broken = true
    })
    if (this.broken) return
    for (let c = 0; c < this.state.length; c++) {
      if (this.state[c] === LAND && !reached[c]) this.broken = true
      if (this.state[c] !== OPEN) continue
      const beside = new Set<number>()
      for (const n of this.chart.beside[c]!)
        if (this.state[n] === LAND && groups[at[n]!]!.island >= 0) beside.add(groups[at[n]!]!.island)
      if (beside.size > 1) this.set(c, SEA, 'between two islands')
      else if (!reached[c]) this.set(c, SEA, 'out of reach of all islands')
    }
  }

  /** Marks all cells that an island comes to with the cells it still wants; how many there are, its own included. */

  private reach(group: Group, size: number, groups: Group[], at: Int16Array, reached: Uint8Array): number {
    const cost = new Map<number, number>(group.cells.map(c => [c, group.cells.length]))
    for (const c of group.cells) reached[c] = 1
    const queue = [...group.cells]
    const seen = new Set(queue)
    let count = queue.length
    for (let i = 0; i < queue.length; i++) {
      const c = queue[i]!
      for (const n of this.chart.beside[c]!) {
        if (seen.has(n) || this.state[n] === SEA) continue
        // A cell beside another island would join both.
        const other = this.chart.beside[n]!.some(m => {
          const g = this.state[m] === LAND ? groups[at[m]!]! : undefined
          return g && g !== group && g.island >= 0
        })
        if (other || (this.state[n] === LAND && groups[at[n]!]!.island >= 0)) continue
        const next = cost.get(c)! + 1
        if (next > size) continue
        seen.add(n)
        cost.set(n, next)
        queue.push(n)
        reached[n] = 1
        count++
      }
    }
    return count
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

/** Suppositions that a band may ask for. */
const mostSupposed: Record<Band, number> = { gentle: 0, easy: 0, middling: 3, hard: 8, stubborn: 30 }

/** How hard a puzzle is by the ways of a band; nothing where they do not lead to its end. */
export function reason(puzzle: Nurikabe, band: Band): Difficulty | undefined {
  const known = new Known(puzzle, chartOf(puzzle.rows, puzzle.cols))
  known.settle()
  for (let i = 0; i < mostSupposed[band] && !known.broken && !known.done() && supposed(known); i++) known.settle()
  if (known.broken || !known.done()) return undefined
  const cost = Object.entries(known.steps).reduce((sum, [way, n]) => sum + costs[way as Way] * n, 0)
  const level = begins.filter(b => cost / known.state.length >= b).length - 1
  return { band: bands[level]!, steps: known.steps }
}
