'use client'
import { useState } from 'react'
import { storeFull } from '@/data/trouble'

/** A value that is written as text: how the text is checked and read. `read` gives what is stored; undefined empties it. */
export interface TextField<T> {
  label: string
  hint?: string
  /** A plain sentence where the text cannot be taken. */
  problem(text: string): string | undefined
  read(text: string): T | undefined
  show(value: T | undefined): string
}

/** A text as it is typed beside the value that the store has. */
export interface Taken {
  text: string
  problem: string | undefined
  type: (text: string) => void
  /** Takes what was typed, unless nothing was or it cannot be. */
  take: () => void
  /** Back to what the store has. */
  leave: () => void
}

/** A value that is taken when its field is left, or by Enter; what cannot be taken stays with the reason, and the old value is kept. What was typed leaves the field only when the store has it. */
export function useTaken<T>(
  field: TextField<T>,
  value: T | undefined,
  onTake: (value: T | undefined) => Promise<void> | undefined,
): Taken {
  const [draft, setDraft] = useState<string>()
  const [untaken, setUntaken] = useState<string>()
  return {
    text: draft ?? field.show(value),
    problem: draft === undefined ? undefined : (field.problem(draft) ?? untaken),
    type: setDraft,
    leave: () => setDraft(undefined),
    take: () => {
      if (draft === undefined || field.problem(draft)) return
      const done = field.show(field.read(draft)) === field.show(value) ? undefined : onTake(field.read(draft))
      setUntaken(undefined)
      if (!done) return setDraft(undefined)
      // What is typed while it is written is the author's next word on it.
      done.then(
        () => setDraft(d => (d === draft ? undefined : d)),
        (e: Error) =>
          setUntaken(storeFull(e) ? 'There is no room to save this; it waits here.' : `Not taken: ${e.message}`),
      )
    },
  }
}
