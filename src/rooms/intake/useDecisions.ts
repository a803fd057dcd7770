'use client'
import { useState } from 'react'
import type { Decision, Decisions } from '@/core/intake'
import type { Says } from './says'

/** All that is decided of a reading: of its sections and lines, and which kinds of dirt are cleaned. */
export interface Decided {
  decisions: Decisions
  /** Ids of kinds. */
  cleans: ReadonlySet<string>
  /** What is said of the book, where it is asked. */
  says?: Says
}

export interface Deciding extends Decided {
  decide: (id: string, decision: Decision) => void
  replace: (decisions: Decisions) => void
  clean: (kind: string, cleans: boolean) => void
  say: (says: Says) => void
  /** Each decision is taken back, and brought again, like any edit. */
  undo: () => void
  redo: () => void
}

/** What the author has decided of a reading so far. */
export function useDecisions(first: Decided): Deciding {
  const [{ past, now, future }, set] = useState<{ past: Decided[]; now: Decided; future: Decided[] }>({
    past: [],
    now: first,
    future: [],
  })
  const go = (next: Partial<Decided>): void =>
    set(s => ({ past: [...s.past, s.now], now: { ...s.now, ...next }, future: [] }))
  return {
    ...now,
    replace: decisions => go({ decisions }),
    decide: (id, decision) => {
      const decisions = new Map(now.decisions)
      if (Object.keys(decision).length) decisions.set(id, decision)
      else decisions.delete(id)
      go({ decisions })
    },
    clean: (kind, cleans) => {
      const all = new Set(now.cleans)
      if (cleans) all.add(kind)
      else all.delete(kind)
      go({ cleans: all })
    },
    say: says => go({ says }),
    undo: () => {
      const before = past.at(-1)
      if (before) set(s => ({ past: s.past.slice(0, -1), now: before, future: [s.now, ...s.future] }))
    },
    redo: () => {
      const [after, ...rest] = future
      if (after) set(s => ({ past: [...s.past, s.now], now: after, future: rest }))
    },
  }
}
