import { PDFName, type PDFRef, PDFString } from '@cantoo/pdf-lib'
import { type Layer, type PageMarks, visitPage } from '../marks'
import { Fault, joinBytes, type Ticker, xml } from '../trade'
import type { Face } from '../type'
import { type ContentResources, pageContent } from './content'
import type { Deflate } from './deflate'
import { PdfFile, type Sink } from './file'
import { FontUse } from './fonts'
import { greyProfile, rgbProfile } from './icc'
import { embedImage, type PictureSource } from './images'
import type { Subsetter } from './subset'
import { StructureTree, type TagSource } from './tags'

export interface PdfOptions {
  title: string
  author?: string
  language: string
  /** ISO 8601, UTC: dates are inputs. */
  date: string
  /** Pictures are made grey, as black books want. */
  grey: boolean
  /**
   * Prepared for a standard of exchange: PDF/X-1a:2003 (ISO 15930-4), for black books, or PDF/X-4 (ISO 15930-7). No checker here
   * certifies it. Such files carry no links, and say what their greys or colours mean.
   */
  preparedFor?: 'X-1a' | 'X-4'
  /** Pictures with more pixels an inch than this are made smaller. */
  ppi?: number
  /** First page of each section: where places that lead somewhere lead to. No links are written without it, nor where a standard forbids them. */
  sectionPages?: ReadonlyMap<string, number>
  /** Says what each part is, in reading order, for those who do not see it. Left out where a standard of exchange is prepared for. */
  tags?: TagSource
  /** Named places for the outline. */
  outline?: { title: string; page: number }[]
}

/** What writing a PDF asks of the world. */
export interface PdfPorts {
  subsetter: Subsetter
  pictures: PictureSource
  deflate: Deflate
}

/** How many pages are made before those before them must be packed and written: what waits is in memory unpacked. */
const AHEAD = 8

/** A whole PDF in memory, for when it goes nowhere else. */
export async function pdfBytes(
  pages: PageMarks[],
  options: PdfOptions,
  ports: PdfPorts,
  ticker?: Ticker,
): Promise<Uint8Array> {
  const chunks: Uint8Array[] = []
  await writePdf(pages, options, ports, chunk => chunks.push(chunk), ticker)
  return joinBytes(chunks)
}

