'use client'
import { useState } from 'react'
import type { Decision, Decisions } from '@/core/intake'

export interface Deciding {
  decisions: Decisions
  decide: (id: string, decision: Decision) => void
  replace: (decisions: Decisions) => void
  /** Each decision is taken back, and brought again, like any edit. */
  undo: () => boolean
  redo: () => boolean
}

/** What the author has decided of a reading so far. */
export function useDecisions(first: Decisions = new Map()): Deciding {
  const [{ past, decisions, future }, set] = useState<{ past: Decisions[]; decisions: Decisions; future: Decisions[] }>(
    {
      past: [],
      decisions: first,
      future: [],
    },
  )
  const replace = (next: Decisions): void => set(s => ({ past: [...s.past, s.decisions], decisions: next, future: [] }))
  return {
    decisions,
    replace,
    decide: (id, decision) => {
      const next = new Map(decisions)
      if (Object.keys(decision).length) next.set(id, decision)
      else next.delete(id)
      replace(next)
    },
    undo: () => {
      const before = past.at(-1)
      if (before) set(s => ({ past: s.past.slice(0, -1), decisions: before, future: [s.decisions, ...s.future] }))
      return !!before
    },
    redo: () => {
      const [after, ...rest] = future
      if (after) set(s => ({ past: [...s.past, s.decisions], decisions: after, future: rest }))
      return !!after
    },
  }
}
