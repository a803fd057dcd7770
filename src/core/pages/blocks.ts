import type { BlockJson, DocJson, HeadingJson, ListJson, ParagraphJson, QuoteJson, VerseJson } from '../book'
import { setFrag } from '../type'
import { beginningFor, standingAfter } from './beginnings'
import { baselineIn, type BlockContext, type NoteCounter, type Setting, type Spot } from './context'
import { type FlowItem, itemOf, ofLines } from './flow'
import { drawOrnament } from '../ornaments'
import { addImage, restBeside, standBeside } from './pictures'
import { drawOwnOrnament } from './smallPictures'
import { addTable } from './tables'
import type { EndNote } from './endNotes'
import { restOfNotes } from './notes'
import { type Beginning, textItems } from './textItems'
import type { TextBase } from './typefaces'

/** How a section's text begins and what is done on the way. */
export interface FlowOptions {
  /** The first paragraph opens a chapter. */
  opens: boolean
  /** A dedication or epigraph, set in italic, centred. */
  apart?: boolean
  /** Hears how many blocks are made. */
  done?: (blocks: number) => void
  /** Takes the notes that do not stand at the foot. */
  keepNotes?: EndNote[]
}

/** Turns a section's document into items on the grid. */
export function flowItems(
  doc: DocJson,
  ctx: BlockContext,
  { opens, apart = false, done, keepNotes }: FlowOptions,
): FlowItem[] {
  const out: FlowItem[] = []
  let noteNumber = 0
  const notes: NoteCounter = {
    next: () => String(++noteNumber),
    waiting: [],
    ...(keepNotes ? { apart: (note, mark, place) => (keepNotes.push({ note, mark, place }), true) } : {}),
  }
  const setting: Setting = {
    base: apart ? ctx.bases.apart : ctx.bases.body,
    left: 0,
    right: 0,
    flush: (opens && ctx.style.firsts.flush) || apart,
    ...(opens ? { begins: 'chapter' as const } : {}),
    ...(apart ? { align: 'center' as const } : {}),
  }
  let breakBefore = false
  for (const [i, block] of doc.content.entries()) {
    done?.(i)
    const from = out.length
    const following = doc.content[i + 1]
    if (setting.beside && block.type !== 'paragraph') out.push(...restBeside(setting))
    if (block.type === 'page_break') {
      breakBefore = true
      continue
    }
    addBlock(out, block, { ctx, notes }, setting, following)
    if (breakBefore && out.length > from) {
      out[from]!.breakBefore = true
      breakBefore = false
    }
  }
  out.push(...restBeside(setting), ...restOfNotes(notes.waiting!, ctx.style.text.leading))
  return out
}

/** Where a block is set; its own place in the text is added as it comes up. */
type Stream = Omit<Spot, 'place'>

function addBlock(out: FlowItem[], block: BlockJson, at: Stream, s: Setting, following?: BlockJson): void {
  const spot: Spot = { ...at, place: { section: at.ctx.section, block: block.attrs.id } }
  switch (block.type) {
    case 'paragraph':
      out.push(...standBeside(paragraph(block, spot, s), s, following))
      break
    case 'heading':
      out.push(...heading(block, spot, s))
      break
    case 'quote':
    case 'letter':
      addInset(out, block, at, s)
      break
    case 'verse':
      addVerse(out, block, spot, s)
      break
    case 'list':
      addList(out, block, spot, s)
      break
    case 'table':
      addTable(out, block, spot, s)
      break
    case 'image':
      addImage(out, block, spot, s, following)
      break
    case 'scene_break':
      out.push(sceneBreak(at.ctx))
      break
  }
  const { flush, begins } = standingAfter(block, s, at.ctx.style)
  s.flush = flush
  s.begins = begins
}

function heading({ attrs, content }: HeadingJson, spot: Spot, s: Setting): FlowItem[] {
  const { bases, style } = spot.ctx
  const level = Math.min(3, Math.max(1, attrs.level))
  return textItems(
    content,
    spot,
    {
      base: bases.heads[level - 1]!,
      left: s.left,
      right: s.right,
      indent: 0,
      align: level === 1 ? style.headings.align : 'left',
      even: true,
      hyphenate: false,
    },
    { before: level === 1 ? 2 : 1, after: level === 3 ? 0 : 1, keepNext: true, breakable: false },
  )
}

/** A quotation or a letter: its blocks stand in from both sides. */
function addInset(out: FlowItem[], block: QuoteJson, at: Stream, s: Setting): void {
  const { bases, style } = at.ctx
  const inset = style.quotes.inset * style.text.size
  const inner: Setting = {
    base: block.type === 'quote' ? bases.quote : s.base,
    left: s.left + inset,
    right: s.right + inset,
    flush: true,
  }
  const from = out.length
  for (const b of block.content) addBlock(out, b, at, inner)
  if (block.type === 'letter') holdEnds(out, from)
  spaceAround(out, from, 1)
}

function addVerse(out: FlowItem[], { content }: VerseJson, spot: Spot, s: Setting): void {
  const { quotes, text } = spot.ctx.style
  const inset = quotes.inset * text.size * 1.5
  const hang = text.size * 1.5
  const from = out.length
  const ends = (i: number): boolean => content[i + 1]?.attrs.stanza ?? true
  content.forEach((line, i) => {
    const left = s.left + inset + line.attrs.indent * text.size + hang
    const stanza = line.attrs.stanza && i > 0
    // Neither the first line of a stanza nor its last stands alone on a page.
    const keepNext = !ends(i) && (i === 0 || line.attrs.stanza || ends(i + 1))
    out.push(
      ...textItems(
        line.content,
        spot,
        { base: s.base, left, right: s.right, indent: -hang, align: 'left', hyphenate: false },
        { before: stanza ? 1 : 0, after: 0, keepNext, breakable: true },
      ),
    )
  })
  spaceAround(out, from, 1)
}

