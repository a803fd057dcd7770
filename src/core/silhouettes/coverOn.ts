import { OWN } from './choices'
import { cellsIn, likeness } from './cover'
import { type OwnShape, silhouetteOf } from './own'
import { silhouettes } from './silhouette'

/** A shape as it comes out on a grid: its cells (1: the shape), row by row, and how like itself it is, 0 to 1. */
export interface Laid {
  cells: Uint8Array
  alike: number
}

/** How an outline comes out on grids; nothing where its value names no single shape. */
export function coverOn(
  outline: string,
  own: OwnShape | undefined,
  grids: readonly { rows: number; cols: number }[],
): Laid[] | undefined {
  const shape = outline === OWN ? own && silhouetteOf(own) : silhouettes().find(s => s.id === outline)
  return (
    shape &&
    grids.map(({ rows, cols }) => ({ cells: cellsIn(shape, rows, cols, 0), alike: likeness(shape, rows, cols) }))
  )
}
