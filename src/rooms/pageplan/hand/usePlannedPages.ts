'use client'
import { usePress } from '@/parts/usePress'
import type { PlannedPage } from '@/workers/answers/hands'

/** The planned pages of an open spread with their pieces, as they stand now. */
export function usePlannedPages(
  bookId: string,
  editionId: string,
  { left, version }: { left: number; version: number },
): PlannedPage[] {
  const { answer } = usePress(
    press => press.plannedPages(bookId, editionId, [left, left + 1]),
    [bookId, editionId, left],
    { anew: [version] },
  )
  return answer ?? NONE
}

const NONE: PlannedPage[] = []
