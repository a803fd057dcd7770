import type { Edges } from '../marks'
import type { PressColour } from '../trade'
import type { Rect } from './rect'

/** What was found in a cover, or a front, that was made elsewhere. Boxes: points, on the flat. */
export interface Examined {
  words: { text: string; box: Rect }[]
  /** Pixels an inch of each picture in it, as it is printed. */
  pictures: { ppi: number; box: Rect }[]
  /** Faces that it prints with and that are not in it. */
  fonts: string[]
  /** Something in it is seen through. */
  seenThrough: boolean
  colours: PressColour[]
  /** Edges at which what is drawn ends where the sheet is cut: for how much of their length, 0 to 1. */
  bare: { edge: keyof Edges; share: number; box: Rect }[]
  /** Of a wrap with a spine: how much of each fold's height has nothing beside it that is seen when it is made wider, 0 to 1. */
  folds?: { left: number; right: number }
  /** How much of the barcode's place is finely drawn on, as letters and bars are, 0 to 1. */
  busy: number
  /** The figures of the barcode that is said to be in it; `none` where none can be read. */
  barcode?: string
  /** Why some of it could not be read. */
  unread: string[]
}
