import { type Asset, type BlockJson, type DocJson, type InlineJson, inlineText, type ListJson, type TableJson } from '../book'
import { BLACK, type LayerBuilder, type MarkPlace, PathBuilder } from '../marks'
import { breakParagraph, type BreakRules, type BrokenParagraph, linePieces, type Paragraph, ParagraphBuilder, setFrag, setLine, splitLong, type TextStyle } from '../type'
import type { FlowItem, FlowNote, FlowVariant } from './flow'
import { drawOrnament } from './ornaments'
import { markBits, type TextBase, type Typefaces } from './typefaces'
import type { InteriorStyle } from './style'

/** The kinds of text of an interior, derived from its style. */
export interface Bases {
  body: TextBase
  apart: TextBase
  quote: TextBase
  note: TextBase
  caption: TextBase
  cell: TextBase
  headCell: TextBase
  heads: TextBase[]
  leadIn: TextBase
}

export function basesOf(style: InteriorStyle): Bases {
  const { size } = style.text
  return {
    body: { size },
    apart: { size: size + 0.5, italic: true },
    quote: { size: size - 0.5 },
    note: { size: style.notes.size },
    caption: { size: size - 1.5, italic: true },
    cell: { size: size - 0.5, lining: true },
    headCell: { size: size - 0.5, italic: true, lining: true },
    heads: [{ size: size + 3 }, { size: size + 0.5, smallCaps: true, tracking: 0.04 }, { size, italic: true }],
    leadIn: { size, smallCaps: true, tracking: 0.03 },
  }
}

/** All that setting a section's blocks needs to know. */
export interface BlockContext {
  faces: Typefaces
  style: InteriorStyle
  bases: Bases
  /** Width of a full line, points. */
  measure: number
  /** Width of notes at the foot: the page's measure, also for notes called in a table's cell. */
  noteMeasure: number
  /** Lines of a full page. */
  lines: number
  section: string
  assets: Map<string, Asset>
  /** Collects characters that no face has, with their place. */
  missing: (text: string, block: string) => void
}

interface Setting {
  base: TextBase
  left: number
  right: number
  /** No first-line indent for the next paragraph. */
  flush: boolean
  /** How paragraphs without an alignment of their own are set; the style's way, where absent. */
  align?: 'center'
}

/** Baseline of a grid row below the row's top: three quarters of the leading leave room for descenders. */
export const baselineIn = (leading: number): number => leading * 0.75

/** Turns a section's document into items on the grid. `opens`: the first paragraph opens a chapter. `apart`: a dedication or epigraph, set in italic, centred. */
export function flowItems(doc: DocJson, ctx: BlockContext, opens: boolean, apart = false): FlowItem[] {
  const out: FlowItem[] = []
  let noteNumber = 0
  const notes: NoteCounter = { next: () => String(++noteNumber) }
  const setting: Setting = { base: apart ? ctx.bases.apart : ctx.bases.body, left: 0, right: 0, flush: opens || apart, ...(apart ? { align: 'center' as const } : {}) }
  let lead = opens ? ctx.style.openings.leadIn : 0
  let breakBefore = false
  for (const block of doc.content) {
    const from = out.length
    if (block.type === 'page_break') {
      breakBefore = true
      continue
    }
    addBlock(out, block, ctx, setting, notes, lead)
    if (block.type !== 'image') lead = 0
    if (breakBefore && out.length > from) {
      out[from] = { ...out[from]!, breakBefore: true }
      breakBefore = false
    }
  }
  return out
}

interface NoteCounter {
  next(): string
}

