import {
  decodePDFRawStream,
  EncryptedPDFError,
  PDFArray,
  PDFContext,
  PDFDict,
  PDFDocument,
  PDFName,
  PDFNull,
  type PDFObject,
  PDFObjectCopier,
  type PDFPage,
  PDFRawStream,
  PDFRef,
} from '@cantoo/pdf-lib'
import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex } from '@noble/hashes/utils.js'
import { Fault, type Ticker } from '../trade'
import type { PdfFile } from './file'

/** A page of a PDF that was made elsewhere, as a file of its own. */
export interface ForeignPage {
  bytes: Uint8Array
  /** Of the trim, points, as it is seen. */
  width: number
  height: number
  /** It asks for colours: a black book's press turns them into greys. */
  coloured: boolean
  /** A font that it prints with is not in it. */
  lacksFonts: boolean
  /** Of a page that is kept with what is cut off: how much that is, where its file says so. Points, as it is seen. */
  over?: { top: number; right: number; bottom: number; left: number }
}

/** What of a page is seen: what is left when it is cut, or what is printed with what is cut off (TrimBox and BleedBox, ISO 32000-1, 14.11.2). */
export type Seen = 'cut' | 'with bleed'

/** Pages of one file that are taken. */
const MOST_PAGES = 600

/** The pages of a PDF, each a file of its own. Throws a Fault where it is none, is locked, damaged, or has too many. */
export async function foreignPages(
  bytes: Uint8Array,
  name: string,
  ticker?: Ticker,
  as: Seen = 'cut',
): Promise<ForeignPage[]> {
  const whole = await opened(bytes, name)
  const count = whole.getPageCount()
  if (!count) throw new Fault('pdf', `“${name}” has no pages.`)
  if (count > MOST_PAGES)
    throw new Fault('pdf', `“${name}” has ${count} pages; ${MOST_PAGES} can be brought in at once.`)
  const pages: ForeignPage[] = []
  for (let i = 0; i < count; i++) {
    await ticker?.({ stage: 'Bringing in pages', done: i, of: count })
    try {
      const one = await PDFDocument.create({ updateMetadata: false })
      const [page] = await one.copyPages(whole, [i])
      one.addPage(page)
      const over = as === 'with bleed' ? keepBleed(page!) : undefined
      // What is seen of it elsewhere is what is left when it is cut; what is cut off stays in it.
      const { x, y, ...cut } = trimOf(page!)
      page!.setCropBox(x, y, cut.width, cut.height)
      const { width, height } = seen(page!)
      const content = contentOf(page!)
      pages.push({
        bytes: await one.save({ useObjectStreams: true }),
        width,
        height,
        coloured: hasColour(one.context, content),
        lacksFonts: fontsLacking(one.context).length > 0,
        ...(over ? { over } : {}),
      })
    } catch (e) {
      throw new Fault('pdf', `Page ${i + 1} of “${name}” is damaged: ${(e as Error).message}`)
    }
  }
  return pages
}

async function opened(bytes: Uint8Array, name: string): Promise<PDFDocument> {
  try {
    return await PDFDocument.load(bytes, { updateMetadata: false, throwOnInvalidObject: true })
  } catch (e) {
    if (e instanceof EncryptedPDFError)
      throw new Fault('pdf', `“${name}” is locked with a password: save it without one where it was made.`)
    throw new Fault('pdf', `“${name}” cannot be read as a PDF: it is damaged, or something else.`)
  }
}

/** The box that is seen when a page is cut: its trim. Points of the page's own space. */
function trimOf(page: PDFPage): { x: number; y: number; width: number; height: number } {
  const box = page.node.get(PDFName.of('TrimBox')) ? page.getTrimBox() : page.getCropBox()
  return box.width > 0 && box.height > 0 ? box : page.getMediaBox()
}

