import type { Editor } from '@tiptap/core'
import { docWords, type Section } from '@/core/book'

// Counting costs a look at the whole section: the last answer is kept for the same document.
const counts = new WeakMap<object, number>()

/** Words of what stands in an editor. */
export function countOf(editor: Editor): number {
  const { doc } = editor.state
  let n = counts.get(doc)
  if (n === undefined) counts.set(doc, (n = docWords(doc.toJSON() as Section['doc'])))
  return n
}
