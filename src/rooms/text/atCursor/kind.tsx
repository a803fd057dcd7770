import type { Editor } from '@tiptap/core'
import type { EditorState } from '@tiptap/pm/state'
import type { ReactNode } from 'react'
import type { Book } from '@/core/book'
import type { Known } from '../galley/known'

/** Where a sentence about the thing at the cursor is said. */
export interface Saying {
  book: Book
  /** The section, and the version of its pages. */
  known: Pick<Known, 'section' | 'version' | 'count'>
  editor: Editor
  readOnly: boolean
}

/** What such a sentence is told. */
export interface AtCursorProps<T> extends Saying {
  found: T
}

/** A kind of thing that is said and changed in a sentence while the cursor is at it. */
export interface AtCursorKind {
  name: string
  /** Its sentence, where the cursor is at such a thing. */
  say: (saying: Saying) => ReactNode
}

/** A kind by how it is found at the selection and how it is said. A further one is a file in this folder, and an entry of the list in AtCursor. */
export const kindOf = <T,>(
  name: string,
  find: (state: EditorState) => T | undefined,
  Sentence: (props: AtCursorProps<T>) => ReactNode,
): AtCursorKind => ({
  name,
  say: saying => {
    const found = find(saying.editor.state)
    return found && <Sentence {...saying} found={found} />
  },
})

/** Of the values that a sentence offers, the one that is nearest to what stands in the text. */
export const nearest = (offered: readonly (readonly [number, string])[], to: number): number =>
  offered.reduce((best, o) => (Math.abs(o[0] - to) < Math.abs(best[0] - to) ? o : best))[0]

/** Sets attributes of the node at a position, in one step of the editor; the cursor stays. */
export function setAttributes(editor: Editor, pos: number, attributes: Record<string, unknown>): void {
  // Who follows another window looks, and changes nothing.
  if (!editor.isEditable) return
  const { tr } = editor.state
  for (const [name, value] of Object.entries(attributes)) tr.setNodeAttribute(pos, name, value)
  editor.view.dispatch(tr)
}
