'use client'
import type { Editor } from '@tiptap/core'
import { memo, type RefObject, useEffect, useLayoutEffect, useRef, useState } from 'react'
import { useLatest } from '@/parts/useLatest'
import { openNotes } from '../foldedNotes'
import { placeAtCursor } from '../places'
import type { Known } from './known'
import { type MarginItem, marginItems } from './marginItems'

import { stacked } from './stacked'
import { type TurnAt, useTurns } from './useTurns'

/** Pixels between things of the inner margin. */
const APART = 6

/** Pixels that no line is as low as. */
const FOLDED = 4

/** A page's turn as it is drawn: pixels from the top left of the text. */
interface Turn {
  label: string
  page: number
  block: string
  chars: number
  top: number
  left: number
  height: number
  finding?: string
  here: boolean
}

interface Drawn {
  turns: Turn[]
  items: (MarginItem & { top: number })[]
}

/**
 * The margins of the galley: at the outer one a hairline and a folio where each printed page turns, at the inner one what concerns a
 * line. They are measured in the frame after a change and drawn where something moved; the text itself is not touched.
 */
export const Margins = memo(function Margins({
  editor,
  known,
  onPage,
}: {
  editor: Editor
  known: Known
  onPage: (place: { block: string; chars: number }) => void
}) {
  const root = useRef<HTMLDivElement>(null)
  const [drawn, setDrawn] = useState<Drawn>({ turns: [], items: [] })
  const frame = useRef(0)
  const remeasure = useLatest((): void => {
    cancelAnimationFrame(frame.current)
    frame.current = requestAnimationFrame(() => measure())
  })
  const turns = useTurns(known, editor, remeasure)
  const measure = useLatest((): void => {
    if (editor.isDestroyed || !root.current) return
    const next = measured(editor, root.current, turns, known)
    setDrawn(d => (sameDrawn(d, next) ? d : next))
  })
  useEffect(() => {
    const watch = new ResizeObserver(remeasure)
    // An editor that has just been made stands in the page a moment later.
    const mounted = (): void => {
      watch.observe(editor.view.dom)
      remeasure()
    }
    if (editor.isDestroyed) editor.on('mount', mounted)
    else mounted()
    editor.on('transaction', remeasure)
    return () => {
      editor.off('mount', mounted)
      editor.off('transaction', remeasure)
      watch.disconnect()
      cancelAnimationFrame(frame.current)
    }
  }, [editor, remeasure])
  useEffect(remeasure, [known, remeasure])
  const go = useLatest((pos: number): void => void editor.chain().focus().setTextSelection(pos).scrollIntoView().run())
  // The page on which the cursor stands is opened at its word.
  const toPage = useLatest((t: Turn): void => onPage((t.here && placeAtCursor(editor)) || t))
  return (
    <div className="margins" ref={root}>
      <Outer turns={drawn.turns} onPage={toPage} />
      <Inner items={drawn.items} onGo={go} onDoubt={known.onDoubt} />
    </div>
  )
})

const Outer = memo(function Outer({ turns, onPage }: { turns: readonly Turn[]; onPage: (turn: Turn) => void }) {
  return (
    <>
      {turns.map(t => (
        <div key={t.label} className={t.here ? 'turn here' : 'turn'} style={{ top: t.top }}>
          <i style={{ left: t.left, height: t.height }} />
          <button
            type="button"
            tabIndex={t.here ? 0 : -1}
            aria-label={`Page ${t.label}${t.here ? ', where the cursor stands' : ''}: see it as printed`}
            title={t.finding}
            onClick={() => onPage(t)}
          >
            {t.label}
            {t.finding && <b aria-label={t.finding}>‸</b>}
          </button>
        </div>
      ))}
    </>
  )
})

const Inner = memo(function Inner({
  items,
  onGo,
  onDoubt,
}: {
  items: Drawn['items']
  onGo: (pos: number) => void
  onDoubt: (key: string) => void
}) {
  const root = useRef<HTMLUListElement>(null)
  // Their heights are known once they stand; then each makes room for the one below.
  useLayoutEffect(() => {
    const all = [...(root.current?.children ?? [])] as HTMLElement[]
    const tops = stacked(
      items.map(({ top }, i) => ({ wants: top, height: all[i]!.offsetHeight })),
      APART,
    )
    all.forEach((e, i) => (e.style.transform = `translateY(${tops[i]!}px)`))
  }, [items])
  return (
    <ul ref={root} aria-label="Notes and doubts beside the text">
      {items.map(i => (
        <li key={i.key} className={i.kind}>
          <button
            type="button"
            tabIndex={-1}
            onClick={() => {
              const placed = i.kind === 'doubted' || i.kind === 'changed'
              onGo(placed ? i.pos : i.pos + 1)
              if (placed) onDoubt(i.key)
            }}
          >
            {i.sign && <sup>{i.sign}</sup>}
            {i.words}
          </button>
        </li>
      ))}
    </ul>
  )
})

function measured(editor: Editor, root: HTMLElement, turns: RefObject<readonly TurnAt[]>, known: Known): Drawn {
  const { view, state } = editor
  const from = root.getBoundingClientRect()
  const size = state.doc.content.size
  const at = (pos: number): { top: number; left: number; height: number } => {
    const c = view.coordsAtPos(Math.max(0, Math.min(pos, size)))
    return {
      top: Math.round(c.top - from.top),
      left: Math.round(c.left - from.left),
      height: Math.round(c.bottom - c.top),
    }
  }
  // A folded note has its place on the line, and no height.
  const topOfNote = (pos: number): number => {
    const { top, height } = at(pos + 1)
    return top - (height < FOLDED ? at(state.doc.resolve(pos).start()).height * 0.75 : 0)
  }
  const cursor = state.selection.from
  const open = openNotes(state)
  const here = turns.current.findLast(t => t.pos <= cursor) ?? turns.current[0]
  return {
    turns: turns.current.map(t => {
      const finding = known.pages.get(t.label)
      const { label, page, block, chars } = t
      const opening = !t.block || (t === turns.current[0] && !t.chars)
      return {
        ...{ label, page, block, chars },
        // A section's first page begins over its title.
        ...(opening ? { top: 0, left: 0, height: 0 } : at(t.pos)),
        ...(finding ? { finding } : {}),
        here: t === here,
      }
    }),
    items: marginItems(state.doc, known).map(i => ({
      ...i,
      // The words of an open note stand in the line.
      ...(open.has(i.pos) && { words: '' }),
      top: i.kind === 'note' ? topOfNote(i.pos) : at(i.pos).top,
    })),
  }
}

const sameDrawn = (a: Drawn, b: Drawn): boolean => same(a.turns, b.turns) && same(a.items, b.items)

const same = <T extends object>(a: readonly T[], b: readonly T[]): boolean =>
  a.length === b.length &&
  a.every((x, i) => (Object.keys({ ...x, ...b[i]! }) as (keyof T)[]).every(k => x[k] === b[i]![k]))
