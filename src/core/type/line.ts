import type { LayerBuilder, MarkPlace } from '../marks'
import type { BreakRules, BrokenParagraph } from './break'
import { Gap, type Paragraph } from './paragraph'
import type { Frag } from './textStyle'

/** How a line came out, for measuring evenness and finding loose lines. Points. */
export interface SetLine {
  /** Width of a gap as set, 0 where the line has none. */
  gap: number
  /** The same unstretched. */
  naturalGap: number
  /** Filled to the measure (not a last line). */
  full: boolean
  /** Glyph scaling, 1 = none. */
  scale: number
  /** How far the line stands beyond its measure; 0 unless something could not be broken. */
  over: number
  hyphen: boolean
}

/** The pieces of a line, with the natural gap behind each (0 inside a box). */
export interface LinePieces {
  frags: Frag[]
  gaps: number[]
  last: boolean
}

/** The pieces of line `index`. Heads and tails of divided words are shaped anew, so that they are exact. */
export function linePieces(p: Paragraph, b: BrokenParagraph, index: number): LinePieces {
  const fromFrag = index ? b.toFrag[index - 1]! : 0
  const fromChar = index ? b.toChar[index - 1]! : 0
  const toFrag = b.toFrag[index]!
  const toChar = b.toChar[index]!
  const frags: Frag[] = []
  const gaps: number[] = []
  let box = boxOf(p, fromFrag)
  for (let f = fromFrag; f < toFrag || (f === toFrag && toChar > 0); f++) {
    let frag = p.frags[f]!
    const from = f === fromFrag ? fromChar : 0
    const to = f === toFrag ? toChar : 0
    if (to) frag = frag.style.divided(frag.text.slice(from, to))
    else if (from) frag = frag.style.frag(frag.text.slice(from))
    frags.push(frag)
    if (f + 1 === p.boxStart[box + 1]) {
      gaps.push(p.glue[box]!)
      box++
    } else gaps.push(0)
  }
  if (gaps.length) gaps[gaps.length - 1] = 0
  return {
    frags,
    gaps,
    last: index === b.count - 1 || p.gap[boxOf(p, Math.max(0, toFrag - (toChar ? 0 : 1)))] === Gap.forced,
  }
}

function boxOf(p: Paragraph, frag: number): number {
  let lo = 0
  let hi = p.gap.length - 1
  while (lo < hi) {
    const mid = (lo + hi + 1) >> 1
    if (p.boxStart[mid]! <= frag) lo = mid
    else hi = mid - 1
  }
  return lo
}

/** Sets a line into a layer: `x` is the left edge of the measure, `y` the baseline. */
export function setLine(
  out: LayerBuilder,
  pieces: LinePieces,
  rules: BreakRules,
  indent: number,
  x: number,
  y: number,
  place: MarkPlace,
): SetLine {
  const { frags, gaps } = pieces
  const room = rules.measure - indent
  let width = 0
  let ems = 0
  let glue = 0
  for (let i = 0; i < frags.length; i++) {
    width += frags[i]!.width
    ems += frags[i]!.ems
    glue += gaps[i]!
  }
  const first = frags[0]
  const end = frags[frags.length - 1]
  const justify = rules.align === 'justify'
  // An indented first line keeps its indent: hanging there would read as a ragged edge.
  const hangLeft = justify && rules.optical && first && indent <= 0 ? first.hangLeft : 0
  const hangRight = justify && rules.optical && end ? end.hangRight : 0
  const hyphen = !!end && end.text.endsWith('\u00ad')
  let scale = 1
  let letter = 0
  let factor = 1
  const natural = width + glue - hangLeft - hangRight
  let pen = x + indent - hangLeft
  const diff = room - natural
  const full = justify && !pieces.last
  if (full || (justify && diff < 0)) {
    // No space stands behind the last letter.
    if (end) ems -= end.style.size
    const flex = width * rules.scaling + ems * rules.tracking
    const part = flex > 0 ? Math.max(-1, Math.min(1, diff / flex)) : 0
    // What scaling and letter-spacing leave over is shared by the gaps; rounding to what the file can say is done before, not after.
    scale = Math.round((1 + part * rules.scaling) * 1e4) / 1e4
    letter = Math.round(part * rules.tracking * 1e4) / 1e4
    if (glue > 0) factor = (room + hangLeft + hangRight - (width + ems * letter) * scale) / glue
    // A line without a gap cannot be filled; a single word is never spaced out.
    else if (diff >= 0) scale = 1 + (letter = 0)
  } else if (!justify && rules.align !== 'left') pen = x + indent + (rules.align === 'center' ? diff / 2 : diff)
  let gapCount = 0
  let firstGap = 0
  for (let i = 0; i < frags.length; i++) {
    const f = frags[i]!
    pen = setFrag(out, f, scale, pen, y, place, letter)
    const g = gaps[i]!
    if (g > 0) {
      // The gap inside a link is part of it.
      const href = f.style.href
      out.run(
        f.style.face,
        f.style.size,
        scale,
        y,
        f.style.colour,
        href && frags[i + 1]?.style.href === href ? leadingTo(place, href) : place,
        letter,
      )
      out.glyph(f.style.spacePair, pen)
      pen += g * factor
      if (!gapCount++) firstGap = g
    }
  }
  return {
    gap: gapCount ? firstGap * factor : 0,
    naturalGap: firstGap,
    full: full && gapCount > 0,
    scale,
    over: Math.max(
      0,
      -(room - natural) -
        (glue * rules.shrink + width * rules.scaling + (ems + (end?.style.size ?? 0)) * rules.tracking) -
        0.05,
    ),
    hyphen,
  }
}

const linked = new WeakMap<MarkPlace, Map<string, MarkPlace>>()

/** A place that leads to an address: the same object for the same place, since runs are told apart by it. */
function leadingTo(place: MarkPlace, href: string): MarkPlace {
  let byHref = linked.get(place)
  if (!byHref) linked.set(place, (byHref = new Map()))
  let p = byHref.get(href)
  if (!p) byHref.set(href, (p = { ...place, href }))
  return p
}

/** Sets one piece from `x`, `letter` ems apart; returns where it ends. */
export function setFrag(
  out: LayerBuilder,
  f: Frag,
  scale: number,
  x: number,
  y: number,
  from: MarkPlace,
  letter = 0,
): number {
  const { size, rise, colour, href } = f.style
  const place = href ? leadingTo(from, href) : from
  let pen = x
  if (f.drawn) {
    f.drawn(out, x, y - rise, scale, place)
    return x + f.width * scale
  }
  for (const s of f.shaped) {
    // What a font unit is here, and what letter-spacing adds, in the same units.
    const unit = (size * scale) / s.face.unitsPerEm
    const apart = letter * s.face.unitsPerEm
    if (!s.y && (letter === 0 || s.letters === s.pairs.length)) {
      out.run(s.face, size, scale, y - rise, colour, place, letter)
      out.word(s.pairs, s.x, pen, unit, apart)
    } else {
      let n = -1
      for (let i = 0; i < s.pairs.length; i++) {
        if (i === 0 || s.cluster[i] !== s.cluster[i - 1]) n++
        out.run(s.face, size, scale, y - rise - (s.y ? (s.y[i]! * size) / s.face.unitsPerEm : 0), colour, place, letter)
        out.glyph(s.pairs[i]!, pen + (s.x[i]! + n * apart) * unit)
      }
    }
    pen += (s.advance + s.letters * apart) * unit
  }
  return pen
}
