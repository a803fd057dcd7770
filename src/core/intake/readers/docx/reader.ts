import { type FootnoteJson, type InlineJson, inlineText, joinedRemarks, type MarkJson, type Said } from '../../../book'
import { child, elements, find, parseXml, pathIn, type XmlElement } from '../../../files'
import type { Report } from '../../../trade'
import { cleanText, joinedInline, remarkOf, sameMarks, trimInline } from '../../inline'
import { countLook, marksOf } from '../../looks'
import { wordsOfNote } from '../../noteWords'
import { DropCounter, leading, type RawBlock, type RawPara, TABS, textOfBlock } from '../../raw'
import { threadSaid } from './comments'
import { type Collected, NO_RANGES, type Range } from './collected'
import type { DocxFile } from './docxFile'
import { fieldKind, MOST_FIELDS } from './fields'
import { ownText } from './ownText'
import { plainWords } from './plainWords'
import type { Tracked } from './riding'
import { silent } from './silent'
import type { ParaProps, RunProps, StyleSheet } from './styles'
import { tableOf } from './tables'
import { textIn } from './textIn'
import { trackedOf } from './tracked'

/** The name of a place that links may lead to; programs keep some for themselves. */
function bookmark(e: XmlElement): string[] {
  const name = e.attrs['w:name']
  return name && name !== '_GoBack' ? [name] : []
}

/** English metric units, in which drawings are measured. */
const EMU_A_POINT = 12700
/** Ems. */
const SIGN_HEIGHT = 2.4

/** Reads the text of a word-processor file, its notes and what stands in them. */
export class DocxReader {
  readonly dropped = new DropCounter()
  readonly remade = new DropCounter()
  readonly pictures = new Map<string, Uint8Array>()
  private readonly noteTexts = new Map<string, FootnoteJson['content']>()
  private newPage = false
  /** A framed initial that waits for its word. */
  private readonly initial: InlineJson[] = []
  /** Notes that were called, and where fields begin that never end: what follows those is plain text. */
  private readonly called = new Set<string>()
  private readonly endless = new Set<XmlElement>()
  /** Nested complex fields: their code, and whether we are in the part that shows. */
  private fields: { code: string; shows: boolean; kind: 'link' | 'contents' | 'drop' | 'plain'; href?: string }[] = []
  private near = ''
  /** What is said of the text, by id; which of it is open here, and which stands with words. */
  remarks: ReadonlyMap<string, Said[]> = new Map()
  private readonly open = new Set<string>()
  private readonly placed = new Set<string>()

  /** Words of a paragraph whose end was deleted; changes that were recorded since the last block. */
  private readonly held: InlineJson[] = []
  private tracked: Tracked[] = []

  /** Before the ids of relations: those of notes are apart. */
  private relPrefix = ''
  /** Names of places that were passed since the last paragraph: links to them lead to it. */
  private passed: string[] = []

  constructor(private readonly file: DocxFile) {}

  /** Where what is said of the text begins or ends; a remark stands with the words between. */
  private range({ name, attrs }: XmlElement): void {
    const id = attrs['w:id'] ?? ''
    if (name === 'w:commentRangeEnd') this.open.delete(id)
    else if (this.remarks.has(id)) this.open.add(id)
  }

  /** What is said of the words at hand. */
  private remarkHere(hasWords: boolean): MarkJson[] {
    if (!this.open.size) return []
    if (hasWords) for (const id of this.open) this.placed.add(id)
    return [this.remarkOn([...this.open])]
  }

  /** What all that is said of the same words is to them. */
  private remarkOn(ids: readonly string[]): MarkJson {
    const { riding } = this.file
    const threads = ids.map(id => this.remarks.get(id)!)
    if (!riding) return remarkOf(threads.map(threadSaid))
    return threads.map(riding.remark).reduce((a, b) => ({ type: 'remark', attrs: joinedRemarks(a.attrs, b.attrs) }))
  }

  notes(kind: 'footnote' | 'endnote', root: XmlElement | undefined): void {
    this.relPrefix = kind === 'footnote' ? 'f:' : 'e:'
    if (root) this.pair(root)
    for (const n of elements(root)) {
      if (n.attrs['w:type'] && n.attrs['w:type'] !== 'normal') continue
      this.fields = []
      const content = wordsOfNote(this.blocks(n), this.dropped, this.near, !!this.file.riding)
      this.fields = []
      this.noteTexts.set(kind + n.attrs['w:id'], content)
    }
    this.relPrefix = ''
    this.newPage = false
    // What leads into a note leads to no block of the text.
    this.passed = []
  }