/** Writes pages of marks as a press-ready PDF into a sink, chunk by chunk. */
export async function writePdf(
  pages: PageMarks[],
  options: PdfOptions,
  { subsetter, pictures, deflate }: PdfPorts,
  sink: Sink,
  ticker?: Ticker,
): Promise<void> {
  if (options.preparedFor === 'X-1a' && !options.grey)
    throw new Fault('colour', 'Only the pages of a black book can be prepared for PDF/X-1a: these have colour.')
  const file = new PdfFile(sink, deflate, options.preparedFor === 'X-1a' ? '1.4' : '1.6')
  const fonts = new Map<Face, FontUse>()
  const assets: string[] = []
  // Largest width at which each picture stands, points.
  const widths = new Map<string, number>()
  const collect = (l: Layer): void => {
    for (const item of l.items) {
      if (item.kind === 'image') {
        if (!assets.includes(item.asset)) assets.push(item.asset)
        widths.set(item.asset, Math.max(widths.get(item.asset) ?? 0, item.width))
      } else if (item.kind === 'group') item.layers.forEach(collect)
    }
    const t = l.text
    if (!t) return
    const uses = t.faces.map(f => {
      const face = f as Face
      let use = fonts.get(face)
      if (!use && !face.mayEmbed)
        throw new Fault('font', `The licence of “${face.familyName}” does not allow it in documents.`)
      if (!use) fonts.set(face, (use = new FontUse(face, `F${fonts.size + 1}`, file)))
      return use
    })
    for (let i = 0; i < t.count; i++) {
      const use = uses[t.face[i]!]!
      for (let g = t.start[i]!; g < t.start[i + 1]!; g++) use.use(t.glyphs[g]!)
    }
  }
  for (const p of pages) for (const l of p.layers) collect(l.layer)
  for (const use of fonts.values()) use.settle()

  const images = new Map<string, { name: string; ref: PDFRef }>()
  for (const asset of assets) {
    const ref = await embedImage(
      file,
      pictures,
      asset,
      options.grey,
      options.ppi ? (widths.get(asset)! / 72) * options.ppi : undefined,
    )
    await file.settled()
    if (ref) images.set(asset, { name: `Im${images.size + 1}`, ref })
    await ticker?.({ stage: 'Placing pictures', done: images.size, of: assets.length })
  }
  const states = new Map<number, { name: string; ref: PDFRef }>()
  const tags = options.tags && !options.preparedFor ? new StructureTree(file, options.tags) : undefined
  const resources: ContentResources = {
    ...(tags ? { tags } : {}),
    font: face => fonts.get(face)!,
    image: asset => images.get(asset)?.name,
    opacity: value => {
      let s = states.get(value)
      if (!s)
        states.set(
          value,
          (s = { name: `G${states.size + 1}`, ref: file.object({ Type: 'ExtGState', ca: value, CA: value }) }),
        )
      return s.name
    },
  }

  const tree = file.ref()
  const refs: PDFRef[] = pages.map(() => file.ref())
  for (const [i, p] of pages.entries()) {
    const fontDict: Record<string, PDFRef> = {}
    const imageDict: Record<string, PDFRef> = {}
    const before = states.size
    tags?.beginPage(i)
    const content = p.layers.length ? file.stream(pageContent(p, resources)) : undefined
    visitPage(p, v => {
      if ('text' in v) for (const f of v.text.faces) fontDict[fonts.get(f as Face)!.name] = fonts.get(f as Face)!.ref
      else if (v.item.kind === 'image') {
        const im = images.get(v.item.asset)
        if (im) imageDict[im.name] = im.ref
      }
    })
    const stateDict =
      states.size > before || states.size ? Object.fromEntries([...states.values()].map(s => [s.name, s.ref])) : {}
    const { bleed: b } = p
    const width = p.width + b.left + b.right
    const height = p.height + b.top + b.bottom
    const box = [b.left, b.bottom, b.left + p.width, b.bottom + p.height].map(round)
    const annots = options.sectionPages && !options.preparedFor ? links(file, p, options.sectionPages, refs) : []
    file.object(
      {
        Type: 'Page',
        Parent: tree,
        MediaBox: [0, 0, round(width), round(height)],
        BleedBox: [0, 0, round(width), round(height)],
        TrimBox: box,
        Resources: {
          ...(Object.keys(fontDict).length ? { Font: fontDict } : {}),
          ...(Object.keys(imageDict).length ? { XObject: imageDict } : {}),
          ...(Object.keys(stateDict).length ? { ExtGState: stateDict } : {}),
        },
        ...(content ? { Contents: content } : {}),
        ...(annots.length ? { Annots: annots } : {}),
        ...(tags && content ? { StructParents: i, Tabs: 'S' } : {}),
      },
      refs[i],
    )
    if (i % AHEAD === AHEAD - 1) await file.settled()
    if (i % 8 === 7) await ticker?.({ stage: 'Writing PDF', done: i + 1, of: pages.length })
  }
  file.object({ Type: 'Pages', Kids: refs, Count: refs.length }, tree)
  for (const use of fonts.values()) use.embed(file, subsetter)

  const root: Record<string, unknown> = {
    Type: 'Catalog',
    Pages: tree,
    Lang: file.text(options.language),
    PageLabels: { Nums: pageLabels(file, pages) },
    ViewerPreferences: { DisplayDocTitle: true },
    Metadata: file.stream(xmp(options, options.preparedFor), { Type: 'Metadata', Subtype: 'XML' }, file.ref(), true),
  }
  if (tags) {
    root.StructTreeRoot = tags.write(refs)
    root.MarkInfo = { Marked: true }
  }
  if (options.preparedFor) {
    if (options.preparedFor === 'X-1a' && states.size)
      throw new Fault('transparency', 'These pages have something seen through; PDF/X-1a has no such thing.')
    const name = options.grey ? 'Black on uncoated paper' : 'Colours as on a screen, to be separated by the printer'
    const means = options.grey ? 'One black ink, tones spread by a fifth at the middle' : 'sRGB (IEC 61966-2-1)'
    root.OutputIntents = [
      file.object({
        Type: 'OutputIntent',
        S: 'GTS_PDFX',
        OutputConditionIdentifier: file.text('Custom'),
        OutputCondition: file.text(name),
        Info: file.text(means),
        DestOutputProfile: options.grey
          ? file.stream(greyProfile(name, 0.2), { N: 1 })
          : file.stream(rgbProfile(name), { N: 3 }),
      }),
    ]
  }
  if (options.outline?.length) {
    root.Outlines = outline(file, options.outline, refs)
    root.PageMode = 'UseOutlines'
  }
  const catalog = file.object(root as never)
  const info = file.object({
    Title: file.text(options.title),
    ...(options.author ? { Author: file.text(options.author) } : {}),
    Producer: file.text('Porchlight'),
    CreationDate: file.date(options.date),
    ModDate: file.date(options.date),
    Trapped: PDFName.of('False'),
    ...(options.preparedFor === 'X-1a'
      ? { GTS_PDFXVersion: file.text('PDF/X-1a:2003') }
      : options.preparedFor === 'X-4'
        ? { GTS_PDFXVersion: file.text('PDF/X-4') }
        : {}),
  })
  await file.end(catalog, info)
}

