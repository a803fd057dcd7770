'use client'
import { useLiveQuery } from 'dexie-react-hooks'
import { sellingFormer } from '@/data/former'

/** What stands beside a book whose package at an outlet holds what was kept before. */
export const FORMER = 'on sale as it was before'

const none: ReadonlySet<string> = new Set()

/** The books of which something is on sale that says what was kept before. */
export function useFormer(books: readonly { id: string }[], former: readonly string[] = []): ReadonlySet<string> {
  const ids = books.map(b => b.id)
  return useLiveQuery(() => sellingFormer(ids, former), [ids.join(), former]) ?? none
}
