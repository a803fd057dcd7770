import { strToU8, type Zippable, zipSync } from 'fflate'
import {
  type Asset,
  authorLine,
  type Book,
  copyrightLines,
  filled,
  contentsEntries,
  labels,
  linkedPlaces,
  type PrintedWords,
  printedWords,
  picturesIn,
  type Section,
  type SectionLabel,
  seriesLine,
  shortName,
  uidOf,
} from '../book'
import type { PageStart } from '../pages'
import { dayOf, joined, type Markup, xml } from '../trade'
import { navFile, ncxFile } from './navigation'
import { packageFile } from './packageFile'
import { Publication } from './publication'
import { styleSheet } from './style'
import { type Breaks, page, sectionBody, type XhtmlContext } from './xhtml'

export interface EpubOptions {
  isbn?: string
  /** ISO 8601, UTC, whole seconds. */
  date: string
  /** The front cover as JPEG or PNG. */
  cover?: { bytes: Uint8Array; type: 'image/jpeg' | 'image/png' }
  /** Bytes of the book's pictures by asset. */
  picture(asset: string): Uint8Array | undefined
  /** Where printed pages begin, for the page list. */
  pages?: PageStart[]
  /** Whether the cover, and the contents, are pages that are read through. They are, where it is not said. */
  coverPage?: boolean
  contentsPage?: boolean
}

const extensions: Record<Asset['type'], string> = {
  'image/png': 'png',
  'image/jpeg': 'jpg',
  'image/gif': 'gif',
  'image/svg+xml': 'svg',
  // Only planned pages have pages of PDFs, which no flowing book has.
  'application/pdf': 'pdf',
}

/** Writes the book as EPUB 3 with what older devices read beside (NCX, guide). Same book, same bytes. */
export function writeEpub(book: Book, options: EpubOptions): Uint8Array {
  const { data } = book
  const words = printedWords(data.language)
  const sections = book.sections.filter(isRead)
  const used = new Set(sections.flatMap(s => picturesIn(s).map(p => p.asset)))
  if (data.imprint.logo && sections.some(s => s.made && s.role === 'title-page')) used.add(data.imprint.logo)
  const assets = book.assets.filter(a => used.has(a.id) && !a.damaged && options.picture(a.id))
  const publication = new Publication(
    options.isbn ? `urn:isbn:${options.isbn}` : `urn:uuid:${uidOf(book)}`,
    new Map(assets.map(a => [a.id, a])),
  )
  if (options.cover) addCover(publication, book, words, options)
  addSections(publication, book, sections, options)
  const { nav, spine, files } = publication
  if (!nav.length && spine.length)
    nav.push({ title: data.title, href: files.find(f => f.id === spine.at(-1))!.path, depth: 0 })
  publication.add({
    path: 'text/nav.xhtml',
    id: 'nav',
    type: 'application/xhtml+xml',
    data: navFile(data.language, publication),
    properties: 'nav',
  })
  for (const a of assets)
    publication.add({ path: imageFile(a), id: `i-${a.id.slice(0, 16)}`, type: a.type, data: options.picture(a.id)! })
  publication.add({ path: 'style.css', id: 'css', type: 'text/css', data: styleSheet })
  publication.add({
    path: 'toc.ncx',
    id: 'ncx',
    type: 'application/x-dtbncx+xml',
    data: ncxFile(words, data.title, publication),
  })
  return packed(publication, packageFile(book, publication, options.date), options.date)
}

/** Whether a section is in the ebook: it has words or makes them, and is not for paper only. */
const isRead = (s: Section): boolean =>
  s.role !== 'half-title' &&
  (s.made || !!s.title || s.role === 'part' || s.doc.content.some(b => b.type !== 'paragraph' || !!b.content?.length))

const imageFile = (a: Asset): string => `images/${a.id.slice(0, 16)}.${extensions[a.type]}`

function addCover(
  publication: Publication,
  { data }: Book,
  words: PrintedWords,
  { cover, coverPage = true }: EpubOptions,
): void {
  const { bytes, type } = cover!
  const ext = type === 'image/png' ? 'png' : 'jpg'
  const author = authorLine(data)
  const alt = `${words.cover}: ${author ? filled(words.by, { title: data.title, author }) : data.title}`
  const path = `images/cover.${ext}`
  publication.add({ path, id: 'cover-image', type, data: bytes, properties: 'cover-image' })
  if (!coverPage) return
  publication.addText(
    'text/cover.xhtml',
    'cover',
    page(
      words.cover,
      data.language,
      xml`<section epub:type="cover" class="cover"><img src="../${path}" alt="${alt}"/></section>`,
    ),
  )
  publication.landmarks.push({ type: 'cover', title: words.cover, href: 'text/cover.xhtml' })
}

/** Where links lead: sections are files, linked blocks places in them. */
function placesOf(sections: Section[]): Map<string, string> {
  const out = new Map<string, string>()
  const files = sections.filter(s => !(s.role === 'contents' && s.made))
  for (const s of files) out.set(s.id, `${s.id}.xhtml`)
  for (const [id, { section, block }] of linkedPlaces(sections)) if (block) out.set(id, `${section}.xhtml#${block}`)
  return out
}

