import { seeded } from '../../trade'
import { type Band, bands, type Difficulty } from '../difficulty'
import type { Candidate, InRun } from '../puzzle'
import { mirrored, type Point, silhouetteInTurn } from '../../silhouettes'
import { sharedName } from '../turns'
import { placeNumbers } from './labels'
import { crosses, dotsAlong, lengthOf } from './outline'
import type { DotToDot, DotValues } from './values'

/** Dots of a picture, by band. */
const counts: Record<Band, readonly [number, number]> = {
  gentle: [20, 40],
  easy: [41, 70],
  middling: [71, 110],
  hard: [111, 160],
  stubborn: [161, 300],
}
/** Where the bands begin: what it costs to find all dots, the next one being the nearest, one of a few that are near, or further off. */
const begins = [0, 40, 70, 110, 160]
const costs = { 'next dot nearest of all': 1, 'next dot among a few': 1.6, 'next dot further off': 3 }
/** Distance of dots along the line that numbers still fit between, of the longer side. */
const CLOSE = 0.0145
/** Height of numbers by the distance of dots; the least and the most, of the longer side. */
const NUMBER = { share: 0.5, least: 0.0105, most: 0.026 }
/** Room around the picture for numbers, by their height. */
const AROUND = 2.4

/** A shape by chance whose outline bears so many dots, begun anywhere and either way round. */
export function make({ outlines, band }: DotValues, seed: number, { index }: InRun): Candidate<DotToDot> | undefined {
  const chance = seeded(seed)
  const [least, most] = counts[band]
  const picked = silhouetteInTurn(outlines, index, chance)
  const shape = chance() < 0.5 ? picked : mirrored(picked)
  const outline = shape.rings[0]!
  const length = lengthOf(outline)
  const count = least + Math.floor(chance() * (Math.min(most, Math.floor(length / CLOSE)) - least + 1))
  if (count < least) return undefined
  const along = dotsAlong(outline, count)
  if (!along || crosses(along)) return undefined
  const begin = Math.floor(chance() * along.length)
  const turned = [...along.slice(begin), ...along.slice(0, begin)]
  const way = chance() < 0.5 ? turned : [turned[0]!, ...turned.slice(1).reverse()]
  const size = Math.min(NUMBER.most, Math.max(NUMBER.least, (length / count) * NUMBER.share))
  // Room for numbers on every side; then all by the longer side anew.
  const room = size * AROUND
  const [width, height] = [shape.width + 2 * room, shape.height + 2 * room]
  const scale = 1 / Math.max(width, height)
  const put = ([x, y]: Point): Point => [(x + room) * scale, (y + room) * scale]
  const dots = way.map(put)
  const box = { width: width * scale, height: height * scale }
  const labels = placeNumbers(dots, size * scale, box)
  if (!labels) return undefined
  const difficulty = measure(dots)
  if (difficulty.band !== band) return undefined
  const details = shape.rings.slice(1).map(ring => ring.map(put))
  const puzzle = { name: shape.name, ...box, dots, labels, size: size * scale, details }
  return { puzzle, difficulty, twin: sharedName([`${picked.id}/${count}`]) }
}

/** How many dots that are not joined yet lie nearer than the next one. */
function measure(dots: readonly Point[]): Difficulty {
  const steps: Record<string, number> = {}
  let cost = 0
  for (let i = 0; i + 1 < dots.length; i++) {
    const [x, y] = dots[i]!
    const far = Math.hypot(dots[i + 1]![0] - x, dots[i + 1]![1] - y)
    let nearer = 0
    for (let k = i + 2; k < dots.length && nearer < 4; k++)
      if (Math.hypot(dots[k]![0] - x, dots[k]![1] - y) < far) nearer++
    const way = nearer === 0 ? 'next dot nearest of all' : nearer < 4 ? 'next dot among a few' : 'next dot further off'
    steps[way] = (steps[way] ?? 0) + 1
    cost += costs[way]
  }
  return { band: bands[begins.filter(b => cost >= b).length - 1]!, steps }
}
