import type { Editor } from '@tiptap/core'
import type { Node } from '@tiptap/pm/model'
import { type BlockJson, docWords } from '@/core/book'

// A key changes one block: the others are the very same nodes, and are not counted again.
const counts = new WeakMap<Node, number>()

/** Words of what stands in an editor. */
export function countOf(editor: Pick<Editor, 'state'>): number {
  let words = 0
  editor.state.doc.forEach(block => {
    let n = counts.get(block)
    if (n === undefined) counts.set(block, (n = docWords({ type: 'doc', content: [block.toJSON() as BlockJson] })))
    words += n
  })
  return words
}