/** The sections, and where contents, landmarks and the list of printed pages lead to in them. */
function addSections(publication: Publication, book: Book, sections: Section[], options: EpubOptions): void {
  const { data } = book
  const { assets, landmarks, nav, pageList, spine } = publication
  const words = printedWords(data.language)
  const names = labels(book.sections, data.language)
  const breaks = breaksOf(options.pages ?? [])
  const ctx: XhtmlContext = {
    language: data.language,
    assets,
    href: id => `../${imageFile(assets.get(id)!)}`,
    breaks: new Map(),
    places: placesOf(sections),
    seen: new Set(),
  }
  const entries = contentsEntries(book.sections, data.language)
  for (const s of sections) {
    const label = names.get(s.id)!
    if (s.role === 'contents' && s.made) {
      if (options.contentsPage === false) continue
      spine.push('nav')
      landmarks.push({ type: 'toc', title: label.title, href: 'text/nav.xhtml' })
      continue
    }
    const path = `text/${s.id}.xhtml`
    if (s.made && s.role === 'title-page') landmarks.push({ type: 'titlepage', title: words.titlePage, href: path })
    const before = ctx.seen.size
    const body = bodyOf(book, s, label, { ...ctx, breaks: breaks.get(s.id) ?? ctx.breaks }, options.isbn)
    for (const l of [...ctx.seen].slice(before)) pageList.push({ label: l, href: `${path}#page-${l}` })
    publication.addText(path, s.id, page(shortName(label) || data.title, data.language, body))
    for (const e of entries)
      if (e.section === s.id)
        nav.push({
          title: [e.numberWords, e.title].filter(Boolean).join(': '),
          href: e.block ? `${path}#${e.block}` : path,
          depth: e.level,
        })
  }
  const start = sections.find(s => s.part === 'body' && !(s.role === 'contents' && s.made))
  if (start) landmarks.push({ type: 'bodymatter', title: words.textBegins, href: `text/${start.id}.xhtml` })
}

function bodyOf(book: Book, s: Section, label: SectionLabel, ctx: XhtmlContext, isbn: string | undefined): Markup {
  if (s.made && s.role === 'title-page') return titleBody(book, ctx)
  if (!(s.made && s.role === 'copyright')) return sectionBody(s, label, ctx)
  const lines = copyrightLines(book, isbn).map(l => xml`<p>${l}</p>`)
  const { copyright } = printedWords(ctx.language)
  return xml`<section epub:type="copyright-page" class="copyright made" aria-label="${copyright}">\n${joined(lines, '\n')}\n</section>`
}

/** Where printed pages begin, by section and block. */
function breaksOf(pages: PageStart[]): Map<string, Breaks> {
  const breaks = new Map<string, Breaks>()
  for (const { section, block, label, chars } of pages) {
    const own = breaks.get(section) ?? new Map<string, { label: string; chars: number }[]>()
    breaks.set(section, own.set(block, [...(own.get(block) ?? []), { label, chars }]))
  }
  return breaks
}

function titleBody(book: Book, { assets, href }: XhtmlContext): Markup {
  const { data } = book
  const asset = data.imprint.logo ? assets.get(data.imprint.logo) : undefined
  const logo =
    asset &&
    xml`<p class="logo"><img src="${href(asset.id)}" alt="${data.imprint.name}"${!data.imprint.name && xml` role="presentation"`}/></p>\n`
  const line = (cls: string, t: string | undefined): Markup | undefined =>
    t ? xml`<p class="${cls}">${t}</p>\n` : undefined
  return xml`<section epub:type="titlepage" class="titlepage">\n<h1>${data.title}</h1>\n${line('subtitle', data.subtitle)}${line('series', seriesLine(book))}${line('author', authorLine(data))}${logo}${line('imprint', data.imprint.name)}</section>`
}

/** The container (EPUB OCF): its first file says what it is, and is not packed. */
function packed({ files }: Publication, packageDocument: Markup, date: string): Uint8Array {
  const mtime = dayOf(date)
  const zip: Zippable = {
    mimetype: [strToU8('application/epub+zip'), { level: 0, mtime }],
    'META-INF/container.xml': [
      strToU8(
        '<?xml version="1.0" encoding="UTF-8"?>\n<container version="1.0" xmlns="urn:oasis:names:tc:opendocument:xmlns:container"><rootfiles><rootfile full-path="OEBPS/content.opf" media-type="application/oebps-package+xml"/></rootfiles></container>\n',
      ),
      { mtime },
    ],
    'OEBPS/content.opf': [strToU8(String(packageDocument)), { mtime }],
  }
  for (const f of files)
    zip[`OEBPS/${f.path}`] = [f.data, { mtime, level: /^image\/(png|jpeg|gif)$/.test(f.type) ? 0 : 6 }]
  return zipSync(zip)
}
