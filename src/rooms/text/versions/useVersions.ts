'use client'
import { useLiveQuery } from 'dexie-react-hooks'
import { useEffect, useMemo, useRef, useState } from 'react'
import type { Book } from '@/core/book'
import { type Difference, differenceOf, type SectionChanges, sectionsBetween } from '@/core/compare'
import { notePages, versionBook, versionSpace, versionsOf } from '@/data/versions'
import type { VersionRecord } from '@/data/records'
import { press } from '@/workers/client'

/** A state of the book: one that was kept, or the one that is written. */
export type Moment = number | 'now'

/** The kept versions of a book, and what differs between two of its states. */
export interface Versions {
  /** The newest first; undefined while they are looked up. */
  kept: readonly VersionRecord[] | undefined
  /** Bytes that they take. */
  space: number | undefined
  /** The version that is looked at, and what it is compared with. */
  chosen: VersionRecord | undefined
  with: Moment
  choose: (id: number | undefined) => void
  compareWith: (moment: Moment) => void
  /** The chosen state and the other, once they are read: the older one first. */
  states: { was: Book; is: Book } | undefined
  changes: readonly SectionChanges[]
  difference: Difference | undefined
  trouble: string | undefined
}

export function useVersions(book: Book, on: boolean): Versions {
  const [chosenId, choose] = useState<number>()
  const [other, compareWith] = useState<Moment>('now')
  const kept = useLiveQuery(() => (on ? versionsOf(book.id).then(all => all.reverse()) : undefined), [book.id, on])
  const space = useLiveQuery(() => (on ? versionSpace(book.id) : undefined), [book.id, on, kept?.length])
  const chosen = kept?.find(v => v.id === chosenId)
  const second = other === 'now' ? undefined : kept?.find(v => v.id === other)
  const [first, firstTrouble] = useBookOf(chosen)
  const [beside, besideTrouble] = useBookOf(second)
  usePagesCounted(kept)
  const states = useMemo(() => {
    const is = other === 'now' ? book : beside
    if (!first || !is || !chosen) return undefined
    return second && second.at < chosen.at ? { was: is, is: first } : { was: first, is }
  }, [book, other, beside, first, chosen, second])
  const changes = useMemo(() => (states ? sectionsBetween(states.was, states.is) : []), [states])
  const difference = useMemo(() => (states ? differenceOf(changes) : undefined), [states, changes])
  return {
    kept,
    space,
    chosen,
    with: second ? other : 'now',
    choose,
    compareWith,
    states,
    changes,
    difference,
    trouble: firstTrouble ?? besideTrouble,
  }
}

/** The book of a version, once it is read; or why it cannot be. */
function useBookOf(version: VersionRecord | undefined): [book: Book | undefined, trouble: string | undefined] {
  const [read, setRead] = useState<{ id: number; book?: Book; trouble?: string }>()
  const id = version?.id
  const latest = useRef(version)
  latest.current = version
  useEffect(() => {
    if (id === undefined) return
    let stands = true
    versionBook(latest.current!).then(
      book => stands && setRead({ id, book }),
      (e: Error) => stands && setRead({ id, trouble: e.message }),
    )
    return () => {
      stands = false
    }
  }, [id])
  return read && read.id === id ? [read.book, read.trouble] : [undefined, undefined]
}

/** Has the pages of versions counted that do not say them yet, the newest first, one after another. */
function usePagesCounted(kept: readonly VersionRecord[] | undefined): void {
  const tried = useRef(new Set<number>())
  const next = kept?.find(v => v.pages === undefined && !tried.current.has(v.id!))
  useEffect(() => {
    if (!next) return
    tried.current.add(next.id!)
    // One that cannot be opened says so when it is looked at.
    void versionBook(next)
      .then(was => press().pagesOf(was))
      .then(pages => pages !== undefined && notePages(next.id!, pages))
      .catch(() => undefined)
  }, [next])
}
