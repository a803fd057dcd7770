'use client'
import { useLiveQuery } from 'dexie-react-hooks'
import { useMemo } from 'react'
import { aboutAuthor, alsoBy, type Book, type PenName, roles, type Section, type StandingMatter } from '@/core/book'
import { listBooks } from '@/data/bookList'
import { changeEverywhere, keepSection, keptMatter, letOff, place, takeKept } from '@/data/matter'
import { keptPenNames } from '@/data/penNames'
import { spreadInWords } from '@/parts/spreadInWords'
import { useLatest } from '@/parts/useLatest'
import { useSay } from '@/parts/useSay'

/** What is kept for all books, the author's other books among it, and what a book does with it; what could not be written is said. */
export interface MatterActs {
  kept: readonly StandingMatter[]
  /** A section is kept, and follows what is kept. */
  keep: (s: Section) => void
  place: (kept: StandingMatter) => void
  /** What a section says is what is kept from here on, in every book. */
  everywhere: (s: Section) => void
  /** A section says again what is kept. */
  take: (s: Section, kept: StandingMatter) => void
  letOff: (s: Section) => void
}

const none: readonly StandingMatter[] = []
const noNames: readonly PenName[] = []

export function useMatter(
  book: Pick<Book, 'id' | 'data'>,
  flush: () => Promise<void>,
  onChoose: (section: string | undefined) => void,
): MatterActs {
  const { id: bookId, data } = book
  const stored = useLiveQuery(keptMatter) ?? none
  const books = useLiveQuery(listBooks)
  const names = useLiveQuery(keptPenNames) ?? noNames
  const kept = useMemo(() => {
    const derived = [books && alsoBy({ id: bookId, data }, books), aboutAuthor({ data }, names)]
    return [...derived.filter(m => m !== undefined), ...stored]
  }, [stored, books, names, bookId, data])
  const say = useSay()
  const act = useLatest((work: () => Promise<unknown>): void => void flush().then(work).catch(say.failed))
  const everywhere = useLatest((s: Section): void =>
    act(async () => {
      const done = await changeEverywhere(bookId, s.id)
      // What did not get there is to be read.
      if (done.left.length) say.warn(spreadInWords(done))
      else say.done(spreadInWords(done))
    }),
  )
  // What was placed is what one wants to see.
  const placed = useLatest((m: StandingMatter): void => act(async () => onChoose(await place(bookId, m))))
  return useMemo(
    () => ({
      kept,
      keep: s => act(() => keepSection(bookId, s.id, s.title || roles[s.role].name)),
      place: placed,
      everywhere,
      take: (s, m) => act(() => takeKept(bookId, s.id, m)),
      letOff: s => act(() => letOff(bookId, s.id)),
    }),
    [kept, bookId, act, everywhere, placed],
  )
}
