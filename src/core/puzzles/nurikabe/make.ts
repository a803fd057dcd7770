import { seeded } from '../../trade'
import type { Candidate } from '../puzzle'
import { nameOfCells } from '../turns'
import { bands } from '../difficulty'
import { reasoned } from './reason'
import { Sea } from './sea'
import { chartOf, type Nurikabe, type NurikabeValues } from './waters'

/** Cells that are looked at for each change. */
const TRIES = 20

/**
 * Islands whose sizes alone lead to the sea. Where reasoning comes no further, a cell that it left open is changed: it takes its island's
 * number, or becomes sea, or land; what leaves more open than before is taken back.
 */
export function make({ rows, cols, band }: NurikabeValues, seed: number): Candidate<Nurikabe> | undefined {
  const chance = seeded(seed)
  const any = <T>(of: readonly T[]): T => of[Math.floor(chance() * of.length)]!
  const chart = chartOf(rows, cols)
  const first = Sea.at(chart, chance)
  if (!first) return undefined
  let sea = first
  /** Cells that have, or would have, their island's number. */
  const numbers = new Set(sea.islands().map(any))
  const puzzleOf = (of: Sea, at: ReadonlySet<number>): Nurikabe => {
    const islands = of.islands().map(cells => ({ cell: cells.find(c => at.has(c)) ?? any(cells), size: cells.length }))
    islands.sort((a, b) => a.cell - b.cell)
    return { rows, cols, islands, sea: of.cells }
  }
  let puzzle = puzzleOf(sea, numbers)
  let state = reasoned(puzzle, band)
  for (let changes = 0, tries = 0; changes < rows * cols && tries < TRIES * rows * cols; tries++) {
    if (puzzle.islands.length < 2) return undefined
    if (state.difficulty?.band === band) {
      const size = new Map(puzzle.islands.map(o => [o.cell, o.size]))
      return {
        puzzle,
        difficulty: state.difficulty,
        twin: nameOfCells(rows, cols, (r, c) => String(size.get(r * cols + c) ?? 0)),
      }
    }
    const cell = state.open.length ? any(state.open) : Math.floor(chance() * rows * cols)
    const next: Sea = new Sea(sea.cells.slice(), chart)
    const at = new Set(puzzle.islands.map(o => o.cell))
    if (next.cells[cell]) {
      if (!next.raise(cell)) continue
    } else if (chance() < 0.5) {
      for (const c of next.part(cell)) at.delete(c)
      at.add(cell)
    } else if (!next.flood(cell)) continue
    changes++
    const other = puzzleOf(next, at)
    const then = reasoned(other, band)
    const far = (s: typeof then): number =>
      s.difficulty ? Math.abs(bands.indexOf(s.difficulty.band) - bands.indexOf(band)) : 5 + s.open.length
    if (far(then) > far(state)) continue
    ;[sea, puzzle, state] = [next, other, then]
  }
  return undefined
}
