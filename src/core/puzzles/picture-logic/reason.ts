import { type Band, bands, type Difficulty } from '../difficulty'
import { linesOf, type PictureLogic } from './picture'

/** What one look at a line costs that says something, by what it says; a supposition costs what following it does. */
const costs = {
  'line that fits in one way': 1,
  'stretch that overlaps itself': 2,
  'cells that a line must leave': 3,
  'one supposed and refuted': 40,
} as const
type Way = keyof typeof costs

/** Where the bands begin: costs for each line of a picture of 15 by 15; beyond the last lies what cannot be done line by line. */
const begins = [0, 2.3, 2.9, 3.5]
const LINES = 30
/** Costs for each line grow with the number of lines to this power: measured on pictures of 8 by 8 to 25 by 25. */
const GROWTH = 0.6

const OPEN = 0
const FULL = 1
const EMPTY = 2

/** Room for the longest line and all its stretches: reused, for a line is looked at very often. */
const WIDE = 32
const before = new Uint8Array(WIDE * WIDE)
const behind = new Uint8Array(WIDE * WIDE)

/** A picture's lines, rows first, and what is said of each. */
interface Sheet {
  rows: number
  cols: number
  lines: number[][]
  clues: number[][]
}

/** What is known of a picture's cells. */
class Known {
  readonly state: Uint8Array
  readonly steps: Partial<Record<Way, number>> = {}
  /** Lines in which something became known since they were looked at. */
  private waiting: Uint8Array
  broken = false
  left: number

  constructor(
    readonly sheet: Sheet,
    from?: Known,
  ) {
    const { rows, cols } = sheet
    this.state = from ? from.state.slice() : new Uint8Array(rows * cols)
    this.waiting = new Uint8Array(rows + cols).fill(from ? 0 : 1)
    this.left = from ? from.left : this.state.length
  }

  set(cell: number, to: number): void {
    const { rows, cols } = this.sheet
    if (this.state[cell] === to) return
    if (this.state[cell] !== OPEN) {
      this.broken = true
      return
    }
    this.state[cell] = to
    this.left--
    this.waiting[Math.floor(cell / cols)] = 1
    this.waiting[rows + (cell % cols)] = 1
  }

  /** Looks at lines, rows and columns in turn, as long as they say something. */
  settle(): void {
    for (let found = true; found && !this.broken && this.left;) {
      found = false
      for (let i = 0; i < this.sheet.lines.length && !this.broken; i++) {
        if (!this.waiting[i]) continue
        this.waiting[i] = 0
        if (this.look(i)) found = true
        this.waiting[i] = 0
      }
    }
  }

  /** Sets what all the ways in which a line can be filled have in common; whether there was any. */
  private look(i: number): boolean {
    const [line, clue] = [this.sheet.lines[i]!, this.sheet.clues[i]!]
    const n = line.length
    const blank = line.every(c => this.state[c] === OPEN)
    if (!this.sweep(line, clue, false, before) || !this.sweep(line, clue, true, behind)) {
      this.broken = true
      return false
    }
    let full = 0
    let empty = 0
    for (let k = 0; k < n; k++) {
      if (this.state[line[k]!] !== OPEN) continue
      const [mayFill, mayLeave] = may(this.state, line, clue, k)
      if (mayFill && mayLeave) continue
      this.set(line[k]!, mayFill ? FULL : EMPTY)
      if (mayFill) full++
      else empty++
    }
    if (!full && !empty) return false
    const way: Way =
      full + empty === n && blank
        ? 'line that fits in one way'
        : full
          ? 'stretch that overlaps itself'
          : 'cells that a line must leave'
    this.steps[way] = (this.steps[way] ?? 0) + 1
    return true
  }

  /** For each cell and number of stretches: whether the cells up to there can hold just these. From the end backwards where `back`. */
  private sweep(line: number[], clue: number[], back: boolean, can: Uint8Array): boolean {
    const [n, m] = [line.length, clue.length]
    const at = (k: number): number => this.state[line[back ? n - 1 - k : k]!]!
    can.fill(0, 0, (n + 1) * WIDE)
    can[0] = 1
    let free = 0
    for (let k = 1; k <= n; k++) {
      const here = at(k - 1)
      free = here === EMPTY ? 0 : free + 1
      for (let b = 0; b <= m; b++) {
        let fits = here !== FULL && can[(k - 1) * WIDE + b]
        if (!fits && b) {
          const length = clue[back ? m - b : b - 1]!
          if (free >= length) {
            const start = k - length
            fits = start === 0 ? can[b - 1]! : at(start - 1) !== FULL && can[(start - 1) * WIDE + b - 1]
          }
        }
        if (fits) can[k * WIDE + b] = 1
      }
    }
    return can[n * WIDE + m] === 1
  }
}

/** Whether a cell of a line can be filled, and whether it can be left, by what both sweeps found. */
function may(state: Uint8Array, line: number[], clue: number[], k: number): [boolean, boolean] {
  const [n, m] = [line.length, clue.length]
  let leave = false
  for (let b = 0; b <= m && !leave; b++) leave = !!before[k * WIDE + b] && !!behind[(n - 1 - k) * WIDE + m - b]
  let fill = false
  for (let b = 0; b < m && !fill; b++) {
    const length = clue[b]!
    for (let start = Math.max(0, k - length + 1); start <= k && start + length <= n && !fill; start++) {
      let holds = true
      for (let x = start; x < start + length && holds; x++) holds = state[line[x]!] !== EMPTY
      if (!holds) continue
      const end = start + length
      const left = start === 0 ? b === 0 : state[line[start - 1]!] !== FULL && !!before[(start - 1) * WIDE + b]
      const right = end === n ? b === m - 1 : state[line[end]!] !== FULL && !!behind[(n - end - 1) * WIDE + m - 1 - b]
      fill = left && right
    }
  }
  return [fill, leave]
}

/** How hard a picture is by the ways of a band; nothing where they do not lead to its end. Only a stubborn one wants suppositions. */
export function reason({ rows, cols, rowClues, colClues }: PictureLogic, band: Band): Difficulty | undefined {
  const lines = linesOf(rows, cols)
  const known = new Known({ rows, cols, lines, clues: [...rowClues, ...colClues] })
  known.settle()
  if (band === 'stubborn') for (let i = 0; i < MOST_SUPPOSED && supposed(known); i++) known.settle()
  if (known.left || known.broken) return undefined
  const cost = Object.entries(known.steps).reduce((sum, [way, n]) => sum + costs[way as Way] * n, 0)
  const measured = cost / lines.length / (lines.length / LINES) ** GROWTH
  const level = known.steps['one supposed and refuted'] ? 4 : begins.filter(b => measured >= b).length - 1
  return { band: bands[level]!, steps: known.steps }
}

/** Suppositions that a person stands in one picture. */
const MOST_SUPPOSED = 8

/** A cell that, filled or left, leads line by line to one that does not come out. */
function supposed(known: Known): boolean {
  for (let cell = 0; cell < known.state.length; cell++) {
    if (known.state[cell] !== OPEN) continue
    for (const to of [FULL, EMPTY]) {
      const trial = new Known(known.sheet, known)
      trial.set(cell, to)
      trial.settle()
      if (!trial.broken) continue
      known.set(cell, to === FULL ? EMPTY : FULL)
      known.steps['one supposed and refuted'] = (known.steps['one supposed and refuted'] ?? 0) + 1
      return true
    }
  }
  return false
}
