'use client'
import { useCallback, useRef, useState } from 'react'
import { press } from '@/workers/client'

/** A changed style is seen on the pages that are looked at first; the rest of the book follows. */
export function useEarlyLook(bookId: string): {
  /** Done with a new state before the whole book is set in it. */
  first: (editionId: string) => Promise<void>
  /** Says which pages are looked at, at how many pixels a point; 0 where they are seen in part. */
  look: (pages: number[], scale: number) => void
  /** The pages as they were seen early, while `version` is shown still. */
  early: (version: number) => Map<number, ImageBitmap> | undefined
} {
  const looked = useRef<{ pages: number[]; scale: number }>(undefined)
  const shown = useRef(0)
  const [seen, setSeen] = useState<{ version: number; pages: Map<number, ImageBitmap> }>()
  const first = useCallback(
    async (editionId: string): Promise<void> => {
      if (!looked.current) return
      const start = performance.now()
      // Where it fails the setting that follows fails, too, and says why.
      const pages = await press()
        .firstLook(bookId, editionId, looked.current.pages, looked.current.scale)
        .catch(() => [])
      if (!pages.length) return
      setSeen({ version: shown.current, pages: new Map(pages.map(s => [s.page, s.bitmap])) })
      performance.measure('porchlight first look', { start })
    },
    [bookId],
  )
  const look = useCallback((pages: number[], scale: number): void => {
    looked.current = scale ? { pages, scale } : undefined
  }, [])
  return {
    first,
    look,
    early: version => {
      shown.current = version
      return seen?.version === version ? seen.pages : undefined
    },
  }
}
