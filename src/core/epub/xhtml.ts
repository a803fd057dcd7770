import { element, joined, Markup, xml } from '../trade'
import {
  addressAt,
  type Asset,
  type BlockJson,
  gridColumns,
  gridOf,
  gridRows,
  headRows,
  type ImageJson,
  type InlineJson,
  isTimed,
  type MarkJson,
  type ParagraphJson,
  type PlacedCell,
  printedWords,
  type Recording,
  roles,
  sectionWord,
  shownOf,
  type Section,
  type SectionLabel,
  sortOf,
  spokenLines,
  type TableJson,
} from '../book'
import { beginningFor, initialIn, type InteriorStyle, leadInOf, numberIn, type Standing, standingAfter } from '../pages'
import type { OrnamentName } from '../ornaments'
import { hrefOf, type LinkRule } from './leads'
import { ornamentSvg } from './ornament'

/** Printed pages that begin in a section, by block ('' for its opening): label and count of non-space characters before. */
export type Breaks = Map<string, { label: string; chars: number }[]>

export interface XhtmlContext extends LinkRule {
  language: string
  style: InteriorStyle
  assets: Map<string, Asset>
  /** File of an asset, relative to the text folder. */
  href(asset: string): string
  /** Recordings that are in the file, and where. */
  recordings: ReadonlyMap<string, Recording>
  mediaHref(recording: string): string
  /** Takes the timed words of a recording as a file, and gives its address. */
  track(recording: string, spoken: string): string
  breaks: Breaks
  /** Used page labels, so that none is written twice. */
  seen: Set<string>
}

/** A whole XHTML file; none is without a title. `head`: what else stands in its head. */
export function page(name: string, language: string, body: Markup, head?: Markup): Markup {
  const title = name.trim() || 'Untitled'
  return xml`<?xml version="1.0" encoding="UTF-8"?>\n<!DOCTYPE html>\n<html xmlns="http://www.w3.org/1999/xhtml" xmlns:epub="http://www.idpf.org/2007/ops" lang="${language}" xml:lang="${language}">\n<head>\n<meta charset="utf-8"/>\n<title>${title}</title>\n<link rel="stylesheet" type="text/css" href="../style.css"/>\n${head}</head>\n<body>\n${body}\n</body>\n</html>\n`
}

// DPUB-ARIA has a role for these only (W3C, Digital Publishing WAI-ARIA Module).
const ariaRoles: Record<string, string> = {
  dedication: 'doc-dedication',
  epigraph: 'doc-epigraph',
  foreword: 'doc-foreword',
  preface: 'doc-preface',
  acknowledgments: 'doc-acknowledgments',
  introduction: 'doc-introduction',
  part: 'doc-part',
  prologue: 'doc-prologue',
  chapter: 'doc-chapter',
  epilogue: 'doc-epilogue',
  afterword: 'doc-afterword',
  endnotes: 'doc-endnotes',
  glossary: 'doc-glossary',
}

/** One section of the book as the body of a file. */
export function sectionBody(s: Section, label: SectionLabel, ctx: XhtmlContext): Markup {
  const w = new SectionWriter(ctx)
  const type = roles[s.role].epub
  const aria = ariaRoles[type]
  const lead = w.pageBreaks('', 0)
  const quiet = s.role === 'dedication' || s.role === 'epigraph' || s.role === 'copyright'
  const head = quiet ? [] : headOf(s, label, ctx)
  const opens = head.length > 0 && !!roles[s.role].headed
  const blocks = w.blocks(s.doc.content, {
    flush: opens && ctx.style.firsts.flush,
    ...(opens && { begins: 'chapter' }),
  })
  return xml`<section epub:type="${type}"${aria && xml` role="${aria}"`} class="${s.role}"${!head.length && xml` aria-label="${label.title.trim() || sectionWord(printedWords(ctx.language), s.role)}"`}>\n${lead}${w.opening(s.picture)}${joined(head, '\n')}\n${blocks}\n${w.notes()}</section>`
}

