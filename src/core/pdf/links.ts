import { type PDFRef, PDFString } from '@cantoo/pdf-lib'
import { type Corners, type MarkPlace, type PageMarks, shownBox, visitPage } from '../marks'
import type { PdfFile } from './file'
import { round } from './round'

/** Links of a page: one a line that leads to a section, over the whole of it, and one a stretch of text, and one a picture, that leads out into the web or elsewhere in the book. */
export function pageLinks(
  file: PdfFile,
  page: PageMarks,
  starts: ReadonlyMap<string, number>,
  pages: PDFRef[],
): PDFRef[] {
  const boxes = new Map<string, { to: number | string; x0: number; x1: number; y: number; size: number }>()
  const pictures: { to: number | string; corners: Corners }[] = []
  const leadsTo = ({ to, href }: MarkPlace): number | string | undefined => {
    if (href?.startsWith('#')) return starts.get(href.slice(1))
    if (href && /^(https?|mailto|tel):/i.test(href)) return href
    return to === undefined ? undefined : starts.get(to)
  }
  visitPage(page, v => {
    if (!('text' in v)) {
      if (v.item.kind !== 'image' || !v.item.place?.href) return
      const to = leadsTo(v.item.place)
      if (to !== undefined) pictures.push({ to, corners: shownBox({ ...v, item: v.item }) })
      return
    }
    const t = v.text
    for (let r = 0; r < t.count; r++) {
      const at = leadsTo(t.places[t.place[r]!]!)
      const [from, end] = [t.start[r]!, t.start[r + 1]!]
      if (at === undefined || from === end) continue
      const face = t.faces[t.face[r]!]!
      const [x0, x1, y] = [
        v.x + t.x[from]!,
        v.x + t.x[end - 1]! + (face.advance(face.pairGlyph(t.glyphs[end - 1]!)) / face.unitsPerEm) * t.size[r]!,
        v.y + t.baseline[r]!,
      ]
      const key = `${at}/${y.toFixed(1)}`
      const b = boxes.get(key)
      if (b) [b.x0, b.x1] = [Math.min(b.x0, x0), Math.max(b.x1, x1)]
      else boxes.set(key, { to: at, x0, x1, y, size: t.size[r]! })
    }
  })
  const { bleed, height } = page
  const annotation = (to: number | string, [x0, y0, x1, y1]: Corners): PDFRef =>
    file.object({
      Type: 'Annot',
      Subtype: 'Link',
      Rect: [bleed.left + x0, bleed.bottom + height - y1, bleed.left + x1, bleed.bottom + height - y0].map(round),
      Border: [0, 0, 0],
      F: 4,
      ...(typeof to === 'string'
        ? { A: { Type: 'Action', S: 'URI', URI: PDFString.of(asciiUri(to)) } }
        : { Dest: [pages[to]!, 'Fit'] }),
    })
  return [
    ...pictures.map(p => annotation(p.to, p.corners)),
    ...[...boxes.values()].map(b => annotation(b.to, [b.x0, b.y - b.size * 0.8, b.x1, b.y + b.size * 0.25])),
  ]
}

/** An address as PDF writes it: seven bits, no brackets unescaped (PDF 32000-1, 12.6.4.7). */
const asciiUri = (href: string): string =>
  encodeURI(href)
    .replace(/%25(?=[0-9a-f]{2})/gi, '%')
    .replace(/[()\\]/g, c => `%${c.charCodeAt(0).toString(16)}`)
