import { Fault, seedOf, type Ticker } from '../trade'
import type { Made, PuzzleKind } from './puzzle'

/** Seeds that are tried for one puzzle before it is said that there are no more. */
const TRIES = 3000

/** What puzzles are made by beside their kind's values. */
export interface Making {
  seed: number
  count: number
  /** Which of them are wanted, from 0, where not all are: the others are left out, and twins of them are not looked for. */
  only?: readonly number[] | undefined
  /** Twins of these are not made: puzzles of the author's other books. */
  avoid?: ReadonlySet<string> | undefined
  ticker?: Ticker | undefined
}

/**
 * Makes puzzles of a kind, each proven by the kind's own second solver, no two of them twins. The first ones are the same however
 * many are asked for. Throws a Fault where the values lead to no more of them.
 */
export async function makePuzzles(
  kind: PuzzleKind,
  params: object,
  { seed, count, only, avoid, ticker }: Making,
): Promise<Made[]> {
  // A maker trusts its values: what is no size at all could keep it for ever.
  if (!kind.schema().isValidSync(params))
    throw new Fault('values', `These values make no ${kind.name.toLowerCase()} puzzle: set them anew.`)
  const work = await kind.work()
  const made: Made[] = []
  const seen = new Set<string>()
  for (const i of only ?? Array.from({ length: count }, (_, n) => n)) {
    let next: Made | undefined
    for (let attempt = 0; attempt < TRIES && !next; attempt++) {
      await ticker?.({ stage: `Making ${kind.name.toLowerCase()} puzzles`, done: i, of: count })
      const own = seedOf(`${kind.id}/${seed}/${i}/${attempt}`)
      const candidate = work.make(params, own, { index: i, run: seed })
      if (!candidate || seen.has(candidate.twin) || avoid?.has(candidate.twin)) continue
      const proof = work.prove(candidate.puzzle)
      if (proof.answers === 1 && proof.agrees) next = { ...candidate, seed: own }
    }
    if (!next)
      throw new Fault(
        'puzzles',
        `${made.length ? `After ${made.length}, no more` : 'No'} ${kind.name.toLowerCase()} puzzles were found that differ and are ${
          (params as { band?: string }).band ?? 'as wanted'
        }: ask for fewer, or choose other values.`,
      )
    seen.add(next.twin)
    made[i] = next
  }
  return made
}
