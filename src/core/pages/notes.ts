import type { FootnoteJson } from '../book'
import type { MarkPlace } from '../marks'
import {
  breakParagraph,
  type BreakRules,
  type BrokenParagraph,
  linePieces,
  type Paragraph,
  setLine,
  splitLong,
} from '../type'
import { baselineIn, type BlockContext } from './context'
import { type FlowItem, type FlowNote, itemOf, ofLines } from './flow'
import { buildText, rulesFor } from './text'

/** Lines of each part of a long note behind its first: small, so that they fill a page's foot. */
const PART = 3

/** A note set for the foot of a page: whole, or where it is longer than a third of the page in parts that may stand on later ones. */
export function setNote(note: FootnoteJson, mark: string, ctx: BlockContext, place: MarkPlace): FlowNote[] {
  const { leading } = ctx.style.notes
  const base = ctx.bases.note
  const p = buildText(
    [
      { type: 'text', text: mark, marks: [{ type: 'superscript' }] },
      { type: 'text', text: '\u00a0' },
      ...(note.content ?? []),
    ],
    { ctx, place },
    base,
  )
  const rules: BreakRules = {
    ...rulesFor(
      ctx,
      { base, left: 0, right: 0, indent: 0, align: ctx.style.text.align, hyphenate: ctx.style.text.hyphenate },
      ctx.measure,
    ),
    indents: [],
    measure: ctx.noteMeasure,
  }
  const fitted = splitLong(p, rules.measure)
  const b = breakParagraph(fitted, rules)[0]
  if (!b) return [{ height: 0, draw: () => undefined }]
  const most = Math.max(4, Math.floor((ctx.lines * ctx.style.text.leading) / 3 / leading))
  const parts: FlowNote[] = []
  for (let from = 0, to = 0; from < b.count; from = to) {
    to = Math.min(b.count, from + (from ? PART : most))
    // No part of a single line at the end.
    if (b.count - to === 1) to = b.count
    const part: FlowNote = {
      height: (to - from) * leading,
      draw: (out, y, report) => {
        for (let i = from; i < to; i++)
          report(
            setLine(out, linePieces(fitted, b, i), rules, {
              y: y + (i - from) * leading + baselineIn(leading),
              place,
            }),
          )
      },
    }
    if (from) continuations.add(part)
    parts.push(part)
  }
  return parts
}

/**
 * Notes by the line of a paragraph that calls each. A long note comes in parts; each beyond the first goes with a later line, so
 * that it may stand on a later page. Parts that were waiting stand before what is called here. What finds no line is the `rest`.
 */
export function notesByLine(
  p: Paragraph,
  b: BrokenParagraph,
  called: FlowNote[],
  waiting: FlowNote[],
  rowsALine: number,
): { notes: { line: number; note: FlowNote }[]; rest: FlowNote[] } {
  const notes: { line: number; note: FlowNote }[] = []
  const rest: FlowNote[] = []
  const put = (line: number, note: FlowNote): void =>
    void (line < b.count && !rest.length ? notes.push({ line: line * rowsALine, note }) : rest.push(note))
  waiting.forEach((note, i) => put(i, note))
  let free = waiting.length
  let k = 0
  for (const n of p.notes) {
    const frag = p.boxStart[n.box + 1]! - 1
    let line = 0
    while (line < b.count - 1 && b.toFrag[line]! <= frag) line++
    line = Math.max(line, free - 1)
    put(line, called[k++]!)
    for (; k < called.length && isContinuation(called[k]!); k++) put(++line, called[k]!)
    free = Math.max(free, line + 1)
  }
  return { notes, rest }
}

const continuations = new WeakSet<FlowNote>()
export const isContinuation = (n: FlowNote): boolean => continuations.has(n)

/** What is left of notes where their section has no more text to stand under: on a new page, behind the part at the foot. */
export const restOfNotes = (rest: FlowNote[], leading: number): FlowItem[] =>
  rest.map((note, i) =>
    itemOf({
      breakBefore: i === 0,
      solid: true,
      variants: ofLines(Math.ceil(note.height / leading - 1e-6)),
      draw: (out, { row }, report) => note.draw(out, row * leading, report),
    }),
  )
