import { fields, once } from '../trade'
import { OWN } from './choices'
import type { Point, Silhouette, TurnedCells } from './silhouette'

/** An outline of the author's own, kept with the run that it is for: traced once, then placed and mended cell by cell. */
export interface OwnShape {
  /** What it was traced from, as it is called: “TIDE”; nothing where it is all drawn by hand. */
  says: string
  /** The face of a word. */
  face?: string | undefined
  /** Closed outlines, each as x, y, x, y …, in thousandths of the longer side; y points down. */
  rings: readonly (readonly number[])[]
  /** In hundredths of as large as it goes; and how far to the right and down, in hundredths of the grid. */
  scale: number
  right: number
  down: number
  /** Cells that were opened or closed by hand, for each grid on which any were. */
  turned: readonly TurnedCells[]
}

/** The most that a shape may hold. */
export const LIMITS = {
  says: 60,
  rings: 200,
  numbers: 4000,
  scale: [20, 200],
  moved: 60,
  cells: 2500,
  grids: 20,
} as const

const UNIT = 1000

export const emptyShape: OwnShape = { says: '', rings: [], scale: 100, right: 0, down: 0, turned: [] }

const { amount, list, optional, shape, text, whole } = fields

export const ownSchema = once(() =>
  optional(
    shape({
      says: text(LIMITS.says).defined(),
      face: optional(text(80)),
      rings: list(list(amount(-UNIT, 2 * UNIT), LIMITS.numbers).required(), LIMITS.rings).required(),
      scale: whole(...LIMITS.scale).required(),
      right: whole(-LIMITS.moved, LIMITS.moved).required(),
      down: whole(-LIMITS.moved, LIMITS.moved).required(),
      turned: list(
        shape({
          rows: whole(1, 100).required(),
          cols: whole(1, 100).required(),
          cells: list(whole(0, 10_000).required(), LIMITS.cells).required(),
        }),
        LIMITS.grids,
      ).required(),
    }),
  ),
)

const made = new WeakMap<OwnShape, Silhouette>()

/** The shape as makers take it: the same object for the same one. */
export function silhouetteOf(own: OwnShape): Silhouette {
  const silhouette = made.get(own) ?? shaped(own)
  made.set(own, silhouette)
  return silhouette
}

function shaped(own: OwnShape): Silhouette {
  const rings = own.rings.map(flat =>
    Array.from({ length: flat.length >> 1 }, (_, i): Point => [flat[2 * i]! / UNIT, flat[2 * i + 1]! / UNIT]),
  )
  const all = rings.flat()
  const { scale, right, down, turned } = own
  return {
    id: OWN,
    name: own.says || 'your shape',
    width: Math.max(0, ...all.map(p => p[0])),
    height: Math.max(0, ...all.map(p => p[1])),
    rings,
    place: { scale: scale / 100, right: right / 100, down: down / 100 },
    turned,
  }
}

/** A shape with cells of a grid turned: what is open closes, what is closed opens. `shown`: its cells on that grid as they are. */
export function withTurned(
  own: OwnShape,
  { rows, cols, shown }: { rows: number; cols: number; shown: Uint8Array },
  cells: readonly number[],
): OwnShape {
  const here = own.turned.find(t => t.rows === rows && t.cols === cols)
  // What is all drawn by hand goes on from how it looks on this grid.
  const drawn = own.rings.length ? [] : [...shown.keys()].filter(at => shown[at])
  const now = new Set(here?.cells ?? drawn)
  for (const at of new Set(cells)) if (!now.delete(at)) now.add(at)
  const others = own.turned.filter(t => t !== here).slice(1 - LIMITS.grids)
  return { ...own, turned: [...others, { rows, cols, cells: [...now].sort((a, b) => a - b) }] }
}
