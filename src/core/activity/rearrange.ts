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

/** A run in two behind each other: the second has what is left, its numbers go on. What chance makes of it is another's. */
export function splitRun(plan: PagePlan, id: string, pages: number): PagePlan {
  const fresh = freshRunId(plan)
  return withBehind(plan, id, run => {
    if (!canSplit(run)) return [run]
    const first = { ...run, pages: Math.min(run.pages - 1, Math.max(1, Math.round(pages))) }
    const rest = { ...run, id: fresh, pages: run.pages - first.pages, seed: seedOf(`${run.seed}/${fresh}`) }
    return [first, { ...rest, ...numberedOn(run, askedOf(first)) }]
  })
}

/** A run once more behind itself: the same values, other chance, its numbers go on. */
export function doubleRun(plan: PagePlan, id: string): PagePlan {
  const fresh = freshRunId(plan)
  return withBehind(plan, id, run => [
    run,
    { ...structuredClone(run), id: fresh, seed: seedOf(`${run.seed}/${fresh}`), ...numberedOn(run, askedOf(run)) },
  ])
}
