import type { HandPage } from '../book'
import type { GroupMark, Layer, LayerBuilder, PieceMark } from '../marks'

/** What words say after the author's hand: those that stand there in place of what was made. */
export type Rewording = (piece: string, made: string) => string

export function rewording(hand: HandPage | undefined): Rewording {
  const known = new Map(hand?.pieces.flatMap(p => (p.words === undefined ? [] : [[p.piece, p.words] as const])))
  return (piece, made) => known.get(piece) ?? made
}

/** Rewording of what stands in a piece: it asks by the name among all of the page. */
export const wordsWithin =
  (piece: string, words: Rewording): Rewording =>
  (id, made) =>
    words(pieceName(piece, id), made)

/** A piece's name among all of a page: those it stands in come before it. */
export const pieceName = (within: string, id: string): string => (within ? `${within}/${id}` : id)

/** What a piece that says something is called: what it says, and what was made of it. */
export const wordedPiece = (id: string, words: string, made: string): PieceMark => ({
  id,
  words,
  ...(words !== made && { made }),
})

/** Adds what was drawn as a piece that can be taken hold of. */
export const addPiece = (out: LayerBuilder, piece: PieceMark, drawn: LayerBuilder, x = 0, y = 0): void =>
  addLayer(out, piece, drawn.build(), x, y)

/** Adds a layer, which other pages may have too, as a piece. */
export function addLayer(out: LayerBuilder, piece: PieceMark, layer: Layer, x = 0, y = 0): void {
  if (!layer.items.length && !layer.text) return
  const group: GroupMark = { kind: 'group', piece, layers: [layer] }
  out.add(x || y ? { ...group, transform: [1, 0, 0, 1, x, y] } : group)
}
