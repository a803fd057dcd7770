'use client'
import { useLiveQuery } from 'dexie-react-hooks'
import { useEffect, useRef, useState } from 'react'
import type { Book, Edition } from '@/core/book'
import { styleValue } from '@/core/pages'
import { getBook } from '@/data/books'
import { commit, steps } from '@/data/changes'
import { press } from '@/workers/client'
import type { Figures, Leaves } from '@/workers/press.worker'

/** What the interior room shows: the edition's leaves and figures, as of `version`; `was` are the figures before the last change. */
export interface InteriorView {
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

export function useInterior(bookId: string): InteriorView {
  // undefined while the store is asked, null where there is no such book.
  const stored = useLiveQuery(async () => (await getBook(bookId)) ?? null, [bookId])
  const history = useLiveQuery(() => steps(bookId), [bookId])
  const [shown, setShown] = useState<{ leaves: Leaves; figures: Figures; was?: Figures; version: number }>()
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
      const [leaves, figures] = [await press().leaves(bookId, edition.id), await press().figures(bookId, edition.id)]
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
  }, [stored, bookId])

  return { book: stored?.book, edition, ...shown, version: shown?.version ?? 0, settling, trouble, missing: stored === null, undo: history?.undo, redo: history?.redo }
}

/** Changes one value of the edition's style; back at the shipped style's own value, the departure is dropped. */
export function changeStyle(bookId: string, editionId: string, path: string, value: number | boolean | string, shipped: number | boolean | string, words: string): Promise<void> {
  const v = styleValue(path)
  const shownValue = v.kind === 'number' ? String(value) : (v.choices.find(c => c.value === value)?.words ?? String(value))
  return commit(bookId, `${words} ${shownValue}`, record => ({
    editions: record.editions.map(e => {
      if (e.id !== editionId) return e
      const { [path]: _old, ...rest } = e.styleChanges ?? {}
      const changes = value === shipped ? rest : { ...rest, [path]: value }
      const { styleChanges: _gone, ...plain } = e
      return Object.keys(changes).length ? { ...plain, styleChanges: changes } : plain
    }),
  }))
}
