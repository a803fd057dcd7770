'use client'
import type { Editor } from '@tiptap/core'
import { type ReactNode, useState } from 'react'
import type { Book } from '@/core/book'
import { useKeys } from '@/parts/useKeys'
import type { SectionActs } from '../useSectionActs'
import { FindPanel } from './FindPanel'
import { useFind } from './useFind'
import { useShownHits } from './useShownHits'

/** The search of the text: asked for by a key or a word, it stands in the place of the list of sections until it is closed. */
export function useFinding({
  book,
  section,
  editor,
  turn,
  readOnly,
  acts,
  onChoose,
}: {
  book: Book
  section: string | undefined
  editor: Editor | undefined
  /** Grows with every change of the editor's text. */
  turn: number
  readOnly: boolean
  acts: SectionActs
  onChoose: (section: string) => void
}): { panel: ReactNode; open: () => void } {
  const [open, setOpen] = useState(false)
  const find = useFind(book, section, acts)
  const show = useShownHits(editor, section, { find: open ? find : undefined, turn })
  useKeys(e => {
    if ((e.ctrlKey || e.metaKey) && !e.altKey && e.key.toLowerCase() === 'f') {
      e.preventDefault()
      setOpen(true)
      document.querySelector<HTMLInputElement>('.finding input')?.select()
    } else if (e.key === 'Escape' && e.target instanceof HTMLElement && e.target.closest('.finding')) setOpen(false)
  }, true)
  const panel = open && (
    <FindPanel
      book={book}
      find={find}
      readOnly={readOnly}
      onShow={(to, hit) => {
        if (to !== section) onChoose(to)
        show(to, hit)
      }}
      onClose={() => setOpen(false)}
    />
  )
  return { panel: panel || undefined, open: () => setOpen(true) }
}
