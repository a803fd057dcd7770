import type { PagePlan, Run, Section } from '../book'
import type { RunKind } from './kind'
import { kindOf } from './registry'

/** Pages that the runs of a plan take. */
export const plannedPages = (plan: PagePlan): number => plan.runs.reduce((n, r) => n + r.pages, 0)

/** A planned book in order behind its front pages: its runs, and the sections that they stand behind or before. */
export type PlanPart = { run: Run } | { section: Section }

/** A run whose section is not there follows on the front pages. */
export function planOrder(plan: PagePlan, sections: readonly Section[]): PlanPart[] {
  const behind = sections.filter(s => s.part !== 'front')
  const known = new Set(behind.map(s => s.id))
  const runsAt = (id: string | undefined): PlanPart[] =>
    plan.runs
      .filter(r => (r.behind !== undefined && known.has(r.behind) ? r.behind : undefined) === id)
      .map(run => ({ run }))
  return [...runsAt(undefined), ...behind.flatMap(section => [{ section }, ...runsAt(section.id)])]
}

/** The runs of a plan as an order says them: each stands behind the last section before it. */
export function runsInOrder(order: readonly PlanPart[]): Run[] {
  let last: string | undefined
  return order.flatMap(part => {
    if ('section' in part) {
      last = part.section.id
      return []
    }
    const { behind: _was, ...run } = part.run
    return [last === undefined ? run : { ...run, behind: last }]
  })
}

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
