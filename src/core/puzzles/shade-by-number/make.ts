import { seeded, shuffled } from '../../trade'
import { type Band, bands, type Difficulty } from '../difficulty'
import type { Candidate, InRun } from '../puzzle'
import { cellsOf, coverOf, likeness, mirrored, silhouetteInTurn, silhouettes } from '../../silhouettes'
import { nameOfCells } from '../turns'
import type { Shaded, ShadeValues } from './values'

/** Cells that stay free around a picture; how well a shape must read on its grid. */
const MARGIN = 1
const READS = 0.62
/** What lies behind a picture, by band: nothing, stripes, rings, and tones that break them up. */
const grounds: Record<Band, readonly Ground[]> = {
  gentle: ['paper'],
  easy: ['paper', 'stripes'],
  middling: ['stripes', 'rays'],
  hard: ['rays', 'rings'],
  stubborn: ['rings', 'rays'],
}
type Ground = 'paper' | 'stripes' | 'rays' | 'rings'
/** Share of the cells that change their number against the picture's own, to make patches small. */
const broken: Record<Band, number> = { gentle: 0, easy: 0, middling: 0.03, hard: 0.1, stubborn: 0.22 }
/** Where the bands begin: sides of cells at which the number changes, in a hundred. */
const begins = [0, 20, 26, 34, 46]

/** A shape by chance, lit from one side before a ground, in as many tones as are wanted. */
export function make(
  { rows, cols, outlines, tones, band }: ShadeValues,
  seed: number,
  { index }: InRun,
): Candidate<Shaded> | undefined {
  const chance = seeded(seed)
  // By chance it is taken as it always was: the same seed makes the same pictures.
  const picked = outlines?.length ? silhouetteInTurn(outlines, index, chance) : shuffled([...silhouettes()], chance)[0]!
  const shape = chance() < 0.5 ? picked : mirrored(picked)
  if (likeness(shape, rows - 2 * MARGIN, cols - 2 * MARGIN) < READS) return undefined
  const cover = coverOf(shape, rows, cols, MARGIN)
  const inside = cellsOf(cover)
  const depth = depths(inside, rows, cols)
  const deepest = Math.max(...depth)
  const ground = grounds[band][Math.floor(chance() * grounds[band].length)]!
  const angle = chance() * Math.PI * 2
  const light = (r: number, c: number): number =>
    0.5 + 0.5 * (Math.cos(angle) * ((2 * c) / (cols - 1) - 1) + Math.sin(angle) * ((2 * r) / (rows - 1) - 1)) * 0.7
  const [cx, cy, many] = [cols * chance(), rows * chance(), 2 + Math.floor(chance() * 4)]
  // Paper and the lightest tones behind, the darker ones in the picture.
  const behind = ground === 'paper' ? 1 : Math.max(1, Math.floor(tones / 2))
  // As many squares for each tone of the picture: all of them are there, whatever its shape.
  const lit = [...inside.keys()]
    .filter(at => inside[at])
    .map(at => {
      const share = 0.55 * light(Math.floor(at / cols), at % cols) + 0.45 * (depth[at]! / Math.max(1, deepest))
      return { at, share }
    })
    .sort((a, b) => a.share - b.share || a.at - b.at)
  const levels = new Map(lit.map(({ at }, i) => [at, behind + Math.floor((i / lit.length) * (tones - behind))]))
  const tone = (at: number): number => {
    const level = levels.get(at)
    if (level !== undefined) return level
    const [r, c] = [Math.floor(at / cols), at % cols]
    if (ground === 'paper' || behind === 1) return 0
    if (ground === 'stripes') return Math.floor((r / rows) * many * behind) % behind
    if (ground === 'rings') return Math.floor(Math.hypot(c - cx, r - cy) / (6 / many + 1)) % behind
    return Math.floor(((Math.atan2(r - cy, c - cx) / Math.PI + 1) / 2) * many * behind * 2) % behind
  }
  const picture = Uint8Array.from(inside, (_i, at) => tone(at))
  // A neighbouring tone here and there: the eye has less to go by.
  for (let at = 0; at < picture.length; at++)
    if (chance() < broken[band]) {
      const [from, to] = inside[at] ? [behind, tones - 1] : [0, behind - 1]
      picture[at] = Math.min(to, Math.max(from, picture[at]! + (chance() < 0.5 ? 1 : -1)))
    }
  if (new Set(picture).size < tones) return undefined
  // Numbers by chance: which is dark is not told by them.
  const order = shuffled(
    Array.from({ length: tones }, (_, i) => i),
    chance,
  )
  const key = order.map(i => i / (tones - 1))
  const numbers = picture.map(i => order.indexOf(i) + 1)
  const difficulty = measure(numbers, rows, cols)
  if (difficulty.band !== band) return undefined
  const puzzle = { rows, cols, name: shape.name, numbers, key }
  return { puzzle, difficulty, twin: nameOfCells(rows, cols, (r, c) => String(picture[r * cols + c])) }
}

/** How many cells deep each cell lies within the shape. */
function depths(inside: Uint8Array, rows: number, cols: number): number[] {
  const depth = Array.from(inside, i => (i ? Infinity : 0))
  for (let pass = 0; pass < 2; pass++)
    for (let k = 0; k < depth.length; k++) {
      const at = pass ? depth.length - 1 - k : k
      if (!depth[at]) continue
      const [r, c] = [Math.floor(at / cols), at % cols]
      const near = (y: number, x: number): number =>
        y < 0 || x < 0 || y >= rows || x >= cols ? 0 : depth[y * cols + x]!
      depth[at] = Math.min(depth[at]!, 1 + Math.min(near(r - 1, c), near(r + 1, c), near(r, c - 1), near(r, c + 1)))
    }
  return depth
}

/** How often the hand must change: sides between cells of different numbers, against all. */
function measure(numbers: Uint8Array, rows: number, cols: number): Difficulty {
  let [changes, sides] = [0, 0]
  for (let r = 0; r < rows; r++)
    for (let c = 0; c < cols; c++) {
      const at = r * cols + c
      if (c + 1 < cols) {
        sides++
        if (numbers[at] !== numbers[at + 1]) changes++
      }
      if (r + 1 < rows) {
        sides++
        if (numbers[at] !== numbers[at + cols]) changes++
      }
    }
  const steps = { 'square to shade': numbers.length, 'change of tone': changes }
  return { band: bands[begins.filter(b => (changes / sides) * 100 >= b).length - 1]!, steps }
}
