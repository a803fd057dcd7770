'use client'
import type { ReactNode } from 'react'
import { docWords } from '@/core/book'
import type { PanelOn } from '../panel'
import { CompareView } from './CompareView'
import { useVersions } from './useVersions'
import { VersionsPanel } from './VersionsPanel'
import './versions.css'

/** The kept versions of the text: their list stands in the place of the list of sections, what differs in the place of the text. */
export function useVersioning({
  book,
  section,
  readOnly,
  acts,
  flush,
  open,
  onOpen,
}: Omit<PanelOn, 'editor' | 'turn' | 'onChoose'> & { flush: () => Promise<void> }): {
  panel: ReactNode
  view: ReactNode
} {
  const versions = useVersions(book, open)
  if (!open) return { panel: undefined, view: undefined }
  const words = book.sections.reduce((n, s) => n + (s.made ? 0 : docWords(s.doc)), 0)
  return {
    panel: (
      <VersionsPanel
        book={book}
        versions={versions}
        words={words}
        readOnly={readOnly}
        flush={flush}
        onClose={() => onOpen(false)}
      />
    ),
    view: versions.chosen && <CompareView versions={versions} section={section} readOnly={readOnly} acts={acts} />,
  }
}