  /** Finds the fields of a part that begin and never end. */
  pair(root: XmlElement): void {
    const open: XmlElement[] = []
    const walk = (e: XmlElement): void => {
      if (e.name === 'w:fldChar') {
        if (e.attrs['w:fldCharType'] === 'begin') {
          open.push(e)
          // Nobody nests fields so deep: their signs are passed over, their words kept.
          if (open.length > MOST_FIELDS) this.endless.add(e)
        } else if (e.attrs['w:fldCharType'] === 'end' && open.pop() && open.length >= MOST_FIELDS) this.endless.add(e)
      }
      for (const c of e.children) if (typeof c !== 'string') walk(c)
    }
    walk(root)
    for (const e of open) this.endless.add(e)
    if (open.length) this.dropped.add('fields that begin and never end: what follows them is kept', '', open.length)
  }

  /** What stands at the head and foot of the manuscript's own pages: the book makes its own. */
  countHeads(): void {
    for (const [name, bytes] of this.file.parts)
      if (/\/(header|footer)\d*\.xml$/.test(name)) {
        const words = textIn(parseXml(bytes, name)).trim()
        if (words) this.dropped.add('heads and feet of pages', words, 1, words)
      }
  }

  /** Notes that stand in the file and are called nowhere. */
  countUncalled(): void {
    for (const [key, content] of this.noteTexts)
      if (!this.called.has(key) && content?.length)
        this.dropped.add('notes that nothing calls', inlineText(content), 1, inlineText(content))
  }

  /** Text that is not read, with the field signs in it: those must not be missed. */
  private pass(e: XmlElement, what: string, near: string): void {
    this.dropped.add(what, near, 1, textIn(e))
    const walk = (x: XmlElement): void => {
      if (x.name === 'w:fldChar') this.field(x, near)
      for (const c of x.children) if (typeof c !== 'string') walk(c)
    }
    walk(e)
  }

  blocks(parent: XmlElement, report?: Report): RawBlock[] {
    const out: RawBlock[] = []
    const all = elements(parent)
    for (const [i, e] of all.entries()) {
      report?.({ stage: 'Understanding', done: i, of: all.length })
      switch (e.name) {
        case 'w:p':
          this.paragraph(e, out)
          break
        case 'w:tbl':
          this.table(e, out)
          break
        case 'w:sdt':
          out.push(...this.blocks(child(e, 'w:sdtContent') ?? e))
          break
        case 'w:ins':
        case 'w:moveTo':
        case 'w:customXml':
        case 'w:smartTag':
          out.push(...this.blocks(e))
          break
        case 'w:bookmarkStart':
          this.passed.push(...bookmark(e))
          break
        case 'w:commentRangeStart':
        case 'w:commentRangeEnd':
          this.range(e)
          break
        case 'w:del':
        case 'w:moveFrom':
          this.tracked.push(trackedOf(e, 'went'))
          this.pass(e, 'deleted text of tracked changes', this.near)
          break
        case 'mc:AlternateContent':
          out.push(...this.blocks(child(e, 'mc:Choice') ?? child(e, 'mc:Fallback') ?? e))
          break
        case 'w:altChunk':
          this.chunk(e, out)
          break
        case 'w:subDoc':
          this.dropped.add('sub-documents: they are files of their own', this.near)
          break
        case 'w:r':
        case 'w:hyperlink':
        case 'w:fldSimple':
        case 'm:oMath':
        case 'm:oMathPara':
          // Words that stand where paragraphs should.
          this.paragraph({ name: 'w:p', attrs: {}, children: [e] }, out)
          break
        default:
          if (silent.has(e.name) || !textIn(e)) break
          this.dropped.add('unknown parts: their words are kept as text', textIn(e))
          if (find(e, 'w:p') || find(e, 'w:tbl')) out.push(...this.blocks(e))
          else this.paragraph({ name: 'w:p', attrs: {}, children: [e] }, out)
      }
    }
    // The last had none to be joined to.
    if (this.held.length) out.push({ type: 'para', content: this.held.splice(0) })
    return out
  }

