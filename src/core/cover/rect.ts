/** A rectangle in points; the origin is the flat's top left inside the bleed. */
export interface Rect {
  x: number
  y: number
  width: number
  height: number
}
