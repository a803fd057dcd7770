import { Fault } from '../../../trade'
import MarkdownIt from 'markdown-it'
import container from 'markdown-it-container'
import footnote from 'markdown-it-footnote'
import type { CellJson, InlineJson, MarkJson, RowJson, TextJson } from '../../../book'
import { inlineText } from '../../../book'
import { sameMarks, trimInline } from '../../inline'
import { notesBehind } from './notes'
import { DropCounter, type RawBlock, type RawManuscript } from '../../raw'

/**
 * Reads Markdown: CommonMark with footnotes and tables, `::: letter` and `::: verse` containers, a block of `key: value` lines
 * between `---` at the top for the book's data. HTML in it is shown as the text it is: nothing of it is ever run.
 */
export function readMarkdown(source: string, pictures: Map<string, Uint8Array> = new Map()): RawManuscript {
  const dropped = new DropCounter()
  const { meta, body } = frontBlock(source)
  const md = new MarkdownIt({ html: false, linkify: false, typographer: false })
  md.use(footnote).use(container, 'letter').use(container, 'verse')
  notesBehind(md, label => dropped.add('notes that nothing calls: they are kept as paragraphs', label))
  const tokens = md.parse(withoutThickets(body, dropped), {})
  const walker = new Walker(tokens, dropped, pictures)
  return { blocks: walker.blocks(0, tokens.length), pictures: walker.used, meta, dropped }
}

/** Brackets in one paragraph that are still looked at as signs; a parser tries each against each. */
const MOST_BRACKETS = 2000
/** Characters of a paragraph that is mostly brackets, beyond which it is no text at all. */
const MOST_THICKET = 1_000_000

