import type { FootnoteJson, InlineJson, MarkJson } from '../book'
import { addSign } from './smallPictures'
import type { MarkPlace } from '../marks'
import { type BreakRules, type Paragraph, ParagraphBuilder, type TextStyle } from '../type'
import { leadInOf } from './beginnings'
import type { BlockContext } from './context'
import { reportLacks } from './lacks'
import { markBits, type OfWords, type TextBase } from './typefaces'

/** How one text is set: its face, insets in points, first-line indent, alignment. */
export interface TextSetting {
  base: TextBase
  left: number
  right: number
  /** First-line indent, points; negative hangs. */
  indent: number
  align: BreakRules['align']
  /** Lines of like length. */
  even?: boolean
  hyphenate: boolean
  /** A picture beside the first lines: how many, which side, and the room it takes, points. */
  beside?: { rows: number; side: 'left' | 'right'; room: number }
}

/** Least width of a gap, ems. */
const LEAST_GAP = 0.168

/** The rules for breaking a text at a measure. */
export function rulesFor(ctx: BlockContext, t: TextSetting, measure: number): BreakRules {
  const { text } = ctx.style
  // Words are told apart by eye and by readers of files down to this gap.
  const space = ctx.faces.of(t.base).space / t.base.size
  const shrink = Math.max(0, Math.min(text.shrink, 1 - LEAST_GAP / space))
  return {
    measure,
    align: t.align,
    stretch: text.stretch,
    shrink,
    scaling: text.scaling,
    tracking: text.tracking,
    hyphenate: t.hyphenate,
    ladder: text.ladder,
    optical: text.optical,
    // A hanging first line is longer: it takes a negative indent of its own.
    indents: besideLines(t, 'left', [t.indent, 0]),
    leastLastLine: text.size * 2.6,
    ...(t.even ? { even: true } : {}),
    ...(t.beside?.side === 'right' ? { rightIndents: besideLines(t, 'right', [0]) } : {}),
  }
}

/** What is taken from each line on a side, a picture beside it counted in. */
function besideLines({ beside }: TextSetting, side: 'left' | 'right', own: number[]): number[] {
  if (beside?.side !== side) return own
  const of = (line: number): number => own[Math.min(line, own.length - 1)]!
  return [
    ...Array.from(
      { length: Math.max(beside.rows, own.length - 1) },
      (_, i) => of(i) + (i < beside.rows ? beside.room : 0),
    ),
    of(Infinity),
  ]
}

/** Words at the start in small capitals; `exact` also over the end of a sentence. */
export interface LeadIn {
  words: number
  exact: boolean
}

/** Where a paragraph's words are set; `onNote` is told of each note and gives its mark, none without it. */
interface Words {
  ctx: BlockContext
  place: MarkPlace
  onNote?: (note: FootnoteJson) => string
}

/** Where words lead, and the language that they are in. */
const ofWords = (marks: readonly MarkJson[]): OfWords => ({
  href: marks.find(m => m.type === 'link')?.attrs.href,
  language: marks.find(m => m.type === 'language')?.attrs.tag,
})

/** Collects inline content into a paragraph. */
export function buildText(
  content: InlineJson[] | undefined,
  { ctx, place, onNote }: Words,
  base: TextBase,
  lead?: LeadIn,
): Paragraph {
  const b = new ParagraphBuilder()
  let left = lead?.words ?? 0
  for (const n of content ?? []) {
    if (n.type === 'text') {
      const bits = markBits(n.marks)
      const own = n.marks && ofWords(n.marks)
      const faceOf = (of: TextBase): TextStyle => (own ? ctx.faces.marked(of, bits, own) : ctx.faces.of(of, bits))
      let rest = n.text
      if (left > 0 && (bits === 0 || lead?.exact)) {
        const { led, words, ended } = leadInOf(rest, left, lead?.exact)
        left = ended ? 0 : left - words
        b.text(led, faceOf(ctx.bases.leadIn))
        rest = rest.slice(led.length)
      } else left = 0
      if (rest) b.text(rest, faceOf(base))
    } else if (n.type === 'hard_break') b.lineBreak()
    else if (n.type === 'sign') addSign(b, n, ctx, base)
    else b.note(n.attrs.id, onNote?.(n) ?? '', ctx.faces.of(base, 8))
  }
  const p = b.build()
  reportLacks(p, ctx, place)
  return p
}
