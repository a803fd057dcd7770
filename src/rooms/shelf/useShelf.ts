'use client'
import { useLiveQuery } from 'dexie-react-hooks'
import { useEffect, useMemo, useRef, useState } from 'react'
import { freeBookId, freshBookId, freshen, type HeldBook, putBook } from '@/data/books'
import { allBooks, standing } from '@/data/bookList'
import { loadDemoOnce } from '@/data/demo'
import { createBook, type Edition, newSection, plainEditions, turnedTexts, withoutTurns } from '@/core/book'
import { type Difference, drift, foldListing } from '@/core/outlets'
import { Cancelled, formatMoney } from '@/core/trade'
import { showLength } from '@/parts/lengths'
import { readClock } from '@/data/clock'
import type { BookRecord } from '@/data/records'
import { allListings, pairKey } from '@/data/listings'
import type { Pair } from '@/parts/useListings'
import { holdManuscript } from '@/data/waiting'
import { openAtPress, press } from '@/workers/client'
import type { Outlook } from '@/core/chain'
import { takenDownOf } from '@/data/bookList'

export interface ShelfEntry {
  id: string
  title: string
  subtitle?: string
  author: string
  series?: { name: string; number?: number }
  imprint: string
  /** The front cover's picture. */
  front?: string
  outlook?: Outlook
  editions: Edition[]
  /** Editions at outlets, as far as anything was sent. */
  pairs: Pair[]
  planned: boolean
  /** Why it cannot be shown, if it cannot. */
  bad?: string
}

/** Books of the shelf, each with its outlook as soon as the press has worked it out. */
export function useShelf(): {
  entries: ShelfEntry[] | undefined
  trouble?: string
  /** Books that were taken down. */
  resting: BookRecord[]
  stopped: boolean
  again: () => void
  lookAgain: (id: string) => void
} {
  const all = useLiveQuery(allBooks)
  const records = useMemo(() => all && standing(all), [all])
  const resting = useMemo(() => (all ? takenDownOf(all) : []), [all])
  const [fronts, setFronts] = useState<Record<string, string | undefined>>({})
  const [outlooks, setOutlooks] = useState<Record<string, ShelfEntry['outlook']>>({})
  const held = useRef(new Map<string, HeldBook>())
  const [drifts, setDrifts] = useState<Record<string, Difference[]>>({})
  const listings = useLiveQuery(allListings)
  const now = useLiveQuery(readClock) ?? 0
  const [ready, setReady] = useState(false)
  const [trouble, setTrouble] = useState<string>()
  const [bad, setBad] = useState<Record<string, string>>({})
  const [stopped, setStopped] = useState(false)
  // Stopped is not in trouble: the shelf says so, and looks again when asked.
  const failed = (e: Error): void => (e instanceof Cancelled ? setStopped(true) : setTrouble(e.message))

  useEffect(() => {
    loadDemoOnce(press())
      .catch(failed)
      .finally(() => setReady(true))
  }, [])

  useEffect(() => {
    let gone = false
    const work = async (): Promise<void> => {
      // Books are known by their fronts: these come first, what follows from each book after them. A book that fails is passed
      // over and says why; the others go on.
      for (const r of records ?? []) {
        if (gone || stopped || r.id in fronts || bad[r.id]) continue
        await fenced(r.id, async () => {
          const stored = await freshen(r.id, held.current.get(r.id))
          if (!stored) return
          held.current.set(r.id, stored)
          await openAtPress(stored.book)
          const front = await press().front(r.id)
          if (!gone) setFronts(f => ({ ...f, [r.id]: front && URL.createObjectURL(front) }))
        })
        // The change of state begins the work anew, with the next book.
        return
      }
      for (const r of records ?? []) {
        if (gone || stopped || outlooks[r.id] || !(r.id in fronts) || bad[r.id]) continue
        await fenced(r.id, async () => {
          // The press has it already, unless it was stopped and another began.
          const stored = held.current.get(r.id)
          if (stored) await openAtPress(stored.book)
          const outlook = await press().outlook(r.id)
          if (!gone) setOutlooks(o => ({ ...o, [r.id]: outlook }))
        })
        return
      }
    }
    const fenced = (id: string, look: () => Promise<void>): Promise<void> =>
      look().catch((e: Error) => {
        if (e instanceof Cancelled) throw e
        if (!gone) setBad(b => ({ ...b, [id]: e.message }))
      })
    work().catch(failed)
    return () => {
      gone = true
    }
  }, [records, fronts, outlooks, stopped, bad])

  // What is on sale is held against what the book is now.
  useEffect(() => {
    let gone = false
    const work = async (): Promise<void> => {
      for (const l of listings ?? []) {
        const [book, edition, outletId] = l.key.split('/') as [string, string, string]
        const state = foldListing(l.events, now)
        if (!state.live || !outlooks[book] || gone) continue
        const held = state.pending?.submission ?? state.live.submission
        const found = drift(held.snapshot, await press().snapshot(book, edition, outletId), {
          length: showLength,
          money: m => formatMoney(m, 'USD'),
        })
        if (!gone) setDrifts(d => ({ ...d, [l.key]: found }))
      }
    }
    work().catch(failed)
    return () => {
      gone = true
    }
  }, [listings, now, outlooks])

  const again = (): void => setStopped(false)
  const lookAgain = (id: string): void => {
    const without = <T>({ [id]: _gone, ...rest }: Record<string, T>): Record<string, T> => rest
    setBad(without)
    setFronts(without)
    setOutlooks(without)
  }
  const events = new Map((listings ?? []).map(l => [l.key, l.events]))
  const pairsOf = (r: BookRecord): Pair[] =>
    listOf(r.editions).flatMap(edition =>
      listOf(edition?.outlets).map(outletId => {
        const key = pairKey(r.id, edition.id, outletId)
        return {
          key,
          edition,
          outletId,
          events: events.get(key) ?? [],
          state: foldListing(events.get(key) ?? [], now),
          differences: drifts[key] ?? [],
        }
      }),
    )
  if (!records || (!ready && !records.length))
    return { entries: undefined, resting, trouble, stopped, again, lookAgain }
  return {
    resting,
    trouble,
    stopped,
    again,
    lookAgain,
    entries: records.map(r => ({
      bad: bad[r.id],
      id: r.id,
      ...named(r),
      front: fronts[r.id],
      outlook: bad[r.id] ? undefined : outlooks[r.id],
      editions: listOf(r.editions),
      pairs: bad[r.id] ? [] : pairsOf(r),
      planned: !!r.plan,
    })),
  }
}

