import { seeded, shuffled } from '../../trade'
import { type Band, bands } from '../difficulty'
import type { Candidate } from '../puzzle'
import { nameOfCells } from '../turns'
import { type Mines, type MinesValues, nearness } from './field'
import { reason } from './reason'

/** A field as hard as the band: every clear cell shows its number at first; then those go that the ways of the band can do without. */
export function make({ rows, cols, share, band }: MinesValues, seed: number): Candidate<Mines> | undefined {
  const chance = seeded(seed)
  const nearby = nearness(rows, cols)
  const count = Math.max(1, Math.round((rows * cols * share) / 100))
  const mines = new Uint8Array(rows * cols)
  for (const cell of shuffled([...mines.keys()], chance).slice(0, count)) mines[cell] = 1
  const clues = Int8Array.from(mines, (m, cell) => (m ? -1 : nearby.near[cell]!.reduce((n, o) => n + mines[o]!, 0)))
  const order = shuffled(
    [...clues.keys()].filter(c => clues[c]! >= 0),
    chance,
  )
  let difficulty = reason(clues, nearby, band)
  if (!difficulty) return undefined
  /** Hides numbers, as many at once as the ways of a band can do without; whether it came to the wanted band on the way. */
  const hide = (cells: number[], by: Band): boolean => {
    if (!cells.length) return false
    const numbers = cells.map(c => clues[c]!)
    for (const c of cells) clues[c] = -1
    const without = reason(clues, nearby, by)
    if (without) {
      difficulty = without
      return band !== 'gentle' && without.band === band
    }
    cells.forEach((c, i) => (clues[c] = numbers[i]!))
    const half = cells.length >> 1
    return half > 0 && (hide(cells.slice(0, half), by) || hide(cells.slice(half), by))
  }
  // By the ways of the band below first, which are quick to try; then by its own, until it is as hard as wanted.
  const below = bands[Math.max(0, bands.indexOf(band) - 1)]!
  const inTurn = (by: Band, together: number): boolean => {
    const shown = order.filter(c => clues[c]! >= 0)
    for (let i = 0; i < shown.length; i += together) if (hide(shown.slice(i, i + together), by)) return true
    return false
  }
  if (below === band || !inTurn(below, 16)) inTurn(band, band === 'gentle' ? 16 : 4)
  if (difficulty.band !== band) return undefined
  const puzzle = { rows, cols, clues, mines }
  return { puzzle, difficulty, twin: nameOfCells(rows, cols, (r, c) => String(clues[r * cols + c])) }
}
