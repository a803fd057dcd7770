'use client'
import { useCallback, useMemo, useRef, useState } from 'react'
import type { PageTurn } from '@/core/pages'
import { press } from '@/workers/client'

/** Where the pages of a section turn, as the press had it. */
export interface Turns {
  section: string
  turns: readonly PageTurn[]
}

/** Page turns are asked for as soon as the press has what was typed: what else follows from it comes behind. */
export interface EarlyTurns {
  /** Done with a new state before its figures are asked for. */
  first: (editionId: string) => Promise<void>
  /** Says which section is written; nothing where its pages are not looked at. */
  look: (section: string | undefined) => void
  seen: Turns | undefined
}

export function useEarlyTurns(bookId: string): EarlyTurns {
  const looked = useRef<string>(undefined)
  const [seen, setSeen] = useState<Turns>()
  const first = useCallback(
    async (editionId: string): Promise<void> => {
      const section = looked.current
      if (section === undefined) return
      // Where it fails the setting that follows fails, too, and says why.
      const turns = await press()
        .turns(bookId, editionId, section)
        .catch(() => undefined)
      if (turns && looked.current === section) setSeen({ section, turns })
    },
    [bookId],
  )
  const look = useCallback((section: string | undefined): void => {
    looked.current = section
  }, [])
  return useMemo(() => ({ first, look, seen }), [first, look, seen])
}
