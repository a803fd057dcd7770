import { type PrintedWords, printedWords, type TitleData } from '../book'
import { hrefFrom } from '../files'
import type { NavEntry } from '../publication'
import { type Branch, joined, type Markup, nested, xml } from '../trade'
import { at, type Draft } from './draft'
import { page } from './xhtml'

const fromNav = (target: string): string => hrefFrom(at('text/nav.xhtml'), target)
const fromNcx = (target: string): string => hrefFrom(at('toc.ncx'), target)

/** The navigation document: contents, landmarks, and the printed pages where there are any. */
export function navFile(language: string, { nav, landmarks, pages }: Draft): Markup {
  const words = printedWords(language)
  const title = words.sections.contents!
  const list = (branches: Branch<NavEntry>[]): Markup =>
    joined(
      branches.map(
        ({ item, below }) =>
          xml`<li><a href="${fromNav(item.href)}">${item.title}</a>${below.length > 0 && xml`\n<ol>\n${list(below)}</ol>`}</li>\n`,
      ),
    )
  const marks = joined(
    landmarks.map(l => xml`<li><a epub:type="${l.type}" href="${fromNav(l.href)}">${l.title}</a></li>`),
    '\n',
  )
  const pageNav =
    pages.length > 0 &&
    xml`\n<nav epub:type="page-list" role="doc-pagelist" aria-label="${words.pages}" hidden="hidden">\n<ol>\n${joined(
      pages.map(p => xml`<li><a href="${fromNav(p.href)}">${p.label}</a></li>`),
      '\n',
    )}\n</ol>\n</nav>`
  return page(
    title,
    language,
    xml`<nav epub:type="toc" role="doc-toc" id="toc" aria-label="${title}">\n<h1>${title}</h1>\n<ol>\n${list(nested(nav, n => n.depth))}</ol>\n</nav>\n<nav epub:type="landmarks" aria-label="${words.landmarks}" hidden="hidden">\n<ol>\n${marks}\n</ol>\n</nav>${pageNav}`,
  )
}

/** The same for older devices (NCX, of EPUB 2). */
export function ncxFile({ title, language }: TitleData, { identifier, nav, pages }: Draft): Markup {
  const words: PrintedWords = printedWords(language)
  let order = 0
  const points = (branches: Branch<NavEntry>[]): Markup =>
    joined(
      branches.map(
        ({ item, below }) =>
          xml`<navPoint id="np-${++order}" playOrder="${order}"><navLabel><text>${item.title}</text></navLabel><content src="${fromNcx(item.href)}"/>${below.length > 0 && xml`\n${points(below)}\n`}</navPoint>`,
      ),
      '\n',
    )
  // They are counted in the order in which they are read, pages after them.
  const navPoints = points(nested(nav, n => n.depth))
  const depth = Math.max(0, ...nav.map(n => n.depth)) + 1
  const list =
    pages.length > 0 &&
    xml`<pageList><navLabel><text>${words.pages}</text></navLabel>\n${joined(
      pages.map(
        p =>
          xml`<pageTarget id="pt-${p.label}" type="${/^\d/.test(p.label) ? 'normal' : 'front'}" playOrder="${++order}"${/^\d+$/.test(p.label) && xml` value="${p.label}"`}><navLabel><text>${p.label}</text></navLabel><content src="${fromNcx(p.href)}"/></pageTarget>`,
      ),
      '\n',
    )}\n</pageList>`
  return xml`<?xml version="1.0" encoding="UTF-8"?>\n<ncx xmlns="http://www.daisy.org/z3986/2005/ncx/" version="2005-1">\n<head>\n<meta name="dtb:uid" content="${identifier}"/>\n<meta name="dtb:depth" content="${depth}"/>\n<meta name="dtb:totalPageCount" content="${pages.length}"/>\n<meta name="dtb:maxPageNumber" content="${Math.max(0, ...pages.map(p => (/^\d+$/.test(p.label) ? Number(p.label) : 0)))}"/>\n</head>\n<docTitle><text>${title}</text></docTitle>\n<navMap>\n${navPoints}\n</navMap>\n${list}\n</ncx>\n`
}
