import { type PDFRef, PDFString } from '@cantoo/pdf-lib'
import { type PageMarks, visitPage } from '../marks'
import type { PdfFile } from './file'
import { round } from './round'

/** Links of a page: one a line that leads to a section, over the whole of it, and one a stretch of text that leads out into the web. */
export function pageLinks(
  file: PdfFile,
  page: PageMarks,
  starts: ReadonlyMap<string, number>,
  pages: PDFRef[],
): PDFRef[] {
  const boxes = new Map<string, { to: number | string; x0: number; x1: number; y: number; size: number }>()
  visitPage(page, v => {
    if (!('text' in v)) return
    const t = v.text
    for (let r = 0; r < t.count; r++) {
      const { to, href } = t.places[t.place[r]!]!
      const at = href?.startsWith('#')
        ? starts.get(href.slice(1))
        : href && /^(https?|mailto|tel):/i.test(href)
          ? href
          : to === undefined
            ? undefined
            : starts.get(to)
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
  return [...boxes.values()].map(b => {
    const up = bleed.bottom + height - b.y
    return file.object({
      Type: 'Annot',
      Subtype: 'Link',
      Rect: [bleed.left + b.x0, up - b.size * 0.25, bleed.left + b.x1, up + b.size * 0.8].map(round),
      Border: [0, 0, 0],
      F: 4,
      ...(typeof b.to === 'string'
        ? { A: { Type: 'Action', S: 'URI', URI: PDFString.of(asciiUri(b.to)) } }
        : { Dest: [pages[b.to]!, 'Fit'] }),
    })
  })
}

/** An address as PDF writes it: seven bits, no brackets unescaped (PDF 32000-1, 12.6.4.7). */
const asciiUri = (href: string): string =>
  encodeURI(href)
    .replace(/%25(?=[0-9a-f]{2})/gi, '%')
    .replace(/[()\\]/g, c => `%${c.charCodeAt(0).toString(16)}`)