function addBlock(out: FlowItem[], block: BlockJson, ctx: BlockContext, s: Setting, notes: NoteCounter, lead: number): void {
  const place: MarkPlace = { section: ctx.section, block: block.attrs.id }
  const { style } = ctx
  switch (block.type) {
    case 'paragraph':
      out.push(...paragraph(block.content, ctx, s, place, notes, block.attrs.align ?? null, lead))
      // A date or signature on the right, a centred line, a salutation: what follows still begins flush.
      s.flush &&= block.attrs.align === 'right' || block.attrs.align === 'center'
      break
    case 'heading': {
      const level = Math.min(3, Math.max(1, block.attrs.level))
      const base = ctx.bases.heads[level - 1]!
      out.push(...textItems(block.content, ctx, { base, left: s.left, right: s.right, indent: 0, align: level === 1 ? 'center' : 'left', hyphenate: false }, place, notes, { before: level === 1 ? 2 : 1, after: level === 3 ? 0 : 1, keepNext: true, breakable: false }))
      s.flush = true
      break
    }
    case 'quote':
    case 'letter': {
      const inset = style.quotes.inset * style.text.size
      const inner: Setting = { base: block.type === 'quote' ? ctx.bases.quote : s.base, left: s.left + inset, right: s.right + inset, flush: true }
      const from = out.length
      for (const b of block.content) addBlock(out, b, ctx, inner, notes, 0)
      spaceAround(out, from, 1)
      s.flush = false
      break
    }
    case 'verse': {
      const inset = style.quotes.inset * style.text.size * 1.5
      const from = out.length
      block.content.forEach((line, i) => {
        const hang = style.text.size * 1.5
        const left = s.left + inset + line.attrs.indent * style.text.size
        const stanza = line.attrs.stanza && i > 0
        const ends = block.content[i + 1]?.attrs.stanza ?? true
        out.push(...textItems(line.content, ctx, { base: s.base, left: left + hang, right: s.right, indent: -hang, align: 'left', hyphenate: false }, place, notes, { before: stanza ? 1 : 0, after: 0, keepNext: !ends && (i === 0 || !!block.content[i]!.attrs.stanza), breakable: true }))
      })
      spaceAround(out, from, 1)
      s.flush = false
      break
    }
    case 'list':
      addList(out, block, ctx, s, notes, place, 0)
      s.flush = false
      break
    case 'table':
      addTable(out, block, ctx, s, notes, place)
      s.flush = true
      break
    case 'image':
      addImage(out, block, ctx, s, place, notes)
      break
    case 'scene_break': {
      const space = style.breaks.space
      out.push({
        before: space, after: space, flex: 1, keepNext: true, breakable: false, solid: false,
        variants: [{ lines: 1, cost: 0 }],
        draw: (layer, _v, _f, _t, row) => drawOrnament(layer, style.breaks.ornament, ctx.measure / 2, row * style.text.leading + baselineIn(style.text.leading) - style.text.size * 0.28, style.text.size),
      })
      s.flush = true
      break
    }
  }
}

function spaceAround(out: FlowItem[], from: number, lines: number): void {
  if (out.length === from) return
  out[from] = { ...out[from]!, before: Math.max(lines, out[from]!.before), flex: 1 }
  out[out.length - 1] = { ...out[out.length - 1]!, after: Math.max(lines, out[out.length - 1]!.after) }
}

interface TextSetting {
  base: TextBase
  left: number
  right: number
  /** First-line indent, points; negative hangs. */
  indent: number
  align: BreakRules['align']
  hyphenate: boolean
}

function paragraph(content: InlineJson[] | undefined, ctx: BlockContext, s: Setting, place: MarkPlace, notes: NoteCounter, align: string | null, lead: number): FlowItem[] {
  const { text } = ctx.style
  const a = align === 'center' || align === 'right' ? align : align === 'left' ? 'left' : (s.align ?? text.align)
  const indent = s.flush || a === 'center' || a === 'right' ? 0 : text.indent * text.size
  return textItems(content, ctx, { base: s.base, left: s.left, right: s.right, indent, align: a, hyphenate: text.hyphenate }, place, notes, { before: 0, after: 0, keepNext: false, breakable: true }, lead)
}

