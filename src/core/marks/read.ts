import type { ImageMark, Layer, PageMarks, PathMark, TextTable } from './marks'

/** One thing of a page with its absolute origin, for readers that check or measure. */
export type Visit =
  | { text: TextTable; x: number; y: number }
  | { item: PathMark | ImageMark; x: number; y: number; /** Of the group it stands in. */ role?: string }

/**
 * Visits all text and items of a page in painting order. Groups are entered with their translation only: checks that
 * read a page work on interiors, where groups are not turned or scaled.
 */
export function visitPage(page: PageMarks, visit: (v: Visit) => void): void {
  const layer = (l: Layer, x: number, y: number, role?: string): void => {
    for (const item of l.items) {
      if (item.kind === 'group')
        for (const inner of item.layers)
          layer(inner, x + (item.transform?.[4] ?? 0), y + (item.transform?.[5] ?? 0), item.role)
      else visit({ item, x, y, ...(role ? { role } : {}) })
    }
    if (l.text) visit({ text: l.text, x, y })
  }
  for (const p of page.layers) layer(p.layer, p.x, p.y)
}

/** The pictures that stand on a page. */
export function imagesOn(page: PageMarks): Set<string> {
  const ids = new Set<string>()
  visitPage(page, v => {
    if ('item' in v && v.item.kind === 'image') ids.add(v.item.asset)
  })
  return ids
}

/** The text of a page in the order it was set; runs on different baselines are parted by newlines. */
export function pageText(page: PageMarks): string {
  let out = ''
  visitPage(page, v => {
    if (!('text' in v)) return
    const t = v.text
    for (let i = 0; i < t.count; i++) {
      if (out && (i === 0 || t.baseline[i] !== t.baseline[i - 1])) out += '\n'
      const face = t.faces[t.face[i]!]!
      for (let g = t.start[i]!; g < t.start[i + 1]!; g++) out += face.pairText(t.glyphs[g]!)
    }
  })
  return out
}