/** Makes what is printed of a page, with what is cut off, the box that is seen; how much is cut off, where its file says so. */
function keepBleed(page: PDFPage): ForeignPage['over'] {
  const [trim, bleed] = [page.getTrimBox(), page.getBleedBox()]
  const says = page.node.get(PDFName.of('TrimBox')) !== undefined
  page.setTrimBox(bleed.x, bleed.y, bleed.width, bleed.height)
  if (!says) return undefined
  const edges = [
    bleed.y + bleed.height - trim.y - trim.height,
    bleed.x + bleed.width - trim.x - trim.width,
    trim.y - bleed.y,
    trim.x - bleed.x,
  ].map(v => Math.max(0, v))
  // A page that is turned is seen with another edge at its top.
  const by = turned(page) / 90
  const [top, right, bottom, left] = edges.map((_, i) => edges[(i - by + 4) % 4]!) as [number, number, number, number]
  return { top, right, bottom, left }
}

const turned = (page: PDFPage): number => ((page.getRotation().angle % 360) + 360) % 360

function seen(page: PDFPage): { width: number; height: number } {
  const { width, height } = trimOf(page)
  return turned(page) % 180 ? { width: height, height: width } : { width, height }
}

/** From a page's space to the unit square of its trim, as it is seen: [a b c d e f], turned as the page says. */
function toUnit(page: PDFPage): number[] {
  const { x, y, width: w, height: h } = trimOf(page)
  switch (turned(page)) {
    case 90:
      return [0, -1 / w, 1 / h, 0, -y / h, 1 + x / w]
    case 180:
      return [-1 / w, 0, 0, -1 / h, 1 + x / w, 1 + y / h]
    case 270:
      return [0, 1 / w, -1 / h, 0, 1 + y / h, -x / w]
    default:
      return [1 / w, 0, 0, 1 / h, -x / w, -y / h]
  }
}

export const streamBytes = (object: PDFObject | undefined): Uint8Array =>
  object instanceof PDFRawStream ? decodePDFRawStream(object).decode() : new Uint8Array()

/** What a page draws, its parts joined. */
export function contentOf(page: PDFPage): Uint8Array {
  const contents = page.node.Contents()
  const { context } = page.node
  const parts =
    contents instanceof PDFArray ? contents.asArray().map(r => streamBytes(context.lookup(r))) : [streamBytes(contents)]
  const all = new Uint8Array(parts.reduce((n, p) => n + p.length + 1, 0))
  let at = 0
  for (const part of parts) {
    all.set(part, at)
    // A number must not run on into the next part's.
    all[(at += part.length)] = 0x0a
    at++
  }
  return all
}

/** Operators of colour with anything but one grey for all of it (PDF 32000-1, 8.6.8). */
const COLOURED = /(?:^|\s)([\d.+-]+)\s+([\d.+-]+)\s+([\d.+-]+)\s+(?:rg|RG)(?=\s|$)/g
const FOUR_INKS = /(?:^|\s)([\d.+-]+)\s+([\d.+-]+)\s+([\d.+-]+)\s+[\d.+-]+\s+(?:k|K)(?=\s|$)/g

function hasColour(context: PDFContext, page: Uint8Array): boolean {
  const drawn = [page]
  for (const [, object] of context.enumerateIndirectObjects()) {
    if (!(object instanceof PDFRawStream)) continue
    const kind = object.dict.get(PDFName.of('Subtype'))
    if (kind === PDFName.of('Form')) drawn.push(streamBytes(object))
    if (kind === PDFName.of('Image') && !isGrey(context, object.dict)) return true
  }
  return drawn.some(bytes => {
    const said = new TextDecoder('latin1').decode(bytes)
    for (const [, r, g, b] of said.matchAll(COLOURED)) if (!(r === g && g === b)) return true
    for (const [, c, m, y] of said.matchAll(FOUR_INKS)) if (Number(c) || Number(m) || Number(y)) return true
    return false
  })
}

function isGrey(context: PDFContext, image: PDFDict): boolean {
  if (image.get(PDFName.of('ImageMask'))) return true
  const space = context.lookup(image.get(PDFName.of('ColorSpace')))
  if (space === PDFName.of('DeviceGray') || space === PDFName.of('CalGray')) return true
  if (!(space instanceof PDFArray) || space.get(0) !== PDFName.of('ICCBased')) return false
  const profile = context.lookup(space.get(1))
  return profile instanceof PDFRawStream && String(profile.dict.get(PDFName.of('N'))) === '1'
}