/** What stands over a section's text: number, ornament and title in their order, as the style has them; its subtitle. */
function headOf({ subtitle }: Section, label: SectionLabel, ctx: XhtmlContext): Markup[] {
  const number = numberIn(label, ctx.style)
  const { openings } = ctx.style
  const head: Markup[] = []
  const title = label.title.trim()
  if (number || title) {
    const parts = [
      number && xml`<span class="number">${number}</span>`,
      ornament(openings.ornament, openings.ornamentPicture, OVER_TITLES, ctx),
      title && xml`<span class="title">${title}</span>`,
    ].filter(p => p instanceof Markup)
    head.push(xml`<h1>${joined(parts, ' ')}</h1>`)
  }
  if (subtitle) head.push(xml`<p class="subtitle">${subtitle}</p>`)
  return head
}

/** An ornament over a title is a little larger than one between scenes. */
const OVER_TITLES = 1.25

/** The author's own picture for an ornament, or the one that ships. */
function ornament(kind: OrnamentName, own: string, size: number, ctx: XhtmlContext): Markup | undefined {
  return ctx.assets.has(own)
    ? xml`<img class="ornament" src="${ctx.href(own)}" alt="" role="presentation"/>`
    : ornamentSvg(kind, size)
}

/** What the words of a recording are called in a book’s language. */
const wordsFor = (language: string): string => printedWords(language).spoken

class SectionWriter {
  private readonly asides: Markup[] = []
  private chars = 0
  private pending: { label: string; chars: number }[] = []

  constructor(private readonly ctx: XhtmlContext) {}

  /** Marks of printed pages that begin at the start of a block (or of the section, for ''). */
  pageBreaks(block: string, at: number): Markup {
    return joined((this.ctx.breaks.get(block) ?? []).filter(b => b.chars === at).map(b => this.mark(b.label)))
  }

  private mark(label: string): Markup {
    if (this.ctx.seen.has(label)) return joined([])
    this.ctx.seen.add(label)
    return xml`<span epub:type="pagebreak" role="doc-pagebreak" id="page-${label}" title="${label}"></span>`
  }

  /** Blocks one after the other, the first as it stands. */
  blocks(content: readonly BlockJson[], first: Standing): Markup {
    let standing = first
    return joined(
      content.map(b => {
        const written = this.block(b, standing)
        standing = standingAfter(b, standing, this.ctx.style)
        return written
      }),
      '\n',
    )
  }

  private block(b: BlockJson, standing: Standing): Markup {
    switch (b.type) {
      case 'paragraph':
        return this.paragraph(b, standing)
      case 'heading':
        return element(
          `h${Math.min(6, b.attrs.level + 1)}`,
          { id: this.nameOf(b) },
          this.inlineOf(b.attrs.id, b.content),
        )
      case 'quote':
      case 'letter':
        return xml`<blockquote${this.named(b)} class="${b.type}">\n${this.blocks(b.content, FIRST)}\n</blockquote>`
      case 'verse': {
        // A stanza is a paragraph of lines that hang each by itself; a device without styles parts them by their breaks.
        const stanzas: Markup[][] = []
        this.begin(b.attrs.id)
        for (const l of b.content) {
          if (!stanzas.length || l.attrs.stanza) stanzas.push([])
          stanzas[stanzas.length - 1]!.push(
            xml`<span class="line${l.attrs.indent > 0 && ` in${Math.min(4, Math.round(l.attrs.indent))}`}">${this.inline(l.content)}</span>`,
          )
        }
        return xml`<div${this.named(b)} class="verse">\n${joined(
          stanzas.map(s => xml`<p>${s.map((l, i) => (i ? xml`<br/>\n${l}` : l))}</p>`),
          '\n',
        )}\n</div>`
      }
      case 'list': {
        const items = xml`\n${joined(
          b.content.map(
            i =>
              xml`<li>${joined(
                i.content.map(x => this.block(x, FIRST)),
                '\n',
              )}</li>`,
          ),
          '\n',
        )}\n`
        return b.attrs.ordered
          ? xml`<ol${this.named(b)}${b.attrs.start !== 1 && xml` start="${b.attrs.start}"`}>${items}</ol>`
          : xml`<ul${this.named(b)}>${items}</ul>`
      }
      case 'table':
        return this.table(b)
      case 'image': {
        const caption = b.content?.length
          ? xml`<figcaption>${this.inlineOf(b.attrs.id, b.content)}</figcaption>`
          : undefined
        if (b.attrs.plays) return this.plays(b, caption)
        if (!this.ctx.assets.has(b.attrs.asset))
          return caption ? xml`<figure${this.named(b)}>${caption}</figure>` : joined([])
        const { stands = 'measure', share } = b.attrs
        const width = share < 1 && stands !== 'plate' ? xml` style="width: ${Math.round(share * 100)}%"` : undefined
        // Beside the text it is the figure that has the width, so that the caption keeps to it.
        const floats = stands === 'left' || stands === 'right'
        return xml`<figure${this.named(b)}${stands !== 'measure' && xml` class="${stands}"`}${floats && width}>${this.pageBreaks(b.attrs.id, 0)}${this.leading(b.attrs.leads, this.shown(b.attrs, floats ? undefined : width))}${caption}</figure>`
      }
      case 'scene_break': {
        const { breaks } = this.ctx.style
        const drawn = ornament(breaks.ornament, breaks.picture, 1, this.ctx)
        return drawn
          ? xml`<div${this.named(b)} class="scene" role="separator">${drawn}</div>`
          : xml`<hr${this.named(b)} class="scene"/>`
      }
      case 'page_break':
        return xml`<hr${this.named(b)} class="turn"/>`
    }
  }

