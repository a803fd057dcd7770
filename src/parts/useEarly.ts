'use client'
import { type RefObject, useCallback, useRef, useState } from 'react'
import { Cancelled } from '@/core/trade'
import { useLatest } from './useLatest'

/** Something that was made, and the edition and outlet that it is of. */
export interface Held<T> {
  editionId: string
  outletId: string | undefined
  made: T
}

/** What was made of a new state before its figures. */
export interface Early<T> {
  /** Makes it: see OpenedBook's `first`. */
  first: (editionId: string, outletId: string | undefined) => Promise<void>
  newest: RefObject<Held<T> | undefined>
  /** The newest, as it is shown. */
  seen: Held<T> | undefined
}

/** A change is seen in what is looked at; the figures that follow from it come after. */
export function useEarly<T>(make: (editionId: string, outletId: string | undefined) => Promise<T>): Early<T> {
  const newest = useRef<Held<T>>(undefined)
  const [seen, setSeen] = useState<Held<T>>()
  const asked = useRef(0)
  const making = useLatest(make)
  const first = useCallback(
    async (editionId: string, outletId: string | undefined): Promise<void> => {
      const turn = ++asked.current
      const made = await making(editionId, outletId).catch((e: unknown) => {
        // What is stopped is not begun again by what comes after; for anything else the figures fail, too, and say why.
        if (e instanceof Cancelled) throw e
        return undefined
      })
      // A newer state may have been asked for meanwhile.
      if (turn !== asked.current) return
      newest.current = made === undefined ? undefined : { editionId, outletId, made }
      setSeen(newest.current)
    },
    [making],
  )
  return { first, newest, seen }
}

/** Of what was made early, that which is of this edition at this outlet. */
export const earlyOf = <T>(
  held: Held<T> | undefined,
  editionId: string | undefined,
  outletId: string | undefined,
): T | undefined => (held && held.editionId === editionId && held.outletId === outletId ? held.made : undefined)
