import { type LayerBuilder, type MarkPlace, PathBuilder, type RunStart } from '../marks'
import type { BreakRules, BrokenParagraph } from './breakRules'
import { Gap, type Paragraph } from './paragraph'
import type { Frag, FragAt, TextStyle } from './textStyle'

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

/** Where a line stands: `x` is the left edge of its measure, `y` the baseline; points. */
export interface LineAt {
  x?: number
  y: number
  indent?: number
  place: MarkPlace
}

/** How the pieces of a line fill it: where the first begins, and what widens them and their gaps. */
interface Fitted {
  pen: number
  /** Glyph scaling, letter-spacing in ems, and what gaps are multiplied with. */
  scale: number
  letter: number
  factor: number
  full: boolean
  over: number
}

/** Sets a line into a layer. */
export function setLine(out: LayerBuilder, pieces: LinePieces, rules: BreakRules, at: LineAt): SetLine {
  const { frags, gaps } = pieces
  const { y, place } = at
  const { pen, scale, letter, factor, full, over } = fitLine(pieces, rules, at)
  // One object for all pieces of the line: there are many of them.
  const to: Required<FragAt> = { x: pen, y, place, scale, letter }
  const struck = new Strike(out, y)
  let gapCount = 0
  let firstGap = 0
  for (let i = 0; i < frags.length; i++) {
    const f = frags[i]!
    const from = to.x
    to.x = setFrag(out, f, to)
    struck.over(f.style, from, to.x)
    const g = gaps[i]!
    if (g > 0) {
      // The gap inside a link is part of it.
      const { face, size, colour, href } = f.style
      const inLink = href && frags[i + 1]?.style.href === href
      out.run({
        face,
        size,
        stretch: scale,
        baseline: y,
        colour,
        place: inLink ? leadingTo(place, href) : place,
        letter,
      })
      out.glyph(f.style.spacePair, to.x)
      to.x += g * factor
      if (!gapCount++) firstGap = g
    }
  }
  struck.end()
  return {
    gap: gapCount ? firstGap * factor : 0,
    naturalGap: firstGap,
    full: full && gapCount > 0,
    scale,
    over,
    hyphen: !!frags.length && frags[frags.length - 1]!.text.endsWith('\u00ad'),
  }
}

/** Where a line goes through words, as part of the size: its height over the baseline, and its thickness. */
const STRUCK_AT = 0.24
const STRUCK_BY = 0.05

/** The line that goes through struck words of one line of text, and through the gaps between them. */
class Strike {
  private style: TextStyle | undefined
  private from = 0
  private to = 0

  constructor(
    private readonly out: LayerBuilder,
    private readonly baseline: number,
  ) {}

  over(style: TextStyle, from: number, to: number): void {
    if (!style.strike) return this.end()
    if (this.style && (style.size !== this.style.size || style.rise !== this.style.rise)) this.end()
    if (!this.style) [this.style, this.from] = [style, from]
    this.to = to
  }

  end(): void {
    if (!this.style) return
    const { size, rise, colour } = this.style
    const y = this.baseline - rise - size * (STRUCK_AT + STRUCK_BY / 2)
    const path = new PathBuilder().rect(this.from + this.out.dx, y, this.to - this.from, size * STRUCK_BY).build()
    this.out.add({ kind: 'path', path, fill: colour })
    this.style = undefined
  }
}

/** Works out how a line is filled: by glyph scaling and letter-spacing first, then by its gaps. */
function fitLine({ frags, gaps, last }: LinePieces, rules: BreakRules, { x = 0, indent = 0 }: LineAt): Fitted {
  const room = rules.measure - indent
  let [width, ems, glue] = [0, 0, 0]
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
  const natural = width + glue - hangLeft - hangRight
  const diff = room - natural
  const full = justify && !last
  const over = Math.max(0, -diff - (glue * rules.shrink + width * rules.scaling + ems * rules.tracking) - 0.05)
  const left = x + indent
  if (!justify && rules.align !== 'left')
    return { pen: left + (rules.align === 'center' ? diff / 2 : diff), scale: 1, letter: 0, factor: 1, full, over }
  let [scale, letter, factor] = [1, 0, 1]
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
  }
  return { pen: left - hangLeft, scale, letter, factor, full, over }
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

/** What is told to the layer of each word: one object, since there are so many of them. */
const run: Required<RunStart> = {
  face: undefined as never,
  size: 0,
  baseline: 0,
  colour: { k: 1 },
  place: { section: '', block: '' },
  stretch: 1,
  letter: 0,
}

/** Sets one piece; returns where it ends. */
export function setFrag(out: LayerBuilder, f: Frag, { x, y, place: from, scale = 1, letter = 0 }: FragAt): number {
  const { size, rise, colour, href } = f.style
  const place = href ? leadingTo(from, href) : from
  let pen = x
  if (f.drawn) {
    f.drawn(out, { x, y: y - rise, scale, place })
    return x + f.width * scale
  }
  run.size = size
  run.colour = colour
  run.place = place
  run.stretch = scale
  run.letter = letter
  for (const s of f.shaped) {
    const face = (run.face = s.face)
    // What a font unit is here, and what letter-spacing adds, in the same units.
    const unit = (size * scale) / face.unitsPerEm
    const apart = letter * face.unitsPerEm
    if (!s.y && (letter === 0 || s.letters === s.pairs.length)) {
      run.baseline = y - rise
      out.run(run)
      out.word(s.pairs, s.x, pen, unit, apart)
    } else {
      let n = -1
      for (let i = 0; i < s.pairs.length; i++) {
        if (i === 0 || s.cluster[i] !== s.cluster[i - 1]) n++
        run.baseline = y - rise - (s.y ? (s.y[i]! * size) / face.unitsPerEm : 0)
        out.run(run)
        out.glyph(s.pairs[i]!, pen + (s.x[i]! + n * apart) * unit)
      }
    }
    pen += (s.advance + s.letters * apart) * unit
  }
  return pen
}

/** Sets words with natural gaps from `x`; returns where the last ends. */
export function setWords(
  out: LayerBuilder,
  words: readonly string[],
  style: TextStyle,
  { x, y, place }: FragAt,
): number {
  let pen = x
  words.forEach((word, i) => {
    if (i) {
      out.run({ face: style.face, size: style.size, baseline: y, colour: style.colour, place })
      out.glyph(style.spacePair, pen)
      pen += style.space
    }
    pen = setFrag(out, style.frag(word), { x: pen, y, place })
  })
  return pen
}
