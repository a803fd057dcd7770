import type { InlineJson } from '../book'
import type { MarkPlace } from '../marks'
import { breakParagraph, type BrokenParagraph, linePieces, setLine, splitLong } from '../type'
import { baselineIn, type BlockContext, type NoteCounter } from './context'
import type { FlowItem, FlowNote, FlowVariant } from './flow'
import { notesByLine, setNote } from './notes'
import { buildText, rulesFor, type TextSetting } from './text'

/** One text as one item; nothing where it is empty. */
export function textItems(content: InlineJson[] | undefined, ctx: BlockContext, t: TextSetting, place: MarkPlace, notes: NoteCounter, flow: Pick<FlowItem, 'before' | 'after' | 'keepNext' | 'breakable'>, lead = 0): FlowItem[] {
  const called: FlowNote[] = []
  const p = buildText(content, ctx, t.base, place, note => {
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
  // A text larger than the body's takes as many lines of the grid as it needs; the body itself may be set solid.
  const rowsALine = t.base.size > ctx.style.text.size ? Math.max(1, Math.ceil((t.base.size * 1.12) / leading - 1e-6)) : 1
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

function hyphensOf(b: BrokenParagraph): Uint8Array | undefined {
  let any: Uint8Array | undefined
  for (let i = 0; i < b.count; i++) if (b.toChar[i]! > 0) (any ??= new Uint8Array(b.count))[i] = 1
  return any
}
