import {
  decoded,
  decodeXml,
  elements,
  find,
  folderOf,
  htmlTree,
  parseXml,
  pathIn,
  readZip,
  targetIn,
  textOf,
  type XmlElement,
} from '../files'
import { Fault } from '../trade'
import type { Epub, EpubItem, Landmark, NavEntry, PageEntry, SpineItem, Statement } from './epub'
import { GUIDE, NCX } from './packageFile'
import { CONTAINER } from './zip'

/** Reads a file as an ebook. Throws a Fault where it is none, or says not what is in it. */
export const openEpub = (bytes: Uint8Array): Epub => readEpub(readZip(bytes, () => true))

/** The files of a container as an ebook, of EPUB 3 or 2. Throws a Fault where nothing says what is in it. */
export function readEpub(parts: ReadonlyMap<string, Uint8Array>): Epub {
  const container = parts.get(CONTAINER)
  const rootfile = container && find(parseXml(container, 'its container'), 'rootfile')
  const root = rootfile?.attrs['full-path'] ?? [...parts.keys()].find(n => n.endsWith('.opf'))
  const bytes = root === undefined ? undefined : parts.get(root)
  if (root === undefined || !bytes) throw new Fault('damaged', 'This EPUB is damaged: it does not say what is in it.')
  const opf = parseXml(bytes, 'its package')
  const { items, absent } = manifestOf(opf, root, parts)
  const spine = under(opf, 'spine')[0]
  const named = new Set([...items.map(i => i.path), root, CONTAINER, 'mimetype'])
  const language = opf.attrs['xml:lang']
  const direction = spine?.attrs['page-progression-direction']
  return {
    root,
    version: opf.attrs.version ?? '2.0',
    uid: opf.attrs['unique-identifier'] ?? '',
    ...(language === undefined ? {} : { language }),
    metadata: metadataOf(under(opf, 'metadata')[0]),
    items,
    absent,
    spine: under(spine, 'itemref').map(spineItem),
    ...(direction === 'rtl' || direction === 'ltr' ? { direction } : {}),
    ...leadsOf(opf, root, items),
    others: new Map([...parts].filter(([path]) => !named.has(path) && !path.endsWith('/'))),
  }
}

/** Children by name; prefixes vary, and pages that were read as HTML have lost their capitals. */
const under = (e: XmlElement | undefined, name: string): XmlElement[] =>
  elements(e).filter(c => localName(c).toLowerCase() === name.toLowerCase())

const localName = (e: XmlElement): string => e.name.replace(/^.*:/, '')
const wordsOf = (list: string | undefined): string[] => (list ?? '').split(/\s+/).filter(Boolean)
const lineOf = (e: XmlElement): string => textOf(e).replace(/\s+/g, ' ').trim()

/** What stands in the metadata, and in the wrappers that the oldest ones have around it. */
function metadataOf(metadata: XmlElement | undefined): Statement[] {
  return elements(metadata).flatMap((e): Statement[] => {
    const name = localName(e)
    if (/^(dc|x)-metadata$/.test(name)) return metadataOf(e)
    return [
      {
        name: name === 'meta' || name === 'link' ? name : `dc:${name.toLowerCase()}`,
        value: textOf(e),
        attrs: e.attrs,
      },
    ]
  })
}

function manifestOf(
  opf: XmlElement,
  root: string,
  parts: ReadonlyMap<string, Uint8Array>,
): Pick<Epub, 'items' | 'absent'> {
  const items: EpubItem[] = []
  const absent: Epub['absent'] = []
  for (const { attrs } of under(under(opf, 'manifest')[0], 'item')) {
    const href = attrs.href ?? ''
    const path = /^[a-z][a-z\d+.-]*:/i.test(href) ? href : pathIn(folderOf(root), decoded(href))
    const item = {
      id: attrs.id ?? '',
      path,
      type: attrs['media-type'] ?? '',
      properties: wordsOf(attrs.properties),
      ...(attrs.fallback ? { fallback: attrs.fallback } : {}),
      ...(attrs['media-overlay'] ? { overlay: attrs['media-overlay'] } : {}),
    }
    const data = parts.get(path)
    if (data) items.push({ ...item, data })
    else absent.push(item)
  }
  return { items, absent }
}

