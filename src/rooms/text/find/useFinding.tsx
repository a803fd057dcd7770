'use client'
import type { Editor } from '@tiptap/core'
import type { ReactNode } from 'react'
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
  open,
  onOpen,
}: {
  book: Book
  section: string | undefined
  editor: Editor | undefined
  /** Grows with every change of the editor's text. */
  turn: number
  readOnly: boolean
  acts: SectionActs
  onChoose: (section: string) => void
  /** Whether it is shown; and hears when that is to be otherwise. */
  open: boolean
  onOpen: (open: boolean) => void
}): ReactNode {
  const find = useFind(book, section, acts)
  const show = useShownHits(editor, section, { find: open ? find : undefined, turn })
  useKeys(e => {
    if ((e.ctrlKey || e.metaKey) && !e.altKey && e.key.toLowerCase() === 'f') {
      e.preventDefault()
      onOpen(true)
      document.querySelector<HTMLInputElement>('.finding input')?.select()
    } else if (e.key === 'Escape' && e.target instanceof HTMLElement && e.target.closest('.finding')) onOpen(false)
  }, true)
  return open ? (
    <FindPanel
      book={book}
      find={find}
      readOnly={readOnly}
      onShow={(to, hit) => {
        if (to !== section) onChoose(to)
        show(to, hit)
      }}
      onClose={() => onOpen(false)}
    />
  ) : undefined
}
