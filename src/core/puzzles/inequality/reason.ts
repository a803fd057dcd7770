import { type Band, bands, type Difficulty } from '../difficulty'
import { type Inequality, linesOf } from './grid'

/** Ways of reasoning from the easiest to the hardest, and what one use of each costs a person. */
const costs = {
  'last number of a cell': 1,
  'last place in a line': 1.5,
  'neighbour across a sign': 1.5,
  'chain of signs': 3,
  'pair in a line': 6,
  'two places for two numbers': 8,
  'three in a line': 12,
  'number in two lines': 14,
  'one supposed and refuted': 25,
} as const
type Way = keyof typeof costs

/** Where the bands begin, by size: costs for each open cell, so that squares made for a band fall into it often enough. */
const begins: Record<number, readonly number[]> = {
  4: [0, 1.85, 2.05],
  5: [0, 2.35, 2.6, 3, 4],
  6: [0, 2.65, 2.95, 3.4, 5],
  7: [0, 3, 3.4, 4, 6],
}
/** The bands that squares of a size come in: four by four is soon done. */
export const bandsOf = (size: number): Band[] => bands.slice(0, begins[size]!.length)

const bitsIn = (set: number): number => {
  let n = 0
  for (let s = set; s; s &= s - 1) n++
  return n
}
const lowest = (set: number): number => 31 - Math.clz32(set & -set)
const highest = (set: number): number => 31 - Math.clz32(set)

/** What is still possible: for each cell a set of numbers as bits (number 1 is bit 0). */
class Notes {
  readonly sets: Uint16Array
  /** The signs beside each cell. */
  readonly signsAt: (readonly [less: number, more: number])[][]
  /** A cell was left without a number. */
  broken = false

  constructor(
    readonly square: Pick<Inequality, 'size' | 'givens' | 'signs'>,
    readonly lines: number[][],
    from?: Notes,
  ) {
    const all = 2 ** square.size - 1
    this.sets = from ? from.sets.slice() : Uint16Array.from(square.givens, g => (g ? 1 << (g - 1) : all))
    this.signsAt = from ? from.signsAt : square.givens.map((): (readonly [number, number])[] => [])
    if (!from) for (const sign of square.signs) for (const cell of sign) this.signsAt[cell]!.push(sign)
  }

  /** Takes numbers from a cell: whether any was there. */
  take(cell: number, numbers: number): boolean {
    const now = this.sets[cell]!
    if (!(now & numbers)) return false
    if (!(this.sets[cell] = now & ~numbers)) this.broken = true
    return true
  }

  solved(): boolean {
    return this.sets.every(s => bitsIn(s) === 1)
  }
}

/** Takes what is found out of the lines. */
function lastNumber(notes: Notes): Way | undefined {
  for (const line of notes.lines)
    for (const cell of line) {
      const set = notes.sets[cell]!
      if (set & (set - 1)) continue
      let took = false
      for (const other of line) if (other !== cell && notes.take(other, set)) took = true
      if (took) return 'last number of a cell'
    }
  return undefined
}

function lastPlace(notes: Notes): Way | undefined {
  for (const line of notes.lines) {
    let once = 0
    let more = 0
    for (const cell of line) {
      more |= once & notes.sets[cell]!
      once |= notes.sets[cell]!
    }
    for (const cell of line) {
      const own = notes.sets[cell]! & ~more
      if (own && notes.take(cell, notes.sets[cell]! & ~own)) return 'last place in a line'
    }
  }
  return undefined
}

function acrossSign(notes: Notes): Way | undefined {
  let chain: Way | undefined
  for (const [less, more] of notes.square.signs) {
    const [low, high] = [notes.sets[less]!, notes.sets[more]!]
    if (!low || !high) return undefined
    const atLeast = lowest(low)
    const atMost = highest(high)
    const tooLow = high & (2 ** (atLeast + 1) - 1)
    const tooHigh = low & ~(2 ** atMost - 1)
    if (!tooLow && !tooHigh) continue
    // What is known of one side alone is seen at once; else the eye runs along more than one sign.
    const known = atLeast === 0 || !(low & (low - 1)) || atMost === notes.square.size - 1 || !(high & (high - 1))
    if (chain && !known) continue
    if (known) {
      notes.take(more, tooLow)
      notes.take(less, tooHigh)
      return 'neighbour across a sign'
    }
    notes.take(more, tooLow)
    notes.take(less, tooHigh)
    chain = 'chain of signs'
  }
  return chain
}

/** `count` cells of a line that share as many numbers: no other cell of it has them. */
function fewInLine(count: 2 | 3, says: Way) {
  return (notes: Notes): Way | undefined => {
    for (const line of notes.lines)
      for (const cells of groups(line, count)) {
        const union = cells.reduce((s, c) => s | notes.sets[c]!, 0)
        if (bitsIn(union) !== count) continue
        let took = false
        for (const other of line) if (!cells.includes(other) && notes.take(other, union)) took = true
        if (took) return says
      }
    return undefined
  }
}

/** Two numbers that have the same two places in a line: no others go there. */
function twoPlaces(notes: Notes): Way | undefined {
  const { size } = notes.square
  for (const line of notes.lines) {
    const places = [...Array(size).keys()].map(v => line.filter(c => notes.sets[c]! & (1 << v)))
    for (let a = 0; a < size; a++)
      for (let b = 0; b < a; b++) {
        if (places[a]!.length !== 2 || places[a]!.join() !== places[b]!.join()) continue
        const both = (1 << a) | (1 << b)
        let took = false
        for (const cell of places[a]!) if (notes.take(cell, notes.sets[cell]! & ~both)) took = true
        if (took) return 'two places for two numbers'
      }
  }
  return undefined
}

