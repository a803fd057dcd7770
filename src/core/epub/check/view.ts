import { parse as parseHtml } from 'parse5'
import { SaxesParser } from 'saxes'
import { decodeXml } from '../../files'
import { type Epub, type EpubItem, NCX } from '../../publication'

/** An element of a text, in the order of the text. */
export interface TextElement {
  /** Without its prefix, in small letters. */
  name: string
  attrs: Record<string, string>
  line: number
  /** All words in it. */
  words: string
}

/** A text of an ebook, read once. */
export interface EbookText {
  path: string
  elements: TextElement[]
  /** Ids in it, in order. */
  ids: string[]
  /** All its words. */
  words: string
  /** Where it is not well-formed, and why. */
  fault?: { line: number; what: string }
}

/** An ebook as rules look at it. */
export interface EbookView {
  epub: Epub
  /** Of the whole file. */
  bytes: Uint8Array
  texts: Map<string, EbookText>
  items: Map<string, EpubItem>
}

export const XHTML = 'application/xhtml+xml'

export function viewOf(epub: Epub, bytes: Uint8Array): EbookView {
  const read = (i: EpubItem): boolean => i.type === XHTML || i.type === 'image/svg+xml' || i.type === NCX
  return {
    epub,
    bytes,
    items: new Map(epub.items.map(i => [i.path, i])),
    texts: new Map(epub.items.filter(read).map(i => [i.path, textOf(i)])),
  }
}

function textOf({ path, data }: EpubItem): EbookText {
  const elements: TextElement[] = []
  const ids: string[] = []
  const open: TextElement[] = []
  let [words, fault] = ['', undefined as EbookText['fault']]
  const parser = new SaxesParser({ fragment: false })
  parser.on('error', e => {
    fault ??= { line: parser.line, what: e.message.replace(/^\d+:\d+: /, '').replace(/\.$/, '') }
  })
  parser.on('opentag', tag => {
    const e: TextElement = {
      name: tag.name.replace(/^.*:/, '').toLowerCase(),
      attrs: tag.attributes as Record<string, string>,
      line: parser.line,
      words: '',
    }
    elements.push(e)
    open.push(e)
    const { id } = e.attrs
    if (id !== undefined) ids.push(id)
  })
  parser.on('closetag', () => {
    // Words of what is in it are its own.
    const e = open.pop()
    if (e && open.length) open.at(-1)!.words += e.words
  })
  parser.on('text', t => {
    words += t
    const e = open.at(-1)
    if (e) e.words += t
  })
  parser.write(withoutNamedEntities(decodeXml(data))).close()
  return { path, elements, ids, words: words.replace(/\s+/g, ' ').trim(), ...(fault ? { fault } : {}) }
}

const meant = new Map<string, string>()

/** XHTML of EPUB 2 has HTML's named characters by its document type; without one they are a fault. */
function withoutNamedEntities(text: string): string {
  if (!/<!DOCTYPE[^>]*XHTML/i.test(text)) return text
  return text.replace(/&([A-Za-z][A-Za-z0-9]*);/g, (named, name: string) => {
    if (['amp', 'lt', 'gt', 'quot', 'apos'].includes(name)) return named
    let is = meant.get(named)
    if (is === undefined) {
      const [html] = parseHtml(named).childNodes
      const body = (html as { childNodes?: { childNodes?: { value?: string }[] }[] }).childNodes?.[1]
      is = body?.childNodes?.[0]?.value ?? named
      meant.set(named, is)
    }
    return is
  })
}
