import type { LayerBuilder, MarkPlace } from '../marks'
import type { Section, SectionLabel } from '../book'
import {
  breakParagraph,
  type BreakRules,
  displayedRules,
  linePieces,
  type Paragraph,
  ParagraphBuilder,
  setLine,
} from '../type'
import { numberIn } from './beginnings'
import type { BlockContext } from './context'
import { reportLacks } from './lacks'
import { type FlowItem, itemOf, ofLines } from './flow'
import { drawOrnament } from '../ornaments'
import { drawOwnOrnament, sharpWidth } from './smallPictures'
import { legible } from './style'
import type { TextBase } from './typefaces'

/** The opening of a section: sink, number, ornament, title, subtitle, and the space down to the text. One item that nothing parts. */
export function opening(section: Section, label: SectionLabel, ctx: BlockContext): FlowItem[] {
  const { openings, text } = ctx.style
  const place: MarkPlace = { section: section.id, block: '' }
  const number = numberIn(label, ctx.style)
  const parts: {
    text: string
    base: TextBase
    /** From the baseline above, points. */ down: number
    ornament?: boolean
  }[] = []
  const title = titleBase(ctx)
  if (number)
    parts.push({
      text: number,
      base: label.title ? numberBase(ctx) : { ...title, smallCaps: title.smallCaps ?? inWords(openings.number) },
      down: 0,
    })
  const own = ctx.assets.has(openings.ornamentPicture)
  if ((own || openings.ornament !== 'none') && (number || label.title))
    parts.push({ text: '', base: title, down: number ? text.size * (own ? 2.6 : 1.9) : 0, ornament: true })
  if (label.title)
    parts.push({
      text: openings.title === 'capitals' ? label.title.toUpperCase() : label.title,
      base: title,
      down: title.size * (parts.some(p => p.ornament) ? 1.75 : 1.5) + (own ? text.size * 0.6 : 0),
    })
  if (section.subtitle) parts.push({ text: section.subtitle, base: subtitleBase(ctx), down: text.size * 1.9 })
  const picture = openingPicture(section, ctx)
  // Without words there is only the sink; none over a picture that has the page for itself.
  if (!number && !label.title && !section.subtitle && !picture)
    return openings.sink && !beginsWithLeaf(section, ctx) ? [gap(openings.sink)] : []

  const set = parts.map(part => ({ ...part, ...setAlone(part.text, part.base, ctx, openings.align, true) }))
  let height = 0
  set.forEach((s, i) => (height += (i ? s.down : 0) + Math.max(0, s.lines.count - 1) * s.base.size * 1.22))
  // The sink leaves room for the first line; the rest takes whole lines of the grid so that the text below stays on it.
  const over = set[0] ? Math.max(0, Math.ceil(((set[0].base.size - text.size) * 0.8) / text.leading - 0.6)) : 0
  // A picture over the words fills the sink and goes beyond it as it must.
  const head = Math.max(openings.sink, picture ? picture.rows + 2 : 0) + over
  const rows = Math.min(ctx.lines - 3, head + Math.ceil(height / text.leading) + openings.below)
  return [
    itemOf({
      keepNext: true,
      variants: ofLines(rows),
      draw: (out, { row }, report) => {
        let y = (row + head) * text.leading
        picture?.draw(out, row)
        set.forEach((s, i) => {
          if (i) y += s.down
          if (s.ornament) {
            const cx = openings.align === 'left' ? text.size * 2.2 : ctx.measure / 2
            const cy = y - text.size * 0.3
            if (!drawOwnOrnament(out, openings.ornamentPicture, { cx, cy, height: text.size * 2.6 }, ctx))
              drawOrnament(out, openings.ornament, cx, cy, text.size * 1.25)
          }
          for (let k = 0; k < s.lines.count; k++) {
            if (k) y += s.base.size * 1.22
            report(setLine(out, linePieces(s.paragraph, s.lines, k), s.rules, { y, place }))
          }
        })
      },
    }),
  ]
}

/** Part of the page's height that a picture over an opening may take. */
const MOST_OF_PAGE = 0.42

/** The picture over a section's opening, as wide as the style says and its pixels allow. */
function openingPicture(
  section: Section,
  ctx: BlockContext,
): { rows: number; draw: (out: LayerBuilder, row: number) => void } | undefined {
  const asset = section.picture && ctx.assets.get(section.picture.asset)
  if (!asset) return undefined
  const { openings, text } = ctx.style
  const width = Math.min(
    ctx.measure * openings.picture,
    sharpWidth(asset),
    (ctx.lines * MOST_OF_PAGE * text.leading * asset.width) / asset.height,
  )
  const height = (width * asset.height) / asset.width
  const { alt, decoration } = section.picture!
  const x = openings.align === 'left' ? 0 : (ctx.measure - width) / 2
  return {
    rows: Math.ceil(height / text.leading),
    draw: (out, row) =>
      out.add({
        kind: 'image',
        asset: asset.id,
        x,
        y: row * text.leading,
        width,
        height,
        alt: decoration ? '' : alt,
        place: { section: section.id, block: '' },
      }),
  }
}

function beginsWithLeaf({ doc }: Section, ctx: BlockContext): boolean {
  const first = doc.content[0]
  return (
    first?.type === 'image' &&
    (first.attrs.stands === 'page' || first.attrs.stands === 'plate') &&
    ctx.assets.has(first.attrs.asset)
  )
}

type NumberForm = BlockContext['style']['openings']['number']

const inWords = (form: NumberForm): boolean => form === 'words' || form === 'word and figures'

const gap = (lines: number): FlowItem => itemOf({ keepNext: true, variants: ofLines(lines), draw: () => undefined })

/** Words in small capitals; figures and numerals as they are, lining where they stand large. */
function numberBase(ctx: BlockContext): TextBase {
  const { number, numberSize } = ctx.style.openings
  const size = legible(ctx.style, numberSize)
  return inWords(number)
    ? { size, smallCaps: true, tracking: 0.08 }
    : { size, lining: true, tracking: number === 'roman' ? 0.06 : 0 }
}

function titleBase(ctx: BlockContext): TextBase {
  const { title, titleSize } = ctx.style.openings
  const size = legible(ctx.style, titleSize)
  return {
    size,
    ...(title === 'italic'
      ? { italic: true }
      : title === 'bold'
        ? { bold: true }
        : title === 'small capitals'
          ? { smallCaps: true, tracking: 0.05 }
          : title === 'capitals'
            ? { tracking: 0.09, lining: true }
            : {}),
  }
}
const subtitleBase = (ctx: BlockContext): TextBase => ({
  size: legible(ctx.style, ctx.style.text.size + 1),
  italic: true,
})

/** A short text by itself, over as few lines as it needs; centred or `even` ones are of like length. */
export function setAlone(
  text: string,
  base: TextBase,
  ctx: BlockContext,
  align: BreakRules['align'] = 'center',
  even = false,
): { paragraph: Paragraph; lines: ReturnType<typeof breakParagraph>[number]; rules: BreakRules } {
  const b = new ParagraphBuilder()
  b.text(text, ctx.faces.of(base))
  const paragraph = b.build()
  reportLacks(paragraph, ctx, { section: ctx.section, block: '' })
  const rules = displayedRules({ measure: ctx.measure, align, even })
  const broken = breakParagraph(paragraph, rules)[0] ?? { count: 0, toFrag: [], toChar: [], demerits: 0, loose: false }
  return { paragraph, lines: broken, rules }
}
