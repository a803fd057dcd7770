import {
  PDFArray,
  type PDFContext,
  PDFDict,
  PDFDocument,
  PDFName,
  PDFNumber,
  type PDFObject,
  PDFRawStream,
} from '@cantoo/pdf-lib'
import type { PressColour } from '../trade'
import { contentOf, fontsLacking, streamBytes } from './foreign'

/** What a printer asks of a page of a PDF that was made elsewhere. */
export interface PageFacts {
  /** Faces that it prints with and that are not in it, by their names. */
  fonts: string[]
  /** Something in it is seen through: it covers in part, or mixes with what lies under it. */
  seenThrough: boolean
  colours: PressColour[]
}

/** Looks a page over that is a file of its own. Throws where it cannot be read. */
export async function pageFacts(bytes: Uint8Array): Promise<PageFacts> {
  const doc = await PDFDocument.load(bytes, { updateMetadata: false })
  const { context } = doc
  const colours = new Set(coloursSaid(context, contentOf(doc.getPage(0))))
  let seenThrough = false
  eachDict(context, dict => {
    seenThrough ||= letsThrough(dict)
    for (const space of spacesOf(context, dict)) for (const c of coloursOf(context, space)) colours.add(c)
  })
  return { fonts: fontsLacking(context), seenThrough, colours: [...colours].sort() }
}

/** Every dictionary of a file, those in others among them. */
function eachDict(context: PDFContext, each: (dict: PDFDict) => void): void {
  const into = (object: PDFObject | undefined): void => {
    if (object instanceof PDFRawStream) into(object.dict)
    else if (object instanceof PDFArray) object.asArray().forEach(into)
    else if (object instanceof PDFDict) {
      each(object)
      object.values().forEach(into)
    }
  }
  for (const [, object] of context.enumerateIndirectObjects()) into(object)
}

const name = (text: string): PDFName => PDFName.of(text)

/** States of drawing and pictures that are seen through (ISO 32000-1, 11.6). */
function letsThrough(dict: PDFDict): boolean {
  const part = ['ca', 'CA'].some(key => {
    const value = dict.lookup(name(key))
    return value instanceof PDFNumber && value.asNumber() < 1
  })
  const mask = dict.lookup(name('SMask'))
  const mode = dict.lookup(name('BM'))
  const mixes = mode instanceof PDFName && mode !== name('Normal') && mode !== name('Compatible')
  return part || mixes || (mask !== undefined && mask !== name('None'))
}

/** The colour spaces that a dictionary says: of a picture, a shading, or those that a page draws in. Groups say one to mix in, which is none. */
function spacesOf(context: PDFContext, dict: PDFDict): PDFObject[] {
  if (dict.lookup(name('S')) === name('Transparency')) return []
  const said = dict.lookup(name('ColorSpace'))
  if (said instanceof PDFDict) return said.values().map(v => context.lookup(v)!)
  return said ? [said] : []
}

const DEVICE: Readonly<Record<string, PressColour>> = {
  DeviceGray: 'grey',
  CalGray: 'grey',
  DeviceRGB: 'rgb',
  CalRGB: 'rgb',
  Lab: 'rgb',
  DeviceCMYK: 'cmyk',
}
const BY_COMPONENTS: Readonly<Record<number, PressColour>> = { 1: 'grey', 3: 'rgb', 4: 'cmyk' }

function coloursOf(context: PDFContext, space: PDFObject | undefined): PressColour[] {
  if (space instanceof PDFName) return DEVICE[space.decodeText()] ? [DEVICE[space.decodeText()]!] : []
  if (!(space instanceof PDFArray)) return []
  const kind = (space.lookup(0) as PDFName).decodeText()
  const of = context.lookup(space.get(1))
  if (kind === 'Indexed' || kind === 'Pattern') return coloursOf(context, of)
  if (kind === 'ICCBased' && of instanceof PDFRawStream) {
    const components = of.dict.lookup(name('N'))
    return components instanceof PDFNumber ? [BY_COMPONENTS[components.asNumber()] ?? 'spot'] : []
  }
  if (kind === 'Separation' || kind === 'DeviceN') return inksOf(kind === 'DeviceN' ? of : space.get(1))
  return DEVICE[kind] ? [DEVICE[kind]] : []
}

/** The press's own four are no inks of their own. */
const PROCESS = ['Cyan', 'Magenta', 'Yellow', 'Black', 'All', 'None']
function inksOf(names: PDFObject | undefined): PressColour[] {
  const inks = names instanceof PDFArray ? names.asArray() : [names]
  return [inks.every(n => n instanceof PDFName && PROCESS.includes(n.decodeText())) ? 'cmyk' : 'spot']
}

/** Operators that say a colour at once (ISO 32000-1, 8.6.8). */
const OPERATORS: readonly (readonly [RegExp, PressColour])[] = [
  [/(?:^|\s)[\d.+-]+\s+(?:g|G)(?=\s|$)/, 'grey'],
  [/(?:^|\s)(?:[\d.+-]+\s+){3}(?:rg|RG)(?=\s|$)/, 'rgb'],
  [/(?:^|\s)(?:[\d.+-]+\s+){4}(?:k|K)(?=\s|$)/, 'cmyk'],
]

function coloursSaid(context: PDFContext, page: Uint8Array): PressColour[] {
  const drawn = [page]
  for (const [, object] of context.enumerateIndirectObjects())
    if (object instanceof PDFRawStream && object.dict.lookup(name('Subtype')) === name('Form'))
      drawn.push(streamBytes(object))
  const said = drawn.map(bytes => new TextDecoder('latin1').decode(bytes))
  return OPERATORS.filter(([form]) => said.some(text => form.test(text))).map(([, kind]) => kind)
}
