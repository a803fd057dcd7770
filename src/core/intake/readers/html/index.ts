import { DropCounter, type RawManuscript } from '../../raw'
import { elements, find, htmlTree, textOf, type XmlElement } from '../../../files'
import { decodeText } from '../../text'
import { HtmlReader } from './blocks'
import { Styles } from './css'
import { HtmlNotes } from './notes'
import type { HtmlPage } from './page'

/** Reads a page of HTML: text with its formatting, headings, lists, tables, notes, verse. `pictures` are files that came with it, by their names. */
export function readHtml(text: string, pictures: ReadonlyMap<string, Uint8Array> = new Map()): RawManuscript {
  const root = htmlTree(text)
  const head = find(root, 'head')
  const sheets = head
    ? elements(head)
        .filter(e => e.name === 'style')
        .map(ownText)
    : []
  const page: HtmlPage = { path: 'page.html', root, styles: new Styles(sheets) }
  const dropped = new DropCounter()
  const file = (path: string): Uint8Array | undefined => pictures.get(path) ?? pictures.get(path.split('/').at(-1)!)
  const remade = new DropCounter()
  const reader = new HtmlReader({ file, notes: new HtmlNotes([page]), dropped, remade })
  const blocks = reader.read(page)
  blocks.push(...reader.uncalled())
  return { blocks, pictures: reader.pictures, meta: metaOf(root, head), dropped, remade }
}

const ownText = (e: XmlElement): string => e.children.filter(c => typeof c === 'string').join('')

function metaOf(root: XmlElement, head: XmlElement | undefined): RawManuscript['meta'] {
  const title = head && find(head, 'title')
  const meta = (name: string): string | undefined =>
    (head ? elements(head) : [])
      .find(e => e.name === 'meta' && e.attrs.name?.toLowerCase() === name)
      ?.attrs.content?.trim() || undefined
  return {
    title: (title && textOf(title).replace(/\s+/g, ' ').trim()) || undefined,
    author: meta('author'),
    description: meta('description'),
    language: root.attrs.lang || root.attrs['xml:lang'] || undefined,
  }
}

/** Text of a page in the encoding that it names itself; UTF-8, or that of old text files, where it names none. */
export function decodeHtml(bytes: Uint8Array): string {
  const start = new TextDecoder('latin1').decode(bytes.subarray(0, 2048))
  const named =
    /<meta[^>]+charset=["']?\s*([\w-]+)/i.exec(start)?.[1] ?? /^<\?xml[^>]+encoding=["']([\w-]+)/.exec(start)?.[1]
  if (named && !/^utf-?8$/i.test(named))
    try {
      return new TextDecoder(named).decode(bytes)
    } catch {
      // An encoding that nobody knows: read as if it named none.
    }
  return decodeText(bytes)
}
