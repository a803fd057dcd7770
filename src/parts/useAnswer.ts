'use client'
import { type DependencyList, useEffect, useState } from 'react'
import { Cancelled } from '@/core/trade'

/** What was answered to the newest question that has an answer. */
export interface Answer<T> {
  answer?: T
  /** Why the newest question could not be answered, in a sentence; the answer is that of the one before. */
  trouble?: string
}

/** What a question that takes its time may ask and say on its way. */
export interface Turn<T> {
  /** Whether anybody still waits for it. */
  wanted(): boolean
  /** Shows as much of the answer as there is. */
  sofar(answer: T): void
}

/** When a question is asked. */
export interface When {
  /** What it does not read and what its answer follows from all the same: the state of the book at the press, above all. */
  anew?: DependencyList
  /** It waits so long for a newer one, milliseconds. */
  after?: number
}

/**
 * Asks, and anew whenever one of `deps` changes (the linter holds them against the question). Until there is an answer the last one
 * stands; one that comes too late is dropped. A question that wants to know nothing resolves to undefined. What the author stopped is no
 * trouble.
 */
export function useAnswer<T>(
  question: (turn: Turn<T>) => Promise<T | undefined>,
  deps: DependencyList,
  { anew = [], after = 0 }: When = {},
): Answer<T> {
  const [shown, setShown] = useState<Answer<T>>({})
  useEffect(() => {
    let wanted = true
    const show = (answer: T | undefined): void => {
      if (wanted) setShown(s => (Object.is(s.answer, answer) && !s.trouble ? s : { answer }))
    }
    const ask = (): void =>
      void question({ wanted: () => wanted, sofar: show }).then(
        show,
        (e: Error) => wanted && !(e instanceof Cancelled) && setShown(s => ({ ...s, trouble: e.message })),
      )
    const timer = after ? setTimeout(ask, after) : undefined
    if (!after) ask()
    return () => {
      wanted = false
      clearTimeout(timer)
    }
    // What the question reads is checked where it is asked.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [...deps, ...anew])
  return shown
}
