import type { Node } from '@tiptap/pm/model'

/** A place in a line of a document: its block, of verse which of its lines, and UTF-16 units there. */
export interface LinePlace {
  block: string
  row: number
  from: number
  to: number
}

interface Placed {
  node: Node
  pos: number
}

/** Where blocks stand in a document, by their ids. */
export function blockPlaces(doc: Node): ReadonlyMap<string, Placed> {
  const places = new Map<string, Placed>()
  doc.descendants((node, pos) => {
    const { id } = node.attrs as { id?: string }
    if (id) places.set(id, { node, pos })
  })
  return places
}

/** Where a place of a line stands in the editor's document; undefined where its block is not there, or says something else by now. */
export function lineRange(
  places: ReadonlyMap<string, Placed>,
  { block, row, from, to }: LinePlace,
): { from: number; to: number } | undefined {
  const at = places.get(block)
  const inline = at && inlineOf(at, row)
  if (!inline) return undefined
  const [begin, end] = [posIn(inline, from), posIn(inline, to)]
  return begin === undefined || end === undefined ? undefined : { from: begin, to: end }
}

/** Of verse one of its lines; else the block itself. */
function inlineOf({ node, pos }: Placed, row: number): Placed | undefined {
  if (node.type.name !== 'verse') return { node, pos }
  if (row >= node.childCount) return undefined
  let at = pos + 1
  for (let i = 0; i < row; i++) at += node.child(i).nodeSize
  return { node: node.child(row), pos: at }
}

/** The position of an offset in a line's text, in which whatever is no text is one letter. */
function posIn({ node, pos }: Placed, offset: number): number | undefined {
  let left = offset
  let at = pos + 1
  for (let i = 0; i < node.childCount; i++) {
    const child = node.child(i)
    const size = child.isText ? child.text!.length : 1
    if (left < size || (left === size && i === node.childCount - 1))
      return at + (child.isText ? left : left && child.nodeSize)
    left -= size
    at += child.nodeSize
  }
  return left === 0 ? at : undefined
}
