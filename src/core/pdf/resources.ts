import type { PDFRef } from '@cantoo/pdf-lib'
import { type GroupMark, type ImageMark, type Layer, layerBox, type PageMarks, visitPage } from '../marks'
import type { Separation } from '../ink'
import { Fault, type Ticker } from '../trade'
import type { Face } from '../type'
import { type ContentResources, formContent } from './content'
import type { PdfFile } from './file'
import { FontUse } from './fonts'
import type { Known } from './foreign'
import { embedImage, type PictureSource } from './images'
import { round } from './round'
import type { StructureTree } from './tags'

interface Named {
  name: string
  ref: PDFRef
}

/** The same picture in another tone is another. */
const pictureKey = ({ asset, tone }: ImageMark): string => JSON.stringify([asset, tone])

/** What pages use in common: fonts with the glyphs that are used of each, pictures, and degrees of opacity as they come up. */
export class Resources implements ContentResources {
  private readonly fonts = new Map<Face, FontUse>()
  private readonly images = new Map<string, Named>()
  private readonly states = new Map<number, Named>()
  /** Layers that are written once, by what they are called; undefined until a page is written that has one. */
  private readonly forms = new Map<Layer, Named | undefined>()
  /** Pictures with the largest width at which each stands, points; in the order in which they come. */
  private readonly pictures = new Map<string, { mark: ImageMark; width: number }>()

  constructor(
    private readonly file: PdfFile,
    pages: PageMarks[],
    readonly tags: StructureTree | undefined,
    readonly inks?: Separation,
  ) {
    for (const p of pages) for (const l of p.layers) this.collect(l.layer)
    for (const layer of sharedDrawings(pages)) this.forms.set(layer, undefined)
    for (const use of this.fonts.values()) use.settle()
  }

  readonly font = (face: Face): FontUse => this.fonts.get(face)!
  readonly image = (mark: ImageMark): string | undefined => this.images.get(pictureKey(mark))?.name
  readonly opacity = (value: number): string => {
    let s = this.states.get(value)
    if (!s) {
      const ref = this.file.object({ Type: 'ExtGState', ca: value, CA: value })
      this.states.set(value, (s = { name: `G${this.states.size + 1}`, ref }))
    }
    return s.name
  }

  readonly form = (layer: Layer): string | undefined => {
    if (!this.forms.has(layer)) return undefined
    let form = this.forms.get(layer)
    if (!form) {
      const [x0, y0, x1, y1] = layerBox(layer)
      const dict = { Type: 'XObject', Subtype: 'Form', BBox: [x0, -y1, x1, -y0].map(round), Resources: {} }
      const ref = this.file.stream(formContent(layer, this), dict)
      const at = [...this.forms.keys()].indexOf(layer)
      this.forms.set(layer, (form = { name: `Fm${at + 1}`, ref }))
    }
    return form.name
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
    const known: Known = new Map()
    for (const [key, { mark, width }] of this.pictures) {
      const ref = await embedImage(this.file, source, mark.asset, grey, {
        tone: mark.tone,
        mostPixels: ppi ? (width / 72) * ppi : undefined,
        known,
        inks: this.inks,
      })
      await this.file.settled()
      if (ref) this.images.set(key, { name: `Im${this.images.size + 1}`, ref })
      await ticker?.({ stage: 'Placing pictures', done: this.images.size, of: this.pictures.size })
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
        const im = this.images.get(pictureKey(v.item))
        if (im) images[im.name] = im.ref
      }
    })
    for (const layer of layersOf(page)) {
      const form = this.forms.get(layer)
      if (form) images[form.name] = form.ref
    }
    const states = Object.fromEntries([...this.states.values()].map(s => [s.name, s.ref]))
    const all = { Font: fonts, XObject: images, ExtGState: states }
    return Object.fromEntries(Object.entries(all).filter(([, dict]) => Object.keys(dict).length))
  }

  private collect(l: Layer): void {
    for (const item of l.items)
      if (item.kind === 'image') {
        const key = pictureKey(item)
        this.pictures.set(key, { mark: item, width: Math.max(this.pictures.get(key)?.width ?? 0, item.width) })
      } else if (item.kind === 'group') for (const inner of item.layers) this.collect(inner)
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

/** A drawing of fewer steps than this is written where it stands: naming it would take as much. */
const LEAST_STEPS = 150

/** All layers of a page, those in groups too. */
function* layersOf({ layers }: PageMarks): Generator<Layer> {
  for (const { layer } of layers) yield* layersIn(layer)
}

function* layersIn(layer: Layer): Generator<Layer> {
  yield layer
  for (const item of layer.items) if (item.kind === 'group') for (const inner of item.layers) yield* layersIn(inner)
}

/** Layers of paths alone that stand on more than one page and are worth being written once: grounds, rulings. */
function sharedDrawings(pages: readonly PageMarks[]): Layer[] {
  const known = new Map<Layer, number>()
  for (const p of pages) for (const layer of layersOf(p)) known.set(layer, (known.get(layer) ?? 0) + 1)
  return [...known].filter(([layer, times]) => times > 1 && stepsOf(layer) >= LEAST_STEPS).map(([layer]) => layer)
}

/** Steps of all paths of a layer; none where it has more than paths, or something is seen through. */
function stepsOf({ items, text }: Layer): number {
  if (text) return 0
  let steps = 0
  for (const item of items) {
    if (item.kind === 'image' || (item.kind === 'group' && !isPlain(item))) return 0
    if (item.kind === 'path') steps += item.path.ops.length
    else
      for (const inner of item.layers) {
        const own = stepsOf(inner)
        if (!own) return 0
        steps += own
      }
  }
  return steps
}

/** A group that only moves what is in it. */
const isPlain = ({ opacity, transform = [1, 0, 0, 1, 0, 0] }: GroupMark): boolean =>
  opacity === undefined && transform.slice(0, 4).join() === '1,0,0,1'
