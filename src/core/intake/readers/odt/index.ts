import { type CellJson, inlineText, type MarkJson, type ParagraphJson, type RowJson } from '../../../book'
import { Fault, type Report } from '../../../trade'
import { cleanText, remarkOf, sameMarks, trimInline } from '../../inline'
import { countLook, marksOf } from '../../looks'
import { wordsOfNote } from '../../noteWords'
import { DropCounter, leading, TABS, type RawBlock, type RawManuscript, type RawPara, stretchesOf } from '../../raw'
import { child, elements, find, parseXml, pathIn, readZip, type XmlElement } from '../../../files'
import { lengthOf, type OdtStyle, OdtStyles } from './styles'

/** Reads an open-document text: styles with inheritance, notes, lists, tables, pictures, links; tracked changes as accepted. */
export function readOdt(bytes: Uint8Array, report?: Report, salvage = false): RawManuscript {
  const dropped = new DropCounter()
  const ruins = new Map<string, Uint8Array>()
  const parts = readZip(
    bytes,
    () => true,
    undefined,
    report,
    salvage
      ? (name, kept) => {
          dropped.add(
            /^(Pictures|media)\//.test(name)
              ? 'pictures that are damaged in the file'
              : 'parts of the file that are damaged: words in them may be wrong or missing',
            name,
          )
          if (kept && name.endsWith('.xml')) ruins.set(name, kept)
        }
      : undefined,
  )
  for (const [name, kept] of ruins) parts.set(name, kept)
  const manifest = parts.get('META-INF/manifest.xml')
  if (manifest && find(parseXml(manifest, 'its index', undefined, salvage), 'manifest:encryption-data'))
    throw new Fault(
      'encrypted',
      'This document is protected with a password. Save it without one and bring it in again.',
    )
  const part = (name: string, more?: Report): XmlElement | undefined => {
    const b = parts.get(name)
    return b && parseXml(b, name, more, salvage)
  }
  const content = part('content.xml', report)
  const body = content && child(content, 'office:body')
  const text = child(body, 'office:text')
  if (!content || !text)
    throw new Fault('not-text', 'This open document is no text: a table, a drawing or slides cannot be a manuscript.')
  const named = part('styles.xml')
  const styles = new OdtStyles([named, content])
  const reader = new OdtReader(styles, parts, dropped)
  reader.findEnds(text)
  const blocks = reader.blocks(text, {}, report)
  countHeads(named, dropped)
  return {
    blocks,
    pictures: reader.pictures,
    meta: metaOf(part('meta.xml'), styles),
    bodySize: styles.bodySize,
    dropped,
    remade: reader.remade,
  }
}

function metaOf(root: XmlElement | undefined, styles: OdtStyles): RawManuscript['meta'] {
  const meta = child(root, 'office:meta')
  const read = (name: string): string | undefined => {
    const e = child(meta, name)
    return (e && wordsIn(e).trim()) || undefined
  }
  return {
    title: read('dc:title'),
    author: read('meta:initial-creator') ?? read('dc:creator'),
    description: read('dc:description'),
    language: read('dc:language') ?? styles.language,
  }
}

/** What stands at the head and foot of the manuscript's own pages: the book makes its own. */
function countHeads(root: XmlElement | undefined, dropped: DropCounter): void {
  for (const page of elements(child(root, 'office:master-styles')))
    for (const e of elements(page))
      if (/^style:(header|footer)/.test(e.name)) {
        const words = wordsIn(e).trim()
        if (words) dropped.add('heads and feet of pages', words, 1, words)
      }
}

/** All words in an element, in order. */
function wordsIn(e: XmlElement): string {
  let out = ''
  const walk = (x: XmlElement): void => {
    for (const c of x.children) {
      if (typeof c === 'string') out += c
      else walk(c)
    }
  }
  walk(e)
  return out
}

type List = NonNullable<RawPara['list']>
interface Around {
  list?: List
  /** Name of the list's style, for its inner levels. */
  listStyle?: string
  quote?: boolean
}

/** A paragraph's words as they come together. */
interface Collected {
  content: RawPara['content']
  /** What stands behind the paragraph: pictures, boxes, what was anchored to it. */
  behind: RawBlock[]
  size: number
  letters: number
  bold: number
  italic: number
}

