'use client'
import { useEffect, useSyncExternalStore } from 'react'
import { type Hold, hold, holdOf, onHold } from '@/data/writer'

/** Asks for the right to write a book while the part is shown; says whether this window has it. Without a book nothing is asked. */
export function useHold(bookId: string | undefined): Hold {
  useEffect(() => (bookId === undefined ? undefined : hold(bookId)), [bookId])
  return useSyncExternalStore(
    onHold,
    () => (bookId === undefined ? 'asking' : holdOf(bookId)),
    () => 'asking' as Hold,
  )
}
