import type { FootnoteJson, InlineJson } from '../book'
import {
  breakParagraph,
  type BreakRules,
  type BrokenParagraph,
  Gap,
  linePieces,
  type Paragraph,
  setLine,
  splitLong,
  takenRight,
} from '../type'
import { baselineIn, type NoteCounter, type Spot } from './context'
import { type FlowItem, type FlowNote, type FlowVariant, itemOf } from './flow'
import { type Initial, initialOf } from './initial'
import { notesByLine, setNote } from './notes'
import { buildText, type LeadIn, rulesFor, type TextSetting } from './text'

/** How a paragraph begins that opens a chapter or follows a break. */
export interface Beginning {
  /** Lines of the initial, 0 for none. */
  initial: number
  leadIn?: LeadIn | 'line'
}

/** A text broken into lines, with its alternatives. */
interface BrokenText {
  paragraph: Paragraph
  rules: BreakRules
  broken: BrokenParagraph[]
  called: FlowNote[]
  initial?: Initial
}

/** What a paragraph's first words are given: how they are set, and an initial before them. */
interface First {
  leadIn?: Beginning['leadIn']
  initial?: Initial
}

/** One text as one item; nothing where it is empty. */
export function textItems(
  content: InlineJson[] | undefined,
  spot: Spot,
  t: TextSetting,
  flow: Pick<FlowItem, 'before' | 'after' | 'keepNext' | 'breakable'>,
  begins?: Beginning,
): FlowItem[] {
  const { ctx, notes, place } = spot
  const set = begins?.initial
    ? withInitial(content, spot, t, begins)
    : begun(content, spot, t, { leadIn: begins?.leadIn })
  if (!set) return []
  const { paragraph, rules, called, initial } = set
  const leading = ctx.style.text.leading
  const best = set.broken[0]!
  // A text larger than the body's takes as many lines of the grid as it needs; the body itself may be set solid.
  const rowsALine =
    t.base.size > ctx.style.text.size ? Math.max(1, Math.ceil((t.base.size * 1.12) / leading - 1e-6)) : 1
  const waiting = notes.waiting?.splice(0) ?? []
  const noted =
    called.length || waiting.length
      ? set.broken.map(b => notesByLine(paragraph, b, called, waiting, rowsALine))
      : undefined
  notes.waiting?.push(...(noted?.[0]!.rest ?? []))
  // Where a long note's parts wait for what follows, only lengths that leave as much of it waiting are offered.
  const broken = noted ? set.broken.filter((_, i) => noted[i]!.rest.length === noted[0]!.rest.length) : set.broken
  const variants = broken.map((b): FlowVariant => ({
    lines: b.count * rowsALine,
    cost: b === best ? 0 : 60 + Math.min(3e3, Math.max(0, b.demerits - best.demerits) / 60),
    hyphens: hyphensOf(b),
    notes: noted?.[set.broken.indexOf(b)]!.notes,
  }))
  const indentOf = (line: number): number => rules.indents[Math.min(line, rules.indents.length - 1)] ?? 0
  return [
    itemOf({
      ...flow,
      variants,
      breakable: flow.breakable && rowsALine === 1,
      ...(initial ? { keepFirst: initial.lines } : {}),
      draw: (out, { variant, from, to, row }, report) => {
        const b = broken[variant]!
        const rowHeight = leading * rowsALine
        if (initial && from === 0) initial.draw(out, row, place)
        for (let i = from / rowsALine; i < to / rowsALine; i++) {
          const y =
            row * leading + (i - from / rowsALine) * rowHeight + (rowsALine - 1) * leading * 0.8 + baselineIn(leading)
          const right = takenRight(rules, i)
          report(
            setLine(out, linePieces(paragraph, b, i), right ? { ...rules, measure: rules.measure - right } : rules, {
              indent: Math.max(0, indentOf(i)),
              x: t.left + Math.min(0, indentOf(i)),
              y,
              place,
            }),
          )
        }
      },
    }),
  ]
}

