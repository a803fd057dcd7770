import type { MarkPlace } from '../marks'
import type { Section, SectionLabel } from '../book'
import { breakParagraph, type BreakRules, linePieces, type Paragraph, ParagraphBuilder, setLine } from '../type'
import type { BlockContext } from './context'
import type { FlowItem } from './flow'
import type { TextBase } from './typefaces'

/** The opening of a section: sink, number, title, subtitle, and the space down to the text. One item that nothing parts. */
export function opening(section: Section, label: SectionLabel, ctx: BlockContext): FlowItem[] {
  const { openings, text } = ctx.style
  const place: MarkPlace = { section: section.id, block: '' }
  const number = openings.number === 'none' || !label.number ? '' : openings.number === 'words' ? (label.numberWords ?? '') : String(label.number)
  const parts: { text: string; base: TextBase; /** From the baseline above, points. */ down: number }[] = []
  if (number) parts.push({ text: number, base: label.title ? numberBase(ctx) : titleBase(ctx), down: 0 })
  if (label.title) parts.push({ text: label.title, base: titleBase(ctx), down: openings.titleSize * 1.5 })
  if (section.subtitle) parts.push({ text: section.subtitle, base: subtitleBase(ctx), down: text.size * 1.9 })
  if (!parts.length) return openings.sink ? [gap(openings.sink)] : []

  const set = parts.map(part => ({ ...part, ...centred(part.text, part.base, ctx) }))
  let height = 0
  set.forEach((s, i) => (height += (i ? s.down : 0) + (s.lines.count - 1) * s.base.size * 1.22))
  // The sink leaves room for the first line; the rest takes whole lines of the grid so that the text below stays on it.
  const head = openings.sink
  const rows = Math.min(ctx.lines - 3, head + Math.ceil(height / text.leading) + openings.below)
  return [{
    before: 0, after: 0, flex: 0, keepNext: true, breakable: false, solid: false, variants: [{ lines: rows, cost: 0 }],
    draw: (out, _v, _f, _t, row, report) => {
      let y = (row + head) * text.leading
      set.forEach((s, i) => {
        if (i) y += s.down
        for (let k = 0; k < s.lines.count; k++) {
          if (k) y += s.base.size * 1.22
          report(setLine(out, linePieces(s.paragraph, s.lines, k), s.rules, 0, 0, y, place))
        }
      })
    },
  }]
}

const gap = (lines: number): FlowItem => ({ before: 0, after: 0, flex: 0, keepNext: true, breakable: false, solid: false, variants: [{ lines, cost: 0 }], draw: () => undefined })

const numberBase = (ctx: BlockContext): TextBase => ({ size: ctx.style.openings.numberSize, smallCaps: true, tracking: 0.08, lining: false })
const titleBase = (ctx: BlockContext): TextBase => ({ size: ctx.style.openings.titleSize })
const subtitleBase = (ctx: BlockContext): TextBase => ({ size: ctx.style.text.size + 1, italic: true })

/** A short text centred over as few lines as it needs, of like length. */
export function centred(text: string, base: TextBase, ctx: BlockContext, align: BreakRules['align'] = 'center'): { paragraph: Paragraph; lines: ReturnType<typeof breakParagraph>[number]; rules: BreakRules } {
  const b = new ParagraphBuilder()
  b.text(text, ctx.faces.of(base))
  const paragraph = b.build()
  for (const m of paragraph.missing) ctx.missing(m, '')
  const rules: BreakRules = { measure: ctx.measure, indents: [], align, stretch: 0, shrink: 0, scaling: 0, tracking: 0, hyphenate: false, ladder: 0, leastLastLine: 0, optical: false }
  const broken = breakParagraph(paragraph, rules)[0] ?? { count: 0, toFrag: [], toChar: [], demerits: 0, loose: false }
  return { paragraph, lines: broken, rules }
}
