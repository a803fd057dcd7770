import { type Band, bands, type Difficulty } from '../difficulty'
import type { Grid } from './grid'
import { bitCount } from './search'

/** The open cells of a grid and what each may be, as bits; 0 where the number stands. */
class Pencil {
  readonly may: Int32Array
  open: number

  constructor(
    readonly grid: Grid,
    givens: readonly number[],
  ) {
    const { size } = grid
    this.may = new Int32Array(size * size).fill(2 ** size - 1)
    this.open = size * size
    givens.forEach((v, c) => v >= 0 && this.put(c, 1 << v))
  }

  put(cell: number, bit: number): void {
    this.may[cell] = 0
    this.open--
    for (const p of this.grid.peers[cell]!) this.may[p]! &= ~bit
  }

  /** Strikes numbers out of a cell; whether there were any. */
  strike(cell: number, bits: number): boolean {
    if (!(this.may[cell]! & bits)) return false
    this.may[cell]! &= ~bits
    return true
  }

  copy(): Pencil {
    const other = Object.create(Pencil.prototype) as { -readonly [K in keyof Pencil]: Pencil[K] }
    other.grid = this.grid
    other.may = this.may.slice()
    other.open = this.open
    return other
  }
}

/** A way of reasoning: does one step where it can, and says whether it could. `band`: what a puzzle is at least that needs it. */
interface Technique {
  name: string
  band: Band
  step(p: Pencil): boolean
}

/** A number with one place left in a unit. `from` and `to`: which units. */
const hiddenSingle =
  (from: number, to: number) =>
  (p: Pencil): boolean => {
    const { size, units } = p.grid
    for (let u = from * size; u < to * size; u++) {
      let once = 0
      let twice = 0
      for (const c of units[u]!) {
        twice |= once & p.may[c]!
        once |= p.may[c]!
      }
      const single = once & ~twice
      if (!single) continue
      const bit = single & -single
      p.put(
        units[u]!.find(c => p.may[c]! & bit)!,
        bit,
      )
      return true
    }
    return false
  }

function nakedSingle(p: Pencil): boolean {
  const { may } = p
  for (let c = 0; c < may.length; c++)
    if (may[c] && !(may[c]! & (may[c]! - 1))) {
      p.put(c, may[c]!)
      return true
    }
  return false
}

/** A number that a unit has only where it crosses another unit is struck out of the rest of that one. */
function lockedCandidates(p: Pencil): boolean {
  const bitsIn = (cells: number[]): number => {
    let bits = 0
    for (const c of cells) bits |= p.may[c]!
    return bits
  }
  for (const { shared, box, line } of p.grid.crossings) {
    const here = bitsIn(shared)
    if (!here) continue
    const [inBox, inLine] = [bitsIn(box), bitsIn(line)]
    for (const [bits, cells] of [
      [here & ~inBox & inLine, line],
      [here & ~inLine & inBox, box],
    ] as const) {
      if (!bits) continue
      const bit = bits & -bits
      let any = false
      for (const c of cells) any = p.strike(c, bit) || any
      if (any) return true
    }
  }
  return false
}

/**
 * Picks `k` of some sets (bits; 0 and sets of more than `k` are left out) that have `k` things between them. `found` gets which they
 * are, as bits, and what they have; whether it said of any that it is the one.
 */
function tight(sets: ArrayLike<number>, k: number, found: (which: number, union: number) => boolean): boolean {
  const from = (at: number, picked: number, which: number, union: number): boolean => {
    if (picked === k) return found(which, union)
    for (let i = at; i < sets.length; i++) {
      const both = union | sets[i]!
      if (sets[i] && bitCount(both) <= k && from(i + 1, picked + 1, which | (1 << i), both)) return true
    }
    return false
  }
  return from(0, 0, 0, 0)
}

/** Sets of the last unit looked at: filled anew for each, never kept. */
const sets = new Int32Array(16)

/** `k` cells of a unit that have only `k` numbers between them. */
const nakedSet =
  (k: number) =>
  (p: Pencil): boolean => {
    const { units, size } = p.grid
    const own = sets.subarray(0, size)
    return units.some(unit => {
      unit.forEach((c, i) => (own[i] = p.may[c]!))
      return tight(own, k, (which, bits) => {
        let any = false
        unit.forEach((c, i) => {
          if (!(which & (1 << i))) any = p.strike(c, bits) || any
        })
        return any
      })
    })
  }

/** `k` numbers of a unit that have only `k` cells between them. */
const hiddenSet =
  (k: number) =>
  (p: Pencil): boolean => {
    const { units, size } = p.grid
    const own = sets.subarray(0, size)
    return units.some(unit => {
      for (let v = 0; v < size; v++) own[v] = unit.reduce((at, c, i) => at | (((p.may[c]! >> v) & 1) << i), 0)
      return tight(own, k, (numbers, cells) => {
        let any = false
        unit.forEach((c, i) => {
          if (cells & (1 << i)) any = p.strike(c, ~numbers) || any
        })
        return any
      })
    })
  }

