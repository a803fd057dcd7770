import type { PagePlan, Run } from '../book'
import { kindOf } from './registry'

/** The run that a run refers to; a run that refers to another itself is none. */
export function referred(run: Run, runs: readonly Run[]): Run | undefined {
  const id = kindOf(run.kind)?.refersTo?.(run.params)
  const other = runs.find(r => r.id === id)
  return other && !kindOf(other.kind)?.refersTo ? other : undefined
}

/** Pages that a run asks for: its own number, or as many as its values or what it refers to need. */
export const pagesAsked = (run: Run, runs: readonly Run[]): number => pagesGiven(run, runs) ?? run.pages

/** Pages that follow from a run's values or from what it refers to; undefined where their number is the author's. */
export const pagesGiven = (run: Run, runs: readonly Run[]): number | undefined =>
  kindOf(run.kind)?.pagesFor?.(run.params, referred(run, runs))

/** The plan with as many pages for each run as it asks for. */
export const fitted = (plan: PagePlan): PagePlan => ({
  ...plan,
  runs: plan.runs.map(r => {
    const pages = pagesAsked(r, plan.runs)
    return pages === r.pages ? r : { ...r, pages }
  }),
})
