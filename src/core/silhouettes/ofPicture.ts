import { contours, polygonArea } from 'd3'
import { Fault } from '../trade'
import { fitted } from './ofText'
import { emptyShape, LIMITS, type OwnShape } from './own'

/** What of a picture is its shape: what is dark, or what is not clear, from how many hundredths on; with its holes or not; all parts of it or the largest. */
export interface Tracing {
  by: 'dark' | 'opaque'
  from: number
  holes: boolean
  largest: boolean
}

export const plainTracing: Tracing = { by: 'dark', from: 50, holes: true, largest: true }

/** Outlines of what stands in a picture (RGBA, row by row), as a shape to lay on a grid. Throws a Fault where nothing does. */
export function shapeOfPicture(
  name: string,
  { width, height, data }: { width: number; height: number; data: Uint8ClampedArray },
  { by, from, holes, largest }: Tracing,
): OwnShape {
  // A border of nothing around it closes what reaches the edge.
  const wide = width + 2
  const values = new Float32Array(wide * (height + 2))
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const at = 4 * (y * width + x)
      const opaque = data[at + 3]! / 255
      const light = (0.299 * data[at]! + 0.587 * data[at + 1]! + 0.114 * data[at + 2]!) / 255
      values[(y + 1) * wide + x + 1] = by === 'opaque' ? opaque : opaque * (1 - light)
    }
  const [found] = contours()
    .size([wide, height + 2])
    .smooth(true)
    .thresholds([from / 100])(values as never)
  const parts = (found!.coordinates as [number, number][][][])
    .map(rings => ({ rings: holes ? rings : rings.slice(0, 1), area: Math.abs(polygonArea(rings[0]!)) }))
    .sort((a, b) => b.area - a.area)
  const rings = (largest ? parts.slice(0, 1) : parts).flatMap(p => p.rings).slice(0, LIMITS.rings)
  if (!rings.length)
    throw new Fault('shape', `Nothing in ${name} is ${by === 'dark' ? 'so dark' : 'so far from clear'}: begin lower.`)
  return { ...emptyShape, says: name.slice(0, LIMITS.says), rings: fitted(rings.map(thinned)) }
}

/** A closed ring as x, y, x, y …, with as many of its points as a shape may hold. */
function thinned(ring: readonly [number, number][]): number[] {
  const open = ring.slice(0, -1)
  const each = Math.ceil((2 * open.length) / LIMITS.numbers)
  return open.filter((_p, i) => i % each === 0).flat()
}
