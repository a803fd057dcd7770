'use client'
import type { ReactNode } from 'react'
import { useKeys } from '@/parts/useKeys'
import type { PanelOn } from '../panel'
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
}: PanelOn): ReactNode {
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
