import type { Align, CellJson, FootnoteJson, HardBreakJson, InlineJson, MarkJson, ParagraphJson, RowJson, TextJson } from '../book'
import { inlineText } from '../book'
import { Fault, type Report } from '../trade'
import { DropCounter, type RawBlock, type RawManuscript, type RawPara } from './raw'
import { readStyles, type RunProps, type StyleSheet } from './docxStyles'
import { child, elements, find, parseXml, type XmlElement } from './xml'
import { readZip } from './zip'

/** Reads a .docx: text with its formatting, structure facts with inheritance, notes, lists, tables, pictures, links; tracked changes as accepted. */
export function readDocx(bytes: Uint8Array, report?: Report): RawManuscript {
  const parts = readZip(bytes, n => /\.(xml|rels)$/.test(n) || n.includes('/media/'), undefined, report)
  const rels0 = parts.get('_rels/.rels')
  let main = 'word/document.xml'
  if (rels0) {
    const r = elements(parseXml(rels0, 'its index')).find(e => e.attrs.Type?.endsWith('/officeDocument'))
    if (r?.attrs.Target) main = r.attrs.Target.replace(/^\//, '')
  }
  const doc = parts.get(main)
  if (!doc) throw new Fault('not-docx', 'This is no word-processor document: it has no text part.')
  const folder = main.slice(0, main.lastIndexOf('/') + 1)
  const part = (name: string): XmlElement | undefined => {
    const b = parts.get(folder + name)
    return b && parseXml(b, name)
  }
  const relations = new Map<string, { target: string; external: boolean }>()
  for (const file of [main.slice(folder.length), 'footnotes.xml', 'endnotes.xml']) {
    const b = parts.get(`${folder}_rels/${file}.rels`)
    if (b) for (const r of elements(parseXml(b, 'its index'))) relations.set((file.startsWith('foot') ? 'f:' : file.startsWith('end') ? 'e:' : '') + r.attrs.Id!, { target: r.attrs.Target ?? '', external: r.attrs.TargetMode === 'External' })
  }
  const reader = new DocxReader(readStyles(part('styles.xml')), readNumbering(part('numbering.xml')), relations, folder, parts)
  reader.notes('footnote', part('footnotes.xml'))
  reader.notes('endnote', part('endnotes.xml'))
  const body = find(parseXml(doc, 'its text', report), 'w:body')
  if (!body) throw new Fault('damaged', 'This document is damaged: it has no body.')
  const blocks = reader.blocks(body, report)
  const core = parts.get('docProps/core.xml')
  const meta: RawManuscript['meta'] = {}
  if (core) {
    const e = parseXml(core, 'its properties')
    const read = (name: string): string | undefined => {
      const t = elements(e).find(c => c.name === name)?.children.filter(c => typeof c === 'string').join('').trim()
      return t || undefined
    }
    meta.title = read('dc:title')
    meta.author = read('dc:creator')
    meta.language = read('dc:language')
  }
  meta.language ??= reader.styles.language
  return { blocks, pictures: reader.pictures, meta, bodySize: reader.styles.bodySize, dropped: reader.dropped }
}

interface NumberingLevel {
  ordered: boolean
  start: number
  none: boolean
}

function readNumbering(e: XmlElement | undefined): Map<string, NumberingLevel[]> {
  const abstracts = new Map<string, NumberingLevel[]>()
  const out = new Map<string, NumberingLevel[]>()
  for (const a of elements(e)) {
    if (a.name === 'w:abstractNum') {
      const levels: NumberingLevel[] = []
      for (const l of elements(a)) if (l.name === 'w:lvl') {
        const format = child(l, 'w:numFmt')?.attrs['w:val'] ?? 'decimal'
        levels[small(l.attrs['w:ilvl'], 0)] = { ordered: format !== 'bullet', none: format === 'none', start: small(child(l, 'w:start')?.attrs['w:val'], 1) }
      }
      abstracts.set(a.attrs['w:abstractNumId'] ?? '', levels)
    } else if (a.name === 'w:num') out.set(a.attrs['w:numId'] ?? '', abstracts.get(child(a, 'w:abstractNumId')?.attrs['w:val'] ?? '') ?? [])
  }
  return out
}

/** A whole number of a file, kept within reason: files may say anything. */
export function small(v: string | undefined, or: number): number {
  const n = Math.trunc(Number(v))
  return Number.isFinite(n) && n >= 0 && n <= 99999 ? n : or
}

class DocxReader {
  readonly dropped = new DropCounter()
  readonly pictures = new Map<string, Uint8Array>()
  private readonly noteTexts = new Map<string, FootnoteJson['content']>()
  private newPage = false
  /** Nested complex fields: their code, and whether we are in the part that shows. */
  private fields: { code: string; shows: boolean; kind: 'link' | 'contents' | 'drop' | 'plain'; href?: string }[] = []
  private near = ''

  constructor(
    readonly styles: StyleSheet,
    private readonly numbering: Map<string, NumberingLevel[]>,
    private readonly relations: Map<string, { target: string; external: boolean }>,
    private readonly folder: string,
    private readonly parts: Map<string, Uint8Array>,
    private relPrefix = '',
  ) {}

  notes(kind: 'footnote' | 'endnote', root: XmlElement | undefined): void {
    this.relPrefix = kind === 'footnote' ? 'f:' : 'e:'
    for (const n of elements(root)) {
      if (n.attrs['w:type'] && n.attrs['w:type'] !== 'normal') continue
      const content: (TextJson | HardBreakJson)[] = []
      for (const b of this.blocks(n)) {
        if (b.type !== 'para') continue
        if (content.length) content.push({ type: 'hard_break' })
        for (const i of b.content) if (i.type === 'text' || i.type === 'hard_break') content.push(i)
      }
      this.noteTexts.set(kind + n.attrs['w:id'], trimNote(content))
    }
    this.relPrefix = ''
    this.newPage = false
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
        case 'w:del':
        case 'w:moveFrom':
          this.dropped.add('deleted text of tracked changes', this.near)
          break
        case 'mc:AlternateContent':
          out.push(...this.blocks(child(e, 'mc:Choice') ?? child(e, 'mc:Fallback') ?? e))
          break
      }
    }
    return out
  }

  private paragraph(e: XmlElement, out: RawBlock[]): void {
    const ppr = child(e, 'w:pPr')
    const styleId = child(ppr, 'w:pStyle')?.attrs['w:val']
    const style = this.styles.paragraph(styleId)
    const direct = this.styles.paragraphProps(ppr)
    const props = { ...style.para, ...direct }
    const outer = out.length
    const inline: Collected = { content: [], size: 0, chars: 0, boldChars: 0, italicChars: 0, pictures: [], pageAfter: false, inContents: this.fields.some(f => f.kind === 'contents' && f.shows) }
    const newPage = this.newPage || !!props.pageBreakBefore
    this.newPage = false
    this.runs(e, style.run, [], inline)
    const text = inlineText(inline.content)
    if (text.trim()) this.near = text
    // Signs without a word beside them are pictures.
    else for (const n of inline.content.splice(0)) {
      if (n.type === 'sign') inline.pictures.push({ type: 'picture', key: n.attrs.asset, alt: n.attrs.alt })
      else inline.content.push(n)
    }
    if (inline.inContents || this.fields.some(f => f.kind === 'contents' && f.shows)) {
      if (text.trim()) this.dropped.add('typed contents list', text)
      this.newPage ||= newPage
      return
    }
    const para: RawPara = {
      type: 'para', content: trimInline(inline.content), style: style.name, align: props.align ?? null,
      size: inline.size || undefined, bold: inline.chars > 0 && inline.boldChars >= inline.chars * 0.95, italic: inline.chars > 0 && inline.italicChars >= inline.chars * 0.95,
    }
    if (newPage) para.newPage = true
    const outline = props.outline ?? style.outline
    if (outline !== undefined && outline < 9) para.level = outline + 1
    if (/^title$/i.test(style.name)) para.level = 0
    if (/quot|extract|zitat|citation/i.test(style.name)) para.quote = true
    if ((props.left ?? 0) || (props.right ?? 0)) para.indent = { left: props.left ?? 0, right: props.right ?? 0 }
    const num = props.num
    if (num && num.id !== '0' && para.level === undefined) {
      const level = this.numbering.get(num.id)?.[num.level]
      if (level && !level.none) para.list = { key: num.id, level: Math.min(8, num.level), ordered: level.ordered, start: level.start }
    }
    // A picture in a paragraph of its own is a block; a large one inside a sentence is set after it.
    if (para.content.length || !inline.pictures.length) out.push(para)
    for (const p of inline.pictures) out.push({ ...p, newPage: out.length === outer && newPage })
    if (inline.pageAfter || child(ppr, 'w:sectPr')) {
      const type = child(child(ppr, 'w:sectPr'), 'w:type')?.attrs['w:val']
      if (inline.pageAfter || type !== 'continuous') this.newPage = true
    }
  }

  private runs(parent: XmlElement, base: RunProps, marks: MarkJson[], into: Collected): void {
    for (const e of elements(parent)) {
      switch (e.name) {
        case 'w:r':
          this.run(e, base, marks, into)
          break
        case 'w:hyperlink': {
          const rel = e.attrs['r:id'] ? this.relations.get(this.relPrefix + e.attrs['r:id']) : undefined
          const href = rel?.external ? rel.target : undefined
          this.runs(e, base, href ? [...marks, { type: 'link', attrs: { href } }] : marks, into)
          break
        }
        case 'w:fldSimple': {
          const kind = fieldKind(e.attrs['w:instr'] ?? '')
          if (kind.kind === 'drop') this.dropped.add('fields', this.near || inlineText(into.content))
          else this.runs(e, base, kind.href ? [...marks, { type: 'link', attrs: { href: kind.href } }] : marks, into)
          break
        }
        case 'w:ins':
        case 'w:moveTo':
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
          this.dropped.add('deleted text of tracked changes', inlineText(into.content) || this.near)
          break
        case 'm:oMath':
        case 'm:oMathPara':
          this.dropped.add('formulas', this.near)
          break
        case 'mc:AlternateContent':
          this.runs(child(e, 'mc:Choice') ?? e, base, marks, into)
          break
      }
    }
  }

  private run(e: XmlElement, base: RunProps, marks: MarkJson[], into: Collected): void {
    const props = this.styles.run(base, child(e, 'w:rPr'))
    if (props.hidden) {
      this.dropped.add('hidden text', inlineText(into.content) || this.near)
      return
    }
    for (const c of elements(e)) this.runChild(c, props, marks, into)
  }

  private runChild(c: XmlElement, props: RunProps, marks: MarkJson[], into: Collected): void {
    const field = this.fields[this.fields.length - 1]
    switch (c.name) {
      case 'w:t': {
        let t = ''
        for (const s of c.children) if (typeof s === 'string') t += s
        this.text(t, props, marks, into)
        break
      }
      case 'w:tab':
      case 'w:ptab':
        this.text(' ', props, marks, into)
        break
      case 'w:noBreakHyphen':
        this.text('\u2011', props, marks, into)
        break
      case 'w:softHyphen':
        break
      case 'w:sym': {
        // Symbol fonts map their own codes into the private area: only what is a real character is kept.
        const code = parseInt(c.attrs['w:char'] ?? '', 16)
        if (code > 0x20 && (code < 0xe000 || code > 0xf8ff) && code < 0xd800) this.text(String.fromCharCode(code), props, marks, into)
        else this.dropped.add('symbols of a private font', inlineText(into.content) || this.near)
        break
      }
      case 'w:cr':
        if (!field || field.shows) into.content.push({ type: 'hard_break' })
        break
      case 'w:br':
        if (c.attrs['w:type'] === 'page') {
          if (into.content.length) into.pageAfter = true
          else this.newPage = into.pageAfter = true
        } else if (c.attrs['w:type'] !== 'column' && (!field || field.shows)) into.content.push({ type: 'hard_break' })
        break
      case 'w:fldChar': {
        const type = c.attrs['w:fldCharType']
        if (type === 'begin') this.fields.push({ code: '', shows: false, kind: 'plain' })
        else if (type === 'separate' && field) {
          Object.assign(field, fieldKind(field.code))
          field.shows = true
          if (field.kind === 'contents') into.inContents = true
        } else if (type === 'end' && field) {
          this.fields.pop()
          if (field.kind === 'plain' && !field.shows && fieldKind(field.code).kind === 'drop') this.dropped.add('fields', this.near)
          else if (field.kind === 'drop') this.dropped.add('fields', inlineText(into.content) || this.near)
        }
        break
      }
      case 'w:instrText':
        if (field && !field.shows) field.code += c.children.filter(s => typeof s === 'string').join('')
        break
      case 'w:footnoteReference':
      case 'w:endnoteReference': {
        const content = this.noteTexts.get((c.name === 'w:footnoteReference' ? 'footnote' : 'endnote') + c.attrs['w:id'])
        if (content) into.content.push({ type: 'footnote', attrs: { id: '' }, content })
        break
      }
      case 'w:commentReference':
        this.dropped.add('comments', inlineText(into.content) || this.near)
        break
      case 'w:drawing':
      case 'w:pict':
      case 'w:object':
        this.picture(c, props, into)
        break
      case 'mc:AlternateContent': {
        const chosen = child(c, 'mc:Choice') ?? child(c, 'mc:Fallback')
        for (const inner of elements(chosen)) this.runChild(inner, props, marks, into)
        break
      }
    }
  }

  private text(t: string, props: RunProps, marks: MarkJson[], into: Collected): void {
    if (!t) return
    const field = this.fields.find(f => !f.shows || f.kind === 'drop')
    if (field) return
    const link = this.fields.find(f => f.kind === 'link')
    const all: MarkJson[] = link?.href ? [{ type: 'link', attrs: { href: link.href } }, ...marks] : [...marks]
    if (props.bold) all.push({ type: 'strong' })
    if (props.italic) all.push({ type: 'em' })
    if (props.smallCaps) all.push({ type: 'small_caps' })
    if (props.vertical === 'superscript') all.push({ type: 'superscript' })
    if (props.vertical === 'subscript') all.push({ type: 'subscript' })
    if (props.underline) this.dropped.add('underlines', inlineText(into.content) + t)
    const clean = cleanText(props.caps ? t.toUpperCase() : t)
    const letters = clean.trim().length
    into.chars += letters
    if (props.bold) into.boldChars += letters
    if (props.italic) into.italicChars += letters
    if (letters) into.size = Math.max(into.size, props.size ?? 0)
    const last = into.content[into.content.length - 1]
    if (last?.type === 'text' && sameMarks(last.marks, all)) last.text += clean
    else into.content.push(all.length ? { type: 'text', text: clean, marks: all } : { type: 'text', text: clean })
  }

  private picture(e: XmlElement, props: RunProps, into: Collected): void {
    const box = find(e, 'w:txbxContent')
    if (box) {
      const words = this.blocks(box).map(b => (b.type === 'para' ? inlineText(b.content) : '')).join(' ')
      this.dropped.add('text boxes', words || this.near)
      return
    }
    const blip = find(e, 'a:blip')
    const id = blip?.attrs['r:embed'] ?? find(e, 'v:imagedata')?.attrs['r:id']
    const rel = id ? this.relations.get(this.relPrefix + id) : undefined
    const path = rel && !rel.external ? resolve(this.folder, rel.target) : undefined
    const bytes = path ? this.parts.get(path) : undefined
    if (!path || !bytes) {
      this.dropped.add(find(e, 'a:graphic') || blip || id ? 'pictures that are not in the file' : 'drawings', this.near)
      return
    }
    this.pictures.set(path, bytes)
    const about = find(e, 'wp:docPr')
    const alt = about?.attrs.descr ?? about?.attrs.title ?? ''
    const inLine = find(e, 'wp:inline')
    const height = Number((inLine && child(inLine, 'wp:extent')?.attrs.cy) ?? 0) / EMU_A_POINT / (props.size ?? this.styles.bodySize ?? 12)
    // What stands in the line and is no higher than two is a sign.
    if (height > 0 && height <= SIGN_HEIGHT) into.content.push({ type: 'sign', attrs: { asset: path, alt, decoration: !alt, height: Math.round(height * 100) / 100 } })
    else into.pictures.push({ type: 'picture', key: path, alt })
  }

  private table(e: XmlElement, out: RawBlock[]): void {
    const rows: RowJson[] = []
    for (const tr of tableRows(e)) {
      const cells: CellJson[] = []
      for (const tc of elements(tr).flatMap(c => (c.name === 'w:sdt' ? elements(child(c, 'w:sdtContent')) : [c]))) {
        if (tc.name !== 'w:tc') continue
        const tcPr = child(tc, 'w:tcPr')
        const merge = child(tcPr, 'w:vMerge')
        const content: ParagraphJson[] = []
        for (const b of this.blocks(tc)) {
          if (b.type === 'para') content.push({ type: 'paragraph', attrs: { id: '', align: b.align ?? null }, content: b.content })
          else this.dropped.add('pictures and tables inside a table cell', this.near)
        }
        if (merge && merge.attrs['w:val'] !== 'restart') content.length = 0
        const kept = content.filter(p => p.content?.length)
        cells.push({ type: 'cell', attrs: { span: Math.max(1, Math.min(60, small(child(tcPr, 'w:gridSpan')?.attrs['w:val'], 1))) }, content: kept.length ? kept : [{ type: 'paragraph', attrs: { id: '', align: null } }] })
      }
      if (cells.length) rows.push({ type: 'row', attrs: { head: !!child(child(tr, 'w:trPr'), 'w:tblHeader') }, content: cells })
    }
    if (rows.length) out.push({ type: 'table', table: { type: 'table', attrs: { id: '' }, content: rows } })
  }
}

