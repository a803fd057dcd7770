import type { PagePlan, Run } from '../book'
import { kindOf } from './registry'

/** The run that a run refers to; a run that refers to another itself is none. */
export function referred(run: Run, runs: readonly Run[]): Run | undefined {
  const id = kindOf(run.kind)?.refersTo?.(run.params)
  const other = runs.find(r => r.id === id)
  return other && !kindOf(other.kind)?.refersTo ? other : undefined
}

/** Pages that a run asks for: its own number, or as many as its values or what it refers to need. */
export function pagesAsked(run: Run, runs: readonly Run[]): number {
  const kind = kindOf(run.kind)
  return kind?.pagesFor ? kind.pagesFor(run.params, referred(run, runs)) : run.pages
}

/** The plan with as many pages for each run as it asks for. */
export const fitted = (plan: PagePlan): PagePlan => ({
  ...plan,
  runs: plan.runs.map(r => {
    const pages = pagesAsked(r, plan.runs)
    return pages === r.pages ? r : { ...r, pages }
  }),
})