  private paragraph(e: XmlElement, out: RawBlock[]): void {
    const ppr = child(e, 'w:pPr')
    const styleId = child(ppr, 'w:pStyle')?.attrs['w:val']
    const style = this.file.styles.paragraph(styleId)
    const props = ppr ? { ...style.para, ...this.file.styles.paragraphProps(ppr) } : style.para
    const outer = out.length
    const inline = this.collected()
    const newPage = this.newPage || !!props.pageBreakBefore
    this.newPage = false
    // The end of a paragraph that was deleted joins it to the next.
    const mark = ppr && child(ppr, 'w:rPr')
    const ended = mark && (child(mark, 'w:del') ?? child(mark, 'w:moveFrom'))
    if (this.held.length) {
      inline.content = this.held.splice(0)
      inline.barrier = inline.content.length
    }
    // How a style looks is no mark of the author's where the document comes back.
    this.runs(e, this.file.riding ? { size: style.letters.size } : style.letters, [], inline)
    while (inline.ranges.length) this.closed(inline.ranges.pop()!, inline)
    if (ppr) this.trackParagraph(ppr)
    if (ended) {
      this.tracked.push(trackedOf(ended, 'went'))
      // Where all of it went, so did its name.
      if (!inline.content.length && !inline.pictures.length) this.passed = []
      this.held.push(...inline.content)
      for (const p of inline.pictures) out.push({ ...p, newPage: false })
      out.push(...inline.boxes)
      this.newPage ||= newPage
      return
    }
    const text = inlineText(inline.content)
    if (text.trim()) this.near = text
    // Signs without a word beside them are pictures.
    else if (!this.file.riding)
      for (const n of inline.content.splice(0)) {
        if (n.type === 'sign') inline.pictures.push({ type: 'picture', key: n.attrs.asset, alt: n.attrs.alt })
        else inline.content.push(n)
      }
    if (inline.inContents || this.fields.some(f => f.kind === 'contents' && f.shows)) {
      const gone = [inlineText(inline.content, true), ...inline.boxes.map(textOfBlock)].join('\n')
      if (gone.trim()) this.dropped.add('typed contents list', gone, 1, gone)
      this.newPage ||= newPage
      return
    }
    const para: RawPara = {
      type: 'para',
      content: this.file.riding ? joinedInline(inline.content) : trimInline(inline.content),
      style: style.name,
      align: props.align ?? null,
      size: inline.size || undefined,
      bold: inline.chars > 0 && inline.boldChars >= inline.chars * 0.95,
      italic: inline.chars > 0 && inline.italicChars >= inline.chars * 0.95,
    }
    // An initial that is set in a frame of its own begins the words of the next paragraph.
    if (child(ppr, 'w:framePr')?.attrs['w:dropCap'] && para.content.length) {
      this.initial.push(...para.content)
      out.push(...inline.boxes)
      this.newPage ||= newPage
      return
    }
    if (this.initial.length) para.content = joinedInline([...this.initial.splice(0), ...para.content])
    if (newPage) para.newPage = true
    if (this.passed.length && !this.relPrefix) para.anchors = this.passed.splice(0)
    if (this.tracked.length) para.tracked = this.tracked.splice(0)
    this.facts(para, style, props)
    // A picture in a paragraph of its own is a block; a large one inside a sentence is set after it.
    if (para.content.length || !(inline.pictures.length + inline.boxes.length)) out.push(para)
    for (const p of inline.pictures) {
      const first = out.length === outer
      // What leads to a picture that stands alone leads to it, and so does what was done to it.
      const { anchors, tracked } = first ? para : {}
      out.push({ ...p, newPage: first && newPage, ...(anchors && { anchors }), ...(tracked && { tracked }) })
    }
    out.push(...inline.boxes)
    if (inline.pageAfter || child(ppr, 'w:sectPr')) {
      const type = child(child(ppr, 'w:sectPr'), 'w:type')?.attrs['w:val']
      if (inline.pageAfter || type !== 'continuous') this.newPage = true
    }
  }

  /** Nothing of a paragraph yet. */
  private collected(): Collected {
    return {
      content: [],
      size: 0,
      chars: 0,
      boldChars: 0,
      italicChars: 0,
      pictures: [],
      boxes: [],
      pageAfter: false,
      inContents: this.fields.length > 0 && this.fields.some(f => f.kind === 'contents' && f.shows),
      ranges: NO_RANGES,
      barrier: 0,
    }
  }

