import { type Band, bands, type Difficulty } from '../difficulty'
import { type Bed, type Direction, directions, type PlacedWord, steps } from './grid'

/** What it costs a person to find a word that reads in a direction: as one reads, downwards, slanting, against the way one reads. */
const costs: Record<Direction, number> = { E: 1, S: 1.6, SE: 2, NE: 2.6, N: 3, W: 3, SW: 3.6, NW: 4 }
const says: Record<Direction, string> = {
  E: 'word along the line',
  S: 'word downwards',
  SE: 'word slanting down',
  NE: 'word slanting up',
  N: 'word upwards',
  W: 'word backwards',
  SW: 'word slanting down and back',
  NW: 'word slanting up and back',
}
/** A start that leads nowhere: the first letters of a word, where it is not. */
const FALSE_START = 'false start'
const FALSE_COST = 0.15

/** Where the bands begin: mean cost of a word. */
const begins = [0, 1.5, 1.95, 2.45, 3]

/** Words by direction for a band: how often each, against the others. */
export const mixes: Record<Band, Record<Direction, number>> = {
  gentle: { E: 6, S: 4, SE: 0, NE: 0, N: 0, W: 0, SW: 0, NW: 0 },
  easy: { E: 3, S: 3, SE: 3, NE: 1, N: 0, W: 0, SW: 0, NW: 0 },
  middling: { E: 4, S: 4, SE: 4, NE: 3, N: 2, W: 2, SW: 1, NW: 0 },
  hard: { E: 2, S: 2, SE: 3, NE: 3, N: 3, W: 3, SW: 2, NW: 2 },
  stubborn: { E: 0, S: 1, SE: 1, NE: 3, N: 4, W: 4, SW: 4, NW: 5 },
}

/** False starts that may come to what directions cost, and a little less than a band's own words may do. */
const STARTS = 0.9
const UNDER = 0.15

/** Whether words in a mix of directions can come to a band: what they cost in the mean, and what false starts may add. */
export function reaches(mix: Record<Direction, number>, band: Band): boolean {
  const all = directions.reduce((n, d) => n + mix[d], 0)
  const mean = directions.reduce((n, d) => n + mix[d] * costs[d], 0) / all
  const level = bands.indexOf(band)
  return mean + STARTS >= begins[level]! && mean - UNDER < (begins[level + 1] ?? Infinity)
}

/** How hard a grid of letters is to search; `start`: letters by which a person thinks that a word begins. */
export function measure(
  { rows, cols }: Bed,
  placed: readonly PlacedWord[],
  letters: readonly string[],
  start = 3,
): Difficulty {
  const count: Record<string, number> = {}
  let cost = 0
  for (const { direction } of placed) {
    count[says[direction]] = (count[says[direction]] ?? 0) + 1
    cost += costs[direction]
  }
  const firsts = new Set(placed.map(p => p.letters[0]))
  const starts = new Set(placed.map(p => p.letters.slice(0, start)))
  let found = 0
  letters.forEach((sign, at) => {
    if (!firsts.has(sign)) return
    const [row, col] = [Math.floor(at / cols), at % cols]
    for (const direction of directions) {
      const [down, right] = steps[direction]
      const [r, c] = [row + (start - 1) * down, col + (start - 1) * right]
      if (r < 0 || c < 0 || r >= rows || c >= cols) continue
      const step = down * cols + right
      let read = ''
      for (let i = 0; i < start; i++) read += letters[at + i * step]!
      if (starts.has(read)) found++
    }
  })
  const wrong = Math.max(0, found - placed.length)
  if (wrong) count[FALSE_START] = wrong
  const mean = (cost + wrong * FALSE_COST) / placed.length
  return { band: bands[begins.filter(b => mean >= b).length - 1]!, steps: count }
}