/** Links of a page: one a line that leads to a section, over the whole of it, and one a stretch of text that leads out into the web. */
function links(file: PdfFile, page: PageMarks, starts: ReadonlyMap<string, number>, pages: PDFRef[]): PDFRef[] {
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

const round = (x: number): number => Math.round(x * 1000) / 1000

/** Ranges of labels: a new range wherever the series or its number does not simply go on. */
function pageLabels(file: PdfFile, pages: PageMarks[]): unknown[] {
  const nums: unknown[] = []
  let roman: boolean | undefined
  pages.forEach((p, i) => {
    const isRoman = /^[ivxlcdm]+$/.test(p.label)
    if (isRoman !== roman) {
      roman = isRoman
      const number = /^\d+$/.test(p.label) ? Number(p.label) : undefined
      nums.push(
        i,
        /^\d+$|^[ivxlcdm]+$/.test(p.label)
          ? { S: isRoman ? 'r' : 'D', ...(number && number !== 1 ? { St: number } : {}) }
          : { P: file.text(p.label) },
      )
    }
  })
  return nums
}

function outline(file: PdfFile, entries: { title: string; page: number }[], pages: PDFRef[]): PDFRef {
  const root = file.ref()
  const refs = entries.map(() => file.ref())
  entries.forEach((e, i) => {
    file.object(
      {
        Title: file.text(e.title),
        Parent: root,
        ...(i ? { Prev: refs[i - 1]! } : {}),
        ...(i < refs.length - 1 ? { Next: refs[i + 1]! } : {}),
        Dest: [pages[e.page]!, 'Fit'],
      },
      refs[i],
    )
  })
  return file.object({ Type: 'Outlines', First: refs[0]!, Last: refs[refs.length - 1]!, Count: refs.length }, root)
}

function xmp(o: PdfOptions, standard: PdfOptions['preparedFor']): Uint8Array {
  const own =
    standard === 'X-4' &&
    xml`<rdf:Description rdf:about="" xmlns:pdfxid="http://www.npes.org/pdfx/ns/id/"><pdfxid:GTS_PDFXVersion>PDF/X-4</pdfxid:GTS_PDFXVersion></rdf:Description>`
  const author = o.author && xml`<dc:creator><rdf:Seq><rdf:li>${o.author}</rdf:li></rdf:Seq></dc:creator>`
  const title = xml`<dc:title><rdf:Alt><rdf:li xml:lang="x-default">${o.title}</rdf:li></rdf:Alt></dc:title>`
  const dates = xml`<xmp:CreateDate>${o.date}</xmp:CreateDate><xmp:ModifyDate>${o.date}</xmp:ModifyDate><xmp:MetadataDate>${o.date}</xmp:MetadataDate>`
  const about = xml`<rdf:Description rdf:about="" xmlns:dc="http://purl.org/dc/elements/1.1/" xmlns:xmp="http://ns.adobe.com/xap/1.0/" xmlns:pdf="http://ns.adobe.com/pdf/1.3/">${title}${author}${dates}<pdf:Producer>Porchlight</pdf:Producer><pdf:Trapped>False</pdf:Trapped></rdf:Description>`
  return new TextEncoder().encode(
    String(
      xml`<?xpacket begin="\ufeff" id="W5M0MpCehiHzreSzNTczkc9d"?>\n<x:xmpmeta xmlns:x="adobe:ns:meta/"><rdf:RDF xmlns:rdf="http://www.w3.org/1999/02/22-rdf-syntax-ns#">${about}${own}</rdf:RDF></x:xmpmeta>\n<?xpacket end="w"?>`,
    ),
  )
}
