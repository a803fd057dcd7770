'use client'
import { useEffect, useMemo, useState } from 'react'
import type { Book, Return, Round } from '@/core/book'
import { against, type Review, type ReviewDifference, reviewOf, taken } from '@/core/review'
import { changeReturn, returnOf } from '@/data/rounds'
import { useLatest } from '@/parts/useLatest'
import { useSay } from '@/parts/useSay'
import type { SectionActs } from '../useSectionActs'

/** A return that is looked through: what of it is not in the book, the one that is looked at, and what becomes of them. */
export interface Looking {
  round: Round
  entry: Return
  /** Undefined while it is read. */
  differences: readonly ReviewDifference[] | undefined
  now: ReviewDifference | undefined
  at: number
  trouble: string | undefined
  step: (to: number) => void
  take: (what: readonly ReviewDifference[]) => void
  refuse: (what: readonly ReviewDifference[]) => void
  /** What was refused is asked again. */
  askAgain: () => void
  /** It was looked through, or is to be looked at once more. */
  putAway: (done: boolean) => void
}

/** The return of a name in a book, with its round. */
export function findReturn(book: Book, id: string | undefined): { round: Round; entry: Return } | undefined {
  for (const round of book.rounds ?? []) {
    const entry = round.returns.find(r => r.id === id)
    if (entry) return { round, entry }
  }
  return undefined
}

export function useReturn(book: Book, id: string | undefined, acts: SectionActs): Looking | undefined {
  const found = findReturn(book, id)
  const { review, trouble } = useReview(found)
  const [at, setAt] = useState(0)
  const say = useSay()
  const returns = found?.round.returns
  const left = useMemo(() => returns && new Set(returns.flatMap(r => r.left)), [returns])
  const differences = useMemo(
    // What was refused of an earlier return of the same round is refused.
    () => review && left && against(review, book, left).differences,
    [review, book, left],
  )
  const refuse = useLatest((what: readonly ReviewDifference[]): void => {
    const keys = what.flatMap(d => [d.key, ...(d.key.includes('+') ? d.key.split('+') : [])])
    void changeReturn(book.id, `Refuse ${counted(what)}`, id!, r => ({
      ...r,
      left: [...new Set([...r.left, ...keys])],
    })).catch(say.failed)
  })
  const take = useLatest((what: readonly ReviewDifference[]): void => {
    if (review)
      void acts.operate(`Take ${counted(what)}`, now => taken(review, now, new Set(what.map(d => d.key)), left))
  })
  const change = useLatest(
    (label: string, make: (r: Return) => Return): void =>
      void changeReturn(book.id, label, id!, make).catch(say.failed),
  )
  if (!found) return undefined
  const stands = Math.max(0, Math.min(at, (differences?.length ?? 1) - 1))
  return {
    ...{ ...found, differences, trouble, at: stands, now: differences?.[stands] },
    ...{ step: setAt, take, refuse },
    askAgain: () => change('Ask again what was refused', r => ({ ...r, left: [] })),
    putAway: done =>
      change(done ? 'Put a return away' : 'Look at a return again', ({ done: _was, ...r }) => ({
        ...r,
        ...(done && { done }),
      })),
  }
}

const counted = (what: readonly ReviewDifference[]): string =>
  what.length === 1 ? 'a change' : `${what.length.toLocaleString('en')} changes`

/** What went out and what came back, once they are read; or why they cannot be. */
function useReview(found: { round: Round; entry: Return } | undefined): {
  review: Review | undefined
  trouble: string | undefined
} {
  const [read, setRead] = useState<{ id: string; review?: Review; trouble?: string }>()
  const id = found?.entry.id
  const latest = useLatest(() => found!)
  useEffect(() => {
    if (id === undefined) return
    let stands = true
    const { round, entry } = latest()
    returnOf(round, entry).then(
      of => stands && setRead({ id, review: reviewOf(of) }),
      (e: Error) => stands && setRead({ id, trouble: e.message }),
    )
    return () => {
      stands = false
    }
  }, [id, latest])
  return { review: read?.id === id ? read?.review : undefined, trouble: read?.id === id ? read?.trouble : undefined }
}
