import type { Editor } from '@tiptap/core'
import type { Node } from '@tiptap/pm/model'
import { TextSelection } from '@tiptap/pm/state'
import { counts } from '@/core/pages'

/** A place in a section as pages know it: before the non-space character `chars` of a block. */
export interface BlockPlace {
  block: string
  chars: number
}

/** Calls `visit` with each piece of a block's text as pages set it: a note is its number there. `from` is the position in the document. */
function eachText(
  doc: Node,
  block: Node,
  at: number,
  visit: (text: string, from: number, isText: boolean) => boolean,
): void {
  let notes = 0
  doc.nodesBetween(0, at, n => void (n.type.name === 'footnote' && notes++))
  // A note's own text stands behind its number, which the editor does not show.
  if (block.type.name === 'footnote' && !visit(String(notes + 1), at, false)) return
  let go = true
  block.descendants((n, pos) => {
    if (!go) return false
    const from = at + 1 + pos
    if (n.isText) go = visit(n.text!, from, true)
    else if (n.type.name === 'footnote') {
      notes++
      go = visit(String(notes), from, false)
      return false
    }
    return go
  })
}

/** Where a place of a section stands in its document; undefined where its block is not there. */
export function posOf(doc: Node, { block, chars }: BlockPlace, at = blockPos(doc, block)): number | undefined {
  if (at === undefined) return undefined
  let left = chars
  let to = at + 1
  eachText(doc, doc.nodeAt(at)!, at, (text, from, isText) => {
    for (let i = 0; i < text.length; i++) {
      if (!counts(text[i]!) || /\s/.test(text[i]!)) continue
      if (left === 0) {
        to = isText ? from + i : from
        return false
      }
      left--
    }
    to = isText ? from + text.length : from + 1
    return true
  })
  return Math.min(to, doc.content.size)
}

function blockPos(doc: Node, block: string): number | undefined {
  let at: number | undefined
  doc.descendants((n, pos) => {
    if (at === undefined && n.attrs.id === block) at = pos
    return at === undefined
  })
  return at
}

/** Puts the cursor at a place and shows it; false where the block is not in this section. */
export function goToPlace(editor: Editor, at: BlockPlace): boolean {
  const { doc } = editor.state
  const to = posOf(doc, at)
  if (to === undefined) return false
  const tr = editor.state.tr
  const place = doc.resolve(to)
  editor.view.dispatch(
    tr
      .setSelection(place.parent.inlineContent ? TextSelection.create(doc, place.pos) : TextSelection.near(place))
      .setMeta('addToHistory', false),
  )
  const dom = editor.view.domAtPos(editor.state.selection.from).node
  const element = dom instanceof HTMLElement ? dom : dom.parentElement
  element?.scrollIntoView({ block: 'center' })
  editor.view.focus()
  return true
}

/** Where the cursor stands, as pages know it. Verse is one block there. */
export function placeAtCursor(editor: Editor): BlockPlace | undefined {
  const { $from } = editor.state.selection
  let depth = 0
  for (let d = 1; d <= $from.depth && !depth; d++) if ($from.node(d).type.name === 'verse') depth = d
  for (let d = $from.depth; d > 0 && !depth; d--) if ($from.node(d).attrs.id) depth = d
  // In a note that stands in verse, the note it is.
  for (let d = $from.depth; d > 0; d--) if ($from.node(d).type.name === 'footnote') depth = d
  const node = depth ? $from.node(depth) : $from.nodeAfter
  const at = depth ? $from.before(depth) : $from.pos
  const block = node?.attrs.id as string | undefined
  if (!node || !block) return undefined
  let chars = 0
  eachText($from.doc, node, at, (text, from, isText) => {
    if (from >= $from.pos && depth) return false
    const upTo = isText ? Math.min(text.length, $from.pos - from) : text.length
    for (let i = 0; i < upTo; i++) if (counts(text[i]!) && !/\s/.test(text[i]!)) chars++
    return true
  })
  return { block, chars }
}
