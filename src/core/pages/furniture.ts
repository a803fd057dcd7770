import { BLACK, type LayerBuilder, PathBuilder } from '../marks'
import { setWords, type TextStyle } from '../type'
import type { BookContext } from './section'
import { legible } from './style'

type Side = 'recto' | 'verso'
type Align = 'left' | 'center' | 'right'

const nowhere = { section: '', block: '' }

/** The side of a page away from the spine. */
const outsideOf = (side: Side): Align => (side === 'recto' ? 'right' : 'left')

/** A running head above the text block, centred or at the outside; shortened with an ellipsis where there is no room for it. `folio`: set in the same line, at the outside. */
export function runningHead(out: LayerBuilder, text: string, side: Side, ctx: BookContext, folio = ''): void {
  const { heads, folios } = ctx.style
  const size = legible(ctx.style, heads.size)
  const style = ctx.faces.of(side === 'verso' ? { size, smallCaps: true, tracking: 0.06 } : { size, italic: true })
  const figures = ctx.faces.of({ size: legible(ctx.style, folios.size), lining: true })
  const taken = folio ? widthOf([folio], figures) + size * 1.4 : 0
  const words = text ? fitted(text, style, ctx.measure * 0.92 - taken) : ''
  const y = -heads.distance
  if (folio) line(out, folio, figures, { y, measure: ctx.measure, align: outsideOf(side) })
  const outside = heads.align === 'outside'
  const align = outside ? outsideOf(side) : 'center'
  if (words) line(out, words, style, { y, measure: ctx.measure, align, inset: outside ? taken : 0 })
  if (heads.rule && (words || folio))
    out.add({
      kind: 'path',
      path: new PathBuilder().rect(0, -heads.distance + size * 0.42, ctx.measure, 0.4).build(),
      fill: BLACK,
    })
}

/** The folio below the text block. */
export function folio(out: LayerBuilder, text: string, side: Side, ctx: BookContext): void {
  const { folios, text: t } = ctx.style
  line(out, text, ctx.faces.of({ size: legible(ctx.style, folios.size), lining: true }), {
    y: ctx.lines * t.leading + folios.distance,
    measure: ctx.measure,
    align: folios.at === 'foot, outside' ? outsideOf(side) : 'center',
  })
}

const widthOf = (words: string[], style: TextStyle): number =>
  words.reduce((w, s) => w + style.frag(s).width, 0) + style.space * (words.length - 1)

function fitted(text: string, style: TextStyle, room: number): string {
  let words = text.split(/\s+/)
  if (widthOf(words, style) <= room) return text
  while (words.length > 1 && widthOf([...words.slice(0, -1), '…'], style) > room) words = words.slice(0, -1)
  return [...words.slice(0, -1), '…'].join(' ')
}

/** Where a single line stands: on the baseline `y`, `inset` from the side that it is set to; points. */
interface SingleLine {
  y: number
  measure: number
  align: Align
  inset?: number
}

function line(out: LayerBuilder, text: string, style: TextStyle, { y, measure, align, inset = 0 }: SingleLine): void {
  const words = text.split(/\s+/).filter(Boolean)
  const width = widthOf(words, style)
  const x = align === 'center' ? (measure - width) / 2 : align === 'left' ? inset : measure - width - inset
  setWords(out, words, style, { x, y, place: nowhere })
}
