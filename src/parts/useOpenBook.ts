'use client'
import { useLiveQuery } from 'dexie-react-hooks'
import { useEffect, useRef, useState, useSyncExternalStore } from 'react'
import type { Book, Edition } from '@/core/book'
import { Cancelled, Fault, type OutletProfile } from '@/core/trade'
import { freshen, type HeldBook } from '@/data/books'
import { steps } from '@/data/changes'
import type { Hold } from '@/data/writer'
import { openAtPress, press, pressDied } from '@/workers/client'
import type { Figures, Leaves } from '@/core/chain'
import { allOutlets } from '@/data/outlets'
import { useHold } from './useHold'
import { useOutlets } from './useOutlets'
import { journalWaits, STANDS_BY } from '@/data/journalWaits'

/** A book as rooms show it: its chosen edition's figures (and leaves, if asked for) as of `version`; `was` are the figures before the last change. */
export interface OpenBook {
  book?: Book
  /** The outlets that there are: all of them where there is a book. */
  outlets: readonly OutletProfile[]
  /** Revision of each section's record. */
  revs?: Map<string, number>
  edition?: Edition
  /** The outlet whose figures are shown. */
  outletId?: string
  leaves?: Leaves
  figures?: Figures
  was?: Figures
  version: number
  /** The press is at work on a newer state. */
  settling: boolean
  trouble?: string
  /** The author stopped the press before it was done; `again` lets it go on. */
  stopped: boolean
  again: () => void
  missing: boolean
  undo?: string
  redo?: string
  /** Whether this window writes the book or follows another. */
  hold: Hold
}

// The newest state of each book that was open: a room that follows at once begins with it.
const heldBooks = new Map<string, HeldBook>()
const lastShown = new Map<string, { leaves?: Leaves; figures: Figures }>()

// Which edition and outlet the author looks at, for each book, while the program is open.
const choices = new Map<string, { edition?: string; outlet?: string }>()
const choiceListeners = new Set<() => void>()
export function chooseEdition(bookId: string, edition: string, outlet?: string): void {
  choices.set(bookId, { edition, outlet })
  choiceListeners.forEach(l => l())
}
const onChoice = (l: () => void): (() => void) => {
  choiceListeners.add(l)
  return () => choiceListeners.delete(l)
}

/** Gives the press the very newest state of a book, for work that must not miss what was stated a moment ago. */
export async function bringUpToDate(bookId: string): Promise<void> {
  const held = await freshen(bookId, heldBooks.get(bookId))
  if (!held) return
  heldBooks.set(bookId, held)
  await openAtPress(held.book, await allOutlets())
}

/** Opens a book at the press and keeps what follows from it up to date. `kind`: rooms of pages and covers look at print editions only. `first` is done before the whole book is set anew. */
export function useOpenBook(
  bookId: string,
  withLeaves = false,
  kind: 'any' | 'print' = 'any',
  first?: (editionId: string) => Promise<void>,
): OpenBook {
  // undefined while the store is asked, null where there is no such book.
  const stored = useLiveQuery(async () => {
    const held = await freshen(bookId, heldBooks.get(bookId))
    if (held) heldBooks.set(bookId, held)
    return held?.book ?? null
  }, [bookId])
  const outlets = useOutlets()
  const book = outlets && (stored ?? heldBooks.get(bookId)?.book)
  const history = useLiveQuery(() => steps(bookId), [bookId])
  const choice = useSyncExternalStore(
    onChoice,
    () => choices.get(bookId),
    () => undefined,
  )
  const state = useHold(bookId)
  const editions = book?.editions.filter(e => kind === 'any' || e.kind !== 'ebook')
  const edition =
    editions?.find(e => e.id === choice?.edition) ?? editions?.find(e => e.kind !== 'ebook') ?? editions?.[0]
  const outletId =
    choice?.outlet && edition && choice.edition === edition.id && edition.outlets.includes(choice.outlet)
      ? choice.outlet
      : edition?.outlets[0]
  const [editionId, printed] = [edition?.id, edition?.kind !== 'ebook']
  const key = `${bookId}/${editionId}/${outletId}`
  const [shown, setShown] = useState<{
    key: string
    leaves?: Leaves
    figures: Figures
    was?: Figures
    version: number
  }>()
  const [settling, setSettling] = useState(true)
  const [trouble, setTrouble] = useState<string>()
  const [stopped, setStopped] = useState(false)
  const [round, setRound] = useState(0)
  const latest = useRef(0)
  const restarted = useRef(false)
  const early = useRef(first)
  early.current = first

  useEffect(() => {
    // The press starts while the book is still being read from the store.
    press()
  }, [])

  useEffect(() => {
    // The window that wrote before may have died with words in its journal. What cannot be played stays there.
    if (state !== 'writing') return
    const play = (): void => void import('@/data/playback').then(p => p.playBack()).catch(() => undefined)
    const timer = setTimeout(play, journalWaits() ? 0 : STANDS_BY)
    return () => clearTimeout(timer)
  }, [bookId, state])

  useEffect(() => {
    if (!stored || !outlets || !editionId) return
    const turn = ++latest.current
    setStopped(false)
    const late = setTimeout(() => setSettling(true), 120)
    const work = async (): Promise<void> => {
      const start = performance.now()
      await openAtPress(stored, outlets)
      await early.current?.(editionId)
      const leaves = withLeaves && printed ? await press().leaves(bookId, editionId) : undefined
      performance.measure('porchlight pages', { start })
      const figures = await press().figures(bookId, editionId, outletId)
      // For the bench, and for whoever looks into the browser's own timeline.
      performance.measure('porchlight press', { start })
      // A newer state is on its way: this answer is not shown.
      if (turn !== latest.current) return
      const before = lastShown.get(key)
      lastShown.set(key, { leaves: leaves ?? before?.leaves, figures })
      setShown(s => ({ key, leaves, figures, was: s?.key === key ? s.figures : before?.figures, version: turn }))
      setTrouble(undefined)
      restarted.current = false
    }
    work()
      .catch((e: Error) => {
        if (turn !== latest.current) return
        if (e instanceof Cancelled) setStopped(true)
        // Once it is started anew by itself; what breaks it again is the book's own trouble, and said.
        else if (e instanceof Fault && e.code === pressDied && !restarted.current) {
          restarted.current = true
          setRound(r => r + 1)
        } else
          setTrouble(
            e instanceof Fault && e.code === pressDied
              ? `${e.message} It broke down again at this book: ${e.place ? 'take that picture out, or save it again with the program that made it and bring it in anew' : 'a setting of it may be the cause'}. Other books are not touched.`
              : e.message,
          )
      })
      .finally(() => {
        clearTimeout(late)
        if (turn === latest.current) setSettling(false)
      })
    return () => clearTimeout(late)
  }, [stored, outlets, bookId, withLeaves, editionId, printed, outletId, key, round])

  const own = shown?.key === key ? shown : undefined
  return {
    book,
    outlets: outlets ?? [],
    revs: heldBooks.get(bookId)?.revs,
    edition,
    outletId,
    leaves: own?.leaves,
    figures: own?.figures ?? lastShown.get(key)?.figures,
    was: own?.was,
    version: own?.version ?? 0,
    settling,
    trouble,
    stopped,
    again: () => setRound(r => r + 1),
    missing: stored === null,
    undo: history?.undo,
    redo: history?.redo,
    hold: state,
  }
}
