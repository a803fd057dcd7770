import { IN, MM, trimZeros } from './length'

/** A trim: the size of the finished leaf. `id` is written as people write it: "6x9in", "156x234mm", "A5". Points. */
export interface Trim {
  id: string
  width: number
  height: number
}

const paperSizes: Record<string, [number, number]> = { A4: [210, 297], A5: [148, 210], A6: [105, 148] }

/** The smallest and largest leaf that any printer binds here, in points. */
const LEAST = 2 * IN
const MOST = 24 * IN

/** Reads "6x9in", "5.5 × 8.5 in", "156x234mm", "A5". Undefined where it is none, or is no size for a book. */
export function parseTrim(text: string): Trim | undefined {
  const named = paperSizes[text.trim().toUpperCase()]
  if (named) return { id: text.trim().toUpperCase(), width: named[0] * MM, height: named[1] * MM }
  const m = /^\s*(\d+(?:\.\d+)?)\s*[x×]\s*(\d+(?:\.\d+)?)\s*(in|mm)\s*$/i.exec(text)
  if (!m) return undefined
  const unit = m[3]!.toLowerCase() === 'in' ? IN : MM
  const width = Number(m[1]) * unit
  const height = Number(m[2]) * unit
  if (!(width >= LEAST && width <= MOST && height >= LEAST && height <= MOST)) return undefined
  return {
    id: `${trimZeros(Number(m[1]).toFixed(3))}x${trimZeros(Number(m[2]).toFixed(3))}${m[3]!.toLowerCase()}`,
    width,
    height,
  }
}

/** "6x9in" -> "6 × 9 in". */
export function formatTrim(id: string): string {
  const m = /^([\d.]+)x([\d.]+)(in|mm)$/.exec(id)
  return m ? `${m[1]} × ${m[2]} ${m[3]}` : id
}
