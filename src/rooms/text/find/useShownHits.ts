'use client'
import type { Editor } from '@tiptap/core'
import { useEffect, useState } from 'react'
import type { Hit } from '@/core/book'
import { blockPlaces, hitRange } from './hitRange'
import type { Find } from './useFind'

/** Marks in the open section what was found there, and shows the place that is looked at when its section is in the editor. */
export function useShownHits(
  editor: Editor | undefined,
  section: string | undefined,
  { find, turn }: { find: Find | undefined; turn: number },
): (section: string, hit: Hit) => void {
  const [going, setGoing] = useState<{ section: string; hit: Hit }>()
  const here = find?.found.find(f => f.section.id === section)?.hits
  const now = find && find.found.flatMap(f => f.hits)[find.at]
  useEffect(() => {
    if (!editor || editor.isDestroyed || !here) return
    mark('found', editor, here)
    mark('found-now', editor, now && here.includes(now) ? [now] : [])
    return () => {
      mark('found', undefined, [])
      mark('found-now', undefined, [])
    }
  }, [editor, here, now, turn])
  useEffect(() => {
    if (!going || !editor || section !== going.section) return
    const shown = requestAnimationFrame(() => {
      const range = editor.isDestroyed ? undefined : hitRange(blockPlaces(editor.state.doc), going.hit)
      if (!range) return
      editor.commands.setTextSelection(range)
      const { node } = editor.view.domAtPos(range.from)
      const element = node instanceof HTMLElement ? node : node.parentElement
      element?.scrollIntoView({ block: 'center' })
      setGoing(undefined)
    })
    return () => cancelAnimationFrame(shown)
  }, [going, editor, section])
  return (to, hit) => setGoing({ section: to, hit })
}

/** So many places of a section are marked. */
const MOST = 2000

/** Draws a kind of mark over places of the text, where a browser can; the document is not touched. */
function mark(kind: string, editor: Editor | undefined, hits: readonly Hit[]): void {
  if (typeof Highlight === 'undefined') return
  const places = editor && blockPlaces(editor.state.doc)
  const ranges = hits.slice(0, MOST).flatMap(hit => {
    const at = places && hitRange(places, hit)
    if (!at) return []
    const [from, to] = [editor.view.domAtPos(at.from), editor.view.domAtPos(at.to)]
    const range = document.createRange()
    range.setStart(from.node, from.offset)
    range.setEnd(to.node, to.offset)
    return [range]
  })
  if (ranges.length) CSS.highlights.set(kind, new Highlight(...ranges))
  else CSS.highlights.delete(kind)
}
