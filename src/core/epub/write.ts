import { strToU8, type Zippable, zipSync } from 'fflate'
import {
  type Asset,
  authorLine,
  copyrightLines,
  filled,
  type PrintedWords,
  printedWords,
  seriesLine,
  type Book,
  labels,
  picturesIn,
  roles,
  type Section,
  shortName,
  uidOf,
} from '../book'
import { dayOf, joined, type Markup, xml } from '../trade'
import type { PageStart } from '../pages'
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
}

const extensions: Record<Asset['type'], string> = {
  'image/png': 'png',
  'image/jpeg': 'jpg',
  'image/gif': 'gif',
  'image/svg+xml': 'svg',
}

/** Writes the book as EPUB 3 with what older devices read beside (NCX, guide). Same book, same bytes. */
export function writeEpub(book: Book, options: EpubOptions): Uint8Array {
  const { data } = book
  const words = printedWords(data.language)
  const names = labels(book.sections, data.language)
  const sections = book.sections.filter(
    s =>
      s.role !== 'half-title' &&
      (s.made || s.title || s.role === 'part' || s.doc.content.some(b => b.type !== 'paragraph' || b.content?.length)),
  )
  const used = new Set(sections.flatMap(s => picturesIn(s).map(p => p.asset)))
  const assets = new Map(
    book.assets.filter(a => used.has(a.id) && !a.damaged && options.picture(a.id)).map(a => [a.id, a]),
  )
  const imageFile = (a: Asset): string => `images/${a.id.slice(0, 16)}.${extensions[a.type]}`

  const breaks = new Map<string, Breaks>()
  for (const { section, block, label, chars } of options.pages ?? []) {
    const own = breaks.get(section) ?? new Map<string, { label: string; chars: number }[]>()
    breaks.set(section, own.set(block, [...(own.get(block) ?? []), { label, chars }]))
  }
  const ctx: XhtmlContext = {
    language: data.language,
    assets,
    href: id => `../${imageFile(assets.get(id)!)}`,
    breaks: new Map(),
    sections: new Set(sections.filter(s => !(s.role === 'contents' && s.made)).map(s => s.id)),
    seen: new Set(),
  }

  const files: { path: string; id: string; type: string; data: Uint8Array; properties?: string }[] = []
  const spine: { id: string; linear?: boolean }[] = []
  const nav: { title: string; href: string; depth: number }[] = []
  const pageList: { label: string; href: string }[] = []
  const landmarks: { type: string; title: string; href: string }[] = []
  const add = (
    path: string,
    id: string,
    type: string,
    content: Markup | Uint8Array | string,
    properties?: string,
  ): void => {
    files.push({
      path,
      id,
      type,
      data: content instanceof Uint8Array ? content : strToU8(String(content)),
      ...(properties ? { properties } : {}),
    })
  }

  if (options.cover) {
    const ext = options.cover.type === 'image/png' ? 'png' : 'jpg'
    add(`images/cover.${ext}`, 'cover-image', options.cover.type, options.cover.bytes, 'cover-image')
    add(
      'text/cover.xhtml',
      'cover',
      'application/xhtml+xml',
      page(
        words.cover,
        data.language,
        xml`<section epub:type="cover" class="cover"><img src="../images/cover.${ext}" alt="${`${words.cover}: ${authorLine(data) ? filled(words.by, { title: data.title, author: authorLine(data) }) : data.title}`}"/></section>`,
      ),
    )
    spine.push({ id: 'cover' })
    landmarks.push({ type: 'cover', title: words.cover, href: 'text/cover.xhtml' })
  }
  const hasParts = sections.some(s => s.role === 'part')
  let inPart = false
  let bodyStart: string | undefined
  for (const s of sections) {
    const label = names.get(s.id)!
    if (s.role === 'contents' && s.made) {
      spine.push({ id: 'nav' })
      landmarks.push({ type: 'toc', title: label.title, href: 'text/nav.xhtml' })
      continue
    }
    const path = `text/${s.id}.xhtml`
    let body: Markup
    if (s.made && s.role === 'title-page') {
      body = titleBody(book)
      landmarks.push({ type: 'titlepage', title: words.titlePage, href: path })
    } else if (s.made && s.role === 'copyright')
      body = xml`<section epub:type="copyright-page" class="copyright" aria-label="${words.copyright}">\n${joined(
        copyrightLines(book, options.isbn).map(l => xml`<p>${l}</p>`),
        '\n',
      )}\n</section>`
    else {
      const before = ctx.seen.size
      body = sectionBody(s, label, { ...ctx, breaks: breaks.get(s.id) ?? ctx.breaks })
      for (const l of [...ctx.seen].slice(before)) pageList.push({ label: l, href: `${path}#page-${l}` })
    }
    add(path, s.id, 'application/xhtml+xml', page(shortName(label) || data.title, data.language, body))
    spine.push({ id: s.id })
    if (s.part === 'body' && !bodyStart) bodyStart = path
    if (s.role === 'part') inPart = true
    else if (s.part !== 'body') inPart = false
    const title = [label.numberWords, label.title].filter(Boolean).join(': ')
    if (roles[s.role].listed && title)
      nav.push({ title, href: path, depth: hasParts && inPart && s.role !== 'part' ? 1 : 0 })
  }
  if (bodyStart) landmarks.push({ type: 'bodymatter', title: words.textBegins, href: bodyStart })
  if (!nav.length && spine.length)
    nav.push({ title: data.title, href: files.find(f => f.id === spine[spine.length - 1]!.id)!.path, depth: 0 })

  add('text/nav.xhtml', 'nav', 'application/xhtml+xml', navFile(data.language, nav, landmarks, pageList), 'nav')
  for (const a of assets.values()) add(imageFile(a), `i-${a.id.slice(0, 16)}`, a.type, options.picture(a.id)!)
  add('style.css', 'css', 'text/css', styleSheet)
  const identifier = options.isbn ? `urn:isbn:${options.isbn}` : `urn:uuid:${uidOf(book)}`
  add('toc.ncx', 'ncx', 'application/x-dtbncx+xml', ncxFile(words, identifier, data.title, nav, pageList))
  const opf = opfFile(book, identifier, options, files, spine, landmarks, assets, pageList.length > 0)

  const mtime = dayOf(options.date)
  const zip: Zippable = {
    mimetype: [strToU8('application/epub+zip'), { level: 0, mtime }],
    'META-INF/container.xml': [
      strToU8(
        '<?xml version="1.0" encoding="UTF-8"?>\n<container version="1.0" xmlns="urn:oasis:names:tc:opendocument:xmlns:container"><rootfiles><rootfile full-path="OEBPS/content.opf" media-type="application/oebps-package+xml"/></rootfiles></container>\n',
      ),
      { mtime },
    ],
    'OEBPS/content.opf': [strToU8(String(opf)), { mtime }],
  }
  for (const f of files)
    zip[`OEBPS/${f.path}`] = [f.data, { mtime, level: /^image\/(png|jpeg|gif)$/.test(f.type) ? 0 : 6 }]
  return zipSync(zip)
}

