'use client'
import { useCallback, useRef } from 'react'

/** The same function at every turn, which calls the newest of those it was given: what hangs on it is not drawn anew. For handlers only, never while drawing. */
export function useLatest<A extends unknown[], R>(handler: (...args: A) => R): (...args: A) => R {
  const newest = useRef(handler)
  newest.current = handler
  return useCallback((...args: A) => newest.current(...args), [])
}