const spineItem = ({ attrs }: XmlElement): SpineItem => ({
  id: attrs.idref ?? '',
  linear: attrs.linear !== 'no',
  properties: wordsOf(attrs.properties),
})

/** Where contents, landmarks and the list of pages lead: by the navigation document, by NCX and guide where there is none. */
function leadsOf(opf: XmlElement, root: string, items: readonly EpubItem[]): Pick<Epub, 'nav' | 'landmarks' | 'pages'> {
  const nav = items.find(i => i.properties.includes('nav'))
  if (nav) return navOf(htmlTree(decodeXml(nav.data)), nav.path)
  const toc = under(opf, 'spine')[0]?.attrs.toc
  const ncx = items.find(i => i.id === toc && i.type === NCX) ?? items.find(i => i.type === NCX)
  const kinds = new Map(Object.entries(GUIDE).map(([type, kind]) => [kind, type]))
  const landmarks = under(under(opf, 'guide')[0], 'reference').flatMap(({ attrs }): Landmark[] => {
    const type = kinds.get(attrs.type ?? '')
    return type && attrs.href ? [{ type, title: attrs.title ?? '', href: targetIn(root, attrs.href) }] : []
  })
  return { ...(ncx ? ncxOf(htmlTree(decodeXml(ncx.data)), ncx.path) : { nav: [], pages: [] }), landmarks }
}

/** Deepest entry of contents that is told from those above it. */
const DEEPEST = 12

/** The navigation document (EPUB 3.3, 7). */
function navOf(tree: XmlElement, path: string): Pick<Epub, 'nav' | 'landmarks' | 'pages'> {
  const navs = allNamed(tree, 'nav')
  const of = (type: string): XmlElement | undefined => navs.find(n => wordsOf(n.attrs['epub:type']).includes(type))
  const links = (e: XmlElement | undefined): { a: XmlElement; depth: number }[] => {
    const out: { a: XmlElement; depth: number }[] = []
    const walk = (x: XmlElement, depth: number): void => {
      for (const c of elements(x)) {
        if (c.name === 'a' && c.attrs.href) out.push({ a: c, depth: Math.max(0, depth) })
        else walk(c, c.name === 'ol' && depth < DEEPEST ? depth + 1 : depth)
      }
    }
    if (e) walk(e, -1)
    return out
  }
  const target = (a: XmlElement): string => targetIn(path, a.attrs.href!)
  return {
    nav: links(of('toc') ?? navs[0]).flatMap(({ a, depth }): NavEntry[] => {
      const title = lineOf(a)
      return title ? [{ title, href: target(a), depth }] : []
    }),
    landmarks: links(of('landmarks')).map(({ a }) => ({
      type: wordsOf(a.attrs['epub:type'])[0] ?? '',
      title: lineOf(a),
      href: target(a),
    })),
    pages: links(of('page-list')).map(({ a }) => ({ label: lineOf(a), href: target(a) })),
  }
}

/** The contents of EPUB 2 (OPF 2.0.1, 2.4.1). */
function ncxOf(tree: XmlElement, path: string): Pick<Epub, 'nav' | 'pages'> {
  const entry = (point: XmlElement): { title: string; href: string } | undefined => {
    const label = under(point, 'navLabel')[0]
    const src = under(point, 'content')[0]?.attrs.src
    const title = label && lineOf(label)
    return src && title ? { title, href: targetIn(path, src) } : undefined
  }
  const nav: NavEntry[] = []
  const walk = (e: XmlElement, depth: number): void => {
    for (const point of under(e, 'navPoint')) {
      const said = entry(point)
      if (said) nav.push({ ...said, depth })
      if (depth < DEEPEST) walk(point, depth + 1)
    }
  }
  for (const map of allNamed(tree, 'navmap')) walk(map, 0)
  const pages = allNamed(tree, 'pagetarget').flatMap((p): PageEntry[] => {
    const said = entry(p)
    return said ? [{ label: said.title, href: said.href }] : []
  })
  return { nav, pages }
}

/** Descendants of a name, none of them inside another. */
function allNamed(e: XmlElement, name: string): XmlElement[] {
  return elements(e).flatMap(c => (localName(c).toLowerCase() === name ? [c] : allNamed(c, name)))
}
