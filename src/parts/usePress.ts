'use client'
import type { DependencyList } from 'react'
import { press, type PressClient } from '@/workers/client'
import { type Answer, type Turn, useAnswer, type When } from './useAnswer'

/** Asks the press; see `useAnswer`. */
export function usePress<T>(
  question: (press: PressClient, turn: Turn<T>) => Promise<T | undefined>,
  deps: DependencyList,
  when?: When,
): Answer<T> {
  // What the question reads is checked where it is asked.
  // eslint-disable-next-line react-hooks/exhaustive-deps
  return useAnswer<T>(turn => question(press(), turn), deps, when)
}
