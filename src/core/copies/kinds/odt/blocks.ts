import {
  type BlockJson,
  gridColumns,
  gridOf,
  type ImageJson,
  type InlineJson,
  type ListJson,
  type QuoteJson,
  type Section,
  type TableJson,
} from '@/core/book'
import { losePicture } from '../../copyKind'
import { placesOf } from '../../tableRows'
import { type OdtWriting, pictureXml, text, wordsXml } from './words'

/** The width of the text that pictures are measured by, in points: about 16 cm. */
const MEASURE = 450

const paragraph = (style: string, inside: string): string => `<text:p text:style-name="${style}">${inside}</text:p>`
const mark = (id: string): string => (id ? `<text:bookmark text:name="${text(id)}"/>` : '')

/** A section: its heading as the book prints it, its subtitle, its text. */
export function sectionXml(s: Section, w: OdtWriting): string {
  const heading = text(w.source.heading(s))
  if (s.picture) w.losses.add('pictures over openings')
  return [
    `<text:h text:style-name="Opening" text:outline-level="1">${mark(s.id)}${heading}</text:h>`,
    ...(s.subtitle ? [paragraph('Subtitle', text(s.subtitle))] : []),
    ...s.doc.content.map(b => blockXml(b, w, 'Text')),
  ].join('\n')
}

const ends: Record<string, string> = { left: 'Left', right: 'Right', center: 'Center' }

/** A block. `style`: what paragraphs are, where something holds them. */
function blockXml(b: BlockJson, w: OdtWriting, style: string): string {
  switch (b.type) {
    case 'paragraph': {
      const { id, align } = b.attrs
      return paragraph(align ? `${style}${ends[align]}` : style, mark(id) + wordsXml(b.content, w))
    }
    case 'heading': {
      const level = Math.min(6, b.attrs.level + 1)
      return `<text:h text:style-name="Heading_20_${level}" text:outline-level="${level}">${mark(b.attrs.id)}${wordsXml(b.content, w)}</text:h>`
    }
    case 'quote':
    case 'letter':
      return held(b, w)
    case 'verse':
      return b.content
        .map(l => paragraph(l.attrs.stanza ? 'VerseStanza' : 'Verse', indented(l.attrs.indent, l.content, w)))
        .join('\n')
    case 'list':
      return list(b, w)
    case 'table':
      return table(b, w)
    case 'image':
      return picture(b, w)
    case 'scene_break':
      return paragraph('SceneBreak', `${mark(b.attrs.id)}* * *`)
    case 'page_break':
      return paragraph('PageBreak', mark(b.attrs.id))
  }
}

const held = (b: QuoteJson, w: OdtWriting): string =>
  b.content.map(inner => blockXml(inner, w, b.type === 'quote' ? 'Quotations' : 'Letter')).join('\n')

/** A line of verse that is indented begins with so many wide spaces. */
const indented = (ems: number, content: InlineJson[] | undefined, w: OdtWriting): string =>
  '\u2003'.repeat(Math.round(ems)) + wordsXml(content, w)

function list(l: ListJson, w: OdtWriting): string {
  const items = l.content.map((item, i) => {
    const start = i === 0 && l.attrs.ordered && l.attrs.start !== 1 ? ` text:start-value="${l.attrs.start}"` : ''
    return `<text:list-item${start}>${item.content.map(b => blockXml(b, w, 'Text')).join('')}</text:list-item>`
  })
  return `<text:list text:style-name="${l.attrs.ordered ? 'Numbered' : 'Bulleted'}">${items.join('')}</text:list>`
}

function table(t: TableJson, w: OdtWriting): string {
  const rows = placesOf(t).map(places => {
    const cells = places.map(p => {
      if (p.is === 'gap') return '<table:table-cell office:value-type="string"><text:p/></table:table-cell>'
      const covered = (n: number): string => '<table:covered-table-cell/>'.repeat(n)
      if (p.is === 'covered') return covered(p.placed.wide)
      const { wide, deep, cell } = p.placed
      const across = wide > 1 ? ` table:number-columns-spanned="${wide}"` : ''
      const down = deep > 1 ? ` table:number-rows-spanned="${deep}"` : ''
      const inside = cell.content.map(c => blockXml(c, w, 'Text')).join('')
      return `<table:table-cell office:value-type="string"${across}${down}>${inside}</table:table-cell>${covered(wide - 1)}`
    })
    return `<table:table-row>${cells.join('')}</table:table-row>`
  })
  const heads = t.content.findIndex(r => !r.attrs.head)
  const head = heads < 0 ? rows.length : heads
  const columns = `<table:table-column table:number-columns-repeated="${gridColumns(gridOf(t))}"/>`
  const over = head ? `<table:table-header-rows>${rows.slice(0, head).join('')}</table:table-header-rows>` : ''
  return `<table:table>${columns}${over}${rows.slice(head).join('')}</table:table>`
}

function picture({ attrs, content }: ImageJson, w: OdtWriting): string {
  losePicture(w.losses, attrs)
  const shown = attrs.asset
    ? pictureXml(attrs, w, a => ({
        width: MEASURE * attrs.share,
        height: (MEASURE * attrs.share * a.height) / a.width,
      }))
    : undefined
  const stands = shown ?? (attrs.alt ? `[${text(attrs.alt)}]` : '')
  return [
    paragraph('Picture', mark(attrs.id) + stands),
    ...(content?.length ? [paragraph('Caption', wordsXml(content, w))] : []),
  ].join('\n')
}
