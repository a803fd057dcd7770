import type { PDFRef } from '@cantoo/pdf-lib'
import { type Layer, type PageMarks, visitPage } from '../marks'
import { Fault, type Ticker } from '../trade'
import type { Face } from '../type'
import type { ContentResources } from './content'
import type { PdfFile } from './file'
import { FontUse } from './fonts'
import { embedImage, type PictureSource } from './images'
import type { StructureTree } from './tags'

interface Named {
  name: string
  ref: PDFRef
}

/** What pages use in common: fonts with the glyphs that are used of each, pictures, and degrees of opacity as they come up. */
export class Resources implements ContentResources {
  private readonly fonts = new Map<Face, FontUse>()
  private readonly images = new Map<string, Named>()
  private readonly states = new Map<number, Named>()
  /** Largest width at which each picture stands, points; in the order in which they come. */
  private readonly widths = new Map<string, number>()

  constructor(
    private readonly file: PdfFile,
    pages: PageMarks[],
    readonly tags: StructureTree | undefined,
  ) {
    for (const p of pages) for (const l of p.layers) this.collect(l.layer)
    for (const use of this.fonts.values()) use.settle()
  }

  readonly font = (face: Face): FontUse => this.fonts.get(face)!
  readonly image = (asset: string): string | undefined => this.images.get(asset)?.name
  readonly opacity = (value: number): string => {
    let s = this.states.get(value)
    if (!s) {
      const ref = this.file.object({ Type: 'ExtGState', ca: value, CA: value })
      this.states.set(value, (s = { name: `G${this.states.size + 1}`, ref }))
    }
    return s.name
  }

  /** Whether anything so far is seen through. */
  get transparent(): boolean {
    return this.states.size > 0
  }

  /** Puts the pictures into the file. */
  async embedPictures(
    source: PictureSource,
    { grey, ppi }: { grey: boolean; ppi?: number },
    ticker: Ticker | undefined,
  ): Promise<void> {
    for (const [asset, width] of this.widths) {
      const ref = await embedImage(this.file, source, asset, grey, ppi ? (width / 72) * ppi : undefined)
      await this.file.settled()
      if (ref) this.images.set(asset, { name: `Im${this.images.size + 1}`, ref })
      await ticker?.({ stage: 'Placing pictures', done: this.images.size, of: this.widths.size })
    }
  }

  /** Puts the fonts into the file, with those of their glyphs that are used. */
  embedFonts(subsetter: Parameters<FontUse['embed']>[1]): void {
    for (const use of this.fonts.values()) use.embed(this.file, subsetter)
  }

  /** What one page uses, as its resource dictionary. */
  of(page: PageMarks): Record<string, Record<string, PDFRef>> {
    const fonts: Record<string, PDFRef> = {}
    const images: Record<string, PDFRef> = {}
    visitPage(page, v => {
      if ('text' in v)
        for (const f of v.text.faces) {
          const use = this.font(f as Face)
          fonts[use.name] = use.ref
        }
      else if (v.item.kind === 'image') {
        const im = this.images.get(v.item.asset)
        if (im) images[im.name] = im.ref
      }
    })
    const states = Object.fromEntries([...this.states.values()].map(s => [s.name, s.ref]))
    const all = { Font: fonts, XObject: images, ExtGState: states }
    return Object.fromEntries(Object.entries(all).filter(([, dict]) => Object.keys(dict).length))
  }

  private collect(l: Layer): void {
    for (const item of l.items)
      if (item.kind === 'image') this.widths.set(item.asset, Math.max(this.widths.get(item.asset) ?? 0, item.width))
      else if (item.kind === 'group') for (const inner of item.layers) this.collect(inner)
    const t = l.text
    if (!t) return
    const uses = t.faces.map(f => this.useOf(f as Face))
    for (let i = 0; i < t.count; i++) {
      const use = uses[t.face[i]!]!
      for (let g = t.start[i]!; g < t.start[i + 1]!; g++) use.use(t.glyphs[g]!)
    }
  }

  private useOf(face: Face): FontUse {
    const known = this.fonts.get(face)
    if (known) return known
    if (!face.mayEmbed) throw new Fault('font', `The licence of “${face.familyName}” does not allow it in documents.`)
    const use = new FontUse(face, `F${this.fonts.size + 1}`, this.file)
    this.fonts.set(face, use)
    return use
  }
}
