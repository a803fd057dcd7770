import { Fault, parseIsbn } from '../../../trade'
import type { RawManuscript } from '../../raw'
import { elements, find, parseXml, type XmlElement } from '../../xml'
import { pathIn } from '../../zip'
import { decoded } from '../html/notes'
import { textOf } from '../html/tree'

/** What an EPUB says of itself: its package document (EPUB 3.3, 5; OPF 2.0). */
export interface EpubPackage {
  meta: RawManuscript['meta']
  /** Pages in the order of reading, by their paths. */
  spine: string[]
  /** Its contents as a page, and as an NCX, where it has them. */
  nav?: string | undefined
  ncx?: string | undefined
  /** The picture of its cover. */
  cover?: string | undefined
}

/** Children by name; prefixes vary, and pages that were read as HTML have lost their capitals. */
const under = (e: XmlElement | undefined, name: string): XmlElement[] =>
  elements(e).filter(c => c.name.replace(/^.*:/, '').toLowerCase() === name.toLowerCase())

/** Reads the package document. Throws a Fault where there is none, or it is protected. */
export function readPackage(parts: ReadonlyMap<string, Uint8Array>): EpubPackage {
  const container = parts.get('META-INF/container.xml')
  const rootfile = container && find(parseXml(container, 'its container'), 'rootfile')
  const path = rootfile?.attrs['full-path'] ?? [...parts.keys()].find(n => n.endsWith('.opf'))
  const bytes = path === undefined ? undefined : parts.get(path)
  if (path === undefined || !bytes) throw new Fault('damaged', 'This EPUB is damaged: it does not say what is in it.')
  const opf = parseXml(bytes, 'its package')
  const folder = path.slice(0, path.lastIndexOf('/') + 1)
  const items = under(under(opf, 'manifest')[0], 'item')
  const pathOf = (item: XmlElement | undefined): string | undefined =>
    item?.attrs.href === undefined ? undefined : pathIn(folder, decoded(item.attrs.href))
  const byId = new Map(items.map(i => [i.attrs.id, i]))
  const spine = under(opf, 'spine')[0]
  const pages = under(spine, 'itemref').map(r => byId.get(r.attrs.idref))
  const has = (item: XmlElement, property: string): boolean =>
    (item.attrs.properties ?? '').split(/\s+/).includes(property)
  const metadata = under(opf, 'metadata')[0]
  const coverId = under(metadata, 'meta').find(m => m.attrs.name === 'cover')?.attrs.content
  return {
    meta: metaOf(metadata),
    spine: pages.flatMap(p => pathOf(p) ?? []),
    nav: pathOf(items.find(i => has(i, 'nav'))),
    ncx: pathOf(byId.get(spine?.attrs.toc) ?? items.find(i => i.attrs['media-type'] === 'application/x-dtbncx+xml')),
    cover: pathOf(items.find(i => has(i, 'cover-image')) ?? byId.get(coverId)),
  }
}

function metaOf(metadata: XmlElement | undefined): RawManuscript['meta'] {
  const all = (name: string): XmlElement[] => under(metadata, name)
  const words = (e: XmlElement | undefined): string | undefined =>
    (e && textOf(e).replace(/\s+/g, ' ').trim()) || undefined
  const refining = (e: XmlElement | undefined, property: string): string | undefined =>
    e?.attrs.id === undefined
      ? undefined
      : words(all('meta').find(m => m.attrs.refines === `#${e.attrs.id}` && m.attrs.property === property))
  const titles = all('title')
  const typed = (type: string): XmlElement | undefined => titles.find(t => refining(t, 'title-type') === type)
  const authors = all('creator').filter(c => {
    const role = refining(c, 'role') ?? c.attrs['opf:role'] ?? 'aut'
    return role === 'aut'
  })
  const collection = all('meta').find(m => m.attrs.property === 'belongs-to-collection')
  const number = Number(refining(collection, 'group-position'))
  return {
    title: words(typed('main') ?? titles[0]),
    subtitle: words(typed('subtitle')),
    author: authors.map(words).filter(Boolean).join('; ') || undefined,
    language: words(all('language')[0]),
    imprint: words(all('publisher')[0]),
    description: descriptionOf(all('description')[0]),
    series: words(collection),
    isbn: all('identifier')
      .map(i => parseIsbn((words(i) ?? '').replace(/^urn:isbn:/i, '')))
      .find(Boolean),
    ...(Number.isInteger(number) && number > 0 && number < 1000 ? { seriesNumber: number } : {}),
  }
}

/** A description may be markup that was made into text. */
const descriptionOf = (e: XmlElement | undefined): string | undefined =>
  (e &&
    textOf(e)
      .replace(/<\/(p|div)>|<br\s*\/?>/gi, '\n')
      .replace(/<[^>]*>/g, '')
      .replace(/[ \t]+/g, ' ')
      .trim()) ||
  undefined

/** An entry of an EPUB's contents. */
export interface ContentsEntry {
  label: string
  /** Path and id that it leads to: "text/ch1.xhtml#start". */
  target: string
  /** From 1. */
  level: number
}

function findAny(e: XmlElement, name: string): XmlElement | undefined {
  for (const c of elements(e)) {
    const found = c.name.toLowerCase() === name.toLowerCase() ? c : findAny(c, name)
    if (found) return found
  }
  return undefined
}

/** The contents by its NCX (OPF 2.0.1, 2.4.1). */
export function readNcx(root: XmlElement, path: string): ContentsEntry[] {
  const folder = path.slice(0, path.lastIndexOf('/') + 1)
  const out: ContentsEntry[] = []
  const walk = (e: XmlElement, level: number): void => {
    for (const point of under(e, 'navPoint')) {
      const label = textOf(under(point, 'navLabel')[0] ?? point)
        .replace(/\s+/g, ' ')
        .trim()
      const src = under(point, 'content')[0]?.attrs.src
      if (src && label) out.push({ label, target: targetIn(folder, src), level })
      if (level < 12) walk(point, level + 1)
    }
  }
  const map = findAny(root, 'navMap')
  if (map) walk(map, 1)
  return out
}

/** The contents by its navigation page (EPUB 3.3, 7). */
export function readNav(root: XmlElement, path: string): ContentsEntry[] {
  const folder = path.slice(0, path.lastIndexOf('/') + 1)
  const out: ContentsEntry[] = []
  const walk = (e: XmlElement, level: number): void => {
    for (const c of elements(e)) {
      if (c.name === 'a' && c.attrs.href)
        out.push({ label: textOf(c).replace(/\s+/g, ' ').trim(), target: targetIn(folder, c.attrs.href), level })
      else if (level < 12) walk(c, c.name === 'ol' ? level + 1 : level)
    }
  }
  const navs: XmlElement[] = []
  const seek = (e: XmlElement): void => {
    for (const c of elements(e)) {
      if (c.name === 'nav') navs.push(c)
      else seek(c)
    }
  }
  seek(root)
  const toc = navs.find(n => /\btoc\b/.test(n.attrs['epub:type'] ?? '')) ?? navs[0]
  if (toc) walk(toc, 0)
  return out.filter(e => e.label)
}

function targetIn(folder: string, href: string): string {
  const [file = '', id] = href.split('#')
  const path = pathIn(folder, decoded(file))
  return id ? `${path}#${decoded(id)}` : path
}
