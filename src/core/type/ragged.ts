import type { BreakRules, BrokenParagraph } from './breakRules'
import { lineWidths, widthOf } from './measures'
import { Gap, type Paragraph } from './paragraph'

/** Ragged setting: gaps keep their width; breaks minimise the sum of the squares of what is left over, words stay whole. A last line too short counts like one a third empty. */
export function ragged(p: Paragraph, rules: BreakRules): BrokenParagraph {
  const n = p.gap.length
  const widths = lineWidths(rules)
  // best[i]: least cost of setting boxes 0…i−1 in whole lines; by line count only through the stored chain.
  const cost = new Float64Array(n + 1).fill(Infinity)
  const prev = new Int32Array(n + 1).fill(-1)
  const line = new Int32Array(n + 1)
  cost[0] = 0
  for (let i = 0; i < n; i++) {
    if (cost[i] === Infinity) continue
    let w = 0
    // Words tied together stay on a line even where they are too wide for it: nothing may be lost.
    let ended = false
    const room = widthOf(widths, line[i]!)
    for (let j = i; j < n; j++) {
      w += p.boxWidth[j]!
      if (w > room + 0.01 && ended) break
      const gap = p.gap[j]!
      if (gap !== Gap.tie) {
        ended = true
        const left = room - w
        const end = gap === Gap.end || gap === Gap.forced
        const short = end && i > 0 && w < rules.leastLastLine ? (room / 3) ** 2 : 0
        const c = cost[i]! + (left < 0 ? 1e6 : end ? short : left * left) + 1
        if (c < cost[j + 1]!) {
          cost[j + 1] = c
          prev[j + 1] = i
          line[j + 1] = line[i]! + 1
        }
        if (end) break
      }
      w += p.glue[j]!
    }
  }
  const count = line[n]!
  const toFrag = new Array<number>(count)
  for (let i = n, k = count - 1; k >= 0; i = prev[i]!, k--) toFrag[k] = p.boxStart[i]!
  return { count, toFrag, toChar: new Array<number>(count).fill(0), demerits: cost[n]!, loose: false }
}

/** Ragged setting at its best, and a line longer: set to a measure up to a twelfth narrower. */
export function raggedLengths(p: Paragraph, rules: BreakRules): BrokenParagraph[] {
  const best = ragged(p, rules)
  for (const part of [0.98, 0.96, 0.94, 0.92]) {
    const longer = ragged(p, { ...rules, measure: rules.measure * part })
    if (longer.count === best.count + 1 && longer.demerits < 1e6)
      return [best, { ...longer, demerits: best.demerits + (1 - part) * 1e5 }]
    if (longer.count > best.count) break
  }
  return [best]
}

/** Lines of like length, by the narrowest measure that needs no more lines. */
export function balanced(p: Paragraph, rules: BreakRules): BrokenParagraph {
  let best = ragged(p, rules)
  if (best.count < 2) return best
  let low = rules.measure / 3
  let high = rules.measure
  for (let i = 0; i < 7; i++) {
    const measure = (low + high) / 2
    const tried = ragged(p, { ...rules, measure })
    if (tried.count === best.count && tried.demerits < 1e6) {
      best = tried
      high = measure
    } else low = measure
  }
  return best
}
