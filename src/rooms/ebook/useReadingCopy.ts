'use client'
import type { OpenBook } from '@/parts/openBook'
import { type Early, earlyOf } from '@/parts/useEarly'
import { usePress } from '@/parts/usePress'
import type { ReadingCopy } from '@/workers/answers/reading'

/** The ebook as it is read, and why there is none that is newer. */
export function useReadingCopy(
  bookId: string,
  { edition, outletId, version }: OpenBook,
  { newest, seen }: Early<ReadingCopy>,
): { copy: ReadingCopy | undefined; trouble: string | undefined } {
  const editionId = edition?.id
  const { answer, trouble } = usePress(
    async press => {
      if (!editionId || !version) return undefined
      // With the figures the copy of the same state is there already, but for a room that was just entered.
      return earlyOf(newest.current, editionId, outletId) ?? press.readingCopy(bookId, editionId, outletId)
    },
    [bookId, editionId, outletId, version, newest],
  )
  return { copy: earlyOf(seen, editionId, outletId) ?? answer, trouble }
}
