'use client'
import { useMemo, useState } from 'react'
import type { Book } from '@/core/book'
import { useLatest } from '@/parts/useLatest'
import { pickedBy, stillPicked } from './picked'
import type { Choice } from './SectionList'

/** What is picked of the sections: the one that was asked for last, and others beside it. It is known before that one is open: what is typed is written first. */
export function usePicked(
  book: Book,
  open: string | undefined,
): {
  picked: readonly string[]
  pick: (id: string, how: Choice) => void
  /** Opening a section by any other way picks it alone. */
  only: (choose: (id: string | undefined) => void) => (id: string | undefined) => void
} {
  const [{ set, asked }, setState] = useState<{ set: ReadonlySet<string>; asked?: string }>({ set: new Set() })
  const order = useMemo(() => book.sections.map(s => s.id), [book.sections])
  const from = asked !== undefined && order.includes(asked) ? asked : open
  const picked = useMemo(() => stillPicked(order, set, from), [order, set, from])
  // What a click before it has picked is known here, though it is not drawn yet.
  const pick = useLatest((on: string, how: Choice): void =>
    setState(s => {
      const since = s.asked !== undefined && order.includes(s.asked) ? s.asked : open
      const set = pickedBy(order, new Set(stillPicked(order, s.set, since)), { open: since, on, ...how })
      const asked = how.toggles || how.extends ? s.asked : on
      return { set, ...(asked === undefined ? {} : { asked }) }
    }),
  )
  return {
    picked,
    pick,
    only: choose => id => {
      setState({ set: new Set(id === undefined ? [] : [id]), ...(id === undefined ? {} : { asked: id }) })
      choose(id)
    },
  }
}
