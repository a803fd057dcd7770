import { type PrintedWords, printedWords } from '../book'
import { joined, type Markup, xml } from '../trade'
import type { Publication } from './publication'
import { page } from './xhtml'

const relative = (href: string): string => href.replace(/^text\//, '')

/** The navigation document: contents, landmarks, and the printed pages where there are any. */
export function navFile(language: string, { nav, landmarks, pageList }: Publication): Markup {
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
    pageList.length > 0 &&
    xml`\n<nav epub:type="page-list" role="doc-pagelist" aria-label="${words.pages}" hidden="hidden">\n<ol>\n${joined(
      pageList.map(p => xml`<li><a href="${relative(p.href)}">${p.label}</a></li>`),
      '\n',
    )}\n</ol>\n</nav>`
  return page(
    title,
    language,
    xml`<nav epub:type="toc" role="doc-toc" id="toc" aria-label="${title}">\n<h1>${title}</h1>\n<ol>\n${entries}</ol>\n</nav>\n<nav epub:type="landmarks" aria-label="${words.landmarks}" hidden="hidden">\n<ol>\n${marks}\n</ol>\n</nav>${pageNav}`,
  )
}

/** The same for older devices (NCX, of EPUB 2). */
export function ncxFile(words: PrintedWords, title: string, { identifier, nav, pageList: pages }: Publication): Markup {
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
