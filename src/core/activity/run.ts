import type { PagePlan, Run, Section } from '../book'
import type { Control, RunKind } from './kind'
import { kindOf } from './registry'

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

/** Runs whose pages ask something: what answers can be given to. */
export const asking = (plan: PagePlan): Run[] => plan.runs.filter(r => kindOf(r.kind)?.answers)

/**
 * A new run of a kind; `seed`: where its chance begins. Pages that ask something are numbered under their kind's name; answers begin
 * as those of the last run that has none yet.
 */
export function newRun(plan: PagePlan, kind: RunKind, seed: number, pages = 20): Run {
  const params = structuredClone(kind.plain) as Record<string, unknown>
  const names = Object.entries(kind.controls as Record<string, Control>).find(([, c]) => c.as === 'run')?.[0]
  if (names) {
    const answered = new Set(plan.runs.filter(r => r.kind === kind.id).map(r => kind.refersTo?.(r.params)))
    const open = asking(plan).filter(r => !answered.has(r.id))
    params[names] = (open.at(-1) ?? asking(plan).at(-1))?.id ?? params[names]
  }
  const heading = kind.answers ? { words: kind.name, from: 1 } : names ? { words: kind.name } : undefined
  return { id: freshRunId(plan), kind: kind.id, pages, ...(heading && { heading }), seed, params }
}
