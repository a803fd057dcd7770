import { once } from '../trade'
import file from './silhouettes.json' with { type: 'json' }

export type Point = readonly [x: number, y: number]

/** A filled shape: closed outlines, holes among them, in units of its longer side; y points down. */
export interface Silhouette {
  id: string
  name: string
  width: number
  height: number
  /** The largest first. */
  rings: readonly (readonly Point[])[]
  /** How much smaller or larger than it fits, and moved by shares of the grid; where it is not as it comes. */
  place?: { scale: number; right: number; down: number } | undefined
  /** Cells that are not as the outline says, for each grid on which any are not. */
  turned?: readonly TurnedCells[] | undefined
}

/** Cells of a grid of so many rows and columns, counted row by row. */
export interface TurnedCells {
  rows: number
  cols: number
  cells: readonly number[]
}

/** Units of the longer side in the file. */
const UNIT = 1000

/** The silhouettes that ship, traced from open icons (their licence lies beside the file). */
export const silhouettes = once((): readonly Silhouette[] =>
  file.silhouettes.map(({ id, name, rings }) => {
    const points = rings.map(flat =>
      Array.from({ length: flat.length / 2 }, (_, i): Point => [flat[2 * i]! / UNIT, flat[2 * i + 1]! / UNIT]),
    )
    const all = points.flat()
    return {
      id,
      name,
      width: Math.max(...all.map(p => p[0])),
      height: Math.max(...all.map(p => p[1])),
      rings: points,
    }
  }),
)

/** The same, left and right changed. */
export const mirrored = (s: Silhouette): Silhouette => ({
  ...s,
  rings: s.rings.map(ring => ring.map(([x, y]): Point => [s.width - x, y])),
})
