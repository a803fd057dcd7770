import type { PagePlan, Run } from '../book'
import type { RunKind } from './kind'
import { kindOf } from './registry'

/** Pages that the runs of a plan take. */
export const plannedPages = (plan: PagePlan): number => plan.runs.reduce((n, r) => n + r.pages, 0)

/** What a run is called: by its heading, or its kind. */
export const runName = (run: Run): string => run.heading?.words || (kindOf(run.kind)?.name ?? run.kind)

/** An id that no run of the plan has yet. */
export function freshRunId(plan: PagePlan): string {
  let n = 0
  for (const r of plan.runs) n = Math.max(n, Number(/^r(\d+)$/.exec(r.id)?.[1] ?? 0))
  return `r${n + 1}`
}

/** A new run of a kind; `seed`: where its chance begins. */
export const newRun = (plan: PagePlan, kind: RunKind, seed: number, pages = 20): Run => ({
  id: freshRunId(plan),
  kind: kind.id,
  pages,
  seed,
  params: structuredClone(kind.plain) as Record<string, unknown>,
})
