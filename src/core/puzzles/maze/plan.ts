import type { PathBuilder } from '../../marks'

export type Point = readonly [x: number, y: number]

/** How a maze lies on its sheet. */
export interface Plan {
  /** Side of a cell, in points. */
  unit: number
  centre(cell: number): Point
  /** The middle of a side of a cell. */
  gap(cell: number, side: number): Point
  /** Walls so wide, all of them but for the gaps where one goes in and out. */
  walls(out: PathBuilder, wall: number): void
}
