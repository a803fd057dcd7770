import type { Colour } from '../marks'

/** A part of the way from one colour to another. */
export function mix(a: Colour, b: Colour, t: number): Colour {
  const [x, y] = [toRgb(a), toRgb(b)]
  return { r: x.r + (y.r - x.r) * t, g: x.g + (y.g - x.g) * t, b: x.b + (y.b - x.b) * t }
}

export const toRgb = (c: Colour): { r: number; g: number; b: number } =>
  'k' in c ? { r: 1 - c.k, g: 1 - c.k, b: 1 - c.k } : c
