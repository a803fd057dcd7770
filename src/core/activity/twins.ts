import type { Run } from '../book'
import type { MadeOf, RunPress } from './runPress'

/** What a run's pages ask, by names that twins share: no two kinds share one. */
export interface RunTwins {
  run: string
  names: string[]
}

/** What the author's other books ask: no reader of two of them is to be given the same twice. */
export interface OtherBooks {
  /** Keeps what a book asks, in the place of what it asked before. */
  keep(book: string, names: readonly string[]): Promise<void>
  /** Titles of the other books by the names of what they ask. */
  asking(book: string): Promise<ReadonlyMap<string, string>>
}

/** A run whose pages stand, so many of them, in another book as well. */
export interface Double {
  run: string
  pages: number
  title: string
}

/** The runs of a book that have something in common with others, each with the book it shares most with. */
export function doublesAmong(runs: readonly RunTwins[], elsewhere: ReadonlyMap<string, string>): Double[] {
  return runs.flatMap(({ run, names }) => {
    const shared = new Map<string, number>()
    for (const name of names) {
      const title = elsewhere.get(name)
      if (title !== undefined) shared.set(title, (shared.get(title) ?? 0) + 1)
    }
    const [most] = [...shared].sort((a, b) => b[1] - a[1])
    return most ? [{ run, pages: most[1], title: most[0] }] : []
  })
}

/** Seeds that are tried for a run. */
const SEEDS = 6

/** A seed with which a run shares nothing with other books, or as little as six come to; nothing where none of them is better than its own. */
export async function freshSeed(
  run: Run,
  { runs, language, press, elsewhere, ticker }: MadeOf & { press: RunPress; elsewhere: ReadonlyMap<string, string> },
): Promise<number | undefined> {
  const sharedBy = async (seed: number): Promise<number> => {
    const own = { ...run, seed }
    const among = runs.map(r => (r.id === run.id ? own : r))
    const names = await press.twinsOf(own, { runs: among, language, ticker })
    return names.filter(n => elsewhere.has(n)).length
  }
  let least = await sharedBy(run.seed)
  let best: number | undefined
  for (let i = 1; i <= SEEDS && least; i++) {
    const seed = (run.seed + i) >>> 0
    const shared = await sharedBy(seed)
    if (shared < least) [best, least] = [seed, shared]
  }
  return best
}