/** A picture in the line that is no higher than this is a sign, ems. */
const SIGN_HEIGHT = 2.4
/** What fields show that belongs to the old pages. */
const PAGE_FIELDS = new Set([
  'text:page-number',
  'text:page-count',
  'text:page-continuation',
  'text:paragraph-count',
  'text:word-count',
  'text:character-count',
])
/** Lists that are made from the text: the book makes its own. */
const INDEXES = /^text:(table-of-content|alphabetical-index|illustration-index|table-index|object-index|user-index)$/
/** What links lead to. */
const PLACES = new Set([
  'text:bookmark',
  'text:bookmark-start',
  'text:reference-mark',
  'text:reference-mark-start',
  'text:section',
  'table:table',
])
/** What a link leads to, its signs decoded. */
function decodedName(href: string): string {
  try {
    return href.startsWith('#') ? `#${decodeURIComponent(href.slice(1))}` : href
  } catch {
    return href
  }
}

/** Elements without words of the text. */
const SILENT = new Set([
  'text:sequence-decls',
  'text:variable-decls',
  'text:user-field-decls',
  'text:dde-connection-decls',
  'office:forms',
  'text:bookmark',
  'text:bookmark-start',
  'text:bookmark-end',
  'text:reference-mark',
  'text:reference-mark-start',
  'text:reference-mark-end',
  'text:change',
  'text:change-start',
  'text:change-end',
  'text:toc-mark',
  'text:toc-mark-start',
  'text:toc-mark-end',
  'text:alphabetical-index-mark',
  'text:alphabetical-index-mark-start',
  'text:alphabetical-index-mark-end',
  'text:soft-page-break',
  'text:script',
  'table:table-column',
  'table:table-columns',
  'table:shapes',
])

class OdtReader {
  readonly pictures = new Map<string, Uint8Array>()
  readonly remade = new DropCounter()
  private newPage = false
  private near = ''
  private lists = 0
  private readonly continued = new Map<string, List>()
  private inNote = false
  /** Names of places that were passed since the last paragraph: links to them lead to it. */
  private passed: string[] = []
  /** Comments on words, by their names, between where these begin and end; which of them stand with words. */
  private readonly open = new Map<string, { words: string; by: string }>()
  private readonly placed = new Set<string>()
  /** Names of comments that say where their words end. */
  private readonly ending = new Set<string>()

  constructor(
    private readonly styles: OdtStyles,
    private readonly parts: ReadonlyMap<string, Uint8Array>,
    private readonly dropped: DropCounter,
  ) {}

  /** Which comments are on words: those that say where these end (ODF 1.3, part 3, 14.2). */
  findEnds(body: XmlElement): void {
    for (const e of elements(body)) {
      const name = e.name === 'office:annotation-end' ? e.attrs['office:name'] : undefined
      if (name) this.ending.add(name)
      this.findEnds(e)
    }
  }

  blocks(parent: XmlElement, around: Around = {}, report?: Report): RawBlock[] {
    const out: RawBlock[] = []
    const all = elements(parent)
    for (const [i, e] of all.entries()) {
      report?.({ stage: 'Understanding', done: i, of: all.length })
      this.block(e, around, out)
    }
    return out
  }

  /** A name that links may lead to. */
  private pass(e: XmlElement): void {
    const name = PLACES.has(e.name) ? (e.attrs['text:name'] ?? e.attrs['xml:id']) : undefined
    if (name) this.passed.push(name)
  }

  private block(e: XmlElement, around: Around, out: RawBlock[]): void {
    this.pass(e)
    if (SILENT.has(e.name)) return
    if (INDEXES.test(e.name)) {
      const words = wordsIn(child(e, 'text:index-body') ?? e)
      return this.dropped.add('typed contents list', words.trim(), 1, words)
    }
    switch (e.name) {
      case 'text:p':
      case 'text:h':
        return this.paragraph(e, around, out)
      case 'text:list':
        return this.list(e, around, out)
      case 'table:table':
        return this.table(e, out)
      case 'text:section':
        if (e.attrs['text:display'] === 'none') return this.gone('hidden text', e)
        out.push(...this.blocks(e, around))
        return
      case 'text:tracked-changes':
        return this.tracked(e)
      case 'draw:frame':
      case 'draw:a': {
        const into = empty()
        this.frame(e, into, { size: this.styles.bodySize, links: [] })
        this.put(into.behind, out)
        return
      }
      default:
        if (!wordsIn(e).trim()) return
        this.dropped.add('unknown parts: their words are kept as text', wordsIn(e).trim())
        if (find(e, 'text:p') || find(e, 'text:h')) out.push(...this.blocks(e, around))
        else this.paragraph({ name: 'text:p', attrs: {}, children: [e] }, around, out)
    }
  }

