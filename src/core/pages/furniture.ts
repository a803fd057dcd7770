import type { LayerBuilder } from '../marks'
import { setFrag, type TextStyle } from '../type'
import type { BlockContext } from './context'

const nowhere = { section: '', block: '' }

/** A running head above the text block, centred; shortened with an ellipsis where the measure is too narrow for it. */
export function runningHead(out: LayerBuilder, text: string, side: 'recto' | 'verso', ctx: Omit<BlockContext, 'section' | 'missing'>): void {
  const { heads } = ctx.style
  const style = ctx.faces.of(side === 'verso' ? { size: heads.size, smallCaps: true, tracking: 0.06 } : { size: heads.size, italic: true })
  centre(out, fitted(text, style, ctx.measure * 0.9), style, -heads.distance, ctx.measure)
}

/** The folio below the text block, centred. */
export function folio(out: LayerBuilder, text: string, ctx: Omit<BlockContext, 'section' | 'missing'>): void {
  const { folios, text: t } = ctx.style
  centre(out, text, ctx.faces.of({ size: folios.size, lining: true }), ctx.lines * t.leading + folios.distance, ctx.measure)
}

const widthOf = (words: string[], style: TextStyle): number => words.reduce((w, s) => w + style.frag(s).width, 0) + style.space * (words.length - 1)

function fitted(text: string, style: TextStyle, room: number): string {
  let words = text.split(/\s+/)
  if (widthOf(words, style) <= room) return text
  while (words.length > 1 && widthOf([...words.slice(0, -1), '…'], style) > room) words = words.slice(0, -1)
  return [...words.slice(0, -1), '…'].join(' ')
}

function centre(out: LayerBuilder, text: string, style: TextStyle, y: number, measure: number): void {
  const words = text.split(/\s+/).filter(Boolean)
  let x = (measure - widthOf(words, style)) / 2
  words.forEach((w, i) => {
    x = setFrag(out, style.frag(w), 1, x, y, nowhere)
    if (i < words.length - 1) {
      out.run(style.face, style.size, 1, y, style.colour, nowhere)
      out.glyph(style.spacePair, x)
      x += style.space
    }
  })
}
