import type { Node } from '@tiptap/pm/model'

/** A paragraph as a voice says it, and where its letters stand. */
export interface Spoken {
  text: string
  /** The position in the document of each UTF-16 unit of the text. */
  at: number[]
}

/** What is read aloud of a document from a position on, a paragraph at a time; notes are passed over, and what is no text. */
export function spokenFrom(doc: Node, from: number, to = doc.content.size): Spoken[] {
  const out: Spoken[] = []
  doc.descendants((block, pos) => {
    if (!block.isTextblock || block.type.name === 'footnote') return block.type.name !== 'footnote'
    if (pos + block.nodeSize <= from || pos >= to) return false
    let text = ''
    const at: number[] = []
    block.forEach((n, offset) => {
      const start = pos + 1 + offset
      const say = n.isText ? n.text! : n.type.name === 'hard_break' ? ' ' : ''
      for (let i = 0; i < say.length; i++)
        if (start + i >= from && start + i < to) {
          text += say[i]
          at.push(start + i)
        }
    })
    if (/[\p{L}\p{N}]/u.test(text)) out.push({ text, at })
    return false
  })
  return out
}

/** The word that begins at, or goes on over, a letter of what is said: its place in the document. */
export function wordAt({ text, at }: Spoken, index: number, length?: number): { from: number; to: number } | undefined {
  const from = at[index]
  if (from === undefined) return undefined
  const end = index + (length || (/^[\p{L}\p{M}\p{N}'’-]*/u.exec(text.slice(index))?.[0].length ?? 1) || 1)
  return { from, to: at[Math.min(end, at.length) - 1]! + 1 }
}
