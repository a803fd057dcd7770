import { useEffect, useRef, useState } from 'react'
import type { Doubt } from '@/core/proof'

/** So many words of a section are looked up by themselves. */
const AHEAD = 40

type Meant = ReadonlyMap<string, readonly string[]>
const NOTHING: Meant = new Map()

/**
 * What misspelt words may have been meant as: of the doubt that is looked at first, then of those beside the open text, one after
 * another, so that reading itself never waits long.
 */
export function useMeant(
  now: Doubt | undefined,
  here: readonly Doubt[],
  meant: (word: string) => Promise<readonly string[]>,
  /** By which dictionary. */
  by: string | undefined,
): Meant {
  const [looked, setLooked] = useState({ by, known: NOTHING })
  // What another dictionary said is nothing by this one.
  const known = looked.by === by ? looked.known : NOTHING
  const asking = useRef(false)
  const words = [...(now ? [now] : []), ...here].filter(d => d.kind === 'spelling').map(d => d.was)
  const next = [...new Set(words)].slice(0, AHEAD).find(w => !known.has(w))
  useEffect(() => {
    if (next === undefined || asking.current) return
    asking.current = true
    const keep = (found: readonly string[]): void => {
      asking.current = false
      setLooked(l => ({ by, known: new Map(l.by === by ? l.known : NOTHING).set(next, found) }))
    }
    // A word that nothing is found for is not asked for again.
    meant(next).then(keep, () => keep([]))
    // With each answer, too: what is next may have changed while it was waited for.
  }, [next, known, meant, by])
  return known
}
