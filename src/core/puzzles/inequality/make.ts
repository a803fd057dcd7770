import { seeded, shuffled } from '../../trade'
import { type Band, bands } from '../difficulty'
import type { Candidate } from '../puzzle'
import { sharedName, turns } from '../turns'
import { type Inequality, linesOf, neighbours } from './grid'
import { reason } from './reason'

/**
 * A square of a size as hard as the band: all signs stand at first, with as many numbers as reasoning needs beside them; then
 * whatever the ways of the band can do without is taken away. Nothing where it comes out of another band.
 */
export function make(size: number, band: Band, seed: number): Candidate<Inequality> | undefined {
  const chance = seeded(seed)
  const solution = latinSquare(size, chance)
  let signs = neighbours(size).map(([a, b]) => (solution[a]! < solution[b]! ? ([a, b] as const) : ([b, a] as const)))
  const givens = solution.map(() => 0)
  const reasoned = (by: Band): ReturnType<typeof reason> => reason({ size, givens, signs }, by)
  for (let now = reasoned(band); !now.difficulty; now = reasoned(band)) {
    const open = [...now.sets.keys()].filter(c => now.sets[c]! & (now.sets[c]! - 1))
    if (!open.length) return undefined
    const cell = open[Math.floor(chance() * open.length)]!
    givens[cell] = solution[cell]!
  }
  /** Takes numbers and then signs away that the ways of a band do not need; whether it came to the wanted band on the way. */
  const takeAway = (by: Band): boolean => {
    for (const cell of shuffled([...givens.keys()], chance).filter(c => givens[c])) {
      givens[cell] = 0
      if (!reasoned(by).difficulty) givens[cell] = solution[cell]!
    }
    for (const sign of shuffled([...signs], chance)) {
      const before = signs
      signs = signs.filter(s => s !== sign)
      const { difficulty } = reasoned(by)
      if (!difficulty) signs = before
      else if (by === band && difficulty.band === band) return true
    }
    return false
  }
  // First by the ways of the band below, which are quick to try; what the band itself can do without goes then.
  const below = bands[Math.max(0, bands.indexOf(band) - 1)]!
  if (below !== band) takeAway(below)
  takeAway(band)
  const { difficulty } = reasoned(band)
  if (difficulty?.band !== band) return undefined
  const puzzle = { size, givens, signs, solution }
  return { puzzle, difficulty, twin: twinOf(puzzle) }
}

/** Rows and columns that have each number once. */
function latinSquare(size: number, chance: () => number): number[] {
  const order = (): number[] => shuffled([...Array(size).keys()], chance)
  for (;;) {
    const rows: number[][] = []
    // Row by row at random, each number where it still may stand; where a row comes to a dead end, all is begun anew.
    for (let r = 0; r < size; r++) {
      const row: number[] = []
      for (let c = 0; c < size; c++) {
        const v = order().find(v => !row.includes(v + 1) && rows.every(other => other[c] !== v + 1))
        if (v === undefined) break
        row.push(v + 1)
      }
      if (row.length < size) break
      rows.push(row)
    }
    if (rows.length === size) return rows.flat()
  }
}

/** The same for squares that a turn or a mirror makes of each other, and for those whose numbers are counted from the other end. */
function twinOf({ size, givens, signs }: Inequality): string {
  const lines = linesOf(size)
  return sharedName(
    turns(size, size).flatMap(turn => {
      const to = lines.slice(0, size).flatMap((row, r) =>
        row.map((_cell, c) => {
          const [row, col] = turn.to(r, c)
          return row * size + col
        }),
      )
      return [false, true].map(fromTheEnd => {
        const numbers = new Array<number>(size * size)
        givens.forEach((g, cell) => (numbers[to[cell]!] = g && fromTheEnd ? size + 1 - g : g))
        const pairs = signs.map(([a, b]) => (fromTheEnd ? `${to[b]}<${to[a]}` : `${to[a]}<${to[b]}`))
        return `${numbers.join()}|${pairs.sort().join()}`
      })
    }),
  )
}