  private put(blocks: RawBlock[], out: RawBlock[]): void {
    for (const b of blocks) {
      const turned = this.newPage && (b.type === 'para' || b.type === 'picture')
      if (turned) this.newPage = false
      // What stands in a note is no block of the book: what leads there leads to what calls it.
      const anchors = this.passed.length && !this.inNote ? this.passed.splice(0) : undefined
      out.push(turned || anchors ? { ...b, ...(turned ? { newPage: true } : {}), ...(anchors ? { anchors } : {}) } : b)
    }
  }

  private gone(what: string, e: XmlElement): void {
    const words = wordsIn(e)
    this.dropped.add(what, words.trim() || this.near, 1, words)
  }

  /** What tracked changes took out; what they put in stands in the text. */
  private tracked(e: XmlElement): void {
    const walk = (x: XmlElement): void => {
      if (x.name === 'text:deletion') {
        const words = elements(x)
          .filter(c => c.name !== 'office:change-info')
          .map(wordsIn)
          .join('')
        this.dropped.add('deleted text of tracked changes', words.trim() || this.near, 1, words)
      } else for (const c of elements(x)) walk(c)
    }
    walk(e)
  }

  private paragraph(e: XmlElement, around: Around, out: RawBlock[]): void {
    const style = this.styles.of('paragraph', e.attrs['text:style-name'])
    if (style.para.before) this.newPage = true
    const into = empty()
    this.inline(e, { ...style.text, coloured: false, marked: false }, [], into)
    const content = trimInline(into.content)
    const text = inlineText(content)
    if (text.trim()) this.near = text
    const level = e.name === 'text:h' ? Number(e.attrs['text:outline-level'] ?? style.level ?? 1) : style.level
    const title = /^title$/i.test(style.name)
    const quote = /quot|extract|zitat|citation|citazione|cita\b/i.test(style.name)
    const { left = 0, right = 0 } = style.para
    const para: RawPara = {
      type: 'para',
      content,
      ...(style.name ? { style: style.name } : {}),
      align: style.para.align ?? null,
      ...(into.size ? { size: into.size } : {}),
      bold: into.letters > 0 && into.bold >= into.letters * 0.95,
      italic: into.letters > 0 && into.italic >= into.letters * 0.95,
      ...(title ? { level: 0 } : level && level >= 1 && level <= 10 ? { level } : {}),
      ...(quote ? { quote } : {}),
      ...(left || right ? { indent: { left, right } } : {}),
    }
    if (around.list && para.level === undefined) para.list = around.list
    if (content.length || !into.behind.length) this.put([para], out)
    this.put(into.behind, out)
    if (style.para.after) this.newPage = true
  }

  private inline(parent: XmlElement, look: OdtStyle['text'], links: readonly MarkJson[], into: Collected): void {
    for (const c of parent.children) {
      // Line ends and runs of spaces in the file are single spaces (ODF 1.3, part 3, 6.1.2).
      if (typeof c === 'string') this.words(c.replace(/[\t\r\n ]+/g, ' '), look, links, into)
      else this.inlineElement(c, look, links, into)
    }
  }

