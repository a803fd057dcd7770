import type { BlockJson, DocJson, InlineJson, ListJson } from '../book'
import type { MarkPlace } from '../marks'
import { setFrag, type TextStyle } from '../type'
import { baselineIn, type BlockContext, type NoteCounter, type Setting } from './context'
import { type FlowItem, itemOf, ofLines } from './flow'
import { drawOrnament } from './ornaments'
import { addImage, restBeside, standBeside } from './pictures'
import { drawOwnOrnament } from './smallPictures'
import { addTable } from './tables'
import { type EndNote, restOfNotes } from './notes'
import { type Beginning, textItems } from './textItems'

/** Turns a section's document into items on the grid. `opens`: the first paragraph opens a chapter. `apart`: a dedication or epigraph, set in italic, centred. */
export function flowItems(
  doc: DocJson,
  ctx: BlockContext,
  opens: boolean,
  apart = false,
  done?: (blocks: number) => void,
  keepNotes?: EndNote[],
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
    addBlock(out, block, ctx, setting, notes, following)
    if (block.type !== 'image' && block.type !== 'heading' && block.type !== 'scene_break') setting.begins = undefined
    if (breakBefore && out.length > from) {
      out[from]!.breakBefore = true
      breakBefore = false
    }
  }
  out.push(...restBeside(setting), ...restOfNotes(notes.waiting!, ctx.style.text.leading))
  return out
}