function titleBody(book: Book): Markup {
  const { data } = book
  const line = (cls: string, t: string | undefined): Markup | undefined =>
    t ? xml`<p class="${cls}">${t}</p>\n` : undefined
  return xml`<section epub:type="titlepage" class="titlepage">\n<h1>${data.title}</h1>\n${line('subtitle', data.subtitle)}${line('series', seriesLine(book))}${line('author', authorLine(data))}${line('imprint', data.imprint.name)}</section>`
}

const relative = (href: string): string => href.replace(/^text\//, '')

function navFile(
  language: string,
  nav: { title: string; href: string; depth: number }[],
  landmarks: { type: string; title: string; href: string }[],
  pages: { label: string; href: string }[],
): Markup {
  const words = printedWords(language)
  const title = words.sections.contents!
  // Chapters of a part stand in a list inside its own entry.
  const entries: Markup[] = []
  for (let i = 0; i < nav.length; i++) {
    const link = (n: (typeof nav)[number]): Markup => xml`<a href="${relative(n.href)}">${n.title}</a>`
    const inner: Markup[] = []
    let j = i + 1
    while (j < nav.length && nav[j]!.depth > nav[i]!.depth) inner.push(xml`<li>${link(nav[j++]!)}</li>\n`)
    entries.push(
      inner.length ? xml`<li>${link(nav[i]!)}\n<ol>\n${inner}</ol></li>\n` : xml`<li>${link(nav[i]!)}</li>\n`,
    )
    i = j - 1
  }
  const marks = joined(
    landmarks.map(l => xml`<li><a epub:type="${l.type}" href="${relative(l.href)}">${l.title}</a></li>`),
    '\n',
  )
  const pageNav =
    pages.length > 0 &&
    xml`\n<nav epub:type="page-list" role="doc-pagelist" aria-label="${words.pages}" hidden="hidden">\n<ol>\n${joined(
      pages.map(p => xml`<li><a href="${relative(p.href)}">${p.label}</a></li>`),
      '\n',
    )}\n</ol>\n</nav>`
  return page(
    title,
    language,
    xml`<nav epub:type="toc" role="doc-toc" id="toc" aria-label="${title}">\n<h1>${title}</h1>\n<ol>\n${entries}</ol>\n</nav>\n<nav epub:type="landmarks" aria-label="${words.landmarks}" hidden="hidden">\n<ol>\n${marks}\n</ol>\n</nav>${pageNav}`,
  )
}

function ncxFile(
  words: PrintedWords,
  identifier: string,
  title: string,
  nav: { title: string; href: string }[],
  pages: { label: string; href: string }[],
): Markup {
  let order = 0
  const points = joined(
    nav.map(
      n =>
        xml`<navPoint id="np-${++order}" playOrder="${order}"><navLabel><text>${n.title}</text></navLabel><content src="${n.href}"/></navPoint>`,
    ),
    '\n',
  )
  const list =
    pages.length > 0 &&
    xml`<pageList><navLabel><text>${words.pages}</text></navLabel>\n${joined(
      pages.map(
        p =>
          xml`<pageTarget id="pt-${p.label}" type="${/^\d/.test(p.label) ? 'normal' : 'front'}" playOrder="${++order}"${/^\d+$/.test(p.label) && xml` value="${p.label}"`}><navLabel><text>${p.label}</text></navLabel><content src="${p.href}"/></pageTarget>`,
      ),
      '\n',
    )}\n</pageList>`
  return xml`<?xml version="1.0" encoding="UTF-8"?>\n<ncx xmlns="http://www.daisy.org/z3986/2005/ncx/" version="2005-1">\n<head>\n<meta name="dtb:uid" content="${identifier}"/>\n<meta name="dtb:depth" content="1"/>\n<meta name="dtb:totalPageCount" content="${pages.length}"/>\n<meta name="dtb:maxPageNumber" content="${Math.max(0, ...pages.map(p => (/^\d+$/.test(p.label) ? Number(p.label) : 0)))}"/>\n</head>\n<docTitle><text>${title}</text></docTitle>\n<navMap>\n${points}\n</navMap>\n${list}\n</ncx>\n`
}

function opfFile(
  book: Book,
  identifier: string,
  o: EpubOptions,
  files: { path: string; id: string; type: string; properties?: string }[],
  spine: { id: string; linear?: boolean }[],
  landmarks: { type: string; title: string; href: string }[],
  assets: Map<string, Asset>,
  paged: boolean,
): Markup {
  const { data } = book
  const m: Markup[] = [
    xml`<dc:identifier id="uid">${identifier}</dc:identifier>`,
    xml`<dc:title id="title">${data.title || 'Untitled'}</dc:title>`,
    xml`<meta refines="#title" property="title-type">main</meta>`,
  ]
  if (data.subtitle)
    m.push(
      xml`<dc:title id="subtitle">${data.subtitle}</dc:title>`,
      xml`<meta refines="#subtitle" property="title-type">subtitle</meta>`,
    )
  data.contributors.forEach((c, i) => {
    m.push(
      c.role === 'aut'
        ? xml`<dc:creator id="c${i}">${c.name}</dc:creator>`
        : xml`<dc:contributor id="c${i}">${c.name}</dc:contributor>`,
      xml`<meta refines="#c${i}" property="role" scheme="marc:relators">${c.role}</meta>`,
    )
    if (c.sortName) m.push(xml`<meta refines="#c${i}" property="file-as">${c.sortName}</meta>`)
  })
  m.push(xml`<dc:language>${data.language}</dc:language>`)
  if (data.imprint.name) m.push(xml`<dc:publisher>${data.imprint.name}</dc:publisher>`)
  if (data.description) m.push(xml`<dc:description>${data.description}</dc:description>`)
  if (data.rights) m.push(xml`<dc:rights>${data.rights}</dc:rights>`)
  for (const s of data.subjects) m.push(xml`<dc:subject>${s}</dc:subject>`)
  m.push(xml`<dc:date>${o.date.slice(0, 10)}</dc:date>`, xml`<meta property="dcterms:modified">${o.date}</meta>`)
  if (data.series) {
    m.push(
      xml`<meta property="belongs-to-collection" id="series">${data.series.name}</meta>`,
      xml`<meta refines="#series" property="collection-type">series</meta>`,
    )
    if (data.series.number) m.push(xml`<meta refines="#series" property="group-position">${data.series.number}</meta>`)
  }
  // Conformance is stated as far as it is known: what is described, and no more.
  const described = allDescribed(book.sections, assets)
  m.push(xml`<meta property="schema:accessMode">textual</meta>`)
  if (assets.size) m.push(xml`<meta property="schema:accessMode">visual</meta>`)
  if (described) m.push(xml`<meta property="schema:accessModeSufficient">textual</meta>`)
  m.push(
    xml`<meta property="schema:accessibilityFeature">tableOfContents</meta>`,
    xml`<meta property="schema:accessibilityFeature">readingOrder</meta>`,
    xml`<meta property="schema:accessibilityFeature">structuralNavigation</meta>`,
  )
  if (assets.size && described) m.push(xml`<meta property="schema:accessibilityFeature">alternativeText</meta>`)
  if (paged) m.push(xml`<meta property="schema:accessibilityFeature">printPageNumbers</meta>`)
  m.push(
    xml`<meta property="schema:accessibilityHazard">none</meta>`,
    xml`<meta property="schema:accessibilitySummary">${described ? 'All text can be read by any means; pictures, if any, are described.' : 'All text can be read by any means; some pictures are not described.'}</meta>`,
  )
  if (o.cover) m.push(xml`<meta name="cover" content="cover-image"/>`)
  const manifest = joined(
    files.map(
      f =>
        xml`<item id="${f.id}" href="${f.path}" media-type="${f.type}"${f.properties && xml` properties="${f.properties}"`}/>`,
    ),
    '\n',
  )
  const guideTypes: Record<string, string> = { cover: 'cover', toc: 'toc', bodymatter: 'text', titlepage: 'title-page' }
  const guide = joined(
    landmarks.map(l => xml`<reference type="${guideTypes[l.type]}" title="${l.title}" href="${l.href}"/>`),
    '\n',
  )
  return xml`<?xml version="1.0" encoding="UTF-8"?>\n<package xmlns="http://www.idpf.org/2007/opf" version="3.0" unique-identifier="uid" xml:lang="${data.language}">\n<metadata xmlns:dc="http://purl.org/dc/elements/1.1/">\n${joined(m, '\n')}\n</metadata>\n<manifest>\n${manifest}\n</manifest>\n<spine toc="ncx">\n${joined(
    spine.map(s => xml`<itemref idref="${s.id}"/>`),
    '\n',
  )}\n</spine>\n<guide>\n${guide}\n</guide>\n</package>\n`
}

const allDescribed = (sections: Section[], assets: Map<string, Asset>): boolean =>
  sections.every(s => picturesIn(s).every(p => !assets.has(p.asset) || p.decoration || !!p.alt.trim()))
