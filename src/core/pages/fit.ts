import type { StyleChanges } from './styleChanges'
import type { InteriorStyle } from './style'

/** What a book can be made to fit by, and how far each may go without being seen at a glance. */
interface Lever {
  path: 'text.leading' | 'margins.foot' | 'margins.outside' | 'text.size'
  step: number
  /** Steps each way. */
  most: number
  /** How much a step is seen: the offer is the least seen. */
  seen: number
}

// More of any of them means more pages.
const levers: Lever[] = [
  { path: 'text.leading', step: 0.25, most: 4, seen: 1 },
  { path: 'margins.foot', step: 0.04, most: 5, seen: 0.8 },
  { path: 'margins.outside', step: 0.02, most: 5, seen: 1.1 },
  { path: 'text.size', step: 0.25, most: 3, seen: 2.5 },
]

export interface FitOffer {
  /** Values by path, as an edition departs from its style. */
  changes: StyleChanges
  pages: number
}

const valueOf = (style: InteriorStyle, path: Lever['path']): number => {
  const [group, key] = path.split('.') as ['text' | 'margins', never]
  return (style[group] as Record<string, number>)[key]!
}

/**
 * Finds the least visible departures from a style with which a book takes `target` pages, or comes nearest to them without going
 * over. `pagesWith` sets the book with changes and gives its pages, a printer's rounding included. Levers are tried one after
 * the other, each by halving, since pages grow with every one of them; then pairs, the second making up what the first leaves.
 * Undefined where no legal combination brings it nearer. Deterministic.
 */
export async function fitTo(
  style: InteriorStyle,
  target: number,
  pagesWith: (changes: StyleChanges) => Promise<number>,
): Promise<FitOffer | undefined> {
  const known = new Map<string, number>()
  const pages = async (changes: StyleChanges): Promise<number> => {
    const key = JSON.stringify(Object.entries(changes).sort(([a], [b]) => (a < b ? -1 : 1)))
    let n = known.get(key)
    if (n === undefined) known.set(key, (n = await pagesWith(changes)))
    return n
  }
  const asked = (): number => known.size
  const now = await pages({})
  if (now === target) return { changes: {}, pages: now }
  const up = target > now
  const at = (l: Lever, steps: number): StyleChanges => {
    const value = Math.round((valueOf(style, l.path) + steps * l.step * (up ? 1 : -1)) * 1000) / 1000
    return steps && legal(style, l.path, value) ? { [l.path]: value } : {}
  }
  /** Fewest steps of a lever, on top of `base`, with which the target is reached; undefined where it is not. */
  const reach = async (l: Lever, base: StyleChanges): Promise<number | undefined> => {
    const enough = async (steps: number): Promise<boolean> => {
      const n = await pages({ ...base, ...at(l, steps) })
      return up ? n >= target : n <= target
    }
    let [low, high] = [0, l.most]
    while (high > 0 && !Object.keys(at(l, high)).length) high--
    if (!high || !(await enough(high))) return undefined
    while (high - low > 1) {
      const middle = (low + high) >> 1
      if (await enough(middle)) high = middle
      else low = middle
    }
    return high
  }
  // The best is nearest to the target without going over it, then least seen.
  let best: { offer: FitOffer; seen: number } | undefined
  const weigh = async (changes: StyleChanges, seen: number): Promise<void> => {
    const n = await pages(changes)
    if (n > target || n === now) return
    if (!best || n > best.offer.pages || (n === best.offer.pages && seen < best.seen))
      best = { offer: { changes, pages: n }, seen }
  }
  const done = (): boolean => best?.offer.pages === target
  for (const first of levers) {
    const steps = await reach(first, {})
    if (steps !== undefined) await weigh(at(first, steps), steps * first.seen)
    // One step less where that falls short, or all there are: another lever makes up what is left.
    const part = steps === undefined ? first.most : steps - 1
    const base = at(first, part)
    if (!done() && Object.keys(base).length) {
      await weigh(base, part * first.seen)
      for (const second of levers)
        if (second !== first && !done()) {
          const more = await reach(second, base)
          if (more === undefined) continue
          await weigh({ ...base, ...at(second, more) }, part * first.seen + more * second.seen)
          if (more > 1) await weigh({ ...base, ...at(second, more - 1) }, part * first.seen + (more - 1) * second.seen)
        }
    }
    if (best && (done() || asked() >= ENOUGH)) break
  }
  return best?.offer
}

/** Settings after which what was found is offered. */
const ENOUGH = 16

/** Limits beyond which a page is no longer well made, whatever its count. */
function legal(style: InteriorStyle, path: Lever['path'], value: number): boolean {
  if (path === 'text.leading') return value >= style.text.size * 1.12 && value <= style.text.size * 1.7
  if (path === 'text.size')
    return value >= (style.text.large ? 16 : 8.5) && value <= 20 && style.text.leading >= value * 1.1
  return value >= 0.4 && value <= 1.6
}
