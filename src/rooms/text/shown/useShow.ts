import type { Editor } from '@tiptap/core'
import { useEffect, useState } from 'react'
import { blockPlaces, type LinePlace, lineRange } from './lineRange'

/** Chooses a place of the text and brings it into sight, when its section is in the editor. */
export function useShow(
  editor: Editor | undefined,
  section: string | undefined,
): (section: string, place: LinePlace) => void {
  const [going, setGoing] = useState<{ section: string; place: LinePlace }>()
  useEffect(() => {
    if (!going || !editor || section !== going.section) return
    const shown = requestAnimationFrame(() => {
      const range = editor.isDestroyed ? undefined : lineRange(blockPlaces(editor.state.doc), going.place)
      if (!range) return
      editor.commands.setTextSelection(range)
      const { node } = editor.view.domAtPos(range.from)
      const element = node instanceof HTMLElement ? node : node.parentElement
      element?.scrollIntoView({ block: 'center' })
      setGoing(undefined)
    })
    return () => cancelAnimationFrame(shown)
  }, [going, editor, section])
  return (to, place) => setGoing({ section: to, place })
}
