'use client'
import { useCallback, useRef, useState } from 'react'
import { press } from '@/workers/client'

/** Which pages are looked at, and how they are painted: pixels a point, and the gain of fine lines. */
interface Looked {
  pages: number[]
  scale: number
  gain?: number | undefined
}

/** A change is seen on the pages that are looked at first; the rest of the book follows. */
export function useEarlyLook(bookId: string): {
  /** Done with a new state before the whole book is set in it. */
  first: (editionId: string) => Promise<void>
  /** Says what is looked at; nothing where no page is seen whole. */
  look: (looked: Looked | undefined) => void
  /** The pages as they were seen early, while `version` is shown still. */
  early: (version: number) => Map<number, ImageBitmap> | undefined
} {
  'use memo'
  const looked = useRef<Looked>(undefined)
  const shown = useRef(0)
  const [seen, setSeen] = useState<{ version: number; pages: Map<number, ImageBitmap> }>()
  const first = useCallback(
    async (editionId: string): Promise<void> => {
      if (!looked.current) return
      const start = performance.now()
      const { pages: of, ...painted } = looked.current
      // Where it fails the setting that follows fails, too, and says why.
      const pages = await press()
        .firstLook(bookId, editionId, of, painted)
        .catch(() => [])
      if (!pages.length) return
      setSeen({ version: shown.current, pages: new Map(pages.map(s => [s.page, s.bitmap])) })
      performance.measure('porchlight first look', { start })
    },
    [bookId],
  )
  const look = useCallback((next: Looked | undefined): void => {
    looked.current = next
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
