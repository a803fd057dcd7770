import { BLACK, type LayerBuilder, PathBuilder } from '../marks'
import { setFrag, type TextStyle } from '../type'
import type { BlockContext } from './context'
import { legible } from './style'

type Context = Omit<BlockContext, 'section' | 'lacks'>
type Side = 'recto' | 'verso'
type Align = 'left' | 'center' | 'right'

const nowhere = { section: '', block: '' }

/** The side of a page away from the spine. */
const outsideOf = (side: Side): Align => (side === 'recto' ? 'right' : 'left')

/** A running head above the text block, centred or at the outside; shortened with an ellipsis where there is no room for it. `folio`: set in the same line, at the outside. */
export function runningHead(out: LayerBuilder, text: string, side: Side, ctx: Context, folio = ''): void {
  const { heads, folios } = ctx.style
  const size = legible(ctx.style, heads.size)
  const style = ctx.faces.of(side === 'verso' ? { size, smallCaps: true, tracking: 0.06 } : { size, italic: true })
  const figures = ctx.faces.of({ size: legible(ctx.style, folios.size), lining: true })
  const taken = folio ? widthOf([folio], figures) + size * 1.4 : 0
  const words = text ? fitted(text, style, ctx.measure * 0.92 - taken) : ''
  if (folio) line(out, folio, figures, -heads.distance, ctx.measure, outsideOf(side), 0)
  if (words)
    line(
      out,
      words,
      style,
      -heads.distance,
      ctx.measure,
      heads.align === 'outside' ? outsideOf(side) : 'center',
      heads.align === 'outside' ? taken : 0,
    )
  if (heads.rule && (words || folio))
    out.add({
      kind: 'path',
      path: new PathBuilder().rect(0, -heads.distance + size * 0.42, ctx.measure, 0.4).build(),
      fill: BLACK,
    })
}

/** The folio below the text block. */
export function folio(out: LayerBuilder, text: string, side: Side, ctx: Context): void {
  const { folios, text: t } = ctx.style
  line(
    out,
    text,
    ctx.faces.of({ size: legible(ctx.style, folios.size), lining: true }),
    ctx.lines * t.leading + folios.distance,
    ctx.measure,
    folios.at === 'foot, outside' ? outsideOf(side) : 'center',
    0,
  )
}

const widthOf = (words: string[], style: TextStyle): number =>
  words.reduce((w, s) => w + style.frag(s).width, 0) + style.space * (words.length - 1)

function fitted(text: string, style: TextStyle, room: number): string {
  let words = text.split(/\s+/)
  if (widthOf(words, style) <= room) return text
  while (words.length > 1 && widthOf([...words.slice(0, -1), '…'], style) > room) words = words.slice(0, -1)
  return [...words.slice(0, -1), '…'].join(' ')
}

/** One line at a baseline; `inset` from the side it stands at. */
function line(
  out: LayerBuilder,
  text: string,
  style: TextStyle,
  y: number,
  measure: number,
  align: Align,
  inset: number,
): void {
  const words = text.split(/\s+/).filter(Boolean)
  const width = widthOf(words, style)
  let x = align === 'center' ? (measure - width) / 2 : align === 'left' ? inset : measure - width - inset
  words.forEach((w, i) => {
    x = setFrag(out, style.frag(w), 1, x, y, nowhere)
    if (i < words.length - 1) {
      out.run(style.face, style.size, 1, y, style.colour, nowhere)
      out.glyph(style.spacePair, x)
      x += style.space
    }
  })
}
