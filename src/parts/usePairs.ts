'use client'
import { useLiveQuery } from 'dexie-react-hooks'
import { useMemo } from 'react'
import type { Book } from '@/core/book'
import type { Difference } from '@/core/outlets'
import { readClock } from '@/data/clock'
import { listingsOf } from '@/data/listings'
import { driftOf, type Pair, pairsOf } from './pairs'
import { usePress } from './usePress'

/** All pairs of a book. `version`: the state of the book the press last answered for. */
export function usePairs(book: Book | undefined, version: number): { pairs: Pair[]; now: number; trouble?: string } {
  const records = useLiveQuery(() => (book ? listingsOf(book.id) : []), [book?.id])
  const now = useLiveQuery(readClock) ?? 0
  const folded = useMemo(() => {
    if (!book || !records) return []
    const events = new Map(records.map(r => [r.key, r.events]))
    return pairsOf(book.id, book.editions, key => events.get(key), now)
  }, [book, records, now])

  const { answer: drifts = {}, trouble } = usePress<Record<string, Difference[]>>(
    async (press, { wanted }) => {
      const found: Record<string, Difference[]> = {}
      for (const p of folded) if (p.state.live && version && wanted()) found[p.key] = await driftOf(press, p)
      return found
    },
    [folded, version],
  )

  return {
    pairs: folded.map(p => ({ ...p, differences: drifts[p.key] ?? [] })),
    now,
    ...(trouble ? { trouble: `What is on sale could not be held against the book: ${trouble}` } : {}),
  }
}