  /** What was recorded of a paragraph itself: that it came, that it is set otherwise. */
  private trackParagraph(ppr: XmlElement): void {
    const came = child(child(ppr, 'w:rPr'), 'w:ins')
    if (came) this.tracked.push(trackedOf(came, 'came'))
    const reset = child(ppr, 'w:pPrChange')
    if (reset) this.tracked.push(trackedOf(reset, 'set'))
  }

  /** What its style and its own settings say that a paragraph is. */
  private facts(para: RawPara, style: ReturnType<StyleSheet['paragraph']>, props: ParaProps): void {
    const outline = props.outline ?? style.outline
    if (outline !== undefined && outline < 9) para.level = outline + 1
    if (style.titles) para.level = 0
    if (style.quotes) para.quote = true
    if ((props.left ?? 0) || (props.right ?? 0)) para.indent = { left: props.left ?? 0, right: props.right ?? 0 }
    const num = props.num
    if (num && num.id !== '0' && para.level === undefined) {
      const level = this.file.numbering.get(num.id)?.[num.level]
      if (level && !level.none)
        para.list = { key: num.id, level: Math.min(8, num.level), ordered: level.ordered, start: level.start }
    }
  }

  private runs(parent: XmlElement, base: RunProps, marks: MarkJson[], into: Collected): void {
    for (const e of elements(parent)) {
      switch (e.name) {
        case 'w:r':
          this.run(e, base, marks, into)
          break
        case 'w:hyperlink': {
          const rel = e.attrs['r:id'] ? this.file.relations.get(this.relPrefix + e.attrs['r:id']) : undefined
          const href = rel?.external ? rel.target : undefined
          const anchor = e.attrs['w:anchor']
          const to = href ?? (anchor && `#${anchor}`)
          if (!to && textIn(e))
            this.dropped.add('links that lead nowhere in the document: their words are kept', textIn(e))
          this.runs(e, base, to ? [...marks, { type: 'link', attrs: { href: to } }] : marks, into)
          break
        }
        case 'w:bookmarkStart':
          this.begun(e, into)
          break
        case 'w:bookmarkEnd': {
          const at = into.ranges.findIndex(r => r.id === e.attrs['w:id'])
          if (at >= 0) this.closed(into.ranges.splice(at, 1)[0]!, into)
          break
        }
        case 'w:commentRangeStart':
        case 'w:commentRangeEnd':
          this.range(e)
          break
        case 'w:fldSimple': {
          const kind = fieldKind(e.attrs['w:instr'] ?? '')
          if (kind.kind === 'drop') this.pass(e, 'fields', this.near || inlineText(into.content))
          else this.runs(e, base, kind.href ? [...marks, { type: 'link', attrs: { href: kind.href } }] : marks, into)
          break
        }
        case 'w:ins':
        case 'w:moveTo':
          this.tracked.push(trackedOf(e, 'came'))
          this.runs(e, base, marks, into)
          break
        case 'w:smartTag':
        case 'w:customXml':
        case 'w:dir':
        case 'w:bdo':
          this.runs(e, base, marks, into)
          break
        case 'w:sdt':
          this.runs(child(e, 'w:sdtContent') ?? e, base, marks, into)
          break
        case 'w:del':
        case 'w:moveFrom':
          this.tracked.push(trackedOf(e, 'went'))
          this.pass(e, 'deleted text of tracked changes', inlineText(into.content) || this.near)
          break
        case 'm:oMath':
        case 'm:oMathPara':
          this.dropped.add('formulas: their signs are kept as text', textIn(e) || this.near)
          this.text(textIn(e), base, marks, into)
          break
        case 'w:ruby':
          this.ruby(e, base, marks, into)
          break
        case 'mc:AlternateContent':
          this.runs(child(e, 'mc:Choice') ?? child(e, 'mc:Fallback') ?? e, base, marks, into)
          break
        default:
          if (silent.has(e.name) || !textIn(e)) break
          this.dropped.add('unknown parts: their words are kept as text', textIn(e))
          if (find(e, 'w:r') || find(e, 'm:oMath')) this.runs(e, base, marks, into)
          else this.text(textIn(e), base, marks, into)
      }
    }
  }

  /** A bookmark begins: around words where it rides along, at the paragraph otherwise. */
  private begun(e: XmlElement, into: Collected): void {
    const [name] = bookmark(e)
    if (name && this.file.riding?.aroundWords(name)) {
      into.ranges = [...into.ranges, { id: e.attrs['w:id'] ?? '', name, from: into.content.length }]
      into.barrier = into.content.length
    } else if (name) this.passed.push(name)
  }