function sceneBreak(ctx: BlockContext): FlowItem {
  const { breaks, text } = ctx.style
  return itemOf({
    before: breaks.space,
    after: breaks.space,
    flex: 1,
    keepNext: true,
    variants: ofLines(1),
    draw: (layer, { row }) => {
      const { leading, size } = text
      const y = row * leading + baselineIn(leading) - size * 0.28
      // A picture may use some of the space around the break.
      const own = { cx: ctx.measure / 2, cy: y, height: leading * (0.9 + breaks.space * 0.8) }
      if (!drawOwnOrnament(layer, breaks.picture, own, ctx))
        drawOrnament(layer, breaks.ornament, ctx.measure / 2, y, size)
    },
  })
}

function spaceAround(out: FlowItem[], from: number, lines: number): void {
  if (out.length === from) return
  out[from] = { ...out[from]!, before: Math.max(lines, out[from]!.before), flex: 1 }
  out[out.length - 1] = { ...out[out.length - 1]!, after: Math.max(lines, out[out.length - 1]!.after) }
}

function paragraph({ attrs, content }: ParagraphJson, spot: Spot, s: Setting): FlowItem[] {
  const { text } = spot.ctx.style
  const { align } = attrs
  const a = align === 'center' || align === 'right' ? align : align === 'left' ? 'left' : (s.align ?? text.align)
  const spaced = text.paragraphs === 'space'
  const indent = s.flush || spaced || a === 'center' || a === 'right' ? 0 : text.indent * text.size
  return textItems(
    content,
    spot,
    {
      base: s.base,
      left: s.left,
      right: s.right,
      indent,
      align: a,
      hyphenate: text.hyphenate,
      ...(s.beside ? { beside: s.beside } : {}),
    },
    { before: 0, after: spaced && s.left === 0 ? 1 : 0, keepNext: false, breakable: true },
    a === text.align ? beginningOf(spot.ctx, s) : undefined,
  )
}

/** What the style gives the first paragraph of a chapter, or of what follows a break. */
function beginningOf(ctx: BlockContext, s: Setting): Beginning | undefined {
  // A large letter and a picture at one place would be too much.
  const begins = s.beside ? undefined : beginningFor(s.begins, ctx.style)
  if (!begins) return undefined
  const { initial, leadIn } = begins
  const lines = s.left === 0 ? initial : 0
  const led = leadIn === 'line' ? leadIn : leadIn && { ...leadIn, exact: false }
  return lines || led ? { initial: lines, ...(led ? { leadIn: led } : {}) } : undefined
}

/** A letter's date and salutation stay with what follows them where they can, and its close with what comes before: up to three single lines at either end. */
function holdEnds(out: FlowItem[], from: number): void {
  const single = (i: number): boolean => i >= from && i < out.length && out[i]!.variants[0]!.lines === 1
  for (let i = from; i < from + 3 && single(i) && i < out.length - 1; i++) out[i]!.holdNext = true
  for (let i = out.length - 1; i > out.length - 4 && single(i) && i > from; i--) out[i - 1]!.holdNext = true
}

function addList(out: FlowItem[], list: ListJson, spot: Spot, s: Setting, depth = 0): void {
  const { ctx } = spot
  const { align, hyphenate, size } = ctx.style.text
  const step = size * (list.attrs.ordered ? 2 : 1.5)
  const from = out.length
  list.content.forEach((item, i) => {
    const mark = list.attrs.ordered ? `${list.attrs.start + i}.` : depth % 2 ? '–' : '•'
    let first = true
    for (const block of item.content) {
      if (block.type === 'list') addList(out, block, spot, { ...s, left: s.left + step }, depth + 1)
      else {
        const own: Spot = { ...spot, place: { section: ctx.section, block: block.attrs.id || spot.place.block } }
        const inner = textItems(
          block.content,
          own,
          { base: s.base, left: s.left + step, right: s.right, indent: 0, align, hyphenate },
          { before: 0, after: 0, keepNext: false, breakable: true },
        )
        if (first && inner[0])
          inner[0] = withMark(inner[0], mark, own, { base: s.base, right: s.left + step - size * 0.5 })
        out.push(...inner)
      }
      first = false
    }
  })
  if (depth === 0) spaceAround(out, from, 1)
}

/** The item with a list's mark in its margin, beside the first line; it ends at `right`. */
function withMark(
  item: FlowItem,
  mark: string,
  spot: Spot,
  { base, right }: { base: TextBase; right: number },
): FlowItem {
  const { ctx } = spot
  const { leading } = ctx.style.text
  const style = ctx.faces.of(base)
  return {
    ...item,
    draw: (out, part, report) => {
      if (part.from === 0) {
        const f = style.frag(mark)
        const y = part.row * leading + baselineIn(leading)
        const end = setFrag(out, f, { x: right - f.width, y, place: { ...spot.place, label: true } })
        // A space, so that mark and text extract as two words.
        out.glyph(style.spacePair, end)
      }
      item.draw(out, part, report)
    },
  }
}
