import type { PagePlan, Run } from '../book'
import { seedOf } from '../trade'
import { askedOf } from './heading'
import { pagesGiven } from './referred'
import { freshRunId } from './run'

/** A run's numbering, so many things further on. */
const numberedOn = ({ heading }: Run, by: number): Partial<Run> =>
  heading?.from === undefined ? {} : { heading: { ...heading, from: heading.from + by } }

const withBehind = (plan: PagePlan, id: string, next: (run: Run) => Run[]): PagePlan => ({
  ...plan,
  runs: plan.runs.flatMap(r => (r.id === id ? next(r) : [r])),
})

/** Whether a run has pages of its own to part with: those that follow from values or from another run have not. */
export const canSplit = (run: Run): boolean => pagesGiven(run, []) === undefined && run.pages > 1

/** The author's hand on some pages of a run, counted from the first of them. */
const handFrom = ({ hand }: Run, from: number, to: number): Pick<Run, 'hand'> => {
  const own = hand?.filter(h => h.page >= from && h.page < to).map(h => ({ ...h, page: h.page - from }))
  return own?.length ? { hand: own } : {}
}

/** A run in two behind each other: the second has what is left, its numbers go on, what was changed by hand stays with its page. What chance makes of it is another's. */
export function splitRun(plan: PagePlan, id: string, pages: number): PagePlan {
  const fresh = freshRunId(plan)
  return withBehind(plan, id, run => {
    if (!canSplit(run)) return [run]
    const { hand: _hand, ...bare } = run
    const of = Math.min(run.pages - 1, Math.max(1, Math.round(pages)))
    const first: Run = { ...bare, pages: of, ...handFrom(run, 0, of) }
    const rest = { ...bare, id: fresh, pages: run.pages - of, seed: seedOf(`${run.seed}/${fresh}`) }
    return [first, { ...rest, ...handFrom(run, of, Infinity), ...numberedOn(run, askedOf(first)) }]
  })
}

/** A run once more behind itself: the same values, other chance, its numbers go on, its pages as made. */
export function doubleRun(plan: PagePlan, id: string): PagePlan {
  const fresh = freshRunId(plan)
  return withBehind(plan, id, run => {
    const { hand: _hand, ...bare } = run
    const seed = seedOf(`${run.seed}/${fresh}`)
    return [run, { ...structuredClone(bare), id: fresh, seed, ...numberedOn(run, askedOf(run)) }]
  })
}
