'use client'
import type { Editor } from '@tiptap/core'
import { useRouter } from 'next/navigation'
import { usePress } from '@/parts/usePress'
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
  const router = useRouter()
  // Pages that cannot be set are said in the sill; here no page is named.
  const { answer: label } = usePress(
    async press => {
      const place = editor.isDestroyed ? undefined : placeAtCursor(editor)
      return place && (await press.wordInPages(bookId, editionId, { section, ...place }).catch(() => undefined))?.label
    },
    [bookId, editionId, editor, section],
    { anew: [turn, version], after: REST },
  )
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
