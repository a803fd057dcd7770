'use client'
import { type RefObject, useCallback, useRef, useState } from 'react'
import { Cancelled } from '@/core/trade'
import type { OpenBook } from '@/parts/openBook'
import { usePress } from '@/parts/usePress'
import type { ReadingCopy } from '@/workers/answers/reading'
import { press } from '@/workers/client'

/** A copy, and the edition and outlet that it is of. */
interface Held {
  editionId: string
  outletId: string | undefined
  copy: ReadingCopy
}

/** Copies that were made of a new state before its figures. */
interface EarlyCopies {
  /** Makes one: see OpenedBook's `first`. */
  first: (editionId: string, outletId: string | undefined) => Promise<void>
  newest: RefObject<Held | undefined>
  /** The newest, as it is shown. */
  seen: Held | undefined
}

/** A change is seen in the ebook that is read; the figures that follow from it come after. */
export function useEarlyCopies(bookId: string): EarlyCopies {
  const newest = useRef<Held>(undefined)
  const [seen, setSeen] = useState<Held>()
  const asked = useRef(0)
  const first = useCallback(
    async (editionId: string, outletId: string | undefined): Promise<void> => {
      const turn = ++asked.current
      const copy = await press()
        .readingCopy(bookId, editionId, outletId)
        .catch((e: unknown) => {
          // What is stopped is not begun again by what comes after; for anything else the figures fail, too, and say why.
          if (e instanceof Cancelled) throw e
          return undefined
        })
      // A newer state may have been asked for meanwhile.
      if (turn !== asked.current) return
      newest.current = copy && { editionId, outletId, copy }
      setSeen(newest.current)
    },
    [bookId],
  )
  return { first, newest, seen }
}

/** The ebook as it is read, and why there is none that is newer. */
export function useReadingCopy(
  bookId: string,
  { edition, outletId, version }: OpenBook,
  { newest, seen }: EarlyCopies,
): { copy: ReadingCopy | undefined; trouble: string | undefined } {
  const editionId = edition?.id
  const { answer, trouble } = usePress(
    async press => {
      if (!editionId || !version) return undefined
      // With the figures the copy of the same state is there already, but for a room that was just entered.
      const held = newest.current
      if (held?.editionId === editionId && held.outletId === outletId) return held.copy
      return press.readingCopy(bookId, editionId, outletId)
    },
    [bookId, editionId, outletId, version, newest],
  )
  const own = seen?.editionId === editionId && seen?.outletId === outletId ? seen : undefined
  return { copy: own?.copy ?? answer, trouble }
}