/** A number that has the same two places in two rows goes nowhere else in those columns, and the other way round. */
function inTwoLines(notes: Notes): Way | undefined {
  const { size } = notes.square
  for (const from of [0, size])
    for (let v = 0; v < size; v++) {
      const rows = notes.lines.slice(from, from + size)
      const places = rows.map(line => line.flatMap((c, i) => (notes.sets[c]! & (1 << v) ? [i] : [])))
      for (let a = 0; a < size; a++)
        for (let b = 0; b < a; b++) {
          if (places[a]!.length !== 2 || places[a]!.join() !== places[b]!.join()) continue
          let took = false
          rows.forEach((line, r) => {
            if (r === a || r === b) return
            for (const i of places[a]!) if (notes.take(line[i]!, 1 << v)) took = true
          })
          if (took) return 'number in two lines'
        }
    }
  return undefined
}

/** A number that, put into its cell, leads by single numbers and signs to a cell without any. */
function supposed(notes: Notes): Way | undefined {
  const order = [...notes.sets.keys()].filter(c => bitsIn(notes.sets[c]!) > 1)
  order.sort((a, b) => bitsIn(notes.sets[a]!) - bitsIn(notes.sets[b]!) || a - b)
  for (const cell of order)
    for (let set = notes.sets[cell]!; set; set &= set - 1) {
      const trial = new Notes(notes.square, notes.lines, notes)
      trial.sets[cell] = set & -set
      settle(trial, cell)
      if (trial.broken) {
        notes.take(cell, set & -set)
        return 'one supposed and refuted'
      }
    }
  return undefined
}

/** Single numbers and signs, as far as they lead from a cell: what `supposed` follows, all of a kind at once. */
function settle(notes: Notes, from: number): void {
  const { sets, square, lines, signsAt } = notes
  const { size } = square
  const moved = [from]
  const take = (cell: number, numbers: number): void => {
    if (notes.take(cell, numbers)) moved.push(cell)
  }
  while (moved.length && !notes.broken) {
    const at = moved.pop()!
    for (const line of [lines[Math.floor(at / size)]!, lines[size + (at % size)]!]) {
      let [once, more, alone, twice] = [0, 0, 0, 0]
      for (const cell of line) {
        const set = sets[cell]!
        more |= once & set
        once |= set
        if (set & (set - 1)) continue
        twice |= alone & set
        alone |= set
      }
      // A number that no cell has, or that two cells have alone.
      if (twice || once !== 2 ** size - 1) notes.broken = true
      for (const cell of line) {
        const set = sets[cell]!
        if (set & (set - 1)) take(cell, set & ~more ? set & more : alone)
      }
    }
    for (const [less, more] of signsAt[at]!) {
      if (notes.broken) return
      take(more, 2 ** (lowest(sets[less]!) + 1) - 1)
      if (notes.broken) return
      take(less, ~(2 ** highest(sets[more]!) - 1))
    }
  }
}

const SIMPLE = 3
const ways: ((notes: Notes) => Way | undefined)[] = [
  lastNumber,
  lastPlace,
  acrossSign,
  fewInLine(2, 'pair in a line'),
  twoPlaces,
  fewInLine(3, 'three in a line'),
  inTwoLines,
  supposed,
]
/** How many of the ways a band may use. A small square is hard only by what is supposed. */
const waysUpTo = (size: number, band: Band): number =>
  ({ gentle: SIMPLE, easy: SIMPLE, middling: 5, hard: size < 6 ? 8 : 7, stubborn: 8 })[band]

const triples = new Map<string, number[][]>()
function groups(line: number[], count: 2 | 3): number[][] {
  const key = `${line.join()}/${count}`
  let found = triples.get(key)
  if (!found) {
    found = []
    for (let a = 0; a < line.length; a++)
      for (let b = a + 1; b < line.length; b++)
        if (count === 2) found.push([line[a]!, line[b]!])
        else for (let c = b + 1; c < line.length; c++) found.push([line[a]!, line[b]!, line[c]!])
    triples.set(key, found)
  }
  return found
}

const linesBySize = new Map<number, number[][]>()
function linesFor(size: number): number[][] {
  let lines = linesBySize.get(size)
  if (!lines) linesBySize.set(size, (lines = linesOf(size)))
  return lines
}

/** How far the ways of a band lead: the sets of numbers that are left, and how hard it was where they lead to the end. */
export function reason(
  square: Pick<Inequality, 'size' | 'givens' | 'signs'>,
  band: Band,
): { sets: Uint16Array; difficulty?: Difficulty } {
  const notes = new Notes(square, linesFor(square.size))
  const allowed = ways.slice(0, waysUpTo(square.size, band))
  const steps: Partial<Record<Way, number>> = {}
  const open = square.givens.filter(g => !g).length
  let used: Way | undefined
  do {
    used = undefined
    for (const way of allowed) if ((used = way(notes))) break
    if (used) steps[used] = (steps[used] ?? 0) + 1
  } while (used && !notes.broken)
  if (notes.broken || !notes.solved()) return { sets: notes.sets }
  const cost = Object.entries(steps).reduce((sum, [way, n]) => sum + costs[way as Way] * n, 0)
  const level = begins[square.size]!.filter(b => cost / open >= b).length - 1
  return { sets: notes.sets, difficulty: { band: bands[level]!, steps } }
}