/** One text as one item; nothing where it is empty. */
function textItems(content: InlineJson[] | undefined, ctx: BlockContext, t: TextSetting, place: MarkPlace, notes: NoteCounter, flow: Pick<FlowItem, 'before' | 'after' | 'keepNext' | 'breakable'>, lead = 0): FlowItem[] {
  const called: FlowNote[] = []
  const p = build(content, ctx, t.base, place, note => {
    const mark = notes.next()
    called.push(...setNote(note, mark, ctx, { section: place.section, block: note.attrs.id }))
    return mark
  }, lead)
  if (!p.frags.length) return []
  const rules = rulesFor(ctx, t, ctx.measure - t.left - t.right)
  const fitted = splitLong(p, rules.measure - Math.max(0, t.indent))
  const broken = breakParagraph(fitted, rules)
  const leading = ctx.style.text.leading
  const best = broken[0]!
  // A text larger than the grid's line takes as many grid lines as it needs.
  const rowsALine = Math.max(1, Math.ceil((t.base.size * 1.12) / leading - 1e-6))
  const variants = broken.map((b): FlowVariant => ({
    lines: b.count * rowsALine,
    cost: b === best ? 0 : 60 + Math.min(3e3, Math.max(0, b.demerits - best.demerits) / 60),
    hyphens: hyphensOf(b),
    notes: called.length ? notesByLine(fitted, b, called, rowsALine) : undefined,
  }))
  return [{
    ...flow, flex: 0, solid: false, variants, breakable: flow.breakable && rowsALine === 1,
    draw: (out, v, from, to, row, report) => {
      const b = broken[v]!
      const rowHeight = leading * rowsALine
      for (let i = from / rowsALine; i < to / rowsALine; i++) {
        const y = row * leading + (i - from / rowsALine) * rowHeight + (rowsALine - 1) * leading * 0.8 + baselineIn(leading)
        report(setLine(out, linePieces(fitted, b, i), rules, i === 0 ? Math.max(0, t.indent) : 0, t.left + (i === 0 ? Math.min(0, t.indent) : 0), y, place))
      }
    },
  }]
}

function rulesFor(ctx: BlockContext, t: TextSetting, measure: number): BreakRules {
  const { text } = ctx.style
  return {
    measure, align: t.align, stretch: text.stretch, shrink: text.shrink, scaling: text.scaling, hyphenate: t.hyphenate, ladder: text.ladder, optical: text.optical,
    // A hanging first line is longer: it takes a negative indent of its own.
    indents: [t.indent, 0], leastLastLine: text.size * 2.6,
  }
}

function hyphensOf(b: BrokenParagraph): Uint8Array | undefined {
  let any: Uint8Array | undefined
  for (let i = 0; i < b.count; i++) if (b.toChar[i]! > 0) (any ??= new Uint8Array(b.count))[i] = 1
  return any
}

function notesByLine(p: Paragraph, b: BrokenParagraph, called: FlowNote[], rowsALine: number): { line: number; note: FlowNote }[] {
  const out: { line: number; note: FlowNote }[] = []
  // A long note comes in parts; each part beyond the first goes with a later line, so that it may stand on a later page.
  let k = 0
  for (const n of p.notes) {
    const frag = p.boxStart[n.box + 1]! - 1
    let line = 0
    while (line < b.count - 1 && b.toFrag[line]! <= frag) line++
    do {
      out.push({ line: line * rowsALine, note: called[k++]! })
      line = Math.min(b.count - 1, line + 1)
    } while (k < called.length && isContinuation(called[k]!))
  }
  return out
}

const continuations = new WeakSet<FlowNote>()
const isContinuation = (n: FlowNote): boolean => continuations.has(n)