/** Fonts that are not in the file, by name: one is described by a dictionary that names its file; one of the reader's own has none. */
export function fontsLacking(context: PDFContext): string[] {
  const lacking = new Set<string>()
  const files = ['FontFile', 'FontFile2', 'FontFile3'].map(n => PDFName.of(n))
  for (const [, object] of context.enumerateIndirectObjects()) {
    if (!(object instanceof PDFDict) || object.get(PDFName.of('Type')) !== PDFName.of('Font')) continue
    const kind = object.get(PDFName.of('Subtype'))
    if (kind === PDFName.of('Type0') || kind === PDFName.of('Type3')) continue
    const described = context.lookup(object.get(PDFName.of('FontDescriptor')))
    if (described instanceof PDFDict && files.some(f => described.get(f))) continue
    const font = object.lookup(PDFName.of('BaseFont'))
    lacking.add(font instanceof PDFName ? font.decodeText() : 'a font without a name')
  }
  return [...lacking]
}

/** Objects of foreign pages that are in the file already, by a hash of what they are. */
export type Known = Map<string, PDFRef>

/**
 * Writes a foreign page into a file as a form that fills the unit square with its trim, as a picture does: vectors, fonts and pictures as
 * they are. Fonts and pictures that several pages have are written once.
 */
export async function embedForeignPage(file: PdfFile, bytes: Uint8Array, known: Known): Promise<PDFRef> {
  const source = await PDFDocument.load(bytes, { updateMetadata: false })
  const page = source.getPage(0)
  const { Resources } = page.node.normalizedEntries()
  const copies = PDFContext.create()
  const resources = PDFObjectCopier.for(source.context, copies).copy(Resources)
  const refs = new Map<PDFRef, PDFRef>()
  const fresh: [PDFRef, PDFObject][] = []
  for (const [ref, object] of copies.enumerateIndirectObjects()) {
    // What refers to nothing is the same wherever its bytes are: font files, most pictures.
    const name = hasRefs(object) ? undefined : hashOf(object)
    const there = name === undefined ? undefined : known.get(name)
    const own = there ?? file.ref()
    refs.set(ref, own)
    if (there) continue
    fresh.push([own, object])
    if (name !== undefined) known.set(name, own)
  }
  for (const [own, object] of fresh) file.object(renamed(object, refs, file.context), own)
  const { x, y, width, height } = page.getMediaBox()
  return file.stream(contentOf(page), {
    Type: 'XObject',
    Subtype: 'Form',
    FormType: 1,
    BBox: [x, y, x + width, y + height],
    Matrix: toUnit(page),
    Resources: renamed(resources, refs, file.context),
  })
}

const hasRefs = (object: PDFObject): boolean =>
  object instanceof PDFRef ||
  (object instanceof PDFArray && object.asArray().some(hasRefs)) ||
  (object instanceof PDFDict && object.values().some(hasRefs)) ||
  (object instanceof PDFRawStream && hasRefs(object.dict))

function hashOf(object: PDFObject): string {
  const bytes = new Uint8Array(object.sizeInBytes())
  object.copyBytesInto(bytes, 0)
  return bytesToHex(sha256(bytes))
}

/** The same object with other numbers where it refers to others. */
function renamed(object: PDFObject, refs: ReadonlyMap<PDFRef, PDFRef>, context: PDFContext): PDFObject {
  if (object instanceof PDFRef) return refs.get(object) ?? PDFNull
  if (object instanceof PDFRawStream)
    return PDFRawStream.of(renamed(object.dict, refs, context) as PDFDict, object.contents)
  if (object instanceof PDFArray) {
    const copy = PDFArray.withContext(context)
    for (const item of object.asArray()) copy.push(renamed(item, refs, context))
    return copy
  }
  if (object instanceof PDFDict) {
    const copy = PDFDict.withContext(context)
    for (const [key, value] of object.entries()) copy.set(key, renamed(value, refs, context))
    return copy
  }
  return object
}
