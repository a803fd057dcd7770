'use client'
import { useCallback } from 'react'
import { commit } from '@/data/changes'
import type { BookRecord } from '@/data/records'
import { useSay } from './useSay'

/** A change of a book's record as rooms make it: its label, the change, whether it may join the one before. Resolves whether it stands. */
export type Commit = (
  label: string,
  change: (record: BookRecord) => Partial<BookRecord>,
  merge?: boolean,
) => Promise<boolean>

/** Changes of one book; what could not be written is said. */
export function useCommit(bookId: string): Commit {
  const say = useSay()
  return useCallback(
    (label, change, merge = false) =>
      commit(bookId, label, change, merge).then(
        () => true,
        e => {
          say.failed(e)
          return false
        },
      ),
    [bookId, say],
  )
}
