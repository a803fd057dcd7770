'use client'
import { useLiveQuery } from 'dexie-react-hooks'
import { useMemo, useRef } from 'react'
import type { Edition } from '@/core/book'
import type { ListingEvent } from '@/core/outlets'
import { allBooks, standing, takenDownOf } from '@/data/bookList'
import { readClock } from '@/data/clock'
import { allListings } from '@/data/listings'
import type { BookRecord, ListingRecord } from '@/data/records'
import { pairsOf, type SentPair } from '@/parts/pairs'

/** A book as the porch knows it from its record alone, before the press has looked at it. */
export interface Entry {
  id: string
  title: string
  subtitle?: string
  author: string
  series?: { name: string; number?: number }
  imprint: string
  editions: Edition[]
  /** Editions at outlets, and what was sent of them. */
  pairs: SentPair[]
  planned: boolean
  /** Whose it is, where it is here to be read for somebody. */
  readFor?: string
  /** The record in letters: where it reads otherwise, the book has changed. */
  told: string
}

/** Books of the porch, and those that were taken down; undefined until the store has answered. An entry is the same object as long as it says the same. */
export function useEntries(): { entries?: Entry[]; resting: BookRecord[] } {
  const all = useLiveQuery(allBooks)
  const listings = useLiveQuery(allListings)
  const now = useLiveQuery(readClock) ?? 0
  const before = useRef(new Map<string, Entry>())
  return useMemo(() => {
    const resting = all ? takenDownOf(all) : []
    if (!all) return { resting }
    const events = new Map<string, ListingRecord[]>()
    // Books are listed at once; what was sent of them joins them when the store has told of it.
    for (const l of listings ?? []) events.set(l.book, [...(events.get(l.book) ?? []), l])
    const known = before.current
    before.current = new Map()
    const entries = standing(all).map(r => {
      const told = JSON.stringify(r)
      const sent = events.get(r.id)
      const same = known.get(r.id)
      // What was sent ripens with the simulated clock; what was not does not.
      const still = same?.told === told && !sent && same.pairs.every(p => !p.events.length)
      const entry = still ? same : { ...entryOf(r, key => sent?.find(l => l.key === key)?.events, now), told }
      before.current.set(r.id, entry)
      return entry
    })
    return { entries, resting }
  }, [all, listings, now])
}

const entryOf = (
  r: BookRecord,
  eventsOf: (key: string) => ListingEvent[] | undefined,
  now: number,
): Omit<Entry, 'told'> => ({
  id: r.id,
  ...named(r),
  editions: listOf(r.editions),
  pairs: pairsOf(r.id, listOf(r.editions), eventsOf, now),
  planned: !!r.plan,
  ...(r.review && !r.review.whole && { readFor: r.review.from || 'somebody' }),
})

const textOf = (v: unknown): string => (typeof v === 'string' ? v : '')
const listOf = <T>(v: T[]): T[] => (Array.isArray(v) ? v : [])

/** What a row is known by, whatever state the record is in: a book with a broken title is still a book on the porch. */
function named({ id, data }: BookRecord): Pick<Entry, 'title' | 'subtitle' | 'author' | 'series' | 'imprint'> {
  const series = textOf(data?.series?.name)
  const number = data?.series?.number
  return {
    title: textOf(data?.title) || id,
    subtitle: textOf(data?.subtitle),
    author: textOf(listOf(data?.contributors).find(c => c?.role === 'aut')?.name),
    ...(series ? { series: { name: series, ...(typeof number === 'number' ? { number } : {}) } } : {}),
    imprint: textOf(data?.imprint?.name),
  }
}
