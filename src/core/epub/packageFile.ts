import { type Asset, type Book, picturesIn, type Section, type TitleData } from '../book'
import { joined, type Markup, xml } from '../trade'
import type { Landmark, Publication } from './publication'

/** What the guide of EPUB 2 calls each landmark. */
const GUIDE: Record<Landmark['type'], string> = {
  cover: 'cover',
  toc: 'toc',
  bodymatter: 'text',
  titlepage: 'title-page',
}

/** The package document: what the publication is, its files and their order. `date`: when it was made, ISO 8601, UTC. */
export function packageFile(book: Book, publication: Publication, date: string): Markup {
  const { data } = book
  const metadata = [
    xml`<dc:identifier id="uid">${publication.identifier}</dc:identifier>`,
    ...about(data, date),
    ...access(book.sections, publication),
  ]
  if (publication.files.some(f => f.id === 'cover-image'))
    metadata.push(xml`<meta name="cover" content="cover-image"/>`)
  const manifest = joined(
    publication.files.map(
      f =>
        xml`<item id="${f.id}" href="${f.path}" media-type="${f.type}"${f.properties && xml` properties="${f.properties}"`}/>`,
    ),
    '\n',
  )
  const guide = joined(
    publication.landmarks.map(l => xml`<reference type="${GUIDE[l.type]}" title="${l.title}" href="${l.href}"/>`),
    '\n',
  )
  return xml`<?xml version="1.0" encoding="UTF-8"?>\n<package xmlns="http://www.idpf.org/2007/opf" version="3.0" unique-identifier="uid" xml:lang="${data.language}">\n<metadata xmlns:dc="http://purl.org/dc/elements/1.1/">\n${joined(metadata, '\n')}\n</metadata>\n<manifest>\n${manifest}\n</manifest>\n<spine toc="ncx">\n${joined(
    publication.spine.map(id => xml`<itemref idref="${id}"/>`),
    '\n',
  )}\n</spine>\n<guide>\n${guide}\n</guide>\n</package>\n`
}

/** The book's data. */
function about(data: TitleData, date: string): Markup[] {
  const m: Markup[] = [
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
  m.push(xml`<dc:date>${date.slice(0, 10)}</dc:date>`, xml`<meta property="dcterms:modified">${date}</meta>`)
  if (data.series) {
    m.push(
      xml`<meta property="belongs-to-collection" id="series">${data.series.name}</meta>`,
      xml`<meta refines="#series" property="collection-type">series</meta>`,
    )
    if (data.series.number) m.push(xml`<meta refines="#series" property="group-position">${data.series.number}</meta>`)
  }
  return m
}

/** How it can be read: conformance is stated as far as it is known: what is described, and no more. */
function access(sections: Section[], { assets, pageList }: Publication): Markup[] {
  const described = allDescribed(sections, assets)
  const m = [xml`<meta property="schema:accessMode">textual</meta>`]
  if (assets.size) m.push(xml`<meta property="schema:accessMode">visual</meta>`)
  if (described) m.push(xml`<meta property="schema:accessModeSufficient">textual</meta>`)
  m.push(
    xml`<meta property="schema:accessibilityFeature">tableOfContents</meta>`,
    xml`<meta property="schema:accessibilityFeature">readingOrder</meta>`,
    xml`<meta property="schema:accessibilityFeature">structuralNavigation</meta>`,
  )
  if (assets.size && described) m.push(xml`<meta property="schema:accessibilityFeature">alternativeText</meta>`)
  if (pageList.length) m.push(xml`<meta property="schema:accessibilityFeature">printPageNumbers</meta>`)
  m.push(
    xml`<meta property="schema:accessibilityHazard">none</meta>`,
    xml`<meta property="schema:accessibilitySummary">${described ? 'All text can be read by any means; pictures, if any, are described.' : 'All text can be read by any means; some pictures are not described.'}</meta>`,
  )
  return m
}

const allDescribed = (sections: Section[], assets: Map<string, Asset>): boolean =>
  sections.every(s => picturesIn(s).every(p => !assets.has(p.asset) || p.decoration || !!p.alt.trim()))
