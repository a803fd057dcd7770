import { lab, rgb } from 'd3-color'
import type { Separation } from './separation'

/** Colours that print further from what they are than this are beyond a press: ΔE of CIE 1976, what anybody sees. */
const BEYOND = 8
/** Pixels of a stripe that marks them. */
const STRIPE = 3

const distance = (a: Uint8Array, b: Uint8Array): number => {
  const [p, q] = [lab(rgb(a[0]!, a[1]!, a[2]!)), lab(rgb(b[0]!, b[1]!, b[2]!))]
  return Math.hypot(p.l - q.l, p.a - q.a, p.b - q.b)
}

/**
 * Turns pixels (four bytes each, row by row) into what a press makes of them, in place; `mark` stripes what is beyond it.
 * Gives the share of the pixels that is.
 */
export function proofed(
  pixels: { width: number; rgba: Uint8ClampedArray },
  separation: Separation,
  mark = false,
): number {
  const { width, rgba } = pixels
  const count = rgba.length / 4
  const bare = new Uint8Array(count * 3)
  for (let i = 0; i < count; i++) bare.set(rgba.subarray(i * 4, i * 4 + 3), i * 3)
  const seen = separation.proof(bare)
  // A cover has few colours in many pixels: each is judged once.
  const judged = new Map<number, boolean>()
  let beyond = 0
  for (let i = 0; i < count; i++) {
    const [at, to] = [i * 3, i * 4]
    const key = (bare[at]! << 16) | (bare[at + 1]! << 8) | bare[at + 2]!
    let far = judged.get(key)
    if (far === undefined) {
      far = distance(bare.subarray(at, at + 3), seen.subarray(at, at + 3)) > BEYOND
      judged.set(key, far)
    }
    if (far) beyond++
    const stripe = mark && far ? (Math.floor(((i % width) + Math.floor(i / width)) / STRIPE) % 2 ? 255 : 0) : undefined
    for (let c = 0; c < 3; c++) rgba[to + c] = stripe ?? seen[at + c]!
  }
  return beyond / Math.max(1, count)
}
