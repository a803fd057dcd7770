import type { BlockJson, DocJson, InlineJson, ItemJson, LineJson, ListJson, QuoteJson, VerseJson } from '@/core/book'

/** What holds others: a quotation, a letter, verse, a list, an item of one. `key` tells it from all others of its document. */
export interface Holder {
  key: string
  type: 'quote' | 'letter' | 'verse' | 'list' | 'item'
  attrs?: Record<string, unknown>
}

/** What stands on lines of its own and holds no such thing: a paragraph, a heading, a line of verse, a picture, a break; a table as a whole. */
export type LeafNode = Exclude<BlockJson, QuoteJson | VerseJson | ListJson> | LineJson

export interface Leaf {
  /** What holds it, the outermost first. */
  in: readonly Holder[]
  node: LeafNode
}

type HolderNode = QuoteJson | VerseJson | ListJson | ItemJson
const holders = new Set<string>(['quote', 'letter', 'verse', 'list', 'item'])

/** A document as its leaves, in order. */
export function leavesOf(doc: DocJson): Leaf[] {
  const out: Leaf[] = []
  let n = 0
  const walk = (node: BlockJson | LineJson | ItemJson, within: readonly Holder[]): void => {
    if (!holders.has(node.type)) {
      out.push({ in: within, node: node as LeafNode })
      return
    }
    const { type, content } = node as HolderNode
    const attrs = 'attrs' in node ? (node.attrs as Record<string, unknown>) : undefined
    const key = typeof attrs?.id === 'string' && attrs.id ? attrs.id : `${type} ${++n}`
    const holder: Holder = { key, type, ...(attrs && { attrs }) }
    for (const inner of content) walk(inner, [...within, holder])
  }
  for (const b of doc.content) walk(b, [])
  return out
}

interface Open {
  key: string
  node: { type: string; attrs?: Record<string, unknown>; content: unknown[] }
}

/** The document that leaves are of. Neighbours that the same thing holds stand in it together. */
export function docOfLeaves(leaves: readonly Leaf[]): DocJson {
  const content: BlockJson[] = []
  let open: Open[] = []
  for (const leaf of leaves) {
    let shared = 0
    while (shared < open.length && shared < leaf.in.length && open[shared]!.key === leaf.in[shared]!.key) shared++
    open = open.slice(0, shared)
    for (const { key, type, attrs } of leaf.in.slice(shared)) {
      const node = { type, ...(attrs && { attrs }), content: [] }
      place(open, content).push(node)
      open.push({ key, node })
    }
    place(open, content).push(leaf.node)
  }
  return { type: 'doc', content }
}

const place = (open: readonly Open[], top: BlockJson[]): unknown[] => open.at(-1)?.node.content ?? top

/** The words of a leaf; a table has its own. */
export const wordsOfLeaf = ({ node }: Leaf): InlineJson[] =>
  node.type === 'table' || !('content' in node) ? [] : ((node.content as InlineJson[] | undefined) ?? [])
