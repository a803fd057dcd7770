import { SaxesParser } from 'saxes'
import { Fault, type Report } from '../trade'

/** An element with its children in order. Names keep their customary prefix ("w:p"). */
export interface XmlElement {
  name: string
  attrs: Record<string, string>
  children: (XmlElement | string)[]
}

const MOST_DEPTH = 400
/** Elements of one part: a book of half a million words with a style on every other word has fewer. */
const MOST_ELEMENTS = 1_500_000
/** A text part of half a million words is about 30 MB; what is larger is not a book. */
const MOST_XML = 48e6
/** Characters parsed between two reports. */
const STEP = 1 << 18

/** The prefixes that this reader speaks of, by namespace; documents may use others. */
const prefixes: Record<string, string> = {
  'http://schemas.openxmlformats.org/wordprocessingml/2006/main': 'w',
  'http://purl.oclc.org/ooxml/wordprocessingml/main': 'w',
  'http://schemas.openxmlformats.org/drawingml/2006/main': 'a',
  'http://schemas.openxmlformats.org/officeDocument/2006/relationships': 'r',
  'http://purl.oclc.org/ooxml/officeDocument/relationships': 'r',
  'http://schemas.openxmlformats.org/drawingml/2006/wordprocessingDrawing': 'wp',
  'http://schemas.openxmlformats.org/markup-compatibility/2006': 'mc',
  'urn:schemas-microsoft-com:vml': 'v',
}

/** Parses XML into a tree. Documents that declare entities are refused: nothing a word processor writes needs them. `ruined`: what could be read up to the damage is taken. */
export function parseXml(bytes: Uint8Array, what: string, report?: Report, ruined = false): XmlElement {
  if (bytes.length > MOST_XML)
    throw new Fault(
      'too-large',
      `This file is larger than any book: ${what} takes ${Math.round(bytes.length / 1e6)} MB.`,
    )
  const text = decodeXml(bytes)
  // Counted before anything is made of them: a tree of millions fills memory long before it ends.
  if (countTags(text) > MOST_ELEMENTS)
    throw new Fault(
      'too-many',
      `This file has more than ${MOST_ELEMENTS.toLocaleString('en')} elements in ${what}, many times those of any book; it is not read.`,
    )
  const root: XmlElement = { name: '', attrs: {}, children: [] }
  const stack: XmlElement[] = [root]
  const names = new Map<string, string>()
  let renamed = false
  const parser = new SaxesParser({ fragment: false, position: false })
  parser.on('doctype', type => {
    // A name of a document type fetches nothing and declares nothing.
    if (!type.includes('[')) return
    throw new Fault('entities', `This file declares its own entities in ${what}; it is not read.`)
  })
  parser.on('opentag', tag => {
    let attrs = none
    for (const k in tag.attributes) {
      attrs = tag.attributes as Record<string, string>
      const usual = k.startsWith('xmlns:') && prefixes[attrs[k]!]
      if (usual && usual !== k.slice(6)) {
        names.set(k.slice(6), usual)
        renamed = true
      }
    }
    const e: XmlElement = { name: renamed ? canonical(tag.name) : tag.name, attrs, children: [] }
    if (renamed && attrs !== none)
      e.attrs = Object.fromEntries(Object.entries(e.attrs).map(([k, v]) => [canonical(k), v]))
    stack[stack.length - 1]!.children.push(e)
    stack.push(e)
    if (stack.length > MOST_DEPTH)
      throw new Fault('deep', `This file nests its parts too deeply in ${what}; it is not read.`)
  })
  parser.on('closetag', () => stack.pop())
  parser.on('text', t => {
    stack[stack.length - 1]!.children.push(t)
  })
  parser.on('cdata', t => {
    stack[stack.length - 1]!.children.push(t)
  })
  const canonical = (name: string): string => {
    const i = name.indexOf(':')
    const p = i > 0 ? names.get(name.slice(0, i)) : undefined
    return p ? p + name.slice(i) : name
  }
  try {
    for (let i = 0; i < text.length; i += STEP) {
      parser.write(text.slice(i, i + STEP))
      report?.({ stage: 'Reading', done: i, of: text.length })
    }
    parser.close()
  } catch (e) {
    if (e instanceof Fault) throw e
    if (!ruined) throw new Fault('damaged', `This file is damaged: ${what} is not well-formed.`)
  }
  const first = root.children.find((c): c is XmlElement => typeof c !== 'string')
  if (!first) throw new Fault('damaged', `This file is damaged: ${what} is empty.`)
  return first
}

/** Most elements have no attributes: they share these. */
const none: Record<string, string> = Object.freeze({})

/** Tags that begin an element, as many as are at most in a text. */
function countTags(text: string): number {
  let n = 0
  for (let i = text.indexOf('<'); i >= 0; i = text.indexOf('<', i + 1)) if (text.charCodeAt(i + 1) !== 0x2f) n++
  return n
}

/** The text of a part: UTF-8, or UTF-16 where it says so. */
export function decodeXml(bytes: Uint8Array): string {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return new TextDecoder('utf-16le').decode(bytes)
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return new TextDecoder('utf-16be').decode(bytes)
  return new TextDecoder('utf-8').decode(bytes)
}

export const child = (e: XmlElement | undefined, name: string): XmlElement | undefined => {
  if (e) for (const c of e.children) if (typeof c !== 'string' && c.name === name) return c
  return undefined
}
export const elements = (e: XmlElement | undefined): XmlElement[] =>
  e ? e.children.filter((c): c is XmlElement => typeof c !== 'string') : []

/** The first descendant of a name, in document order. */
export function find(e: XmlElement, name: string): XmlElement | undefined {
  for (const c of e.children) {
    if (typeof c === 'string') continue
    if (c.name === name) return c
    const inner = find(c, name)
    if (inner) return inner
  }
  return undefined
}