function addBlock(
  out: FlowItem[],
  block: BlockJson,
  ctx: BlockContext,
  s: Setting,
  notes: NoteCounter,
  following?: BlockJson,
): void {
  const place: MarkPlace = { section: ctx.section, block: block.attrs.id }
  const { style } = ctx
  switch (block.type) {
    case 'paragraph':
      out.push(...standBeside(paragraph(block.content, ctx, s, place, notes, block.attrs.align ?? null), s, following))
      // A date or signature on the right, a centred line, a salutation: what follows still begins flush.
      s.flush &&= block.attrs.align === 'right' || block.attrs.align === 'center'
      break
    case 'heading': {
      const level = Math.min(3, Math.max(1, block.attrs.level))
      const base = ctx.bases.heads[level - 1]!
      out.push(
        ...textItems(
          block.content,
          ctx,
          {
            base,
            left: s.left,
            right: s.right,
            indent: 0,
            align: level === 1 ? style.headings.align : 'left',
            even: true,
            hyphenate: false,
          },
          place,
          notes,
          { before: level === 1 ? 2 : 1, after: level === 3 ? 0 : 1, keepNext: true, breakable: false },
        ),
      )
      s.flush = style.firsts.flush
      s.begins ??= 'break'
      break
    }
    case 'quote':
    case 'letter': {
      const inset = style.quotes.inset * style.text.size
      const inner: Setting = {
        base: block.type === 'quote' ? ctx.bases.quote : s.base,
        left: s.left + inset,
        right: s.right + inset,
        flush: true,
      }
      const from = out.length
      for (const b of block.content) addBlock(out, b, ctx, inner, notes)
      if (block.type === 'letter') holdEnds(out, from)
      spaceAround(out, from, 1)
      s.flush = false
      break
    }
    case 'verse': {
      const inset = style.quotes.inset * style.text.size * 1.5
      const from = out.length
      const ends = (i: number): boolean => block.content[i + 1]?.attrs.stanza ?? true
      block.content.forEach((line, i) => {
        const hang = style.text.size * 1.5
        const left = s.left + inset + line.attrs.indent * style.text.size
        const stanza = line.attrs.stanza && i > 0
        // Neither the first line of a stanza nor its last stands alone on a page.
        out.push(
          ...textItems(
            line.content,
            ctx,
            { base: s.base, left: left + hang, right: s.right, indent: -hang, align: 'left', hyphenate: false },
            place,
            notes,
            {
              before: stanza ? 1 : 0,
              after: 0,
              keepNext: !ends(i) && (i === 0 || line.attrs.stanza || ends(i + 1)),
              breakable: true,
            },
          ),
        )
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
      addImage(out, block, ctx, s, place, notes, following)
      break
    case 'scene_break': {
      const space = style.breaks.space
      out.push(
        itemOf({
          before: space,
          after: space,
          flex: 1,
          keepNext: true,
          variants: ofLines(1),
          draw: (layer, _v, _f, _t, row) => {
            const { leading, size } = style.text
            const y = row * leading + baselineIn(leading) - size * 0.28
            // A picture may use some of the space around the break.
            if (!drawOwnOrnament(layer, style.breaks.picture, ctx.measure / 2, y, leading * (0.9 + space * 0.8), ctx))
              drawOrnament(layer, style.breaks.ornament, ctx.measure / 2, y, size)
          },
        }),
      )
      s.flush = style.firsts.flush
      s.begins = 'break'
      break
    }
  }
}

function spaceAround(out: FlowItem[], from: number, lines: number): void {
  if (out.length === from) return
  out[from] = { ...out[from]!, before: Math.max(lines, out[from]!.before), flex: 1 }
  out[out.length - 1] = { ...out[out.length - 1]!, after: Math.max(lines, out[out.length - 1]!.after) }
}

function paragraph(
  content: InlineJson[] | undefined,
  ctx: BlockContext,
  s: Setting,
  place: MarkPlace,
  notes: NoteCounter,
  align: string | null,
): FlowItem[] {
  const { text } = ctx.style
  const a = align === 'center' || align === 'right' ? align : align === 'left' ? 'left' : (s.align ?? text.align)
  const spaced = text.paragraphs === 'space'
  const indent = s.flush || spaced || a === 'center' || a === 'right' ? 0 : text.indent * text.size
  return textItems(
    content,
    ctx,
    {
      base: s.base,
      left: s.left,
      right: s.right,
      indent,
      align: a,
      hyphenate: text.hyphenate,
      ...(s.beside ? { beside: s.beside } : {}),
    },
    place,
    notes,
    { before: 0, after: spaced && s.left === 0 ? 1 : 0, keepNext: false, breakable: true },
    a === text.align ? beginningOf(ctx, s) : undefined,
  )
}

/** What the style gives the first paragraph of a chapter, or of what follows a break. */
function beginningOf(ctx: BlockContext, s: Setting): Beginning | undefined {
  // A large letter and a picture at one place would be too much.
  if (!s.begins || s.beside) return undefined
  const { firsts } = ctx.style
  const full = s.begins === 'chapter' || firsts.afterBreaks === 'initial and lead-in'
  const leads = full || firsts.afterBreaks === 'lead-in'
  const leadIn =
    !leads || firsts.leadIn === 'nothing'
      ? undefined
      : firsts.leadIn === 'line'
        ? ('line' as const)
        : { words: firsts.leadInWords, exact: false }
  const initial = full && s.left === 0 ? firsts.initial : 0
  return initial || leadIn ? { initial, ...(leadIn ? { leadIn } : {}) } : undefined
}

/** A letter's date and salutation stay with what follows them where they can, and its close with what comes before: up to three single lines at either end. */
function holdEnds(out: FlowItem[], from: number): void {
  const single = (i: number): boolean => i >= from && i < out.length && out[i]!.variants[0]!.lines === 1
  for (let i = from; i < from + 3 && single(i) && i < out.length - 1; i++) out[i]!.holdNext = true
  for (let i = out.length - 1; i > out.length - 4 && single(i) && i > from; i--) out[i - 1]!.holdNext = true
}

function addList(
  out: FlowItem[],
  list: ListJson,
  ctx: BlockContext,
  s: Setting,
  notes: NoteCounter,
  place: MarkPlace,
  depth: number,
): void {
  const { size, leading } = ctx.style.text
  const step = size * (list.attrs.ordered ? 2 : 1.5)
  const from = out.length
  list.content.forEach((item, i) => {
    const mark = list.attrs.ordered ? `${list.attrs.start + i}.` : depth % 2 ? '–' : '•'
    let first = true
    for (const block of item.content) {
      if (block.type === 'list') addList(out, block, ctx, { ...s, left: s.left + step }, notes, place, depth + 1)
      else {
        const own: MarkPlace = { section: ctx.section, block: block.attrs.id || place.block }
        const inner = textItems(
          block.content,
          ctx,
          {
            base: s.base,
            left: s.left + step,
            right: s.right,
            indent: 0,
            align: ctx.style.text.align,
            hyphenate: ctx.style.text.hyphenate,
          },
          own,
          notes,
          { before: 0, after: 0, keepNext: false, breakable: true },
        )
        if (first && inner[0])
          inner[0] = withMark(inner[0], mark, ctx.faces.of(s.base), s.left + step - size * 0.5, leading, own)
        out.push(...inner)
      }
      first = false
    }
  })
  if (depth === 0) spaceAround(out, from, 1)
}

/** The item with a list's mark in its margin, beside the first line. */
function withMark(
  item: FlowItem,
  mark: string,
  style: TextStyle,
  right: number,
  leading: number,
  place: MarkPlace,
): FlowItem {
  return {
    ...item,
    draw: (out, v, from, to, row, report) => {
      if (from === 0) {
        const f = style.frag(mark)
        const y = row * leading + baselineIn(leading)
        const end = setFrag(out, f, 1, right - f.width, y, { ...place, label: true })
        // A space, so that mark and text extract as two words.
        out.glyph(style.spacePair, end)
      }
      item.draw(out, v, from, to, row, report)
    },
  }
}