  /** A bookmark around words ends: what it stands for takes their place. */
  private closed({ name, from }: Range, into: Collected): void {
    into.content.push(...this.file.riding!.between(name, into.content.splice(from)))
    into.barrier = into.content.length
  }

  private run(e: XmlElement, base: RunProps, marks: MarkJson[], into: Collected): void {
    const props = this.file.styles.run(base, child(e, 'w:rPr'))
    const reset = child(child(e, 'w:rPr'), 'w:rPrChange')
    if (reset) this.tracked.push({ ...trackedOf(reset, 'set'), words: textIn(e) })
    if (props.hidden) return this.pass(e, 'hidden text', inlineText(into.content) || this.near)
    for (const c of elements(e)) this.runChild(c, props, marks, into)
  }

  private runChild(c: XmlElement, props: RunProps, marks: MarkJson[], into: Collected): void {
    switch (c.name) {
      case 'w:fldChar':
        this.field(c, this.nearby(into), into)
        break
      case 'w:instrText': {
        const field = this.fields.at(-1)
        if (field && !field.shows) field.code += ownText(c)
        break
      }
      case 'w:footnoteReference':
        this.call(`footnote${c.attrs['w:id']}`, into)
        break
      case 'w:endnoteReference':
        this.call(`endnote${c.attrs['w:id']}`, into)
        break
      case 'w:commentReference':
        // One that stands with its words is kept; of a point alone there are none.
        if (this.placed.has(c.attrs['w:id'] ?? '') || this.isAnswer(c.attrs['w:id'] ?? ''))
          this.remade.add('comments: they stand as remarks beside their words', this.nearby(into))
        else this.pointed(c.attrs['w:id'] ?? '', into)
        break
      case 'w:drawing':
      case 'w:pict':
      case 'w:object':
        this.picture(c, { props, marks }, into)
        break
      case 'mc:AlternateContent': {
        const chosen = child(c, 'mc:Choice') ?? child(c, 'mc:Fallback')
        for (const inner of elements(chosen)) this.runChild(inner, props, marks, into)
        break
      }
      case 'w:ruby':
        this.ruby(c, props, marks, into)
        break
      case 'w:delText':
        this.dropped.add('deleted text of tracked changes', this.nearby(into), 1, textIn(c))
        break
      case 'w:r':
        this.run(c, props, marks, into)
        break
      default:
        if (!this.character(c, props, marks, into)) this.unknown(c, props, marks, into)
    }
  }

  /** Words, and what stands for a single character; false where the element is none of these. */
  private character(c: XmlElement, props: RunProps, marks: MarkJson[], into: Collected): boolean {
    const field = this.fields.at(-1)
    const shows = !field || field.shows
    switch (c.name) {
      case 'w:t':
        this.text(ownText(c), props, marks, into)
        return true
      case 'w:tab':
      case 'w:ptab':
        if (this.file.riding) {
          this.text('\t', props, marks, into)
          return true
        }
        if (!into.content.length) this.remade.add(TABS, this.near)
        this.text(' ', props, marks, into)
        return true
      case 'w:noBreakHyphen':
        this.text('\u2011', props, marks, into)
        return true
      case 'w:softHyphen':
        if (this.file.riding) this.text('\u00ad', props, marks, into)
        return true
      case 'w:sym': {
        // Symbol fonts map their own codes into the private area: only what is a real character is kept.
        const code = parseInt(c.attrs['w:char'] ?? '', 16)
        if (code > 0x20 && (code < 0xe000 || code > 0xf8ff) && code < 0xd800)
          this.text(String.fromCharCode(code), props, marks, into)
        else this.dropped.add('symbols of a private font', this.nearby(into))
        return true
      }
      case 'w:cr':
        if (shows) into.content.push(this.lineBreak(props, marks))
        return true
      case 'w:br':
        if (c.attrs['w:type'] === 'page') {
          if (into.content.length) into.pageAfter = true
          else this.newPage = into.pageAfter = true
        } else if (c.attrs['w:type'] !== 'column' && shows) into.content.push(this.lineBreak(props, marks))
        return true
    }
    return false
  }

