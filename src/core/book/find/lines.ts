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
  /** What it stands in, where that is no running text. */
  within?: 'list' | 'table' | 'verse'
  /** Where in it words of another language begin and end, UTF-16 units. */
  foreign?: readonly (readonly [from: number, to: number])[]
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

interface At {
  block: string
  row: number
  within?: NonNullable<Line['within']>
}

const inside: Partial<Record<Walked['type'], NonNullable<Line['within']>>> = {
  list: 'list',
  table: 'table',
  verse: 'verse',
}

/** Passages of inline content that are in a language of their own. */
function foreignIn(content: readonly InlineJson[]): [number, number][] {
  const passages: [number, number][] = []
  let at = 0
  for (const n of content) {
    const from = at
    at += n.type === 'text' ? n.text.length : 1
    if (n.marks?.some(m => m.type === 'language')) passages.push([from, at])
  }
  return passages
}

function walk(node: Walked, at: At, lines: Line[]): void {
  const content = 'content' in node ? (node.content as Walked[] | undefined) : undefined
  if (!content?.length) return
  const here = inside[node.type]
  const around = here ? { ...at, within: here } : at
  const own = 'attrs' in node && node.attrs && 'id' in node.attrs ? { ...around, block: node.attrs.id, row: 0 } : around
  switch (node.type) {
    case 'paragraph':
    case 'heading':
    case 'line':
    case 'image':
    case 'footnote': {
      const foreign = foreignIn(content as InlineJson[])
      lines.push({
        kind: kinds[node.type] ?? 'text',
        ...own,
        text: lineOf(content as InlineJson[]),
        ...(foreign.length ? { foreign } : {}),
      })
      for (const n of content) if (n.type === 'footnote') walk(n, own, lines)
      return
    }
    default:
      content.forEach((n, row) => walk(n, n.type === 'line' ? { ...own, row } : own, lines))
  }
}
