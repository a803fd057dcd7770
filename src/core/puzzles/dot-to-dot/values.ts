import type { Band } from '../difficulty'
import type { Point } from '../../silhouettes'

export interface DotValues {
  /** Silhouettes that are taken. */
  outlines?: readonly string[] | undefined
  band: Band
}

/** Dots to be joined in the order of their numbers; all in a box of `width` by `height`, its longer side 1. */
export interface DotToDot {
  name: string
  width: number
  height: number
  dots: Point[]
  /** Middle of each dot's number, and how high numbers are. */
  labels: Point[]
  size: number
  /** Lines that are printed from the start. */
  details: Point[][]
}

/** Radius of a dot, and width of a figure, by the height of its number. */
export const DOT = 0.2
export const FIGURE = 0.6