function tableRows(e: XmlElement): XmlElement[] {
  return elements(e).flatMap(c => (c.name === 'w:tr' ? [c] : c.name === 'w:sdt' || c.name === 'w:ins' ? tableRows(child(c, 'w:sdtContent') ?? c) : []))
}

/** English metric units, in which drawings are measured. */
const EMU_A_POINT = 12700
/** Ems. */
const SIGN_HEIGHT = 2.4

interface Collected {
  content: InlineJson[]
  size: number
  chars: number
  boldChars: number
  italicChars: number
  pictures: Extract<RawBlock, { type: 'picture' }>[]
  pageAfter: boolean
  inContents: boolean
}

function fieldKind(code: string): { kind: 'link' | 'contents' | 'drop' | 'plain'; href?: string } {
  const word = code.trim().split(/\s+/)[0]?.toUpperCase()
  if (word === 'TOC') return { kind: 'contents' }
  if (word === 'HYPERLINK') {
    const href = /HYPERLINK\s+"([^"]+)"/i.exec(code)?.[1]
    return href ? { kind: 'link', href } : { kind: 'plain' }
  }
  // Numbers of pages and the like are the old layout's; what a field quotes (REF, SEQ, DATE as typed) stays as text.
  if (word && ['PAGE', 'NUMPAGES', 'SECTION', 'SECTIONPAGES', 'PAGEREF', 'INDEX', 'XE', 'TC'].includes(word)) return { kind: 'drop' }
  return { kind: 'plain' }
}