/** Collects inline content into a paragraph; `onNote` is told of each note and gives its mark. */
function build(content: InlineJson[] | undefined, ctx: BlockContext, base: TextBase, place: MarkPlace, onNote: (note: Extract<InlineJson, { type: 'footnote' }>) => string, lead = 0): Paragraph {
  const b = new ParagraphBuilder()
  let left = lead
  for (const n of content ?? []) {
    if (n.type === 'text') {
      const bits = markBits(n.marks)
      let rest = n.text
      if (left > 0 && bits === 0) {
        const words = new RegExp(`^(?:\\s*\\S+){1,${left}}`).exec(rest)?.[0] ?? ''
        left -= words.trim().split(/\s+/).filter(Boolean).length
        // The lead-in stops at the end of a sentence or clause rather than run over it.
        const stop = /^[^.!?;:—]*[.!?;:—]/.exec(words)?.[0]
        const set = stop && stop.length < words.length ? stop : words
        if (set !== words) left = 0
        b.text(set, ctx.faces.of(ctx.bases.leadIn))
        rest = rest.slice(set.length)
      } else left = 0
      if (rest) b.text(rest, ctx.faces.of(base, bits))
    } else if (n.type === 'hard_break') b.lineBreak()
    else b.note(n.attrs.id, onNote(n), ctx.faces.of(base, 8))
  }
  const p = b.build()
  for (const m of p.missing) ctx.missing(m, place.block)
  return p
}

/** A note set for the foot of a page, in parts no longer than a third of it. */
function setNote(note: Extract<InlineJson, { type: 'footnote' }>, mark: string, ctx: BlockContext, place: MarkPlace): FlowNote[] {
  const { leading } = ctx.style.notes
  const base = ctx.bases.note
  const p = build([{ type: 'text', text: mark, marks: [{ type: 'superscript' }] }, { type: 'text', text: '\u00a0' }, ...(note.content ?? [])], ctx, base, place, () => '')
  const rules: BreakRules = { ...rulesFor(ctx, { base, left: 0, right: 0, indent: 0, align: ctx.style.text.align, hyphenate: ctx.style.text.hyphenate }, ctx.measure), indents: [], measure: ctx.noteMeasure }
  const fitted = splitLong(p, rules.measure)
  const b = breakParagraph(fitted, rules)[0]
  if (!b) return [{ height: 0, draw: () => undefined }]
  const most = Math.max(4, Math.floor((ctx.lines * ctx.style.text.leading) / 3 / leading))
  const parts: FlowNote[] = []
  for (let from = 0; from < b.count; from += most) {
    const to = Math.min(b.count, from + most)
    const part: FlowNote = {
      height: (to - from) * leading,
      draw: (out, y, report) => {
        for (let i = from; i < to; i++) report(setLine(out, linePieces(fitted, b, i), rules, 0, 0, y + (i - from) * leading + baselineIn(leading), place))
      },
    }
    if (from) continuations.add(part)
    parts.push(part)
  }
  return parts
}

function addList(out: FlowItem[], list: ListJson, ctx: BlockContext, s: Setting, notes: NoteCounter, place: MarkPlace, depth: number): void {
  const { size, leading } = ctx.style.text
  const step = size * (list.attrs.ordered ? 2 : 1.5)
  const from = out.length
  list.content.forEach((item, i) => {
    const mark = list.attrs.ordered ? `${list.attrs.start + i}.` : depth % 2 ? '–' : '•'
    let first = true
    for (const block of item.content) {
      if (block.type === 'list') addList(out, block, ctx, { ...s, left: s.left + step }, notes, place, depth + 1)
      else {
        const inner = textItems(block.content, ctx, { base: s.base, left: s.left + step, right: s.right, indent: 0, align: ctx.style.text.align, hyphenate: ctx.style.text.hyphenate }, place, notes, { before: 0, after: 0, keepNext: false, breakable: true })
        if (first && inner[0]) inner[0] = withMark(inner[0], mark, ctx.faces.of(s.base), s.left + step - size * 0.5, leading, place)
        out.push(...inner)
      }
      first = false
    }
  })
  if (depth === 0) spaceAround(out, from, 1)
}

