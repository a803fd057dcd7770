'use client'
import { fitted } from '@/core/activity'
import type { PagePlan, Run } from '@/core/book'
import { useCommit } from '@/parts/useCommit'

/** A change of a run, worked out of the run as the store has it when it is written. */
export type ChangeRun = (label: string, next: (r: Run) => Partial<Run>, merge?: boolean) => Promise<boolean>

/** The same of a whole plan. */
export type ChangePlan = (label: string, next: (p: PagePlan) => PagePlan, merge?: boolean) => Promise<boolean>

/** Changes of a book's plan: every run has as many pages as it asks for afterwards. */
export function usePlanChange(bookId: string): ChangePlan {
  'use memo'
  const commit = useCommit(bookId)
  return (label, next, merge = false) => commit(label, r => ({ plan: fitted(next(r.plan ?? { runs: [] })) }), merge)
}

export function useRunChange(bookId: string): (id: string) => ChangeRun {
  'use memo'
  const change = usePlanChange(bookId)
  return id =>
    (label, next, merge = false) =>
      change(label, p => ({ ...p, runs: p.runs.map(x => (x.id === id ? { ...x, ...next(x) } : x)) }), merge)
}
