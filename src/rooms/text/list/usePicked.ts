'use client'
import { useMemo, useState } from 'react'
import type { Book } from '@/core/book'
import { useLatest } from '@/parts/useLatest'
import { pickedBy, stillPicked } from './picked'
import type { Choice } from './SectionList'

/** What is picked of the sections: the open one, and others beside it. */
export function usePicked(
  book: Book,
  open: string | undefined,
): {
  picked: readonly string[]
  pick: (id: string, how: Choice) => void
  /** Opening a section by any other way picks it alone. */
  only: (choose: (id: string | undefined) => void) => (id: string | undefined) => void
} {
  const [set, setSet] = useState<ReadonlySet<string>>(new Set())
  const order = useMemo(() => book.sections.map(s => s.id), [book.sections])
  const picked = useMemo(() => stillPicked(order, set, open), [order, set, open])
  const pick = useLatest((on: string, how: Choice): void =>
    setSet(pickedBy(order, new Set(picked), { open, on, ...how })),
  )
  return {
    picked,
    pick,
    only: choose => id => {
      setSet(new Set(id === undefined ? [] : [id]))
      choose(id)
    },
  }
}
