import type { HandPage, HandPiece } from '../../book'
import { type GroupMark, type Item, type Layer, layerBox, scaled } from '../../marks'
import { pieceName } from '../piece'

/** A drawn page as the author's hand left it: pieces moved, sized, left out, in another order. Words were minded when it was drawn. */
export function byHand(layer: Layer, hand: HandPage): Layer {
  const done = new Map(hand.pieces.map(p => [p.piece, p]))
  const changed = within(layer, '', done)
  return hand.order?.length ? inOrder(changed, hand.order) : changed
}

function within(layer: Layer, name: string, done: ReadonlyMap<string, HandPiece>): Layer {
  const items = layer.items.flatMap((item): Item[] => {
    if (item.kind !== 'group') return [item]
    const own = item.piece ? pieceName(name, item.piece.id) : name
    const hand = item.piece && done.get(own)
    if (hand?.hidden) return []
    const inner = { ...item, layers: item.layers.map(l => within(l, own, done)) }
    return [hand ? placed(inner, hand) : inner]
  })
  return layer.text ? { items, text: layer.text } : { items }
}

/** Moved, and larger or smaller about its left top. */
function placed(group: GroupMark, { x = 0, y = 0, size = 1 }: HandPiece): GroupMark {
  const [a, b, c, d, dx, dy] = group.transform ?? [1, 0, 0, 1, 0, 0]
  if (size === 1) return { ...group, transform: [a, b, c, d, dx + x, dy + y] }
  const [left, top] = layerBox({ items: [group] })
  // The group's own origin is moved with what it holds: what is inside is scaled about it.
  const at = { x: left + (dx - left) * size + x, y: top + (dy - top) * size + y }
  const { clip: _clip, ...plain } = group
  const [inner] = scaled({ items: [{ ...group, transform: [a, b, c, d, 0, 0] }] }, size).items as [GroupMark]
  return { ...plain, ...inner, transform: [a, b, c, d, at.x, at.y] }
}

/** Pieces that an order names come last, as it names them. */
function inOrder(layer: Layer, order: readonly string[]): Layer {
  const frame = layer.items.findIndex(i => i.kind === 'group' && !i.piece)
  // A page in a frame has its pieces within it.
  const inner = frame >= 0 ? (layer.items[frame] as GroupMark) : undefined
  if (inner && !layer.items.some(i => i.kind === 'group' && i.piece)) {
    const items = [...layer.items]
    items[frame] = { ...inner, layers: inner.layers.map(l => inOrder(l, order)) }
    return { ...layer, items }
  }
  const rank = (i: Item): number => (i.kind === 'group' && i.piece ? order.indexOf(i.piece.id) : -1)
  return { ...layer, items: [...layer.items].sort((a, b) => rank(a) - rank(b)) }
}
