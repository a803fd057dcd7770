import type { SetLine } from '../type'
import type { Report } from './flow'
import type { Unmet } from './paginate'

/** How the lines of a section came out; gaps as parts of the natural gap. */
export interface SetStats {
  lines: number
  fullLines: number
  hyphens: number
  over: number
  /** Width of the gaps of every full line ÷ natural width. */
  gaps: number[]
  unmet: Unmet
}

export const emptyStats = (): SetStats => ({
  lines: 0,
  fullLines: 0,
  hyphens: 0,
  over: 0,
  gaps: [],
  unmet: { widows: 0, strandedHeads: 0, unevenSpreads: 0, shortLastPage: 0, hyphensAtRectoFoot: 0 },
})

/** Counts how lines come out. */
export const reportTo =
  (stats: SetStats): Report =>
  (line: SetLine) => {
    stats.lines++
    if (line.hyphen) stats.hyphens++
    if (line.over > 0) stats.over++
    if (line.full) {
      stats.fullLines++
      if (line.naturalGap > 0) stats.gaps.push(line.gap / line.naturalGap)
    }
  }

export function mergeStats(all: SetStats[]): SetStats {
  const out = emptyStats()
  for (const s of all) {
    out.lines += s.lines
    out.fullLines += s.fullLines
    out.hyphens += s.hyphens
    out.over += s.over
    for (const g of s.gaps) out.gaps.push(g)
    for (const k of Object.keys(out.unmet) as (keyof Unmet)[]) out.unmet[k] += s.unmet[k]
  }
  return out
}

/** Evenness of the gaps of full lines: standard deviation ÷ mean, and the share wider than 1.6 × the median. */
export function evenness(stats: SetStats): { unevenness: number; wide: number } {
  const g = stats.gaps
  if (!g.length) return { unevenness: 0, wide: 0 }
  const mean = g.reduce((a, b) => a + b, 0) / g.length
  const sd = Math.sqrt(g.reduce((a, b) => a + (b - mean) ** 2, 0) / g.length)
  const median = [...g].sort((a, b) => a - b)[g.length >> 1]!
  return { unevenness: sd / mean, wide: g.filter(x => x > 1.6 * median).length / g.length }
}
