import type { Editor } from '@tiptap/core'
import { useEffect } from 'react'

/** Where the written line stands, as a part of the paper's height. */
const MIDDLE = 0.42
/** Pixels that are no move. */
const STILL = 3

/** Keeps the line that is written at the middle of the paper, as on a typewriter: the paper moves, the line stays. */
export function useMiddleLine(editor: Editor | undefined, on: boolean): void {
  useEffect(() => {
    if (!editor || !on) return
    let frame = 0
    const settle = (): void => {
      cancelAnimationFrame(frame)
      frame = requestAnimationFrame(() => {
        if (editor.isDestroyed || !editor.view.hasFocus() || !editor.state.selection.empty) return
        const paper = editor.view.dom.closest('.paper')
        if (!paper) return
        const { top, height } = paper.getBoundingClientRect()
        const by = editor.view.coordsAtPos(editor.state.selection.head).top - (top + height * MIDDLE)
        if (Math.abs(by) > STILL) paper.scrollTop += by
      })
    }
    editor.on('transaction', settle)
    return () => {
      editor.off('transaction', settle)
      cancelAnimationFrame(frame)
    }
  }, [editor, on])
}
