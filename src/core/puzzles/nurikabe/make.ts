import { seeded, shuffled } from '../../trade'
import type { Candidate } from '../puzzle'
import { nameOfCells } from '../turns'
import { type Chart, chartOf, LARGEST, type Nurikabe, type NurikabeValues } from './waters'
import { reason } from './reason'

/** Other cells of the islands that their numbers are put into, in one and the same sea, before another is made. */
const PLACINGS = 6

/** Islands whose sizes alone lead to the sea; nothing where they do not, or not as hard as the band. */
export function make({ rows, cols, band }: NurikabeValues, seed: number): Candidate<Nurikabe> | undefined {
  const chance = seeded(seed)
  const chart = chartOf(rows, cols)
  const sea = seaOf(rows * cols, chart, chance)
  if (!sea) return undefined
  const lands = parts(sea, 0, chart)
  if (lands.length < 2) return undefined
  for (let i = 0; i < PLACINGS; i++) {
    const islands = lands.map(cells => ({ cell: cells[Math.floor(chance() * cells.length)]!, size: cells.length }))
    islands.sort((a, b) => a.cell - b.cell)
    const puzzle = { rows, cols, islands, sea }
    const difficulty = reason(puzzle, band)
    if (difficulty?.band !== band) continue
    const size = new Map(islands.map(i => [i.cell, i.size]))
    return { puzzle, difficulty, twin: nameOfCells(rows, cols, (r, c) => String(size.get(r * cols + c) ?? 0)) }
  }
  return undefined
}

/** Cells of one kind that hang together. */
function parts(sea: Uint8Array, of: number, { beside }: Chart): number[][] {
  const seen = new Uint8Array(sea.length)
  const out: number[][] = []
  for (let first = 0; first < sea.length; first++) {
    if (sea[first] !== of || seen[first]) continue
    const cells = [first]
    seen[first] = 1
    for (const c of cells)
      for (const n of beside[c]!)
        if (sea[n] === of && !seen[n]) {
          seen[n] = 1
          cells.push(n)
        }
    out.push(cells)
  }
  return out
}

/** A sea without pools: wherever four of its cells make a square, one of them becomes land that leaves it in one piece. */
function seaOf(cells: number, chart: Chart, chance: () => number): Uint8Array | undefined {
  const sea = new Uint8Array(cells).fill(1)
  const mayRise = (cell: number): boolean => {
    sea[cell] = 0
    const island = parts(sea, 0, chart).find(p => p.includes(cell))!
    const fine = island.length <= LARGEST && parts(sea, 1, chart).length === 1
    sea[cell] = 1
    return fine
  }
  for (;;) {
    const pools = chart.squares.filter(square => square.every(c => sea[c]))
    if (!pools.length) return sea
    const pool = pools[Math.floor(chance() * pools.length)]!
    const cell = shuffled([...pool], chance).find(mayRise)
    if (cell === undefined) return undefined
    sea[cell] = 0
  }
}
