import { type Band, bands, type Difficulty } from './difficulty'

/** Reasoning by the ways of a band that is told of a puzzle hint by hint. */
export interface Reasoning<H> {
  /** Takes a hint; whether it says anything that is not known already. */
  tell(hint: H): boolean
  /** Goes on as far as it comes; whether that is the end. */
  goOn(): boolean
}

/**
 * As many hints as make a puzzle as hard as a band: in an order by chance each is told only where reasoning comes no further without,
 * and once more the other way round, for an early hint may be idle beside later ones. `atOnce`: share of them that is told before
 * it is asked. Nothing where they do not lead to the end, or to no such puzzle.
 */
export function hintsFor<H>(
  band: Band,
  {
    order,
    atOnce,
    begin,
    grade,
  }: {
    order: readonly H[]
    atOnce: number
    begin: () => Reasoning<H>
    grade: (hints: readonly H[]) => Difficulty | undefined
  },
): { hints: H[]; difficulty: Difficulty } | undefined {
  const needed = (all: readonly H[]): H[] | undefined => {
    const reasoning = begin()
    const told: H[] = []
    for (const [i, hint] of all.entries()) {
      if (!reasoning.tell(hint)) continue
      told.push(hint)
      if (i >= all.length * atOnce && reasoning.goOn()) return told
    }
    return undefined
  }
  const enough = needed(order)
  const hints = enough && needed([...enough].reverse())
  if (!hints) return undefined
  // Where that is too hard, some of the others come back: as many as there have to be.
  const kept = new Set(hints)
  const spare = [...enough, ...order].filter(h => !kept.has(h) && kept.add(h))
  let [tooFew, tooMany] = [-1, spare.length + 1]
  for (let back = 0; tooMany - tooFew > 1; back = (tooFew + tooMany) >> 1) {
    const some = [...hints, ...spare.slice(0, back)]
    const difficulty = grade(some)
    if (difficulty?.band === band) return { hints: some, difficulty }
    if (difficulty && bands.indexOf(difficulty.band) < bands.indexOf(band)) tooMany = back
    else tooFew = back
  }
  return undefined
}
