import type { Layer } from '@/core/marks'

/** A word or line of text as it stands on a layer, points. */
export interface WordOn {
  text: string
  x: number
  y: number
  /** Where it ends. */
  end: number
  size: number
}

/** So far apart are things that were set one by one, in sizes of their letters. */
const APART = 0.8

/** What stands on a layer and in its groups, in the order in which it was drawn: a gap ends a thing, a space does not. */
export function wordsOn({ items, text }: Layer): WordOn[] {
  const found: WordOn[] = []
  for (let i = 0; i < (text?.count ?? 0); i++) {
    const face = text!.faces[text!.face[i]!]!
    const size = text!.size[i]!
    let last: WordOn | undefined
    for (let g = text!.start[i]!; g < text!.start[i + 1]!; g++) {
      const pair = text!.glyphs[g]!
      const x = text!.x[g]!
      const end = x + (face.advance(face.pairGlyph(pair)) / face.unitsPerEm) * size * text!.stretch[i]!
      if (!last || Math.abs(x - last.end) > size * APART)
        found.push((last = { text: '', x, y: text!.baseline[i]!, end, size }))
      last.text += face.pairText(pair)
      last.end = end
    }
  }
  for (const item of items)
    if (item.kind === 'group')
      for (const layer of item.layers) {
        const [, , , , dx, dy] = item.transform ?? [1, 0, 0, 1, 0, 0]
        found.push(...wordsOn(layer).map(w => ({ ...w, x: w.x + dx, end: w.end + dx, y: w.y + dy })))
      }
  return found
}
