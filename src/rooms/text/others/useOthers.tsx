'use client'
import dayjs from 'dayjs'
import { type ReactNode, useEffect, useMemo, useState } from 'react'
import type { ReviewDifference } from '@/core/review'
import { useKeys } from '@/parts/useKeys'
import { useLatest } from '@/parts/useLatest'
import type { PlacedDoubt } from '../galley/marginItems'
import type { PanelOn } from '../panel'
import { drawMarks } from '../shown/drawMarks'
import { useShow } from '../shown/useShow'
import { OthersPanel } from './OthersPanel'
import { ReaderPanel } from './ReaderPanel'
import { useReturn } from './useReturn'
import { useTakeIn } from './useTakeIn'
import './others.css'

/** Changes of others, told from what proof-reading doubts. */
const CHANGE = 'change '

/** Others at work on the text: their list stands in the place of the list of sections, their changes in the text and its margin. */
export function useOthers({
  book,
  section,
  editor,
  readOnly,
  acts,
  onChoose,
  open,
  onOpen,
  picked,
  flush,
}: Omit<PanelOn, 'turn'> & { picked: readonly string[]; flush: () => Promise<void> }): {
  panel: ReactNode
  changes: readonly PlacedDoubt[]
  /** One of them was chosen in the margin; whether it was one. */
  onChange: (key: string) => boolean
} {
  const [looked, look] = useState<string>()
  const looking = useReturn(book, open ? looked : undefined, acts)
  const taking = useTakeIn(book, flush, look)
  const show = useShow(editor, section)
  const { differences, now, at = 0 } = looking ?? {}
  const here = useMemo(
    () => (differences ?? []).flatMap(d => (d.section === section ? [{ d, place: placeOf(d) }] : [])),
    [differences, section],
  )
  useEffect(() => {
    if (!editor || editor.isDestroyed) return
    drawMarks(
      'changed',
      editor,
      here.map(h => h.place),
    )
    drawMarks(
      'changed-now',
      editor,
      here.filter(h => h.d === now).map(h => h.place),
    )
    return () => {
      drawMarks('changed', undefined, [])
      drawMarks('changed-now', undefined, [])
    }
  }, [editor, here, now])
  const onShow = useLatest((d: ReviewDifference): void => {
    if (!d.section) return
    if (d.section !== section) onChoose(d.section)
    show(d.section, placeOf(d))
  })
  const step = useLatest((by: number): void => {
    const all = differences ?? []
    const to = (((at + by) % all.length) + all.length) % all.length
    if (!all[to]) return
    looking!.step(to)
    onShow(all[to])
  })
  const act = (does: 'take' | 'refuse') => (): void => {
    if (now && !readOnly) looking![does]([now])
  }
  useReviewKeys(open && !!looking, {
    KeyN: () => step(1),
    KeyB: () => step(-1),
    KeyM: act('take'),
    KeyL: act('refuse'),
  })
  const changes = useMemo(
    () =>
      here.map(({ d, place }): PlacedDoubt => ({
        ...place,
        kind: 'changed',
        key: CHANGE + d.key,
        was: undefined,
        words: inMargin(d),
      })),
    [here],
  )
  const onChange = useLatest((key: string): boolean => {
    const to = key.startsWith(CHANGE) ? (differences ?? []).findIndex(d => CHANGE + d.key === key) : -1
    if (to >= 0) looking!.step(to)
    return to >= 0
  })
  const close = (): void => onOpen(false)
  const panel =
    open &&
    (book.review ? (
      <ReaderPanel book={book} readOnly={readOnly} flush={flush} onClose={close} />
    ) : (
      <OthersPanel
        {...{ book, picked, looking, taking, readOnly, flush }}
        onLook={look}
        onShow={onShow}
        onStep={step}
        onClose={close}
      />
    ))
  return { panel: panel || undefined, changes, onChange }
}

/** Where a change stands; one that is no words of a line at the head of its block. */
const placeOf = ({ block = '', place }: ReviewDifference) => place ?? { block, row: 0, from: 0, to: 0 }

const SHOWN = 60
const short = (t: string): string => (t.length > SHOWN ? `${t.slice(0, SHOWN).trimEnd()} …` : t)

/** A change in the margin: who and when, and what. */
function inMargin({ by, when, kind, parts, about, clash }: ReviewDifference): string {
  const [gone, came] = (['gone', 'new'] as const).map(is =>
    parts
      .flatMap(p => (p.is === is ? [p.text.trim()] : []))
      .filter(Boolean)
      .join(' … '),
  )
  const does: Record<ReviewDifference['kind'], string> = {
    words:
      gone && came
        ? `“${short(came)}” for “${short(gone)}”`
        : came
          ? `“${short(came)}” here`
          : `without “${short(gone!)}”`,
    set: about ? `${about}: ${came}, not ${gone}` : 'set otherwise',
    came: `new: “${short(came!)}”`,
    went: 'takes this out',
    moved: about ?? 'moved',
    title: `the title “${short(came!)}”`,
    record: about ?? '',
  }
  return `${by}${when ? `, ${dayjs(when).format('D MMM')}` : ''}: ${does[kind]}${clash ? ', which you changed, too' : ''}`
}

/** Keys with Alt while a return is looked through, as in proof-reading: the next, the one before, take, refuse. */
function useReviewKeys(on: boolean, acts: Record<string, () => void>): void {
  useKeys(e => {
    if (!on || !e.altKey || e.ctrlKey || e.metaKey || e.shiftKey) return
    const act = acts[e.code]
    if (!act) return
    e.preventDefault()
    act()
  }, true)
}