  /** The end of a line; one that comes back looks as it went. */
  private lineBreak(props: RunProps, marks: MarkJson[]): InlineJson {
    const all = this.file.riding ? marksOf(props, marks) : []
    return { type: 'hard_break', ...(all.length && { marks: all }) }
  }

  private isAnswer = (id: string): boolean => !this.remarks.has(id)

  /** A comment on a point: where a document comes back it stands at the words before. */
  private pointed(id: string, into: Collected): void {
    const last = into.content.at(-1)
    const thread = this.remarks.get(id) ?? []
    if (this.file.riding && last?.type === 'text') {
      const [, before, word] = /^([^]*?)(\S*\s*)$/.exec(last.text)!
      const marks = [...(last.marks ?? []).filter(m => m.type !== 'remark'), this.remarkOn([id])]
      into.content.pop()
      if (before) into.content.push({ ...last, text: before })
      into.content.push({ type: 'text', text: word || last.text, marks })
      into.barrier = into.content.length
      this.placed.add(id)
    } else this.dropped.add('comments', this.nearby(into) || this.near, 1, threadSaid(thread))
  }

  /** The call of a note. A note stands once; who calls it again means the same words. */
  private call(key: string, into: Collected): void {
    if (this.relPrefix) return this.dropped.add('calls of notes inside notes', this.nearby(into))
    const content = this.noteTexts.get(key)
    if (!content) this.dropped.add('calls of notes that are not in the file', this.nearby(into))
    else if (this.called.has(key)) this.dropped.add('further calls of a note that stands already', this.nearby(into))
    else into.content.push({ type: 'footnote', attrs: { id: '' }, content })
    this.called.add(key)
  }

  /** What is not understood is kept as text, and counted. */
  private unknown(c: XmlElement, props: RunProps, marks: MarkJson[], into: Collected): void {
    const words = silent.has(c.name) ? '' : textIn(c)
    if (!words) return
    this.dropped.add('unknown parts: their words are kept as text', words)
    this.text(words, props, marks, into)
  }

  /** The words by which a loss is found again. */
  private nearby(into: Collected): string {
    return inlineText(into.content) || this.near
  }

  /** A sign of a complex field: where it begins, where what it shows begins, where it ends. */
  private field(e: XmlElement, near: string, into?: Collected): void {
    if (this.endless.has(e)) return
    const type = e.attrs['w:fldCharType']
    const field = this.fields[this.fields.length - 1]
    if (type === 'begin') this.fields.push({ code: '', shows: false, kind: 'plain' })
    else if (type === 'separate' && field && !field.shows) {
      Object.assign(field, fieldKind(field.code))
      field.shows = true
      if (field.kind === 'contents' && into) into.inContents = true
    } else if (type === 'end' && field) {
      this.fields.pop()
      if (field.kind === 'plain' && !field.shows && fieldKind(field.code).kind === 'drop')
        this.dropped.add('fields', this.near)
      else if (field.kind === 'drop') this.dropped.add('fields', near)
    }
  }

  /** Characters with their reading over them: the reading follows in brackets. */
  private ruby(e: XmlElement, props: RunProps, marks: MarkJson[], into: Collected): void {
    const base = child(e, 'w:rubyBase')
    if (base) this.runs(base, props, marks, into)
    const reading = textIn(child(e, 'w:rt') ?? { name: '', attrs: {}, children: [] })
    if (!reading) return
    this.dropped.add('readings over characters: they stand behind them in brackets', reading)
    this.text(` (${reading})`, props, marks, into)
  }

  /** A document inside the document: its words, as far as they can be read. */
  private chunk(e: XmlElement, out: RawBlock[]): void {
    const rel = e.attrs['r:id'] ? this.file.relations.get(this.relPrefix + e.attrs['r:id']) : undefined
    const path = rel && !rel.external ? pathIn(this.file.folder, rel.target) : undefined
    const bytes = path ? this.file.parts.get(path) : undefined
    const text = bytes && !(bytes[0] === 0x50 && bytes[1] === 0x4b) ? plainWords(new TextDecoder().decode(bytes)) : ''
    if (!text) return this.dropped.add('embedded documents that cannot be read', rel?.target ?? this.near)
    this.dropped.add('embedded documents: their words are kept as text', text.slice(0, 60))
    for (const line of text.split('\n'))
      if (line.trim()) out.push({ type: 'para', content: [{ type: 'text', text: cleanText(line.trim()) }] })
  }