/** The text with brackets made plain in paragraphs that have thousands of them: they are no links, and would take hours. */
function withoutThickets(body: string, dropped: DropCounter): string {
  if (body.length < MOST_BRACKETS) return body
  let thickets = 0
  const out = body.split(/(\n[ \t]*\n)/).map(part => {
    let n = 0
    for (let i = 0; i < part.length && n <= MOST_BRACKETS; i++) if (part[i] === '[' || part[i] === ']') n++
    // Notes stand in brackets, too, and a paragraph may well call many.
    if (n <= MOST_BRACKETS || (part.match(/\[\^/g)?.length ?? 0) * 2 > n / 2) return part
    if (part.length > MOST_THICKET)
      throw new Fault(
        'thicket',
        `This text has a paragraph of ${part.length.toLocaleString('en')} characters that is full of brackets; it is no manuscript, and it is not read.`,
      )
    thickets++
    return part.replace(/[[\]]/g, '\\$&')
  })
  if (!thickets) return body
  dropped.add('paragraphs with thousands of brackets: they are kept as plain text', '', thickets)
  return out.join('')
}

/** Letters of notes within notes, all together. */
const MOST_NESTED = 1_000_000

type Token = ReturnType<InstanceType<typeof MarkdownIt>['parse']>[number]

function frontBlock(source: string): { meta: RawManuscript['meta']; body: string } {
  const m = /^\ufeff?---[ \t]*\r?\n([\s\S]*?)\r?\n(?:---|\.\.\.)[ \t]*(?:\r?\n|$)/.exec(source)
  if (!m || !/^[A-Za-z][\w -]*:/m.test(m[1]!)) return { meta: {}, body: source.replace(/^\ufeff/, '') }
  const meta: RawManuscript['meta'] = {}
  for (const line of m[1]!.split(/\r?\n/)) {
    const kv = /^([A-Za-z][\w -]*):\s*(.*)$/.exec(line)
    if (!kv) continue
    const value = kv[2]!.trim().replace(/^(["'])(.*)\1$/, '$2')
    const key = kv[1]!.toLowerCase().trim()
    if (!value) continue
    if (key === 'title') meta.title = value
    else if (key === 'subtitle') meta.subtitle = value
    else if (key === 'author') meta.author = value
    else if (key === 'lang' || key === 'language') meta.language = value
    else if (key === 'series') meta.series = value
    else if (key === 'number' && /^\d{1,3}$/.test(value)) meta.seriesNumber = Number(value)
    else if (key === 'publisher') meta.imprint = value
    else if (key === 'place') meta.place = value
    else if (key === 'description') meta.description = value
  }
  return { meta, body: source.slice(m[0].length) }
}

class Walker {
  readonly used = new Map<string, Uint8Array>()
  /** Where each note's tokens begin; notes stand at the end of the list, and texts need them before. */
  private readonly noteAt = new Map<number, number>()
  /** Notes that are being read: one that calls itself does not go on for ever. */
  private readonly within = new Set<number>()
  /** Notes that were read: each once, however often it is called. */
  private readonly read = new Map<number, (TextJson | { type: 'hard_break' })[]>()
  /** Letters of notes within notes: notes that call one another twofold would double without end. */
  private nested = 0

  constructor(
    private readonly tokens: Token[],
    private readonly dropped: DropCounter,
    private readonly pictures: Map<string, Uint8Array>,
  ) {
    tokens.forEach((t, i) => t.type === 'footnote_open' && this.noteAt.set((t.meta as { id: number }).id, i))
  }

  /** A note's text: its paragraphs on lines of their own; a note that it calls stands in it, in brackets. */
  private note(id: number): (TextJson | { type: 'hard_break' })[] {
    const out: (TextJson | { type: 'hard_break' })[] = []
    const known = this.read.get(id)
    if (known) return known
    if (this.within.has(id)) return out
    this.within.add(id)
    const add = (n: TextJson | { type: 'hard_break' }): void => {
      const last = out[out.length - 1]
      if (n.type === 'text' && last?.type === 'text' && sameMarks(last.marks, n.marks ?? []))
        out[out.length - 1] = { ...last, text: last.text + n.text }
      else out.push(n)
    }
    const line = (content: InlineJson[]): void => {
      if (out.length && content.length) add({ type: 'hard_break' })
      for (const n of content) {
        if (n.type === 'text' || n.type === 'hard_break') add(n)
        else if (n.type === 'footnote') {
          this.dropped.add('notes within notes: they stand there in brackets', inlineText(n.content))
          this.nested += inlineText(n.content).length
          if (this.nested > MOST_NESTED)
            throw new Fault('nested', 'This text has notes that call one another without end; it is not read.')
          for (const part of [
            { type: 'text' as const, text: ' [' },
            ...(n.content ?? []),
            { type: 'text' as const, text: ']' },
          ])
            add(part)
        }
      }
    }
    for (let i = this.noteAt.get(id)! + 1; this.tokens[i] && this.tokens[i]!.type !== 'footnote_close'; i++) {
      const t = this.tokens[i]!
      if (t.type === 'inline') line(this.words(t))
      else for (const text of codeLines(t)) line([{ type: 'text', text }])
    }
    this.within.delete(id)
    this.read.set(id, out)
    return out
  }

  /** The words of a place that holds no pictures; those that stand there are counted. */
  private words(t: Token): InlineJson[] {
    const { content, images } = this.inline(t.children ?? [])
    for (const p of images) if (p.type === 'picture') this.dropped.add('pictures in notes and tables', p.alt)
    return content
  }

  blocks(from: number, to: number): RawBlock[] {
    const out: RawBlock[] = []
    for (let i = from; i < to; i++) {
      const t = this.tokens[i]!
      switch (t.type) {
        case 'heading_open': {
          const { content } = this.inline(this.tokens[i + 1]!.children ?? [])
          const anchor = headingAnchor(inlineText(content))
          out.push({ type: 'para', content, level: Number(t.tag.slice(1)), ...(anchor ? { anchors: [anchor] } : {}) })
          i = this.close(i)
          break
        }
        case 'paragraph_open': {
          const { content, images } = this.inline(this.tokens[i + 1]!.children ?? [])
          if (content.length) out.push({ type: 'para', content })
          out.push(...images)
          i = this.close(i)
          break
        }
        case 'hr':
          out.push({ type: 'scene' })
          break
        case 'blockquote_open': {
          const end = this.close(i)
          out.push({ type: 'container', kind: 'quote', blocks: this.blocks(i + 1, end) })
          i = end
          break
        }
        case 'container_letter_open': {
          const end = this.close(i)
          out.push({ type: 'container', kind: 'letter', blocks: alignLetter(this.blocks(i + 1, end)) })
          i = end
          break
        }
        case 'container_verse_open': {
          const end = this.close(i)
          out.push(...this.verse(i + 1, end))
          i = end
          break
        }
        case 'bullet_list_open':
        case 'ordered_list_open': {
          const end = this.close(i)
          this.list(i, end, 0, out, `m${i}`)
          i = end
          break
        }
        case 'table_open': {
          const end = this.close(i)
          this.table(i, end, out)
          i = end
          break
        }
        case 'fence':
        case 'code_block':
          for (const text of codeLines(t)) out.push({ type: 'para', content: [{ type: 'text', text }] })
          break
        case 'footnote_block_open':
          i = this.close(i)
          break
      }
    }
    return out
  }

  /** Index of the token that closes the one at `i`. */
  private close(i: number): number {
    const { level, type } = this.tokens[i]!
    const end = type.replace(/_open$/, '_close')
    for (let j = i + 1; j < this.tokens.length; j++)
      if (this.tokens[j]!.type === end && this.tokens[j]!.level === level) return j
    return this.tokens.length - 1
  }

  private list(from: number, to: number, level: number, out: RawBlock[], key: string): void {
    const open = this.tokens[from]!
    const ordered = open.type === 'ordered_list_open'
    const start = Number(open.attrGet('start') ?? 1)
    for (let i = from + 1; i < to; i++) {
      if (this.tokens[i]!.type !== 'list_item_open') continue
      const end = this.close(i)
      for (let j = i + 1; j < end; j++) {
        const t = this.tokens[j]!
        if (t.type === 'bullet_list_open' || t.type === 'ordered_list_open') {
          const inner = this.close(j)
          this.list(j, inner, level + 1, out, key)
          j = inner
        } else if (t.type === 'inline') {
          const { content, images } = this.inline(t.children ?? [])
          if (content.length) out.push({ type: 'para', content, list: { key, level, ordered, start } })
          out.push(...images)
        } else for (const text of codeLines(t)) out.push({ type: 'para', content: [{ type: 'text', text }] })
      }
      i = end
    }
  }

  private table(from: number, to: number, out: RawBlock[]): void {
    const rows: RowJson[] = []
    let head = false
    for (let i = from; i < to; i++) {
      const t = this.tokens[i]!
      if (t.type === 'thead_open') head = true
      else if (t.type === 'thead_close') head = false
      else if (t.type === 'tr_open') rows.push({ type: 'row', attrs: { head }, content: [] })
      else if (t.type === 'th_open' || t.type === 'td_open') {
        const align = /text-align:(\w+)/.exec(String(t.attrGet('style') ?? ''))?.[1]
        const content = this.words(this.tokens[i + 1]!)
        const cell: CellJson = {
          type: 'cell',
          attrs: { span: 1 },
          content: [
            {
              type: 'paragraph',
              attrs: { id: '', align: align === 'right' || align === 'center' ? align : null },
              content,
            },
          ],
        }
        rows[rows.length - 1]!.content.push(cell)
      }
    }
    if (rows.length) out.push({ type: 'table', table: { type: 'table', attrs: { id: '' }, content: rows } })
  }

  /** Lines of paragraphs become lines of verse; a new paragraph is a new stanza; leading no-break or em spaces indent. */
  private verse(from: number, to: number): RawBlock[] {
    const lines: Extract<RawBlock, { type: 'verse' }>['lines'] = []
    for (let i = from; i < to; i++) {
      if (this.tokens[i]!.type !== 'inline') continue
      let stanza = true
      let line: InlineJson[] = []
      const end = (): void => {
        const first = line[0]
        const indent = first?.type === 'text' ? /^[\u00a0\u2003]*/.exec(first.text)![0].length : 0
        if (first?.type === 'text' && indent) line[0] = { ...first, text: first.text.slice(indent) }
        lines.push({ content: trimInline(line), indent, stanza })
        stanza = false
        line = []
      }
      for (const n of this.inline(this.tokens[i]!.children ?? [], true).content) {
        if (n.type === 'hard_break') end()
        else line.push(n)
      }
      if (line.length) end()
    }
    return lines.length ? [{ type: 'verse', lines }] : []
  }

  private inline(tokens: Token[], breaks = false): { content: InlineJson[]; images: RawBlock[] } {
    const content: InlineJson[] = []
    const images: RawBlock[] = []
    const marks: MarkJson[] = []
    const push = (t: string, ms: MarkJson[]): void => {
      if (!t) return
      const last = content[content.length - 1]
      if (last?.type === 'text' && sameMarks(last.marks, ms)) last.text += t
      else content.push(ms.length ? { type: 'text', text: t, marks: [...ms] } : { type: 'text', text: t })
    }
    const drop = (type: MarkJson['type']): void => {
      const i = marks.map(m => m.type).lastIndexOf(type)
      if (i >= 0) marks.splice(i, 1)
    }
    for (const t of tokens) {
      switch (t.type) {
        case 'text':
        case 'code_inline':
          push(t.content, marks)
          break
        case 'softbreak':
          if (breaks) content.push({ type: 'hard_break' })
          else push(' ', marks)
          break
        case 'hardbreak':
          content.push({ type: 'hard_break' })
          break
        case 'em_open':
          marks.push({ type: 'em' })
          break
        case 'em_close':
          drop('em')
          break
        case 'strong_open':
          marks.push({ type: 'strong' })
          break
        case 'strong_close':
          drop('strong')
          break
        case 's_open':
          marks.push({ type: 'strike' })
          break
        case 's_close':
          drop('strike')
          break
        case 'link_open':
          marks.push({ type: 'link', attrs: { href: hrefOf(String(t.attrGet('href') ?? '')) } })
          break
        case 'link_close':
          drop('link')
          break
        case 'footnote_ref':
          content.push({ type: 'footnote', attrs: { id: '' }, content: this.note((t.meta as { id: number }).id) })
          break
        case 'image': {
          const src = safeDecode(String(t.attrGet('src') ?? ''))
          const bytes = this.pictures.get(src)
          const alt = t.content
          if (bytes) {
            this.used.set(src, bytes)
            const title = t.attrGet('title')
            images.push({
              type: 'picture',
              key: src,
              alt,
              caption: title ? [{ type: 'text', text: String(title) }] : undefined,
            })
          } else this.dropped.add('pictures that are not in the file', alt || src)
          break
        }
      }
    }
    return { content: trimInline(content), images }
  }
}

/** The lines of preformatted text that say something. */
const codeLines = (t: Token): string[] =>
  t.type === 'fence' || t.type === 'code_block'
    ? t.content
        .split('\n')
        .map(l => l.trim())
        .filter(Boolean)
    : []

/** In a letter, a last short paragraph is its signature and a first short one its date or place: they stand on the right. */
function alignLetter(blocks: RawBlock[]): RawBlock[] {
  return blocks.map((b, i) => {
    if (b.type !== 'para') return b
    const words = inlineText(b.content).split(/\s+/).length
    return words <= 9 &&
      blocks.length > 1 &&
      (i === blocks.length - 1 || (i === 0 && !/,$/.test(inlineText(b.content))))
      ? { ...b, align: 'right' as const }
      : b
  })
}

function safeDecode(uri: string): string {
  try {
    return decodeURI(uri)
  } catch {
    return uri
  }
}

/** The name by which links lead to a heading, as is the custom: its words in lower case, hyphens for spaces. */
const headingAnchor = (words: string): string =>
  words
    .toLowerCase()
    .replace(/[^\p{L}\p{N}\s_-]/gu, '')
    .trim()
    .replace(/\s/g, '-')

/** Names of headings stand as they are, whatever is encoded in other addresses. */
const hrefOf = (href: string): string => (href.startsWith('#') ? safeDecode(href) : href)