  private inlineElement(e: XmlElement, look: OdtStyle['text'], links: readonly MarkJson[], into: Collected): void {
    this.pass(e)
    if (SILENT.has(e.name)) return
    if (PAGE_FIELDS.has(e.name)) return this.dropped.add('fields', this.nearby(into), 1, wordsIn(e))
    switch (e.name) {
      case 'text:span': {
        const own = this.styles.of('text', e.attrs['text:style-name']).text
        return this.inline(e, { ...look, ...defined(own) }, links, into)
      }
      case 'text:a': {
        const href = e.attrs['xlink:href'] ?? ''
        const outside = /^(https?|mailto|tel):/i.test(href)
        const to = outside || href.startsWith('#') ? decodedName(href) : undefined
        if (to === undefined && wordsIn(e).trim())
          this.dropped.add('links that lead nowhere in the document: their words are kept', wordsIn(e).trim())
        return this.inline(e, look, to === undefined ? links : [...links, { type: 'link', attrs: { href: to } }], into)
      }
      case 'text:s':
        return this.words(
          ' '.repeat(Math.min(100, Math.max(1, Number(e.attrs['text:c'] ?? 1) || 1))),
          look,
          links,
          into,
        )
      case 'text:tab':
        if (!into.content.length) this.remade.add(TABS, this.near)
        return this.words(' ', look, links, into)
      case 'text:line-break':
        into.content.push({ type: 'hard_break' })
        return
      case 'text:note':
        return this.note(e, into)
      case 'office:annotation':
        return this.comment(e, into)
      case 'office:annotation-end':
        return this.commentEnds(e, into)
      case 'draw:frame':
      case 'draw:a':
        return this.frame(e, into, { size: look.size ?? this.styles.bodySize, links })
      case 'text:ruby': {
        const reading = wordsIn(child(e, 'text:ruby-text') ?? NOTHING)
        const base = child(e, 'text:ruby-base')
        if (base) this.inline(base, look, links, into)
        if (!reading) return
        this.dropped.add('readings over characters: they stand behind them in brackets', reading)
        return this.words(` (${reading})`, look, links, into)
      }
      case 'text:hidden-text':
        return this.dropped.add('hidden text', this.nearby(into), 1, e.attrs['text:string-value'] ?? wordsIn(e))
    }
    if (/^draw:/.test(e.name)) return this.shape(e, into)
    // Fields that quote something, and what is not known: their words stand.
    this.inline(e, look, links, into)
  }

  /** A comment on words stands with them as a remark; one at a place has none to stand with. */
  private comment(e: XmlElement, into: Collected): void {
    const words = elements(e)
      .filter(c => c.name === 'text:p' || c.name === 'text:list')
      .map(wordsIn)
      .join('\n')
      .trim()
    const name = e.attrs['office:name'] ?? ''
    const author = wordsIn(child(e, 'dc:creator') ?? NOTHING).trim()
    if (words && this.ending.has(name)) this.open.set(name, { words, by: author })
    else this.dropped.add('comments', this.nearby(into) || words, 1, words)
  }

  private commentEnds(e: XmlElement, into: Collected): void {
    const name = e.attrs['office:name'] ?? ''
    const { words } = this.open.get(name) ?? {}
    if (words === undefined) return
    this.open.delete(name)
    if (this.placed.has(name)) this.remade.add('comments: they stand as remarks beside their words', this.nearby(into))
    else this.dropped.add('comments', this.nearby(into) || words, 1, words)
  }

  /** What is said of the words at hand. */
  private remarkHere(hasWords: boolean): MarkJson[] {
    if (!this.open.size) return []
    if (hasWords) for (const name of this.open.keys()) this.placed.add(name)
    return [remarkOf([...this.open.values()].map(({ words, by }) => (by ? `${by}: ${words}` : words)))]
  }

  private words(t: string, look: OdtStyle['text'], links: readonly MarkJson[], into: Collected): void {
    const last = into.content.at(-1)
    let text = cleanText(t)
    if (text.startsWith(' ') && t.length === 1 && (!last || last.type === 'hard_break')) text = ''
    if (!text) return
    if (look.hidden) return this.dropped.add('hidden text', this.nearby(into) || text, 1, text)
    if (look.caps) text = text.toUpperCase()
    const marks = marksOf(look, [...links, ...this.remarkHere(!!text.trim())])
    // Programs dress links by a style of their own: that is no mark of the author's.
    if (text.trim() && !links.length) countLook(look, inlineText(into.content) + text, this.dropped)
    const letters = text.trim().length
    into.letters += letters
    if (look.bold) into.bold += letters
    if (look.italic) into.italic += letters
    if (letters) into.size = Math.max(into.size, look.size ?? this.styles.bodySize)
    if (last?.type === 'text' && sameMarks(last.marks, marks)) last.text += text
    else into.content.push({ type: 'text', text, ...(marks.length ? { marks } : {}) })
  }

  private note(e: XmlElement, into: Collected): void {
    const body = child(e, 'text:note-body')
    const citation = child(e, 'text:note-citation')
    const sign = citation ? wordsIn(citation) : ''
    if (sign) this.remade.add('numbers of notes, which the book makes by itself', this.nearby(into), 1, sign)
    if (!body) return
    if (this.inNote) {
      const words = wordsIn(body)
      this.dropped.add('notes within notes: they stand there in brackets', words)
      return this.words(` [${words}]`, {}, [], into)
    }
    const [turned, near] = [this.newPage, this.near]
    this.inNote = true
    const blocks = this.blocks(body)
    this.inNote = false
    ;[this.newPage, this.near] = [turned, near]
    into.content.push({ type: 'footnote', attrs: { id: '' }, content: wordsOfNote(blocks, this.dropped, this.near) })
  }