  /** A recording with its still, its words and its caption; where it does not go along, what it has beside it stands all the same. */
  private plays(b: ImageJson, caption: Markup | undefined): Markup {
    const { asset, alt, spoken = '', share, stands } = b.attrs
    const { recordings, mediaHref, assets, href, language } = this.ctx
    const recording = recordings.get(b.attrs.plays!)
    const lines = spokenLines(spoken)
    const words = lines.length > 0 && this.spoken(lines)
    const still = assets.has(asset)
    if (!recording && !still && !words && !caption) return joined([])
    const film = recording && sortOf(recording) === 'film'
    const called = alt && xml` aria-label="${alt}"`
    const first = recording && isTimed(spoken) ? this.ctx.track(recording.id, spoken) : undefined
    const track =
      first && xml`<track kind="captions" src="${first}" srclang="${language}" label="${wordsFor(language)}"/>`
    const player = !recording
      ? undefined
      : film
        ? xml`<video src="${mediaHref(recording.id)}" controls="controls" preload="metadata"${still && xml` poster="${href(asset)}"`}${called}>${track}</video>`
        : xml`<audio src="${mediaHref(recording.id)}" controls="controls" preload="metadata"${called}>${track}</audio>`
    // What a film shows before it plays is its still; above a sound it stands by itself, and says what the sound says.
    const seen = still && !film ? this.shown({ ...b.attrs, decoration: !!recording || b.attrs.decoration }) : undefined
    const width = share < 1 && stands !== 'plate' && xml` style="width: ${Math.round(share * 100)}%"`
    return xml`<figure${this.named(b)} class="plays"${width}>${this.pageBreaks(b.attrs.id, 0)}${seen}${player}${words}${caption}</figure>`
  }

  /** What is said and heard in a recording, to be opened by whoever cannot hear it. */
  private spoken(lines: readonly string[]): Markup {
    return xml`<details class="spoken"><summary>${wordsFor(this.ctx.language)}</summary>${lines.map(l => xml`<p>${l}</p>`)}</details>`
  }

  private table(b: TableJson): Markup {
    const grid = gridOf(b)
    const cell = (c: PlacedCell | undefined, head: boolean): Markup => {
      const { wide = 1, deep = 1 } = c ?? {}
      const reach = xml`${wide > 1 && xml` colspan="${wide}"`}${deep > 1 && xml` rowspan="${deep}"`}`
      const inner = c && c.cell.content.map(p => this.paragraph(p, FIRST))
      return head ? xml`<th${reach} scope="col">${inner}</th>` : xml`<td${reach}>${inner}</td>`
    }
    const cells = gridRows(grid)
    // Programs count a table's columns in its first row, and some leave out what lies beyond.
    const first = gridColumns({ ...grid, cells: grid.cells.filter(c => c.row === 0) })
    cells[0]?.push(...Array<undefined>(gridColumns(grid) - first).fill(undefined))
    const rows = cells.map((own, i) => xml`<tr>${own.map(c => cell(c, grid.heads[i]!))}</tr>`)
    const [heads, rest] = [rows.slice(0, headRows(b)), rows.slice(headRows(b))]
    return xml`<div${this.named(b)} class="table"><table>${heads.length > 0 && xml`<thead>${heads}</thead>`}${rest.length > 0 && xml`<tbody>${rest}</tbody>`}</table></div>`
  }

