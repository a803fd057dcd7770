'use client'
import { useLiveQuery } from 'dexie-react-hooks'
import { useEffect, useRef, useState } from 'react'
import type { Book, Edition } from '@/core/book'
import { getBook } from '@/data/books'
import { steps } from '@/data/changes'
import { press } from '@/workers/client'
import type { Figures, Leaves } from '@/workers/press.worker'

/** A book as rooms show it: its print edition's figures (and leaves, if asked for) as of `version`; `was` are the figures before the last change. */
export interface OpenBook {
  book?: Book
  edition?: Edition
  leaves?: Leaves
  figures?: Figures
  was?: Figures
  version: number
  /** The press is at work on a newer state. */
  settling: boolean
  trouble?: string
  missing: boolean
  undo?: string
  redo?: string
}

/** Opens a book at the press and keeps what follows from it up to date. */
export function useOpenBook(bookId: string, withLeaves = false): OpenBook {
  // undefined while the store is asked, null where there is no such book.
  const stored = useLiveQuery(async () => (await getBook(bookId)) ?? null, [bookId])
  const history = useLiveQuery(() => steps(bookId), [bookId])
  const [shown, setShown] = useState<{ leaves?: Leaves; figures: Figures; was?: Figures; version: number }>()
  const [settling, setSettling] = useState(true)
  const [trouble, setTrouble] = useState<string>()
  const latest = useRef(0)
  const edition = stored?.book.editions.find(e => e.kind !== 'ebook')

  useEffect(() => {
    if (!stored || !edition) return
    const turn = ++latest.current
    const late = setTimeout(() => setSettling(true), 120)
    const work = async (): Promise<void> => {
      await press().open(stored)
      const [leaves, figures] = [withLeaves ? await press().leaves(bookId, edition.id) : undefined, await press().figures(bookId, edition.id)]
      // A newer state is on its way: this answer is not shown.
      if (turn !== latest.current) return
      setShown(s => ({ leaves, figures, was: s?.figures, version: turn }))
      setTrouble(undefined)
    }
    work().catch((e: Error) => turn === latest.current && setTrouble(e.message)).finally(() => {
      clearTimeout(late)
      if (turn === latest.current) setSettling(false)
    })
    return () => clearTimeout(late)
  }, [stored, bookId, withLeaves])

  return { book: stored?.book, edition, ...shown, version: shown?.version ?? 0, settling, trouble, missing: stored === null, undo: history?.undo, redo: history?.redo }
}