/** The item with a list's mark in its margin, beside the first line. */
function withMark(item: FlowItem, mark: string, style: TextStyle, right: number, leading: number, place: MarkPlace): FlowItem {
  return {
    ...item,
    draw: (out, v, from, to, row, report) => {
      if (from === 0) {
        const f = style.frag(mark)
        const y = row * leading + baselineIn(leading)
        const end = setFrag(out, f, 1, right - f.width, y, { section: place.section, block: '' })
        // A space, so that mark and text extract as two words.
        out.glyph(style.spacePair, end)
      }
      item.draw(out, v, from, to, row, report)
    },
  }
}

/** Tables: columns share the measure by what they hold; rows stay whole; hairlines above, below and under the head. */
function addTable(out: FlowItem[], table: TableJson, ctx: BlockContext, s: Setting, notes: NoteCounter, place: MarkPlace): void {
  const { leading, size } = ctx.style.text
  const measure = ctx.measure - s.left - s.right
  const columns = Math.max(...table.content.map(r => r.content.reduce((n, c) => n + c.attrs.span, 0)))
  const gutter = size * 1.4
  const want = new Array<number>(columns).fill(0)
  const widest = new Array<number>(columns).fill(0)
  const style = ctx.faces.of(ctx.bases.cell)
  for (const row of table.content) {
    let c = 0
    for (const cell of row.content) {
      if (cell.attrs.span === 1) {
        const text = cell.content.map(p => inlineText(p.content)).join(' ')
        // Marks of notes take room, too; and a column is never narrower than a letter.
        let natural = cell.content.reduce((w, p) => w + (p.content ?? []).filter(n => n.type === 'footnote').length * size * 0.5, 0)
        widest[c] = Math.max(widest[c]!, natural, size * 0.5)
        for (const word of text.split(/\s+/)) {
          const width = word ? style.frag(word).width : 0
          widest[c] = Math.max(widest[c]!, width)
          natural += (natural ? style.space : 0) + width
        }
        want[c] = Math.max(want[c]!, natural + 0.5, size * 0.5)
      }
      c += cell.attrs.span
    }
  }
  const room = measure - gutter * (columns - 1)
  // A table that needs less than the measure keeps its natural width, in the middle.
  const spare = room - want.reduce((a, b) => a + b, 0)
  const widths = spare > 0 ? want : shareOut(room, want, widest)
  const x: number[] = []
  const left = s.left + Math.max(0, spare) / 2
  widths.reduce((at, w, i) => ((x[i] = at), at + w + gutter), left)
  const rule = (out: LayerBuilder, y: number, width: number) => out.add({ kind: 'path', path: new PathBuilder().rect(left, y - width / 2, measure - Math.max(0, spare), width).build(), fill: BLACK })
  const rows: FlowItem[] = []
  table.content.forEach((row, r) => {
    let c = 0
    const cells: { items: FlowItem[]; x: number }[] = []
    for (const cell of row.content) {
      const span = Math.min(cell.attrs.span, columns - c)
      const width = widths.slice(c, c + span).reduce((a, b) => a + b, 0) + gutter * (span - 1)
      const inner: BlockContext = { ...ctx, measure: width }
      const items = cell.content.flatMap(p => textItems(p.content, inner, { base: row.attrs.head ? ctx.bases.headCell : ctx.bases.cell, left: 0, right: 0, indent: 0, align: p.attrs.align === 'right' || p.attrs.align === 'center' ? p.attrs.align : 'left', hyphenate: false }, { section: ctx.section, block: p.attrs.id || place.block }, notes, { before: 0, after: 0, keepNext: false, breakable: false }))
      cells.push({ items, x: x[c]! })
      c += span
    }
    const lines = Math.max(1, ...cells.map(cell => cell.items.reduce((n, i) => n + i.variants[0]!.lines, 0)))
    const called = cells.flatMap(cell => cell.items.flatMap(i => i.variants[0]!.notes ?? [])).map(n => ({ line: 0, note: n.note }))
    const last = r === table.content.length - 1
    rows.push({
      before: r === 0 ? 1 : 0, after: last ? 1 : 0, flex: 0, keepNext: row.attrs.head, breakable: false, solid: true,
      variants: [{ lines: Math.min(lines, ctx.lines), cost: 0, notes: called.length ? called : undefined }],
      draw: (layer, _v, _f, _t, at, report) => {
        if (r === 0) rule(layer, at * leading - leading * 0.06, 0.7)
        for (const cell of cells) {
          let y = at
          layer.dx = cell.x
          for (const item of cell.items) {
            item.draw(layer, 0, 0, item.variants[0]!.lines, y, report)
            y += item.variants[0]!.lines
          }
          layer.dx = 0
        }
        if (row.attrs.head) rule(layer, (at + lines) * leading + leading * 0.02, 0.35)
        if (last) rule(layer, (at + lines) * leading + leading * 0.12, 0.7)
      },
    })
  })
  out.push(...rows)
}

