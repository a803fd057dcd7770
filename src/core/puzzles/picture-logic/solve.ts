import type { Proof } from '../puzzle'
import type { PictureLogic } from './picture'

/** A line's ways to be filled, as bits (the first cell is bit 0). */
type Fillings = number[]

/** All the ways to lay stretches on a line. */
function fillings(length: number, clue: number[]): Fillings {
  const out: Fillings = []
  const lay = (from: number, b: number, bits: number): void => {
    if (b === clue.length) return void out.push(bits)
    const rest = clue.slice(b).reduce((sum, n) => sum + n + 1, -1)
    for (let at = from; at + rest <= length; at++) lay(at + clue[b]! + 1, b + 1, bits | ((2 ** clue[b]! - 1) << at))
  }
  lay(0, 0, 0)
  return out
}

/**
 * Solves a picture by whole lines: of all the ways to fill each, those go that a crossing line rules out in every one of its own; where
 * that comes to rest, the line with the fewest is tried way by way.
 */
export function prove({ rows, cols, rowClues, colClues, filled }: PictureLogic): Proof {
  const across = rowClues.map(c => fillings(cols, c))
  const down = colClues.map(c => fillings(rows, c))
  let answers = 0
  let agrees = false
  const search = (byRow: Fillings[], byCol: Fillings[]): void => {
    const left = crossed(byRow, byCol)
    if (!left) return
    const open = left.byRow.map((f, r) => ({ f, r })).filter(({ f }) => f.length > 1)
    if (!open.length) {
      answers++
      agrees = filled.every((v, cell) => v === ((left.byRow[Math.floor(cell / cols)]![0]! >> (cell % cols)) & 1))
      return
    }
    const { f, r } = open.reduce((a, b) => (b.f.length < a.f.length ? b : a))
    for (const way of f) {
      if (answers > 1) return
      search(
        left.byRow.map((own, i) => (i === r ? [way] : own)),
        left.byCol,
      )
    }
  }
  search(across, down)
  return { answers: answers as Proof['answers'], agrees: answers === 1 && agrees }
}

/** What is left of all lines when none rules out any more of another; nothing where a line has no way left. */
function crossed(byRow: Fillings[], byCol: Fillings[]): { byRow: Fillings[]; byCol: Fillings[] } | undefined {
  let lines = [byRow, byCol] as const
  for (;;) {
    const rows = ruledOut(lines[0], lines[1])
    const columns = ruledOut(lines[1], rows)
    if ([...rows, ...columns].some(f => !f.length)) return undefined
    const same = (a: readonly Fillings[], b: readonly Fillings[]): boolean =>
      a.every((f, i) => f.length === b[i]!.length)
    if (same(rows, lines[0]) && same(columns, lines[1])) return { byRow: rows, byCol: columns }
    lines = [rows, columns]
  }
}

/** The ways of lines that agree with the cells that all ways of the crossing lines fill, or none. */
function ruledOut(lines: readonly Fillings[], crossing: readonly Fillings[]): Fillings[] {
  const always = crossing.map(f => f.reduce((a, b) => a & b, -1))
  const ever = crossing.map(f => f.reduce((a, b) => a | b, 0))
  return lines.map((f, i) => {
    let [must, can] = [0, 0]
    for (let k = 0; k < crossing.length; k++) {
      must |= ((always[k]! >> i) & 1) << k
      can |= ((ever[k]! >> i) & 1) << k
    }
    return f.filter(bits => (bits & must) === must && !(bits & ~can))
  })
}
