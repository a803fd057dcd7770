/** Thickness of a ruled line, points. */
export const HAIRLINE = 0.5

/** How many spacings fit, and what is left over: it is shared by both ends, so that the ruling fills the room evenly. */
export function evenly(length: number, spacing: number): { count: number; start: number } {
  const count = Math.max(0, Math.floor(length / spacing + 1e-6))
  return { count, start: (length - count * spacing) / 2 }
}
