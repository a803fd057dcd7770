'use client'
import { useCallback, useEffect, useMemo, useSyncExternalStore } from 'react'
import { freshen } from '@/data/books'
import { journalWaits, STANDS_BY } from '@/data/journalWaits'
import type { Hold } from '@/data/writer'
import { openAtPress } from '@/workers/client'
import { allOutlets } from '@/data/outlets'
import { useLatest } from '../useLatest'
import { type OpenBook, OpenedBook, type Wanted } from './OpenedBook'
import { sourcesOf } from './sources'

// Every book that was open in this window.
const opened = new Map<string, OpenedBook>()

function openedBook(bookId: string): OpenedBook {
  const known = opened.get(bookId)
  if (known) return known
  const fresh = new OpenedBook(sourcesOf(bookId))
  // The server draws for everybody, and keeps nothing.
  if (typeof window !== 'undefined') opened.set(bookId, fresh)
  return fresh
}

/** Which edition and outlet the author looks at, while the program is open. */
export const chooseEdition = (bookId: string, edition: string, outlet?: string): void =>
  openedBook(bookId).choose(edition, outlet)

/** Gives the press the very newest state of a book, for work that must not miss what was stated a moment ago. */
export async function bringUpToDate(bookId: string): Promise<void> {
  const at = openedBook(bookId)
  const held = await freshen(bookId, at.held())
  if (!held) return
  at.take(held)
  await openAtPress(held.book, await allOutlets())
}

const nothing = async (): Promise<void> => undefined

/** Opens a book at the press and keeps what follows from it up to date, as long as the room is shown. */
export function useOpenBook(bookId: string, { leaves = false, look = 'any', first = nothing }: Wanted = {}): OpenBook {
  const at = useMemo(() => openedBook(bookId), [bookId])
  const early = useLatest(first)
  useEffect(() => at.attend({ leaves, look, first: early }), [at, leaves, look, early])
  const now = useCallback(() => at.now(look), [at, look])
  const view = useSyncExternalStore(at.on, now, now)
  usePlayback(bookId, view.hold)
  return view
}

/** The window that wrote before may have died with words in its journal: who writes now plays them. What cannot be played stays there. */
function usePlayback(bookId: string, hold: Hold): void {
  useEffect(() => {
    if (hold !== 'writing') return
    const play = (): void => void import('@/data/playback').then(p => p.playBack()).catch(() => undefined)
    const timer = setTimeout(play, journalWaits() ? 0 : STANDS_BY)
    return () => clearTimeout(timer)
  }, [bookId, hold])
}
