import type { Corners } from './bounds'
import type { ImageMark, Layer, PageMarks, PathMark, TextTable } from './marks'
import { pathBox } from './path'

/** One thing of a page with its absolute origin, for readers that check or measure. */
export type Visit =
  | { text: TextTable; x: number; y: number }
  | {
      item: PathMark | ImageMark
      x: number
      y: number
      /** Of the group it stands in. */
      role?: string
      /** The page's points within which it shows, where its group is clipped. */
      within?: Corners
    }

/**
 * Visits all text and items of a page in painting order. Groups are entered with their translation only: checks that
 * read a page work on interiors, where groups are not turned or scaled.
 */
export function visitPage(page: PageMarks, visit: (v: Visit) => void): void {
  const layer = (l: Layer, x: number, y: number, role?: string, within?: Corners): void => {
    for (const item of l.items) {
      if (item.kind === 'group') {
        const [dx, dy] = [x + (item.transform?.[4] ?? 0), y + (item.transform?.[5] ?? 0)]
        const clip = item.clip && moved(pathBox(item.clip), dx, dy)
        for (const inner of item.layers) layer(inner, dx, dy, item.role, clip ?? within)
      } else visit({ item, x, y, ...(role ? { role } : {}), ...(within ? { within } : {}) })
    }
    if (l.text) visit({ text: l.text, x, y })
  }
  for (const p of page.layers) layer(p.layer, p.x, p.y)
}

const moved = ([x0, y0, x1, y1]: Corners, x: number, y: number): Corners => [x0 + x, y0 + y, x1 + x, y1 + y]

/** The box in which a picture shows on its page: what a clip leaves of it. */
export function shownBox(v: { item: ImageMark; x: number; y: number; within?: Corners }): Corners {
  const { x, y, width, height } = v.item
  const [x0, y0, x1, y1] = moved([x, y, x + width, y + height], v.x, v.y)
  const w = v.within
  return w ? [Math.max(x0, w[0]), Math.max(y0, w[1]), Math.min(x1, w[2]), Math.min(y1, w[3])] : [x0, y0, x1, y1]
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