/** Widths of columns: each at least its longest word; the rest is poured out evenly until each has what it wants, so that narrow columns are served first. */
function shareOut(room: number, want: number[], least: number[]): number[] {
  const sumLeast = least.reduce((a, b) => a + b, 0)
  if (sumLeast >= room) return least.map(w => (w / (sumLeast || 1)) * room)
  const widths = [...least]
  let spare = room - sumLeast
  let open = widths.map((_, i) => i).filter(i => want[i]! > widths[i]!)
  while (open.length && spare > 0.01) {
    const step = Math.min(spare / open.length, ...open.map(i => want[i]! - widths[i]!))
    for (const i of open) widths[i]! += step
    spare -= step * open.length
    open = open.filter(i => want[i]! - widths[i]! > 0.01)
  }
  return widths
}

const IMAGE_PPI = 300

function addImage(out: FlowItem[], block: Extract<BlockJson, { type: 'image' }>, ctx: BlockContext, s: Setting, place: MarkPlace, notes: NoteCounter): void {
  const asset = ctx.assets.get(block.attrs.asset)
  const { leading } = ctx.style.text
  const caption = textItems(block.content, ctx, { base: ctx.bases.caption, left: s.left, right: s.right, indent: 0, align: 'center', hyphenate: false }, place, notes, { before: 0, after: 0, keepNext: false, breakable: false })[0]
  const captionLines = caption?.variants[0]!.lines ?? 0
  if (!asset) {
    if (caption) out.push({ ...caption, before: 1, after: 1, solid: true })
    return
  }
  const measure = ctx.measure - s.left - s.right
  // Never larger than its pixels allow in print, never higher than the page.
  let width = Math.min(measure * Math.min(1, Math.max(0.05, block.attrs.share)), (asset.width / IMAGE_PPI) * 72)
  let height = (width * asset.height) / asset.width
  const most = (ctx.lines - captionLines) * leading - 2
  if (height > most) {
    width *= most / height
    height = most
  }
  const rows = Math.ceil(height / leading - 1e-6)
  const total = rows + captionLines
  out.push({
    before: 1, after: 1, flex: 0, keepNext: false, breakable: false, solid: true,
    variants: [{ lines: total, cost: 0, notes: caption?.variants[0]!.notes?.map(n => ({ line: 0, note: n.note })) }],
    draw: (layer, _v, _f, _t, row, report) => {
      layer.add({ kind: 'image', asset: asset.id, x: s.left + (measure - width) / 2, y: row * leading + (rows * leading - height) / 2, width, height, alt: block.attrs.decoration ? '' : block.attrs.alt, place })
      caption?.draw(layer, 0, 0, captionLines, row + rows, report)
    },
  })
}
