import type { Proof } from '../puzzle'
import type { Shaded } from './values'

/**
 * Shades the squares by the key, and looks at what came out: every number is in the key, every tone is used and differs from the others
 * by as much as an eye can tell, and the darker half makes a picture, not a scatter: its squares lie together.
 */
export function prove({ rows, cols, numbers, key }: Shaded): Proof {
  const tones = Array.from(numbers, n => key[n - 1])
  if (numbers.length !== rows * cols || tones.some(t => t === undefined)) return { answers: 0, agrees: false }
  const used = new Set(tones)
  const sorted = [...key].sort((a, b) => a - b)
  const apart = sorted.every((t, i) => i === 0 || t - sorted[i - 1]! > 0.1)
  let [dark, beside] = [0, 0]
  tones.forEach((t, at) => {
    if (t! <= 0.5) return
    dark++
    const others = [at % cols ? at - 1 : -1, at % cols < cols - 1 ? at + 1 : -1, at - cols, at + cols]
    if (others.filter(o => (tones[o] ?? 0) > 0.5).length > 1) beside++
  })
  return { answers: 1, agrees: used.size === key.length && apart && dark > 0 && beside > dark / 2 }
}
