import type { BlockJson, DocJson, InlineJson, ItemJson, LineJson, RowJson, CellJson } from '../doc'
import { lineOf } from '../turned'

/** What a line of a document is part of. */
export type LineKind = 'text' | 'heading' | 'caption' | 'note'

/** A run of inline content that is searched by itself: a paragraph, a heading, a line of verse, a caption, a note. */
export interface Line {
  kind: LineKind
  /** Its block, a note's own; of verse the whole poem, and which of its lines it is. */
  block: string
  row: number
  text: string
}

type Walked = BlockJson | LineJson | ItemJson | RowJson | CellJson | InlineJson | DocJson

const kinds: Partial<Record<Walked['type'], LineKind>> = { heading: 'heading', image: 'caption', footnote: 'note' }

const known = new WeakMap<DocJson, Line[]>()

/** The lines of a document in the order of `eachInline`: notes behind what calls them. Remembered by the document's identity. */
export function linesOf(doc: DocJson): readonly Line[] {
  const there = known.get(doc)
  if (there) return there
  const lines: Line[] = []
  walk(doc, { block: '', row: 0 }, lines)
  known.set(doc, lines)
  return lines
}

function walk(node: Walked, at: { block: string; row: number }, lines: Line[]): void {
  const content = 'content' in node ? (node.content as Walked[] | undefined) : undefined
  if (!content?.length) return
  const own = 'attrs' in node && node.attrs && 'id' in node.attrs ? { block: node.attrs.id, row: 0 } : at
  switch (node.type) {
    case 'paragraph':
    case 'heading':
    case 'line':
    case 'image':
    case 'footnote':
      lines.push({ kind: kinds[node.type] ?? 'text', ...own, text: lineOf(content as InlineJson[]) })
      for (const n of content) if (n.type === 'footnote') walk(n, own, lines)
      return
    default:
      content.forEach((n, row) => walk(n, n.type === 'line' ? { ...own, row } : own, lines))
  }
}
