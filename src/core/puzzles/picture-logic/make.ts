import { seeded } from '../../trade'
import type { Candidate, InRun } from '../puzzle'
import { coverOf, likeness, mirrored, type Silhouette, silhouetteInTurn } from '../../silhouettes'
import { nameOfCells } from '../turns'
import { asked, type PictureLogic, type PictureValues } from './picture'
import { reason } from './reason'

/** How often left and right of a picture are alike: the eye takes it for something. */
const MIRRORED = 0.6
/** Filled cells of a picture, the least and most share. */
const FILLED = [0.42, 0.62] as const
/** How often a cell is made like most of those around it. */
const SMOOTHINGS = 2

/** A picture whose puzzle is as hard as the band; nothing where this one is not. */
export function make(
  { rows, cols, pictures, outlines, band }: PictureValues,
  seed: number,
  { index }: InRun,
): Candidate<PictureLogic> | undefined {
  const chance = seeded(seed)
  const filled =
    pictures === 'silhouettes'
      ? shape(rows, cols, silhouetteInTurn(outlines, index, chance), chance)
      : blots(rows, cols, chance)
  if (!filled) return undefined
  const puzzle = asked(rows, cols, filled)
  // A line without anything in it says all at once; more than a few of them leave half a picture.
  const bare = [...puzzle.rowClues, ...puzzle.colClues].filter(c => !c.length).length
  if (bare > 2) return undefined
  const difficulty = reason(puzzle, band)
  if (difficulty?.band !== band) return undefined
  return { puzzle, difficulty, twin: nameOfCells(rows, cols, (r, c) => String(filled[r * cols + c])) }
}

/** How well a silhouette must read on the grid; from what share of a cell on it is filled. */
const READS = 0.6
const COVERED = [0.35, 0.65] as const
/** How much smaller than it fits a silhouette may be, and how far from the middle, by the grid: so that there are many of each. */
const SMALLEST = 0.8
const ASIDE = 0.12

/** A silhouette, either way round, on its cells or on those around it. */
function shape(rows: number, cols: number, picked: Silhouette, chance: () => number): Uint8Array | undefined {
  if (likeness(picked, rows, cols) < READS) return undefined
  const from = COVERED[0] + chance() * (COVERED[1] - COVERED[0])
  const turned = chance() < 0.5 ? picked : mirrored(picked)
  const around = chance() < 0.25 ? 1 : 0
  const aside = (): number => (chance() - 0.5) * ASIDE
  const place = { scale: SMALLEST + chance() * (1 - SMALLEST), right: aside(), down: aside() }
  return Uint8Array.from(coverOf({ ...turned, place }, rows, cols).share, s => (s >= from ? 1 - around : around))
}

/** Cells filled by chance, then drawn together: what most of the cells around say goes. */
function blots(rows: number, cols: number, chance: () => number): Uint8Array {
  const share = FILLED[0] + chance() * (FILLED[1] - FILLED[0])
  const mirrored = chance() < MIRRORED
  let filled = Uint8Array.from({ length: rows * cols }, () => (chance() < share ? 1 : 0))
  const mirror = (): void => {
    if (!mirrored) return
    for (let r = 0; r < rows; r++)
      for (let c = 0; c < cols >> 1; c++) filled[r * cols + cols - 1 - c] = filled[r * cols + c]!
  }
  mirror()
  for (let i = 0; i < SMOOTHINGS; i++) {
    filled = filled.map((own, cell) => {
      const [r, c] = [Math.floor(cell / cols), cell % cols]
      let sum = own
      let of = 1
      for (let y = Math.max(0, r - 1); y <= Math.min(rows - 1, r + 1); y++)
        for (let x = Math.max(0, c - 1); x <= Math.min(cols - 1, c + 1); x++) {
          if (y === r && x === c) continue
          sum += filled[y * cols + x]!
          of++
        }
      return sum * 2 === of ? own : sum * 2 > of ? 1 : 0
    })
  }
  // A little roughness keeps lines from saying all at once.
  for (let cell = 0; cell < filled.length; cell++) if (chance() < ROUGH) filled[cell]! ^= 1
  mirror()
  return filled
}

const ROUGH = 0.06
