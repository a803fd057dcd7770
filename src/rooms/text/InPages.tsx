'use client'
import type { Editor } from '@tiptap/core'
import { useRouter } from 'next/navigation'
import { useEffect, useState } from 'react'
import { press } from '@/workers/client'
import { placeAtCursor } from './places'

/** How long the cursor must rest before it is looked up. */
const REST = 250

/** The printed page on which the cursor's word stands, and the way there. */
export function InPages({
  bookId,
  editionId,
  editor,
  section,
  turn,
  version,
  onLeave,
}: {
  bookId: string
  editionId: string
  editor: Editor
  section: string
  /** Grows with each turn of the editor. */ turn: number
  /** Of the pages. */ version: number
  onLeave: () => Promise<void>
}) {
  const [label, setLabel] = useState<string>()
  const router = useRouter()
  useEffect(() => {
    let gone = false
    const timer = setTimeout(() => {
      const place = editor.isDestroyed ? undefined : placeAtCursor(editor)
      if (!place) return setLabel(undefined)
      press()
        .wordInPages(bookId, editionId, { section, ...place })
        .then(
          found => !gone && setLabel(found?.label),
          // Pages that cannot be set are said in the sill; here no page is named.
          () => !gone && setLabel(undefined),
        )
    }, REST)
    return () => {
      gone = true
      clearTimeout(timer)
    }
  }, [bookId, editionId, editor, section, turn, version])
  const go = (): void => {
    const place = placeAtCursor(editor)
    if (place)
      void onLeave().then(() =>
        router.push(
          `/book/${encodeURIComponent(bookId)}/interior?section=${encodeURIComponent(section)}&block=${encodeURIComponent(place.block)}&chars=${place.chars}`,
        ),
      )
  }
  return label === undefined ? null : (
    <p className="inpages">
      The cursor stands on{' '}
      <button type="button" onClick={go}>
        page {label}
      </button>
    </p>
  )
}
