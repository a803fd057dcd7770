import { strToU8 } from 'fflate'
import {
  type BlockJson,
  type InlineJson,
  type ListJson,
  type MarkJson,
  type RowJson,
  type Section,
  slugOf,
} from '@/core/book'
import { type CopyKind, type CopySource, losePicture, Losses, markNames } from '../copyKind'

/** One page with all of it, its pictures inside. */
export const html: CopyKind = {
  id: 'html',
  name: 'a page of HTML',
  keeps:
    'One page with all formatting, notes and tables, and its pictures inside; it opens in any browser and word processor.',
  make(source) {
    const losses = new Losses()
    const { title, language, contributors } = source.book.data
    const body = source.sections.map((s, i) => section(s, i, source, losses)).join('\n')
    const page = `<!DOCTYPE html>
<html lang="${text(language)}">
<head>
<meta charset="utf-8">
<title>${text(title)}</title>
<meta name="author" content="${text(contributors.map(c => c.name).join(', '))}">
</head>
<body>
${body}
</body>
</html>
`
    return { name: `${slugOf(title, 'book')}.html`, type: 'text/html', bytes: strToU8(page), lost: losses.all }
  },
}

/** Text as it stands in HTML. */
const text = (s: string): string =>
  s.replace(/[&<>"]/g, c => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[c]!)

function section(s: Section, n: number, source: CopySource, losses: Losses): string {
  const notes: string[] = []
  const write = writer(source, losses, note => {
    const at = `n${n + 1}-${notes.push(note)}`
    return `<sup><a role="doc-noteref" id="${at}-call" href="#${at}">${notes.length}</a></sup>`
  })
  const blocks = s.doc.content.map(write).join('\n')
  const heading = source.heading(s)
  const behind = notes.map(
    (note, i) =>
      `<li role="doc-endnote" id="n${n + 1}-${i + 1}"><p>${note} <a role="doc-backlink" href="#n${n + 1}-${i + 1}-call">↩</a></p></li>`,
  )
  return `<section id="${text(s.id)}">
${heading ? `<h1>${text(heading)}</h1>\n` : ''}${blocks}
${behind.length ? `<section role="doc-endnotes">\n<ol>\n${behind.join('\n')}\n</ol>\n</section>\n` : ''}</section>`
}

const tags: Partial<Record<MarkJson['type'], string>> = {
  strong: 'strong',
  em: 'em',
  strike: 's',
  superscript: 'sup',
  subscript: 'sub',
}

function writer(source: CopySource, losses: Losses, note: (text: string) => string): (b: BlockJson) => string {
  const marked = (inside: string, marks: readonly MarkJson[] | undefined): string =>
    (marks ?? []).reduce((s, m) => {
      const tag = tags[m.type]
      if (tag) return `<${tag}>${s}</${tag}>`
      if (m.type === 'link') return `<a href="${text(m.attrs.href)}">${s}</a>`
      if (m.type === 'language') return `<span lang="${text(m.attrs.tag)}">${s}</span>`
      if (m.type === 'small_caps') return `<span style="font-variant: small-caps">${s}</span>`
      losses.add(markNames[m.type] ?? m.type)
      return s
    }, inside)
  const picture = (id: string, alt: string, decoration: boolean, style: string): string => {
    const bytes = source.picture(id)
    const type = source.book.assets.find(a => a.id === id)?.type
    if (!bytes || !type || type === 'application/pdf') {
      losses.add('pictures that are not there, or are pages of a PDF')
      return ''
    }
    return `<img src="data:${type};base64,${base64(bytes)}" alt="${decoration ? '' : text(alt)}"${style}>`
  }
  const inline = (content: readonly InlineJson[] | undefined): string =>
    (content ?? [])
      .map(n => {
        if (n.type === 'text') return marked(text(n.text), n.marks)
        if (n.type === 'hard_break') return '<br>'
        if (n.type === 'footnote') return note(inline(n.content))
        return picture(n.attrs.asset, n.attrs.alt, n.attrs.decoration, ` style="height: ${n.attrs.height}em"`)
      })
      .join('')
  const aligned = (align: string | null | undefined): string => (align ? ` style="text-align: ${align}"` : '')
  const list = (l: ListJson): string => {
    const tag = l.attrs.ordered ? 'ol' : 'ul'
    const start = l.attrs.ordered && l.attrs.start !== 1 ? ` start="${l.attrs.start}"` : ''
    const items = l.content.map(i => `<li>${i.content.map(write).join('\n')}</li>`)
    return `<${tag}${start}>\n${items.join('\n')}\n</${tag}>`
  }
  const write = (b: BlockJson): string => {
    const id = b.attrs.id ? ` id="${text(b.attrs.id)}"` : ''
    switch (b.type) {
      case 'paragraph':
        return `<p${id}${aligned(b.attrs.align)}>${inline(b.content)}</p>`
      case 'heading':
        return `<h${Math.min(6, b.attrs.level + 1)}${id}>${inline(b.content)}</h${Math.min(6, b.attrs.level + 1)}>`
      case 'quote':
      case 'letter':
        if (b.type === 'letter') losses.add('letters: they stand as quotes')
        return `<blockquote${id}>\n${b.content.map(write).join('\n')}\n</blockquote>`
      case 'verse':
        return `<div class="verse"${id}>\n${b.content
          .map(l => {
            const indent = l.attrs.indent ? ` style="margin-left: ${l.attrs.indent}em"` : ''
            return `<p${indent}>${inline(l.content)}</p>`
          })
          .join('\n')}\n</div>`
      case 'list':
        return list(b)
      case 'table':
        return `<table${id}>\n${b.content.map(r => row(r, write)).join('\n')}\n</table>`
      case 'image': {
        losePicture(losses, b.attrs)
        const shown = b.attrs.asset
          ? picture(
              b.attrs.asset,
              b.attrs.alt,
              b.attrs.decoration,
              ` style="width: ${Math.round(b.attrs.share * 100)}%"`,
            )
          : ''
        const caption = inline(b.content)
        return `<figure${id}>${shown}${caption ? `<figcaption>${caption}</figcaption>` : ''}</figure>`
      }
      case 'scene_break':
        return `<hr${id}>`
      case 'page_break':
        return `<div${id} style="break-before: page"></div>`
    }
  }
  return write
}

function row(r: RowJson, write: (b: BlockJson) => string): string {
  const tag = r.attrs.head ? 'th' : 'td'
  const cells = r.content.map(({ attrs: { span, rows = 1 }, content }) => {
    const reach = `${span > 1 ? ` colspan="${span}"` : ''}${rows > 1 ? ` rowspan="${rows}"` : ''}`
    return `<${tag}${reach}>${content.map(write).join('\n')}</${tag}>`
  })
  return `<tr>${cells.join('')}</tr>`
}

/** Bytes as base64 (RFC 4648). */
function base64(bytes: Uint8Array): string {
  let s = ''
  for (let i = 0; i < bytes.length; i += 0x8000) s += String.fromCharCode(...bytes.subarray(i, i + 0x8000))
  return btoa(s)
}