  private img(of: { asset: string; alt: string; decoration: boolean }, more?: Markup): Markup {
    return xml`<img src="${this.ctx.href(of.asset)}" alt="${!of.decoration && of.alt}"${of.decoration && xml` role="presentation"`}${more}/>`
  }

  /** A picture whole; or what is shown of it, through a drawing that looks at that part alone (SVG 2, viewBox). */
  private shown(of: ImageJson['attrs'], more?: Markup): Markup {
    const asset = this.ctx.assets.get(of.asset)!
    if (!of.crop) return this.img(of, more)
    const { x, y, width, height } = shownOf(asset, of.crop)
    const view = [x, y, width, height].map(n => Math.round(n * 100) / 100).join(' ')
    const says = of.decoration || !of.alt ? xml` aria-hidden="true"` : xml` role="img" aria-label="${of.alt}"`
    return xml`<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" viewBox="${view}"${says}${more}><image width="${asset.width}" height="${asset.height}" xlink:href="${this.ctx.href(of.asset)}"/></svg>`
  }

  /** A picture with the link that it is. */
  private leading(leads: string | undefined, picture: Markup): Markup {
    const href = leads ? hrefOf(leads, this.ctx) : undefined
    return href ? xml`<a href="${href}">${picture}</a>` : picture
  }

  /** The picture over a section's opening. */
  opening(picture: Section['picture']): Markup | undefined {
    return picture && this.ctx.assets.has(picture.asset)
      ? xml`<figure class="opening">${this.img(picture)}</figure>`
      : undefined
  }

  private paragraph(p: ParagraphJson, { flush, begins }: Standing): Markup {
    const { align } = p.attrs
    const aside = align === 'center' || align === 'right'
    const beginning = aside ? undefined : beginningFor(begins, this.ctx.style)
    const classes = [
      flush && 'first',
      align === 'center' && 'centre',
      align === 'right' && 'right',
      beginning?.leadIn === 'line' && 'lead-line',
    ].filter(c => typeof c === 'string')
    this.begin(p.attrs.id)
    const words = beginning ? this.begun(p.content, beginning) : this.inline(p.content)
    return xml`<p${this.named(p)}${classes.length > 0 && xml` class="${classes.join(' ')}"`}>${words}</p>`
  }

  /** The words of a paragraph that opens a chapter or follows a break, with its initial and its first words in small capitals. */
  private begun(
    content: InlineJson[] | undefined,
    { initial, leadIn }: NonNullable<ReturnType<typeof beginningFor>>,
  ): Markup {
    const begins = initial > 1 ? initialIn(content) : undefined
    // Its letter is emphasised as its word is.
    const marks = content?.[0]?.type === 'text' ? content[0].marks : undefined
    const letter =
      begins &&
      xml`<span class="initial${initial === 2 && ' two'}">${begins.quotes && xml`<span class="opens">${this.text(begins.quotes)}</span>`}${wrap(this.text(begins.letter), marks, this.ctx)}</span>`
    // A word of one letter keeps its space.
    const space = begins && /^[\s\u00a0]/.test(begins.after) ? ' ' : ''
    const rest = begins ? begins.rest : (content ?? [])
    const first = rest[0]
    const most = typeof leadIn === 'object' ? leadIn.words : 0
    if (!most || first?.type !== 'text' || first.marks?.length) return joined([letter, space, this.inline(rest)])
    const { led } = leadInOf(first.text, most)
    const after = first.text.slice(led.length)
    return joined([
      letter,
      space,
      xml`<span class="lead">${this.text(led)}</span>`,
      this.inline([...(after ? [{ ...first, text: after }] : []), ...rest.slice(1)]),
    ])
  }

