'use client'
import { useLiveQuery } from 'dexie-react-hooks'
import { useMemo } from 'react'
import type { Book, Edition } from '@/core/book'
import {
  type Difference,
  drift,
  foldListing,
  type ListingEvent,
  type ListingState,
  type ListingStatus,
} from '@/core/outlets'
import { formatMoney } from '@/core/trade'
import { showLength } from '@/parts/lengths'
import { readClock } from '@/data/clock'
import { listingsOf, pairKey } from '@/data/listings'
import { usePress } from './usePress'
import type { LampState } from './Lamp'

/** An edition at an outlet, as it stands on the simulated clock. */
export interface Pair {
  key: string
  edition: Edition
  outletId: string
  events: ListingEvent[]
  state: ListingState
  /** How the book has moved on from what is on sale; empty where it is in step or not on sale. */
  differences: Difference[]
}

/** All pairs of a book. `version`: the state of the book the press last answered for. */
export function usePairs(book: Book | undefined, version: number): { pairs: Pair[]; now: number; trouble?: string } {
  const records = useLiveQuery(() => (book ? listingsOf(book.id) : []), [book?.id])
  const now = useLiveQuery(readClock) ?? 0
  const bookId = book?.id
  const folded = useMemo(() => {
    if (!book || !records) return []
    const events = new Map(records.map(r => [r.key, r.events]))
    return book.editions.flatMap(edition =>
      edition.outlets.map(outletId => {
        const key = pairKey(book.id, edition.id, outletId)
        return { key, edition, outletId, events: events.get(key) ?? [], state: foldListing(events.get(key) ?? [], now) }
      }),
    )
  }, [book, records, now])

  const { answer: drifts = {}, trouble } = usePress<Record<string, Difference[]>>(
    async (press, { wanted }) => {
      const found: Record<string, Difference[]> = {}
      for (const p of folded) {
        if (!p.state.live || !bookId || !version || !wanted()) continue
        // While a revision is on its way, it is what the book is held against.
        const held = p.state.pending?.submission ?? p.state.live.submission
        found[p.key] = drift(held.snapshot, await press.snapshot(bookId, p.edition.id, p.outletId), {
          length: showLength,
          money: m => formatMoney(m, 'USD'),
        })
      }
      return found
    },
    [folded, version, bookId],
  )

  return {
    pairs: folded.map(p => ({ ...p, differences: drifts[p.key] ?? [] })),
    now,
    ...(trouble ? { trouble: `What is on sale could not be held against the book: ${trouble}` } : {}),
  }
}

/** Of what is not yet sent: nothing there, something in its way, or ready; undefined until it was looked into. */
type Readiness = 'dark' | 'dim' | 'lit' | undefined
const unsent = (ready: Readiness): { lamp: LampState; word: string } => ({
  lamp: ready ?? 'dim',
  word: ready ? { dark: 'nothing yet', dim: 'begun', lit: 'ready' }[ready] : '…',
})

/** A pair's lamp and its word. */
export function pairLamp(
  pair: Pick<Pair, 'state' | 'differences'>,
  ready: Readiness,
): { lamp: LampState; word: string } {
  const words: Partial<Record<ListingStatus, string>> = {
    sent: 'sent',
    'in review': 'in review',
    returned: 'returned',
    withdrawn: 'withdrawn',
    'revision waiting': 'revision waiting',
  }
  const { status, live } = pair.state
  if (live && pair.differences.length)
    return { lamp: 'drifted', word: status === 'returned' ? 'revision returned' : 'drifted' }
  if (live) return { lamp: 'burning', word: words[status] ?? 'on sale' }
  if (status === 'returned') return { lamp: 'dim', word: 'returned' }
  if (status === 'sent' || status === 'in review') return { lamp: 'lit', word: status }
  return { ...unsent(ready), ...(status === 'withdrawn' ? { word: 'withdrawn' } : {}) }
}

const need: LampState[] = ['dim', 'drifted', 'lit', 'burning', 'indoors', 'dark']

/** An edition's lamp is its neediest pair's. */
export function editionLamp(pairs: Pair[], ready: Readiness): { lamp: LampState; word: string } {
  const all = pairs.map(p => pairLamp(p, ready))
  return all.sort((a, b) => need.indexOf(a.lamp) - need.indexOf(b.lamp))[0] ?? unsent(ready)
}