const textOf = (v: unknown): string => (typeof v === 'string' ? v : '')
const listOf = <T>(v: T[]): T[] => (Array.isArray(v) ? v : [])

/** What a row is known by, whatever state the record is in: a book with a broken title is still a book on the shelf. */
function named({ id, data }: BookRecord): Pick<ShelfEntry, 'title' | 'subtitle' | 'author' | 'series' | 'imprint'> {
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

/**
 * Brings a file in: a project becomes a book at once (gives its title), a manuscript waits in the intake room. `without` asks
 * whether signs that turn a title's direction of reading are taken out; `salvage` takes what can be saved of a damaged file.
 */
export async function bringIn(
  file: File,
  without: (shown: string[]) => Promise<boolean>,
  salvage = false,
): Promise<{ title?: string; lost?: string[] }> {
  const read = await press().readFile(file, salvage)
  const turned = turnedTexts(read.book.data)
  if (turned.length && (await without(turned))) read.book = { ...read.book, data: withoutTurns(read.book.data) }
  if (!read.project) {
    holdManuscript({ file: file.name, read })
    return {}
  }
  // A project keeps its id where no other book has it: what it is exported as again is the same file, its ebook the same ebook.
  const id = await freeBookId(read.book)
  await putBook({ book: { ...read.book, id }, pictures: read.pictures })
  return {
    title: read.book.data.title,
    lost: read.dropped.flatMap(d =>
      d.places.length ? d.places.map(p => `${d.what}: ${p}`) : [`${d.count} ${d.what}`],
    ),
  }
}

/** A new book with one empty chapter. */
export async function beginBook(title: string, author: string, kind: 'text' | 'pages' = 'text'): Promise<string> {
  const id = await freshBookId(title)
  const book = createBook(id, {
    title,
    contributors: author ? [{ name: author, role: 'aut' }] : [],
    language: 'en-GB',
    imprint: { name: '' },
    subjects: [],
  })
  const whole =
    kind === 'text'
      ? { ...book, sections: [...book.sections, newSection(book, 'chapter')], editions: plainEditions }
      : {
          ...book,
          plan: { runs: [] },
          editions: plainEditions.filter(e => e.kind !== 'ebook').map(e => ({ ...e, paper: 'white' })),
        }
  await putBook({ book: whole, pictures: new Map() })
  return id
}