  /** A frame: a picture, a box with words or with a picture and its caption, something made by another program. */
  private frame(e: XmlElement, into: Collected, { size, links }: { size: number; links: readonly MarkJson[] }): void {
    if (e.name === 'draw:a') {
      const href = e.attrs['xlink:href'] ?? ''
      const own: MarkJson[] = href ? [{ type: 'link', attrs: { href: decodedName(href) } }] : []
      for (const c of elements(e)) this.frame(c, into, { size, links: [...links, ...own] })
      return
    }
    const alt = [child(e, 'svg:desc'), child(e, 'svg:title')].map(t => (t ? wordsIn(t).trim() : '')).find(Boolean) ?? ''
    const box = child(e, 'draw:text-box')
    if (box) return this.box(box, into)
    const image = elements(e).find(c => c.name === 'draw:image' && this.bytesOf(c))
    const found = image && this.bytesOf(image)
    if (!image || !found) {
      const object = child(e, 'draw:object') ?? child(e, 'draw:object-ole')
      const what = object
        ? 'formulas and other embedded objects'
        : child(e, 'draw:image')
          ? 'pictures that are not in the file'
          : 'drawings'
      return this.dropped.add(what, alt || this.nearby(into), 1, '')
    }
    this.pictures.set(found.key, found.bytes)
    const height = (lengthOf(e.attrs['svg:height']) ?? 0) / size
    if (e.attrs['text:anchor-type'] === 'as-char' && height > 0 && height <= SIGN_HEIGHT && into.content.length)
      into.content.push({
        type: 'sign',
        attrs: { asset: found.key, alt, decoration: !alt, height: Math.round(height * 100) / 100 },
      })
    else into.behind.push({ type: 'picture', key: found.key, alt, ...leading(links) })
  }

  private bytesOf(image: XmlElement): { key: string; bytes: Uint8Array } | undefined {
    const href = image.attrs['xlink:href']
    if (!href || /^[a-z][a-z0-9+.-]*:/i.test(href)) return undefined
    const key = pathIn('', href)
    const bytes = this.parts.get(key)
    return bytes && { key, bytes }
  }

  /** Words in a box stand behind the paragraph that it is tied to; those under a single picture are its caption. */
  private box(e: XmlElement, into: Collected): void {
    const turned = this.newPage
    this.newPage = false
    const blocks = this.blocks(e)
    this.newPage = turned
    const pictures = blocks.filter(b => b.type === 'picture')
    const initial = blocks.length === 1 ? inlineText(stretchesOf(blocks[0]!)[0] ?? []).trim() : ''
    if (INITIAL.test(initial) && !inlineText(into.content).trim()) {
      into.content.push({ type: 'text', text: initial })
      this.remade.add('initials in frames: they stand in their words', initial)
      return
    }
    const words = blocks.filter(b => b.type !== 'picture' && stretchesOf(b).some(p => p.length))
    if (pictures.length === 1 && words.length === 1 && words[0]!.type === 'para') {
      into.behind.push({ ...pictures[0]!, caption: words[0]!.content })
      return
    }
    if (words.length)
      this.dropped.add(
        'text boxes: their words stand behind the paragraph',
        inlineText(stretchesOf(words[0]!)[0] ?? []),
      )
    into.behind.push(...blocks)
  }

  /** A drawn shape: what is written in it stands behind the paragraph. */
  private shape(e: XmlElement, into: Collected): void {
    const blocks = this.blocks(e).filter(b => stretchesOf(b).some(p => p.length))
    this.dropped.add(
      blocks.length ? 'drawings: words in them stand behind the paragraph' : 'drawings',
      this.nearby(into),
    )
    into.behind.push(...blocks)
  }

