import { type FootnoteJson, printedWords } from '../book'
import type { MarkPlace } from '../marks'
import { breakParagraph, type BreakRules, linePieces, setLine, splitLong } from '../type'
import { baselineIn, type BlockContext } from './context'
import { type FlowItem, itemOf, ofLines } from './flow'
import { buildText, rulesFor } from './text'
import { textItems } from './textItems'

/** A note that stands with others at the end of its chapter or of the book. */
export interface EndNote {
  note: FootnoteJson
  mark: string
  place: MarkPlace
}

/** What notes at an end are called. */
export const notesTitle = (language: string): string => printedWords(language).notes

/** The title over notes at an end, `before` lines below what comes before. */
export const notesHead = (title: string, ctx: BlockContext, before: number): FlowItem[] =>
  textItems(
    [{ type: 'text', text: title }],
    { ctx, notes: { next: () => '' }, place: { section: ctx.section, block: '' } },
    { base: ctx.bases.heads[1]!, left: 0, right: 0, indent: 0, align: ctx.style.headings.align, hyphenate: false },
    { before, after: 0, keepNext: true, breakable: false },
  )

/** Notes that stand together at the end of a chapter or of the book, one item each, on their own leading; whole lines of the grid pass below. */
export function endNoteItems(notes: EndNote[], ctx: BlockContext): FlowItem[] {
  const { leading } = ctx.style.text
  const own = ctx.style.notes.leading
  const base = ctx.bases.note
  const hang = base.size * 1.9
  return notes.flatMap(({ note, mark, place }, i): FlowItem[] => {
    const p = buildText(
      [{ type: 'text', text: `${mark}.` }, { type: 'text', text: ' ' }, ...(note.content ?? [])],
      { ctx, place },
      base,
    )
    if (!p.frags.length) return []
    const rules: BreakRules = {
      ...rulesFor(
        ctx,
        { base, left: hang, right: 0, indent: 0, align: ctx.style.text.align, hyphenate: ctx.style.text.hyphenate },
        ctx.measure - hang,
      ),
      indents: [-hang * 0.55, 0],
    }
    const fitted = splitLong(p, rules.measure)
    const b = breakParagraph(fitted, rules)[0]!
    // As many lines of the grid as hold its own; a note of more than a page is parted like text.
    const rows = Math.ceil((b.count * own) / leading - 1e-6)
    const parted = rows > ctx.lines / 2
    return [
      itemOf({
        before: i ? 0 : 1,
        breakable: parted,
        solid: !parted,
        variants: ofLines(parted ? b.count : rows),
        draw: (out, { from, to, row }, report) => {
          const step = parted ? leading : own
          for (let k = from; k < (parted ? to : b.count); k++)
            report(
              setLine(out, linePieces(fitted, b, k), rules, {
                x: k ? hang : hang * 0.45,
                y: row * leading + (k - from) * step + baselineIn(leading),
                place,
              }),
            )
        },
      }),
    ]
  })
}
