/**
 * A list that was worked out anew, with the things of the former one where they are the same: whoever shows a thousand of them draws
 * only those anew that changed. Where none did it is the former list itself. `keyOf` tells things of one list apart.
 */
export function steadyList<T>(
  former: readonly T[],
  now: readonly T[],
  keyOf: (t: T) => string,
  same: (was: T, is: T) => boolean,
): readonly T[] {
  const were = new Map(former.map(t => [keyOf(t), t]))
  const kept = now.map(t => {
    const was = were.get(keyOf(t))
    return was !== undefined && same(was, t) ? was : t
  })
  return kept.length === former.length && kept.every((t, i) => t === former[i]) ? former : kept
}
