import type { Edition } from '@/core/book'
import {
  type Difference,
  drift,
  foldListing,
  type ListingEvent,
  type ListingState,
  type ListingStatus,
} from '@/core/outlets'
import { formatMoney } from '@/core/trade'
import { pairKey as listingKey } from '@/data/listings'
import { showLength } from './lengths'
import type { LampState } from './Lamp'
import type { PressClient } from '@/workers/client'

/** An edition at an outlet and what was sent of it, as it stands on the simulated clock. */
export interface SentPair {
  /** Under it its listing is kept. */
  key: string
  book: string
  edition: Edition
  outletId: string
  events: ListingEvent[]
  state: ListingState
}

export interface Pair extends SentPair {
  /** How the book has moved on from what is on sale; empty where it is in step or not on sale. */
  differences: Difference[]
}

/** All editions of a book at their outlets, at the simulated hour `now`. */
export function pairsOf(
  book: string,
  editions: Edition[],
  eventsOf: (key: string) => ListingEvent[] | undefined,
  now: number,
): SentPair[] {
  return editions.flatMap(edition =>
    (edition?.outlets ?? []).map(outletId => {
      const key = listingKey(book, edition.id, outletId)
      const events = eventsOf(key) ?? []
      return { key, book, edition, outletId, events, state: foldListing(events, now) }
    }),
  )
}

/** How the book has moved on from what is on sale: while a revision is on its way, it is what the book is held against. */
export async function driftOf(press: PressClient, { book, edition, outletId, state }: SentPair): Promise<Difference[]> {
  const held = state.pending?.submission ?? state.live?.submission
  if (!held || !state.live) return []
  return drift(
    held.snapshot,
    await press.snapshot(book, edition.id, outletId),
    { length: showLength, money: formatMoney },
    state.live.profile.currency,
  )
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
