'use client'
import { type ReactNode, useEffect, useMemo, useRef, useState } from 'react'
import { type Doubt, placeKey } from '@/core/proof'
import { usePreferences } from '@/parts/preferences'
import { useKeys } from '@/parts/useKeys'
import { useLatest } from '@/parts/useLatest'
import type { PlacedDoubt } from '../galley/marginItems'
import { drawMarks } from '../shown/drawMarks'
import { useShow } from '../shown/useShow'
import type { PanelOn } from '../panel'
import { ProofPanel } from './ProofPanel'
import { useMeant } from './useMeant'
import { type Proofing, useProof } from './useProof'

/** The proof-reading of the text: its list stands in the place of the list of sections until it is closed, its doubts in the margin. */
export function useProofing({
  book,
  section,
  editor,
  readOnly,
  acts,
  onChoose,
  open,
  onOpen,
  quiet,
}: Omit<PanelOn, 'turn'> & { /** Its keys are another list’s now. */ quiet: boolean }): {
  panel: ReactNode
  doubts: readonly PlacedDoubt[]
  onDoubt: (key: string) => void
  on: boolean
} {
  const [scope, setScope] = useState<'book' | 'section'>('book')
  const { margin } = usePreferences().proof
  const on = open || margin === 'always'
  const read = useProof(book, open && scope === 'section' ? section : undefined, { on, acts })
  const show = useShow(editor, section)
  const { doubts, now, at } = read
  const here = useMemo(() => (on ? doubts.filter(d => d.section === section) : []), [on, doubts, section])
  useEffect(() => {
    if (!editor || editor.isDestroyed) return
    drawMarks('doubted', editor, here)
    drawMarks('doubted-now', editor, open && now && here.includes(now) ? [now] : [])
    return () => {
      drawMarks('doubted', undefined, [])
      drawMarks('doubted-now', undefined, [])
    }
  }, [editor, here, now, open])
  const lookUp = useLatest(read.meant)
  const meant = useMeant(on ? now : undefined, here, lookUp, read.dictionary?.own?.dic)
  const firstOf = (d: Doubt): string | undefined => d.remedies[0] ?? meant.get(d.was)?.[0]
  useEffect(() => {
    // The browser's own underlines would stand under ours.
    if (editor && !editor.isDestroyed) editor.view.dom.spellcheck = !on
  }, [editor, on])
  const looked = useRef('')
  const look = useLatest((doubt: Doubt): void => {
    looked.current = keyOf(doubt)
    if (doubt.section !== section) onChoose(doubt.section)
    show(doubt.section, doubt)
  })
  const proof = useFollowed(read, look)
  const step = useLatest((by: number): void => {
    // The first of all is looked at before the next one.
    if (now && looked.current !== keyOf(now)) return look(now)
    const to = doubts[(((at + by) % doubts.length) + doubts.length) % doubts.length]
    if (!to) return
    proof.step(at + by)
    look(to)
  })
  useProofKeys(on && !quiet, {
    KeyP: () => onOpen(!open),
    KeyN: () => step(1),
    KeyB: () => step(-1),
    KeyM: () => {
      const words = now && firstOf(now)
      if (words !== undefined && !readOnly) void proof.mend(now!, words)
    },
    KeyL: () => now && !readOnly && proof.leave(now, 'here'),
  })
  const placed = useMemo(
    () =>
      here.map((d): PlacedDoubt => {
        const { block, row, from, to, was } = d
        const remedy = d.remedies[0] ?? meant.get(d.was)?.[0]
        const told = remedy !== undefined && lettersOf(remedy) !== lettersOf(was)
        return {
          kind: 'doubted',
          block,
          row,
          from,
          to,
          was,
          key: keyOf(d),
          words: told ? `${d.says}: ${remedy}?` : d.says,
        }
      }),
    [here, meant],
  )
  const onDoubt = useLatest((key: string): void => {
    onOpen(true)
    proof.step(doubts.findIndex(d => d.section === section && keyOf(d) === key))
  })
  const panel = open && (
    <ProofPanel
      book={book}
      proof={proof}
      meant={meant}
      scope={scope}
      readOnly={readOnly}
      onScope={setScope}
      onShow={look}
      onStep={step}
      onClose={() => onOpen(false)}
    />
  )
  return { panel: panel || undefined, doubts: placed, onDoubt, on }
}

/** The reading, in which the next doubt is looked at when one was mended or left. */
function useFollowed(read: Proofing, look: (doubt: Doubt) => void): Proofing {
  const follows = useRef(false)
  const { now } = read
  useEffect(() => {
    if (!follows.current || !now) return
    follows.current = false
    look(now)
  }, [now, look])
  const followed =
    <A extends unknown[], R>(act: (...args: A) => R) =>
    (...args: A): R => {
      follows.current = true
      return act(...args)
    }
  return { ...read, mend: followed(read.mend), leave: followed(read.leave) }
}

/** A remedy that moves spaces and signs alone is not worth its words. */
const lettersOf = (words: string): string => words.replace(/[^\p{L}\p{N}]/gu, '')

/** Tells doubts of a section apart, the same word twice in a block as well. */
const keyOf = (d: Doubt): string => `${placeKey(d)} ${d.row} ${d.from}`

/** Keys with Alt, wherever the focus is; all but the one that opens the list while doubts are shown. */
function useProofKeys(on: boolean, acts: Record<string, () => unknown>): void {
  useKeys(e => {
    if (!e.altKey || e.ctrlKey || e.metaKey || e.shiftKey) return
    const act = on || e.code === 'KeyP' ? acts[e.code] : undefined
    if (!act) return
    e.preventDefault()
    act()
  }, true)
}
