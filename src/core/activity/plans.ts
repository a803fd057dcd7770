import type { PagePlan, Run } from '../book'

/** What each kind of run is called, and how it begins. Points. */
export const runKinds: Record<Run['kind'], { name: string; says: string; spacing: number; tone: number }> = {
  lined: { name: 'Lined', says: 'lines to write on', spacing: 20, tone: 0.35 },
  dot: { name: 'Dot grid', says: 'a grid of dots', spacing: 14.4, tone: 0.45 },
  log: { name: 'Log table', says: 'a table with your own columns', spacing: 22, tone: 0.5 },
  blank: { name: 'Blank', says: 'nothing printed', spacing: 20, tone: 0 },
}

/** Pages that the runs of a plan take. */
export const plannedPages = (plan: PagePlan): number => plan.runs.reduce((n, r) => n + r.pages, 0)

/** An id that no run of the plan has yet. */
export function freshRunId(plan: PagePlan): string {
  let n = 0
  for (const r of plan.runs) n = Math.max(n, Number(/^r(\d+)$/.exec(r.id)?.[1] ?? 0))
  return `r${n + 1}`
}

/** A new run of a kind. */
export function newRun(plan: PagePlan, kind: Run['kind'], pages = 20): Run {
  const { spacing, tone } = runKinds[kind]
  return {
    id: freshRunId(plan),
    kind,
    pages,
    spacing,
    tone,
    ...(kind === 'log'
      ? {
          columns: [
            { name: 'Date', share: 1 },
            { name: 'What', share: 3 },
            { name: 'Notes', share: 3 },
          ],
        }
      : {}),
  }
}
