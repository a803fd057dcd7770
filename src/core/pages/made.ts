import { authorLine, type Book, type ContentsEntry, copyrightLines, type Section, seriesLine, shortName } from '../book'
import { BLACK, type Layer, LayerBuilder, type MarkPlace, PathBuilder } from '../marks'
import { type BreakRules, linePieces, setFrag, setLine } from '../type'
import { baselineIn, type BlockContext } from './context'
import { type FlowItem, itemOf, ofLines } from './flow'
import { setAlone } from './opening'
import { drawOwnOrnament } from './smallPictures'
import { legible } from './style'
import type { TextBase } from './typefaces'

/** Words that stand by themselves: their face, the baseline of their first line and the distance of the next, points. */
interface Stacked {
  base: TextBase
  y: number
  leading: number
}

/** Sets centred lines of text from `y` down; returns the baseline after the last. */
function stack(out: LayerBuilder, text: string, { base, y, leading }: Stacked, ctx: BlockContext): number {
  if (!text) return y
  const { paragraph, lines, rules } = setAlone(text, base, ctx)
  const place = { section: ctx.section, block: '' }
  for (let i = 0; i < lines.count; i++)
    setLine(out, linePieces(paragraph, lines, i), rules, { y: y + i * leading, place })
  return y + lines.count * leading
}

/** Height of an imprint's logo on the title page, ems. */
const LOGO = 3.2

/** The title page from the book's data: title and subtitle above the middle, author below, imprint with its logo at the foot. */
export function titlePage({ data, ...book }: Book, ctx: BlockContext): Layer {
  const out = new LayerBuilder()
  const { leading, size } = ctx.style.text
  const height = ctx.lines * leading
  const set = (text: string | undefined, of: Stacked): number => stack(out, text ?? '', of, ctx)
  const titleSize = size * 2.9
  let y = set(data.title, { base: { size: titleSize }, y: height * 0.26, leading: titleSize * 1.14 })
  if (data.subtitle)
    y = set(data.subtitle, { base: { size: size * 1.35, italic: true }, y: y + size * 0.4, leading: size * 1.8 })
  const series = seriesLine({ ...book, data })
  if (series) {
    const base = { size: size * 1.05, smallCaps: true, tracking: 0.06 }
    y = set(series, { base, y: y + size * 0.8, leading: size * 1.5 })
  }
  const author = { base: { size: size * 1.5 }, y: Math.max(y + size * 2, height * 0.56), leading: size * 1.9 }
  set(authorLine(data), author)
  const foot = height - size * 0.4
  const { name, place, logo } = data.imprint
  const lines = (place ? 1 : 0) + (name ? 1 : 0)
  if (logo) {
    const high = size * LOGO
    const cy = foot - lines * size * 1.5 - (lines ? size * 0.4 : 0) - high / 2
    drawOwnOrnament(out, logo, { cx: ctx.measure / 2, cy, height: high }, ctx)
  }
  const imprint = { base: { size: size * 1.05, smallCaps: true, tracking: 0.08 }, leading: size * 1.5 }
  set(name, { ...imprint, y: place ? foot - size * 1.5 : foot })
  set(place, { base: { size, italic: true }, y: foot, leading: size * 1.5 })
  return out.build()
}

export function halfTitlePage(book: Book, ctx: BlockContext): Layer {
  const out = new LayerBuilder()
  const { leading, size } = ctx.style.text
  stack(out, book.data.title, { base: { size: size * 1.5 }, y: ctx.lines * leading * 0.3, leading: size * 1.9 }, ctx)
  return out.build()
}

export function copyrightPage(book: Book, isbn: string | undefined, ctx: BlockContext): Layer {
  const out = new LayerBuilder()
  const base = { size: legible(ctx.style, ctx.style.text.size - 2) }
  const leading = Math.max(base.size * 1.2, ctx.style.text.leading - 2)
  const lines = copyrightLines(book, isbn).map(t => setAlone(t, base, ctx, 'left'))
  const place = { section: ctx.section, block: '' }
  const total = lines.reduce((n, l) => n + l.lines.count * leading + leading * 0.45, 0)
  let y = ctx.lines * ctx.style.text.leading - total + leading
  for (const l of lines) {
    for (let i = 0; i < l.lines.count; i++) {
      setLine(out, linePieces(l.paragraph, l.lines, i), l.rules, { y, place })
      y += leading
    }
    y += leading * 0.45
  }
  return out.build()
}

/** An entry of the contents on its page. */
export interface SetEntry extends ContentsEntry {
  /** Empty while it is not known. */
  folio: string
}

/** Where a line set from the left ends. */
function lineEnd(
  p: Parameters<typeof linePieces>[0],
  b: Parameters<typeof linePieces>[1],
  line: number,
  rules: BreakRules,
): number {
  const { frags, gaps } = linePieces(p, b, line)
  return Math.min(
    rules.measure,
    frags.reduce((w, f, i) => w + f.width + gaps[i]!, line ? frags[0]!.style.size : 0),
  )
}

/** Dots from title to folio, on one pitch for all entries so that they stand in columns; drawn, not typed, so that no reader meets them. */
function leaders(out: LayerBuilder, from: number, to: number, y: number, size: number): void {
  const pitch = size * 0.62
  for (let x = Math.ceil(from / pitch) * pitch; x < to; x += pitch)
    out.add({ kind: 'path', path: new PathBuilder().circle(x, y - size * 0.05, size * 0.045).build(), fill: BLACK })
}

/** The contents as items on the grid, one an entry. Line counts do not depend on the folios, so pages settle before numbers are known. */
export function contentsItems(entries: SetEntry[], section: Section, ctx: BlockContext): FlowItem[] {
  const { leading, size } = ctx.style.text
  const numberWidth = size * 2.2
  return entries.map(e => {
    const text = shortName(e)
    const place: MarkPlace = { section: section.id, block: '', to: e.block ?? e.section }
    // Parts stand apart; headings stand in by their level, below what they stand in.
    const part = e.role === 'part'
    const from = size * 1.4 * e.depth
    const narrow: BlockContext = { ...ctx, measure: ctx.measure - numberWidth - from }
    const base: TextBase = part ? { size, smallCaps: true, tracking: 0.06 } : { size }
    const { paragraph, lines, rules } = setAlone(text, base, narrow, 'left')
    const count = Math.max(1, lines.count)
    return itemOf({
      before: part ? 1 : 0,
      keepNext: part,
      solid: true,
      variants: ofLines(count),
      draw: (out, { row }, report) => {
        for (let i = 0; i < lines.count; i++) {
          const y = (row + i) * leading + baselineIn(leading)
          report(setLine(out, linePieces(paragraph, lines, i), rules, { indent: from + (i ? size : 0), y, place }))
          if (i < lines.count - 1 || !e.folio) continue
          const figures = ctx.faces.of({ size, lining: true })
          const f = figures.frag(e.folio)
          const x = ctx.measure - f.width
          if (ctx.style.contents.leaders && !part)
            leaders(out, from + lineEnd(paragraph, lines, i, rules) + size * 0.5, x - size * 0.4, y, size)
          // A space between title and folio, so that they extract as two words.
          out.run({ face: figures.face, size, baseline: y, colour: figures.colour, place })
          out.glyph(figures.spacePair, x - figures.space)
          setFrag(out, f, { x, y, place })
        }
      },
    })
  })
}
