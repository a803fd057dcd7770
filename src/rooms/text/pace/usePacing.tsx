'use client'
import { useLiveQuery } from 'dexie-react-hooks'
import { type ReactNode, useState } from 'react'
import { tallyOf, tallyOfAll } from '@/data/pace'
import { dayHere } from '@/data/tallies'
import type { PanelOn } from '../panel'
import { PacePanel } from './PacePanel'
import { TallyView } from './TallyView'
import type { SittingTimer } from './useSittingTimer'
import './pace.css'

/** The pace of the book: how it stands in the place of the list of sections, the picture of its days in the place of the text where that is asked for. */
export function usePacing({
  book,
  words,
  readOnly,
  timer,
  open,
  onOpen,
}: Pick<PanelOn, 'book' | 'readOnly' | 'open' | 'onOpen'> & {
  /** Words of the book now. */
  words: number
  timer: SittingTimer
}): { panel: ReactNode; view: ReactNode } {
  const [pictured, setPictured] = useState(false)
  const days = useLiveQuery(() => (open ? tallyOf(book.id) : undefined), [book.id, open])
  const all = useLiveQuery(() => (open && pictured ? tallyOfAll() : undefined), [open, pictured])
  if (!open) return { panel: undefined, view: undefined }
  const today = dayHere()
  return {
    panel: (
      <PacePanel
        {...{ book, words, today, readOnly, timer, pictured }}
        days={days ?? []}
        onPicture={setPictured}
        onClose={() => onOpen(false)}
      />
    ),
    view: pictured ? <TallyView {...{ book, words, today }} days={days ?? []} all={all ?? []} /> : undefined,
  }
}
