'use client'
import type { Editor } from '@tiptap/core'
import type { Transaction } from '@tiptap/pm/state'
import { type RefObject, useEffect, useRef, useState } from 'react'
import type { PageTurn } from '@/core/pages'
import { usePress } from '@/parts/usePress'
import { posOf } from '../places'
import type { Known } from './known'

/** A printed page of the section, with the position in the editor's document at which it begins. */
export interface TurnAt extends PageTurn {
  pos: number
}

/**
 * Where printed pages turn in what is being written. They are asked for with each new state of the pages (`version`); between
 * two answers they move with the words that they stand before.
 */
export function useTurns(
  { bookId, editionId, section, version, early }: Pick<Known, 'bookId' | 'editionId' | 'section' | 'version' | 'early'>,
  editor: Editor,
  changed: () => void,
): RefObject<readonly TurnAt[]> {
  const turns = useRef<readonly TurnAt[]>([])
  // Pages that cannot be set are said in the sill; here none turns.
  const { answer } = usePress(
    async press => (editionId ? press.turns(bookId, editionId, section).catch(() => []) : []),
    [bookId, editionId, section],
    { anew: [version] },
  )
  // Whichever was heard last is the newest: the press answers in the order in which it is asked.
  const [newest, setNewest] = useState<readonly PageTurn[]>()
  useEffect(() => setNewest(answer), [answer])
  useEffect(() => {
    if (early?.section === section && editionId) setNewest(early.turns)
  }, [early, section, editionId])
  useEffect(() => {
    if (!newest) return
    const { doc } = editor.state
    const blocks = new Map<string, number>()
    doc.descendants((n, pos) => void (typeof n.attrs.id === 'string' && n.attrs.id && blocks.set(n.attrs.id, pos)))
    turns.current = newest.flatMap(t => {
      const pos = t.block ? posOf(doc, t, blocks.get(t.block)) : 0
      return pos === undefined || (t.block && !blocks.has(t.block)) ? [] : [{ ...t, pos }]
    })
    changed()
  }, [newest, editor, changed])
  useEffect(() => {
    const moved = ({
      transaction: tr,
      appendedTransactions: more = [],
    }: {
      transaction: Transaction
      appendedTransactions?: Transaction[]
    }): void => {
      for (const t of [tr, ...more])
        if (t.docChanged) turns.current = turns.current.map(x => ({ ...x, pos: t.mapping.map(x.pos) }))
    }
    editor.on('transaction', moved)
    return () => void editor.off('transaction', moved)
  }, [editor])
  return turns
}