  private text(t: string, props: RunProps, marks: MarkJson[], into: Collected): void {
    if (!t) return
    const field = this.fields.find(f => !f.shows || f.kind === 'drop')
    if (field)
      return this.dropped.add(
        field.kind === 'drop' ? 'what fields showed' : 'text inside the code of fields',
        inlineText(into.content) || this.near,
        1,
        t,
      )
    const link = this.fields.find(f => f.kind === 'link')
    const links: MarkJson[] = link?.href ? [{ type: 'link', attrs: { href: link.href } }, ...marks] : marks
    const all = marksOf(props, [...links, ...this.remarkHere(!!t.trim())])
    if (t.trim()) countLook(props, inlineText(into.content) + t, this.dropped)
    const clean = this.file.riding ? t.replace(/[\n\r]/g, ' ') : cleanText(props.caps ? t.toUpperCase() : t)
    const letters = clean.trim().length
    into.chars += letters
    if (props.bold) into.boldChars += letters
    if (props.italic) into.italicChars += letters
    if (letters) into.size = Math.max(into.size, props.size ?? 0)
    const last = into.content[into.content.length - 1]
    if (last?.type === 'text' && into.content.length > into.barrier && sameMarks(last.marks, all)) last.text += clean
    else into.content.push(all.length ? { type: 'text', text: clean, marks: all } : { type: 'text', text: clean })
  }

  private picture(
    e: XmlElement,
    { props, marks }: { props: RunProps; marks: readonly MarkJson[] },
    into: Collected,
  ): void {
    const box = find(e, 'w:txbxContent')
    if (box) {
      into.boxes.push(...this.box(box))
      return
    }
    const blip = find(e, 'a:blip')
    const id = blip?.attrs['r:embed'] ?? find(e, 'v:imagedata')?.attrs['r:id']
    const rel = id ? this.file.relations.get(this.relPrefix + id) : undefined
    const path = rel && !rel.external ? pathIn(this.file.folder, rel.target) : undefined
    const bytes = path ? this.file.parts.get(path) : undefined
    if (!path || !bytes) {
      this.dropped.add(find(e, 'a:graphic') || blip || id ? 'pictures that are not in the file' : 'drawings', this.near)
      return
    }
    this.pictures.set(path, bytes)
    const about = find(e, 'wp:docPr')
    const alt = about?.attrs.descr ?? about?.attrs.title ?? ''
    const inLine = find(e, 'wp:inline')
    const height =
      Number((inLine && child(inLine, 'wp:extent')?.attrs.cy) ?? 0) /
      EMU_A_POINT /
      (props.size ?? this.file.styles.bodySize ?? 12)
    // What stands in the line and is no higher than two is a sign.
    if (height > 0 && (height <= SIGN_HEIGHT || into.ranges.length))
      into.content.push({
        type: 'sign',
        attrs: { asset: path, alt, decoration: !alt, height: Math.round(height * 100) / 100 },
      })
    else into.pictures.push({ type: 'picture', key: path, alt, ...leading([...marks, ...this.onPicture(e)]) })
  }

  /** A link that a drawing carries itself (ECMA-376, 20.4.2.5). */
  private onPicture(e: XmlElement): MarkJson[] {
    const click = find(e, 'a:hlinkClick')
    const rel = click?.attrs['r:id'] ? this.file.relations.get(this.relPrefix + click.attrs['r:id']) : undefined
    if (!rel) return []
    return rel.external || rel.target.startsWith('#') ? [{ type: 'link', attrs: { href: rel.target } }] : []
  }

  /** What a text box says: it stands behind the paragraph that the box is tied to. */
  private box(e: XmlElement): RawBlock[] {
    const [fields, newPage, near] = [this.fields, this.newPage, this.near]
    this.fields = []
    const blocks = this.blocks(e)
    this.fields = fields
    this.newPage = newPage
    this.near = near
    const words = blocks.map(textOfBlock).join(' ').trim()
    if (words) this.dropped.add('text boxes: their words stand behind the paragraph', words)
    return blocks.filter(b => b.type !== 'para' || b.content.length > 0)
  }

  private table(e: XmlElement, out: RawBlock[]): void {
    const found = tableOf(e, {
      blocks: tc => this.blocks(tc),
      lost: (what, words, kept) => this.dropped.add(what, words ?? this.near, 1, kept),
      riding: this.file.riding,
    })
    if (found) out.push(found)
  }
}
