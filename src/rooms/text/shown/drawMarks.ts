import type { Editor } from '@tiptap/core'
import { blockPlaces, type LinePlace, lineRange } from './lineRange'

/** So many places of a section are marked. */
const MOST = 2000

/** Kinds of marks: what was found, what is doubted, what others changed, and of each the one that is looked at. */
export type ShownMark = 'found' | 'found-now' | 'doubted' | 'doubted-now' | 'changed' | 'changed-now'

/** Draws a kind of mark over places of the text, where a browser can; the document is not touched. Without an editor they go. */
export function drawMarks(kind: ShownMark, editor: Editor | undefined, at: readonly LinePlace[]): void {
  if (typeof Highlight === 'undefined') return
  const places = editor && blockPlaces(editor.state.doc)
  const ranges = at.slice(0, MOST).flatMap(place => {
    const is = places && lineRange(places, place)
    if (!is) return []
    const [from, to] = [editor.view.domAtPos(is.from), editor.view.domAtPos(is.to)]
    const range = document.createRange()
    range.setStart(from.node, from.offset)
    range.setEnd(to.node, to.offset)
    return [range]
  })
  if (ranges.length) CSS.highlights.set(kind, new Highlight(...ranges))
  else CSS.highlights.delete(kind)
}