/** A number that stands in `k` rows only in the same `k` columns is struck out of the rest of these; and the other way round. */
const fish =
  (k: number) =>
  (p: Pencil): boolean => {
    const { units, size } = p.grid
    const own = sets.subarray(0, size)
    for (const [base, cover] of [
      [size, 2 * size],
      [2 * size, size],
    ] as const)
      for (let v = 0; v < size; v++) {
        for (let i = 0; i < size; i++)
          own[i] = units[base + i]!.reduce((at, c, j) => at | (((p.may[c]! >> v) & 1) << j), 0)
        const done = tight(own, k, (lines, across) => {
          let any = false
          for (let a = 0; a < size; a++) {
            if (!(across & (1 << a))) continue
            units[cover + a]!.forEach((c, i) => {
              if (!(lines & (1 << i))) any = p.strike(c, 1 << v) || any
            })
          }
          return any
        })
        if (done) return true
      }
    return false
  }

const pairsOf = <T>(list: readonly T[]): [T, T][] =>
  list.flatMap((a, i) => list.slice(i + 1).map((b): [T, T] => [a, b]))

/** A cell of two numbers that sees two others of two, which share a third number between them: what sees both is not that number. */
function wing(p: Pencil): boolean {
  const { peers } = p.grid
  const pairs = [...p.may.keys()].filter(c => bitCount(p.may[c]!) === 2)
  for (const pivot of pairs) {
    const near = pairs.filter(c => peers[pivot]!.includes(c))
    for (const [a, b] of pairsOf(near)) {
      const common = p.may[a]! & p.may[b]!
      if (bitCount(common) !== 1 || common & p.may[pivot]!) continue
      if ((p.may[a]! | p.may[b]!) !== (p.may[pivot]! | common)) continue
      let any = false
      for (const c of peers[a]!) if (c !== pivot && peers[b]!.includes(c)) any = p.strike(c, common) || any
      if (any) return true
    }
  }
  return false
}

/** A number that, put into a cell, leads by single numbers to a contradiction is struck out. */
function contradiction(p: Pencil): boolean {
  const cells = [...p.may.keys()].filter(c => p.may[c]).sort((a, b) => bitCount(p.may[a]!) - bitCount(p.may[b]!))
  for (const c of cells)
    for (let m = p.may[c]!; m; m &= m - 1) {
      const bit = m & -m
      const tried = p.copy()
      tried.put(c, bit)
      while (tried.open && (nakedSingle(tried) || hiddenSingle(0, 3)(tried)));
      if (isBroken(tried)) return p.strike(c, bit)
    }
  return false
}

/** Whether a cell is left without a number, or the open cells of some unit have fewer numbers between them than there are cells. */
function isBroken({ grid, may, open }: Pencil): boolean {
  let left = 0
  for (const m of may) if (m) left++
  if (left < open) return true
  return grid.units.some(unit => {
    let cells = 0
    let bits = 0
    for (const c of unit) {
      if (may[c]) cells++
      bits |= may[c]!
    }
    return bitCount(bits) < cells
  })
}

const techniques: Technique[] = [
  { name: 'single place in a box', band: 'gentle', step: hiddenSingle(0, 1) },
  { name: 'single place in a line', band: 'gentle', step: hiddenSingle(1, 3) },
  { name: 'single number in a cell', band: 'easy', step: nakedSingle },
  { name: 'locked numbers', band: 'middling', step: lockedCandidates },
  { name: 'open pair', band: 'middling', step: nakedSet(2) },
  { name: 'hidden pair', band: 'middling', step: hiddenSet(2) },
  { name: 'open triple', band: 'middling', step: nakedSet(3) },
  { name: 'hidden triple', band: 'hard', step: hiddenSet(3) },
  { name: 'two lines', band: 'hard', step: fish(2) },
  { name: 'wing of pairs', band: 'hard', step: wing },
  { name: 'three lines', band: 'hard', step: fish(3) },
  { name: 'trial and contradiction', band: 'stubborn', step: contradiction },
]

/** How hard a grid is for a person: the easiest way of reasoning that leads on is taken each time. Nothing where none leads on. */
export function grade(grid: Grid, givens: readonly number[]): Difficulty | undefined {
  const pencil = new Pencil(grid, givens)
  const steps: Record<string, number> = {}
  let hardest = 0
  while (pencil.open) {
    const next = techniques.find(t => t.step(pencil))
    if (!next) return undefined
    steps[next.name] = (steps[next.name] ?? 0) + 1
    hardest = Math.max(hardest, bands.indexOf(next.band))
  }
  return { band: bands[hardest]!, steps }
}

/**
 * Cells whose numbers have to be given for a grid to fall to the reasoning of a band: each is chosen by chance among the open ones
 * where nothing leads on.
 */
export function help(
  grid: Grid,
  givens: readonly number[],
  { band, solution, chance }: { band: Band; solution: readonly number[]; chance: () => number },
): number[] {
  const usable = techniques.filter(t => bands.indexOf(t.band) <= bands.indexOf(band))
  const pencil = new Pencil(grid, givens)
  const given: number[] = []
  while (pencil.open) {
    if (usable.some(t => t.step(pencil))) continue
    const open = [...pencil.may.keys()].filter(c => pencil.may[c])
    const cell = open[Math.floor(chance() * open.length)]!
    given.push(cell)
    pencil.put(cell, 1 << solution[cell]!)
  }
  return given
}