  private list(e: XmlElement, around: Around, out: RawBlock[]): void {
    const level = around.list ? Math.min(8, around.list.level + 1) : 0
    const listStyle = e.attrs['text:style-name'] ?? around.listStyle
    const { ordered, start } = this.styles.list(listStyle, level)
    const before = this.continued.get(e.attrs['text:continue-list'] ?? '')
    const goesOn =
      before ?? (e.attrs['text:continue-numbering'] === 'true' ? this.continued.get(`style ${listStyle}`) : undefined)
    const list: List = {
      key: around.list?.key ?? goesOn?.key ?? `o${(this.lists += 1)}`,
      level,
      ordered,
      start,
    }
    if (e.attrs['xml:id']) this.continued.set(e.attrs['xml:id'], list)
    this.continued.set(`style ${listStyle}`, list)
    for (const item of elements(e)) {
      if (item.name !== 'text:list-item' && item.name !== 'text:list-header') {
        if (wordsIn(item).trim()) this.block(item, around, out)
        continue
      }
      let first = true
      for (const c of elements(item)) {
        const own = { ...list, ...(first ? {} : { goesOn: true }) }
        this.block(c, { ...around, list: own, ...(listStyle ? { listStyle } : {}) }, out)
        if (c.name !== 'text:soft-page-break') first = false
      }
    }
  }

  private table(e: XmlElement, out: RawBlock[]): void {
    const rows: RowJson[] = []
    const behind: RawBlock[] = []
    const walk = (parent: XmlElement, head: boolean): void => {
      for (const c of elements(parent)) {
        if (c.name === 'table:table-row') {
          const cells = this.row(c, behind)
          const times = Math.min(50, Number(c.attrs['table:number-rows-repeated'] ?? 1) || 1)
          const full = cells.some(x => x.content.some(p => p.content?.length))
          if (cells.length)
            for (let i = 0; i < (full ? times : 1); i++) rows.push({ type: 'row', attrs: { head }, content: cells })
        } else if (c.name === 'table:table-header-rows') walk(c, true)
        else if (c.name === 'table:table-rows' || c.name === 'table:table-row-group') walk(c, head)
        else if (c.name === 'text:soft-page-break' || SILENT.has(c.name)) continue
        else if (wordsIn(c).trim()) this.gone('titles of tables', c)
      }
    }
    walk(e, false)
    if (rows.length) this.put([{ type: 'table', table: { type: 'table', attrs: { id: '' }, content: rows } }], out)
    this.put(behind, out)
  }

  private row(e: XmlElement, behind: RawBlock[]): CellJson[] {
    const cells: CellJson[] = []
    for (const c of elements(e)) {
      if (c.name !== 'table:table-cell' && c.name !== 'table:covered-table-cell') continue
      const span = Math.max(1, Math.min(60, Number(c.attrs['table:number-columns-spanned'] ?? 1) || 1))
      // What another cell covers takes no place of its own.
      if (c.name === 'table:covered-table-cell' && !wordsIn(c).trim()) continue
      const deep = Math.max(1, Math.min(200, Number(c.attrs['table:number-rows-spanned'] ?? 1) || 1))
      const content = this.blocks(c).flatMap((b): ParagraphJson[] => {
        // What leads into a cell leads to its table, or to what stands behind it.
        this.passed.push(...(b.anchors ?? []))
        if (b.type === 'picture') {
          this.dropped.add('pictures inside a table cell: they stand behind the table', b.alt || this.near)
          behind.push(b)
          return []
        }
        if (b.type === 'table') this.dropped.add('tables inside a table cell: their words are kept as text', this.near)
        const align = b.type === 'para' ? (b.align ?? null) : null
        return stretchesOf(b)
          .filter(p => p.length)
          .map(part => ({ type: 'paragraph', attrs: { id: '', align }, content: part }))
      })
      const times = Math.min(60, Number(c.attrs['table:number-columns-repeated'] ?? 1) || 1)
      for (let i = 0; i < times; i++)
        cells.push({
          type: 'cell',
          attrs: { span, ...(deep > 1 && { rows: deep }) },
          content: content.length ? content : [EMPTY],
        })
    }
    return cells
  }

  private nearby(into: Collected): string {
    return inlineText(into.content) || this.near
  }
}

/** A first letter in a frame of its own, with the quote before it. */
const INITIAL = /^["'“„«‘‚‹»›”]?\p{Lu}{1,2}$/u

const NOTHING: XmlElement = { name: '', attrs: {}, children: [] }

const EMPTY: ParagraphJson = { type: 'paragraph', attrs: { id: '', align: null } }

const empty = (): Collected => ({ content: [], behind: [], size: 0, letters: 0, bold: 0, italic: 0 })

/** What a style says, without what it leaves to others. */
const defined = <T extends object>(look: T): T =>
  Object.fromEntries(Object.entries(look).filter(([, v]) => v !== undefined)) as T
