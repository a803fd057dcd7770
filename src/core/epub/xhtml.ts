import { type Asset, type BlockJson, type InlineJson, type MarkJson, type ParagraphJson, roles, type Section, type SectionLabel } from '../book'

/** Text for XML: escaped, without characters that XML refuses. */
export const esc = (s: string): string => s.replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]/g, '').replace(/[&<>"]/g, c => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[c]!)

/** Printed pages that begin in a section, by block ('' for its opening): label and count of non-space characters before. */
export type Breaks = Map<string, { label: string; chars: number }[]>

export interface XhtmlContext {
  language: string
  assets: Map<string, Asset>
  /** File of an asset, relative to the text folder. */
  href(asset: string): string
  breaks: Breaks
  /** Used page labels, so that none is written twice. */
  seen: Set<string>
}

/** A whole XHTML file. */
export function page(title: string, language: string, body: string, type?: string): string {
  return `<?xml version="1.0" encoding="UTF-8"?>\n<!DOCTYPE html>\n<html xmlns="http://www.w3.org/1999/xhtml" xmlns:epub="http://www.idpf.org/2007/ops" lang="${esc(language)}" xml:lang="${esc(language)}">\n<head>\n<meta charset="utf-8"/>\n<title>${esc(title)}</title>\n<link rel="stylesheet" type="text/css" href="../style.css"/>\n</head>\n<body${type ? ` epub:type="${type}"` : ''}>\n${body}\n</body>\n</html>\n`
}

// DPUB-ARIA has a role for these only (W3C, Digital Publishing WAI-ARIA Module).
const ariaRoles: Record<string, string> = { dedication: 'doc-dedication', epigraph: 'doc-epigraph', foreword: 'doc-foreword', preface: 'doc-preface', acknowledgments: 'doc-acknowledgments', introduction: 'doc-introduction', part: 'doc-part', prologue: 'doc-prologue', chapter: 'doc-chapter', epilogue: 'doc-epilogue', afterword: 'doc-afterword', endnotes: 'doc-endnotes', glossary: 'doc-glossary' }

/** One section of the book as the body of a file. */
export function sectionBody(s: Section, label: SectionLabel, ctx: XhtmlContext): string {
  const w = new SectionWriter(ctx)
  const type = roles[s.role].epub
  const aria = ariaRoles[type]
  const lead = w.pageBreaks('', 0)
  const quiet = s.role === 'dedication' || s.role === 'epigraph' || s.role === 'copyright'
  const head: string[] = []
  if (!quiet) {
    if (label.numberWords && label.title) head.push(`<h1><span class="number">${esc(label.numberWords)}</span> <span class="title">${esc(label.title)}</span></h1>`)
    else if (label.title || label.numberWords) head.push(`<h1>${esc(label.title || label.numberWords!)}</h1>`)
    if (s.subtitle) head.push(`<p class="subtitle">${esc(s.subtitle)}</p>`)
  }
  const blocks = s.doc.content.map((b, i) => w.block(b, i === 0 || s.doc.content[i - 1]!.type !== 'paragraph')).join('\n')
  return `<section epub:type="${type}"${aria ? ` role="${aria}"` : ''} class="${s.role}"${!head.length ? ` aria-label="${esc(label.title || roles[s.role].name)}"` : ''}>\n${lead}${w.opening(s.picture)}${head.join('\n')}\n${blocks}\n${w.notes()}</section>`
}

class SectionWriter {
  private readonly asides: string[] = []
  private chars = 0
  private pending: { label: string; chars: number }[] = []

  constructor(private readonly ctx: XhtmlContext) {}

  /** Marks of printed pages that begin at the start of a block (or of the section, for ''). */
  pageBreaks(block: string, at: number): string {
    return (this.ctx.breaks.get(block) ?? []).filter(b => b.chars === at).map(b => this.mark(b.label)).join('')
  }

  private mark(label: string): string {
    if (this.ctx.seen.has(label)) return ''
    this.ctx.seen.add(label)
    return `<span epub:type="pagebreak" role="doc-pagebreak" id="page-${label}" title="${label}"></span>`
  }

  block(b: BlockJson, first: boolean): string {
    switch (b.type) {
      case 'paragraph':
        return this.paragraph(b, first ? 'first' : '')
      case 'heading':
        return `<h${b.attrs.level + 1}>${this.inlineOf(b.attrs.id, b.content)}</h${b.attrs.level + 1}>`
      case 'quote':
      case 'letter':
        return `<blockquote class="${b.type}">\n${b.content.map((x, i) => this.block(x, i === 0)).join('\n')}\n</blockquote>`
      case 'verse': {
        // A stanza is a paragraph; hanging lines survive simple devices.
        const stanzas: string[][] = []
        this.begin(b.attrs.id)
        for (const l of b.content) {
          if (!stanzas.length || l.attrs.stanza) stanzas.push([])
          stanzas[stanzas.length - 1]!.push(`<span class="line${l.attrs.indent ? ` in${Math.min(4, Math.round(l.attrs.indent))}` : ''}">${this.inline(l.content)}</span>`)
        }
        return `<div class="verse">\n${stanzas.map(s => `<p>${s.join('<br/>\n')}</p>`).join('\n')}\n</div>`
      }
      case 'list': {
        const tag = b.attrs.ordered ? 'ol' : 'ul'
        const start = b.attrs.ordered && b.attrs.start !== 1 ? ` start="${b.attrs.start}"` : ''
        return `<${tag}${start}>\n${b.content.map(i => `<li>${i.content.map(x => this.block(x, true)).join('\n')}</li>`).join('\n')}\n</${tag}>`
      }
      case 'table': {
        const row = (r: (typeof b.content)[number], tag: 'td' | 'th'): string => `<tr>${r.content.map(c => `<${tag}${c.attrs.span > 1 ? ` colspan="${c.attrs.span}"` : ''}${tag === 'th' ? ' scope="col"' : ''}>${c.content.map(p => this.paragraph(p, 'first')).join('')}</${tag}>`).join('')}</tr>`
        const heads = b.content.filter(r => r.attrs.head)
        const rest = b.content.filter(r => !r.attrs.head)
        return `<div class="table"><table>${heads.length ? `<thead>${heads.map(r => row(r, 'th')).join('')}</thead>` : ''}${rest.length ? `<tbody>${rest.map(r => row(r, 'td')).join('')}</tbody>` : ''}</table></div>`
      }
      case 'image': {
        const caption = b.content?.length ? `<figcaption>${this.inlineOf(b.attrs.id, b.content)}</figcaption>` : ''
        if (!this.ctx.assets.has(b.attrs.asset)) return caption ? `<figure>${caption}</figure>` : ''
        const { stands = 'measure', share } = b.attrs
        const width = share < 1 && stands !== 'plate' ? ` style="width: ${Math.round(share * 100)}%"` : ''
        // Beside the text it is the figure that has the width, so that the caption keeps to it.
        const floats = stands === 'left' || stands === 'right'
        return `<figure${stands === 'measure' ? '' : ` class="${stands}"`}${floats ? width : ''}>${this.pageBreaks(b.attrs.id, 0)}${this.img(b.attrs, floats ? '' : width)}${caption}</figure>`
      }
      case 'scene_break':
        return '<hr class="scene"/>'
      case 'page_break':
        return '<hr class="turn"/>'
    }
  }

  private img(of: { asset: string; alt: string; decoration: boolean }, more: string): string {
    return `<img src="${esc(this.ctx.href(of.asset))}" alt="${of.decoration ? '' : esc(of.alt)}"${of.decoration ? ' role="presentation"' : ''}${more}/>`
  }

  /** The picture over a section's opening. */
  opening(picture: Section['picture']): string {
    return picture && this.ctx.assets.has(picture.asset) ? `<figure class="opening">${this.img(picture, '')}</figure>` : ''
  }

  private paragraph(p: ParagraphJson, cls: string): string {
    const classes = [cls, p.attrs.align === 'center' ? 'centre' : p.attrs.align === 'right' ? 'right' : ''].filter(Boolean).join(' ')
    return `<p${classes ? ` class="${classes}"` : ''}>${this.inlineOf(p.attrs.id, p.content)}</p>`
  }

  private begin(block: string): void {
    this.chars = 0
    this.pending = [...(this.ctx.breaks.get(block) ?? [])]
  }

  private inlineOf(block: string, content: InlineJson[] | undefined): string {
    this.begin(block)
    return this.inline(content)
  }

  private inline(content: InlineJson[] | undefined): string {
    let out = ''
    for (const n of content ?? []) {
      if (n.type === 'text') out += wrap(this.text(n.text), n.marks)
      else if (n.type === 'hard_break') out += '<br/>'
      else if (n.type === 'sign') out += this.ctx.assets.has(n.attrs.asset) ? this.img(n.attrs, ` class="sign" style="height: ${Math.round(n.attrs.height * 100) / 100}em"`) : ''
      else {
        const number = this.asides.length + 1
        const id = n.attrs.id
        out += `<a epub:type="noteref" role="doc-noteref" id="${id}-call" href="#${id}" class="noteref">${number}</a>`
        this.chars += String(number).length
        const inner = new SectionWriter({ ...this.ctx, breaks: new Map() })
        this.asides.push(`<aside epub:type="footnote" role="doc-footnote" id="${id}"><p><a href="#${id}-call" class="back">${number}</a> ${inner.inline(n.content)}</p></aside>`)
      }
    }
    return out
  }

  /** Text with the marks of printed pages put in where they begin. */
  private text(t: string): string {
    if (!this.pending.length) {
      this.chars += t.replace(/\s/g, '').length
      return esc(t)
    }
    let out = ''
    let from = 0
    for (let i = 0; i < t.length; i++) {
      if (/\s/.test(t[i]!)) continue
      while (this.pending.length && this.pending[0]!.chars <= this.chars) {
        out += esc(t.slice(from, i)) + this.mark(this.pending.shift()!.label)
        from = i
      }
      this.chars++
    }
    return out + esc(t.slice(from))
  }

  notes(): string {
    return this.asides.length ? `<div class="notes">\n${this.asides.join('\n')}\n</div>\n` : ''
  }
}

const tags: Record<Exclude<MarkJson['type'], 'link'>, [string, string]> = {
  strong: ['<strong>', '</strong>'], em: ['<em>', '</em>'], small_caps: ['<span class="sc">', '</span>'], superscript: ['<sup>', '</sup>'], subscript: ['<sub>', '</sub>'],
}

/** Links lead to the web or to a mailbox and nowhere else. */
export const safeHref = (href: string): string | undefined => (/^(https?:\/\/[^\r\n\t<>"]+|mailto:[^\s<>"]+)$/i.test(href.trim()) ? href.trim() : undefined)

function wrap(text: string, marks: MarkJson[] | undefined): string {
  let out = text
  for (const m of [...(marks ?? [])].reverse()) {
    if (m.type === 'link') {
      const href = safeHref(m.attrs.href)
      if (href) out = `<a href="${esc(encodeURI(decodeSafely(href)))}">${out}</a>`
    } else out = tags[m.type][0] + out + tags[m.type][1]
  }
  return out
}

function decodeSafely(href: string): string {
  try {
    return decodeURI(href)
  } catch {
    return href
  }
}