/** Sets a text with an initial; where the paragraph is too short for it the initial takes fewer lines, or there is none. */
function withInitial(
  content: InlineJson[] | undefined,
  spot: Spot,
  t: TextSetting,
  { initial: most, leadIn }: Beginning,
): BrokenText | undefined {
  for (let lines = most; lines > 1; lines--) {
    const initial = initialOf(content, lines, spot.ctx, t.base)
    if (!initial) break
    // Tried in silence: notes are counted once it is known how the paragraph is set.
    const fits = begun(initial.rest, silent(spot), t, { leadIn, initial })
    if (fits && fits.broken.every(b => b.count >= lines))
      return called(initial.rest) ? begun(initial.rest, spot, t, { leadIn, initial }) : fits
  }
  return begun(content, spot, t, { leadIn })
}

/** The same spot, where notes get no number of their own. */
const silent = (spot: Spot): Spot => ({ ...spot, notes: NO_NUMBERS })
const NO_NUMBERS: NoteCounter = { next: () => '0' }

const called = (content: InlineJson[]): boolean => content.some(n => n.type === 'footnote')

/** Sets a text with its lead-in. `line`: exactly what stands in the first line is in small capitals. */
function begun(
  content: InlineJson[] | undefined,
  spot: Spot,
  t: TextSetting,
  { leadIn, initial }: First,
): BrokenText | undefined {
  const set = (at: Spot, leadIn?: LeadIn): BrokenText | undefined => broken(content, at, t, leadIn, initial)
  if (leadIn !== 'line') return set(spot, leadIn)
  const tried = silent(spot)
  const seen = new Map<number, number>()
  // Small capitals are wider than letters, so the first line holds fewer words than without: it is asked until it holds what is set so.
  let words = wordsInFirstLine(set(tried))
  while (words > 0 && !seen.has(words)) {
    const holds = wordsInFirstLine(set(tried, { words, exact: true }))
    seen.set(words, holds)
    if (holds === words) return set(spot, { words, exact: true })
    words = holds
  }
  // No count answers to itself (a word fits as letters only): the first words stand for the line.
  return set(spot, { words: Math.max(1, Math.min(4, ...seen.keys())), exact: false })
}

function broken(
  content: InlineJson[] | undefined,
  { ctx, notes, place }: Spot,
  t: TextSetting,
  leadIn: LeadIn | undefined,
  initial: Initial | undefined,
): BrokenText | undefined {
  const noted: FlowNote[] = []
  const onNote = (note: FootnoteJson): string => {
    const mark = notes.next()
    const at = { section: place.section, block: note.attrs.id }
    if (!notes.apart?.(note, mark, at)) noted.push(...setNote(note, mark, ctx, at))
    return mark
  }
  const p = buildText(content, { ctx, place, onNote }, t.base, leadIn)
  if (!p.frags.length) return undefined
  const rules = rulesFor(ctx, t, ctx.measure - t.left - t.right)
  if (initial) rules.indents = [...initial.indents, 0]
  const paragraph = splitLong(p, rules.measure - Math.max(0, ...rules.indents, ...(rules.rightIndents ?? [])))
  return {
    paragraph,
    rules,
    broken: breakParagraph(paragraph, rules, ctx.everyLength),
    called: noted,
    ...(initial ? { initial } : {}),
  }
}

/** Words that begin in the first line of the best setting and, where it ends in a hyphen, the one that is divided. */
function wordsInFirstLine(set: BrokenText | undefined): number {
  const b = set?.broken[0]
  if (!set || !b) return 0
  const { boxStart, gap } = set.paragraph
  const end = b.toFrag[0]! + (b.toChar[0] ? 1 : 0)
  // Parts of a word that a dash or hyphen joins are one word.
  return gap.filter((_, i) => boxStart[i]! < end && (i === 0 || gap[i - 1] !== Gap.none)).length
}

function hyphensOf(b: BrokenParagraph): Uint8Array | undefined {
  let any: Uint8Array | undefined
  for (let i = 0; i < b.count; i++) if (b.toChar[i]! > 0) (any ??= new Uint8Array(b.count))[i] = 1
  return any
}