// Control characters cannot be printed; a byte-order mark inside text means nothing.
const cleanText = (t: string): string => t.replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufeff]/g, '').replace(/[\t\n\r]/g, ' ')

export function sameMarks(a: MarkJson[] | undefined, b: MarkJson[]): boolean {
  const x = a ?? []
  return x.length === b.length && x.every((m, i) => m.type === b[i]!.type && (m.type !== 'link' || (b[i] as typeof m).attrs.href === m.attrs.href))
}

/** Without spaces at the ends and without empty texts. */
export function trimInline(content: InlineJson[]): InlineJson[] {
  const out = content.filter(n => n.type !== 'text' || n.text)
  while (out.length && (out[0]!.type === 'hard_break' || (out[0]!.type === 'text' && !out[0].text.trim()))) out.shift()
  while (out.length && (out[out.length - 1]!.type === 'hard_break' || (out[out.length - 1]!.type === 'text' && !(out[out.length - 1] as TextJson).text.trim()))) out.pop()
  const first = out[0]
  if (first?.type === 'text') out[0] = { ...first, text: first.text.replace(/^[ \u3000]+/, '') }
  const last = out[out.length - 1]
  if (last?.type === 'text') out[out.length - 1] = { ...last, text: last.text.replace(/ +$/, '') }
  return out
}

const trimNote = (content: (TextJson | HardBreakJson)[]): (TextJson | HardBreakJson)[] => trimInline(content) as (TextJson | HardBreakJson)[]

function resolve(folder: string, target: string): string {
  if (target.startsWith('/')) return target.slice(1)
  const parts = (folder + target).split('/')
  const out: string[] = []
  for (const p of parts) {
    if (p === '..') out.pop()
    else if (p && p !== '.') out.push(p)
  }
  return out.join('/')
}

export type { Align }