  /** Its name, where links lead to it. */
  private named(b: BlockJson): Markup | false {
    const id = this.nameOf(b)
    return id !== undefined && xml` id="${id}"`
  }

  private nameOf({ attrs }: BlockJson): string | undefined {
    return attrs.id && this.ctx.places.has(attrs.id) ? attrs.id : undefined
  }

  private begin(block: string): void {
    this.chars = 0
    this.pending = [...(this.ctx.breaks.get(block) ?? [])]
  }

  private inlineOf(block: string, content: InlineJson[] | undefined): Markup {
    this.begin(block)
    return this.inline(content)
  }

  private inline(content: InlineJson[] | undefined): Markup {
    return joined(
      (content ?? []).map(n => {
        if (n.type === 'text') return wrap(this.text(n.text), n.marks, this.ctx)
        if (n.type === 'hard_break') return xml`<br/>`
        if (n.type === 'sign')
          return this.ctx.assets.has(n.attrs.asset)
            ? this.img(n.attrs, xml` class="sign" style="height: ${Math.round(n.attrs.height * 100) / 100}em"`)
            : undefined
        const number = this.asides.length + 1
        const { id } = n.attrs
        this.chars += String(number).length
        const inner = new SectionWriter({ ...this.ctx, breaks: new Map() })
        this.asides.push(
          xml`<aside epub:type="footnote" role="doc-footnote" id="${id}"><p><a href="#${id}-call" class="back">${number}</a> ${inner.inline(n.content)}</p></aside>`,
        )
        return xml`<a epub:type="noteref" role="doc-noteref" id="${id}-call" href="#${id}" class="noteref">${number}</a>`
      }),
    )
  }

  /** Text with the marks of printed pages put in where they begin. Signs are counted only as long as a page is still to come. */
  private text(t: string): Markup {
    if (!this.pending.length) return xml`${t}`
    const out: (Markup | string)[] = []
    let from = 0
    for (let i = 0; i < t.length && this.pending.length; i++) {
      if (isSpace(t, i)) continue
      while (this.pending.length && this.pending[0]!.chars <= this.chars) {
        out.push(t.slice(from, i), this.mark(this.pending.shift()!.label))
        from = i
      }
      this.chars++
    }
    return joined([...out, t.slice(from)])
  }

  notes(): Markup | undefined {
    return this.asides.length ? xml`<div class="notes">\n${joined(this.asides, '\n')}\n</div>\n` : undefined
  }
}

/** White space as \s means it; most of it is told by its number. */
function isSpace(t: string, i: number): boolean {
  const c = t.charCodeAt(i)
  return c === 32 || (c < 256 ? (c >= 9 && c <= 13) || c === 160 : /\s/.test(t[i]!))
}

/** The first paragraph of what stands by itself. */
const FIRST: Standing = { flush: true }

const marked: Record<Exclude<MarkJson['type'], 'link' | 'language' | 'remark' | 'shops'>, (inner: Markup) => Markup> = {
  strong: x => xml`<strong>${x}</strong>`,
  em: x => xml`<em>${x}</em>`,
  small_caps: x => xml`<span class="sc">${x}</span>`,
  superscript: x => xml`<sup>${x}</sup>`,
  subscript: x => xml`<sub>${x}</sub>`,
  strike: x => xml`<s>${x}</s>`,
}

function wrap(text: Markup, marks: MarkJson[] | undefined, rule: LinkRule): Markup {
  let out = text
  for (const m of [...(marks ?? [])].reverse()) {
    if (m.type === 'link' || m.type === 'shops') {
      const to = m.type === 'link' ? m.attrs.href : rule.outlet && addressAt(m.attrs.at, rule.outlet)
      const href = to ? hrefOf(to, rule) : undefined
      if (href) out = xml`<a href="${href}">${out}</a>`
    } else if (m.type === 'language') out = xml`<span lang="${m.attrs.tag}" xml:lang="${m.attrs.tag}">${out}</span>`
    else if (m.type !== 'remark') out = marked[m.type](out)
  }
  return out
}
