import type { Colour, LayerBuilder, MarkPlace } from '../marks'
import type { Face } from './face'
import { runsByCoverage, type Shaped, shapeIn, shapeTogether } from './shape'
import { WordTable } from './wordTable'

/** Where a piece stands: from `x` on the baseline `y`, points; widened by `scale`, its letters `letter` ems apart. */
export interface FragAt {
  x: number
  y: number
  place: MarkPlace
  scale?: number
  letter?: number
}

/** A piece of text shaped in a style: what lines are made of. Widths in points. */
export interface Frag {
  text: string
  style: TextStyle
  shaped: Shaped[]
  width: number
  /** Size × number of letters, points: what letter-spacing works on. */
  ems: number
  /** Part of the text that may hang in the left and right margin, points. */
  hangLeft: number
  hangRight: number
  /** Places where the word may be divided; found when first asked for. */
  divisions: Division[] | undefined
  /** A picture in place of glyphs: drawn at the pen, on the baseline, its width multiplied by the line's scale. */
  drawn: ((out: LayerBuilder, at: FragAt) => void) | undefined
}

/** A place to divide a word: before character `at`; `before` is the width up to it, hyphen not counted. */
export interface Division {
  at: number
  before: number
}

export type Hyphenator = (word: string) => number[]

/** The glyphs of a word that waits to be shaped. */
const notYet: Shaped[] = []

/** A piece that waits for its glyphs. */
const unshaped = (text: string, style: TextStyle): Frag => ({
  text,
  style,
  shaped: notYet,
  width: 0,
  ems: 0,
  hangLeft: 0,
  hangRight: 0,
  divisions: undefined,
  drawn: undefined,
})

/** Words as shaped in a face, by features, language and case: in font units, so that a text in another size is not shaped again. */
const shapedWords = new WeakMap<Face, Map<string, Map<string, Shaped>>>()

function shapedIn(face: Face, key: string): Map<string, Shaped> {
  let byKey = shapedWords.get(face)
  if (!byKey) shapedWords.set(face, (byKey = new Map()))
  let words = byKey.get(key)
  if (!words) byKey.set(key, (words = new Map()))
  return words
}

/** How text looks and is shaped. */
export interface TextStyleOf {
  /** The face, then those asked where it lacks a character. */
  faces: Face[]
  /** Points. */
  size: number
  /** Features of the face that are on, as OpenType names them. */
  features?: string[]
  language: string
  colour: Colour
  /** Points above the baseline. */
  rise?: number
  /** Extra space after each glyph, ems. */
  tracking?: number
  hyphenator?: Hyphenator
  /** Words that begin with a capital may be divided. */
  dividesNames?: boolean
  /** Letters are shown as capitals, and still say what they are. */
  asCapitals?: boolean
  /** An address that its words lead to. */
  href?: string
  /** A line goes through its words. */
  strike?: boolean
}

/** One resolved way of setting characters. Shapes and remembers whole words. */
export class TextStyle {
  private readonly words = new Map<string, Frag>()
  /** Words that stand in texts as they are set. */
  readonly met = new WordTable<Frag>()
  private readonly dividedWords = new Map<string, Frag>()
  readonly faces: Face[]
  readonly size: number
  readonly features: string[]
  readonly language: string
  readonly colour: Colour
  readonly rise: number
  readonly tracking: number
  readonly href: string | undefined
  readonly strike: boolean
  private readonly hyphenator: Hyphenator | undefined
  private readonly dividesNames: boolean
  private readonly asCapitals: boolean
  readonly space: number
  readonly spacePair: number
  readonly hyphenWidth: number
  private readonly plain: RegExp
  private readonly pending: Frag[] = []
  /** Shared with the styles that differ only in size, colour and spacing. */
  private readonly known: Map<string, Shaped>

  constructor(of: TextStyleOf) {
    const { faces, size, features = [], language, colour, rise = 0, tracking = 0 } = of
    this.faces = faces
    this.size = size
    this.features = features
    this.language = language
    this.colour = colour
    this.rise = rise
    this.tracking = tracking
    this.hyphenator = of.hyphenator
    this.dividesNames = of.dividesNames ?? false
    this.asCapitals = of.asCapitals ?? false
    this.href = of.href
    this.strike = of.strike ?? false
    this.known = shapedIn(this.face, `${features.join()}|${language}|${this.asCapitals}`)
    const space = shapeIn(this.face, ' ', features, language)
    this.spacePair = space.pairs[0]!
    this.space = (inEms(space, space.advance) + tracking) * size
    const hyphen = shapeIn(this.face, '-', features, language)
    this.hyphenWidth = inEms(hyphen, hyphen.advance) * size
    this.plain = /^[\u0021-\u007e\u00a1-\u017f\u2010-\u201d\u2026]*$/
  }

  get face(): Face {
    return this.faces[0]!
  }

  /** A word or other unbroken string as a piece. */
  frag(text: string): Frag {
    const f = this.later(text)
    if (f.shaped === notYet) this.shapePending()
    return f
  }

  /** The same, but a new word may wait for `shapePending`: until then it has no glyphs and no width. Paragraphs shape their new words at once. */
  later(text: string): Frag {
    let f = this.words.get(text)
    if (!f) {
      f = unshaped(text, this)
      this.words.set(text, f)
      const known = this.known.get(text)
      if (known) this.complete(f, [known])
      else if (this.plainlyCovered(text)) this.pending.push(f)
      else this.complete(f, this.shapeNow(text))
    }
    return f
  }

  /** Shapes all words that wait. */
  shapePending(): void {
    const { pending } = this
    if (!pending.length) return
    const shaped = shapeTogether(
      this.face,
      pending.map(f => f.text),
      this.features,
      this.language,
      this.asCapitals,
    )
    pending.forEach((f, i) => {
      this.known.set(f.text, shaped[i]!)
      this.complete(f, [shaped[i]!])
    })
    pending.length = 0
  }

  /** The head of a divided word with its hyphen, which extracts as a soft hyphen. */
  divided(head: string): Frag {
    let f = this.dividedWords.get(head)
    if (!f) {
      f = unshaped(head + '\u00ad', this)
      const shaped = this.shapeNow(head + '-')
      this.complete(
        f,
        shaped.map((s, i) => (i === shaped.length - 1 ? withLastText(s, '\u00ad') : s)),
      )
      this.dividedWords.set(head, f)
    }
    return f
  }

  /** Places where a piece may be divided, by the language's patterns. */
  divisions(f: Frag): Division[] {
    if (f.divisions) return f.divisions
    const out: Division[] = []
    if (this.hyphenator) {
      // Most pieces are a plain word with a sign or two about it: patterns of Unicode's letters are slow and rarely needed.
      const plain = /^[“‘(]?([a-z]{5,})[.,;:!?’”)]*$/.exec(f.text)
      if (plain) {
        const from = f.text.indexOf(plain[1]!)
        for (const p of this.hyphenator(plain[1]!)) out.push({ at: from + p, before: widthBefore(f, from + p) })
      } else
        for (const m of f.text.matchAll(/[\p{L}\p{M}’]{5,}/gu)) {
          if (!this.dividesNames && /^\p{Lu}/u.test(m[0])) continue
          for (const p of this.hyphenator(m[0])) out.push({ at: m.index + p, before: widthBefore(f, m.index + p) })
        }
    }
    f.divisions = out
    return out
  }

  private shapeNow(text: string): Shaped[] {
    return this.plainlyCovered(text)
      ? shapeTogether(this.face, [text], this.features, this.language, this.asCapitals)
      : runsByCoverage(text, this.faces).flatMap(r =>
          shapeTogether(r.face, [text.slice(r.from, r.to)], this.features, this.language, this.asCapitals),
        )
  }

  /** Gives a piece its glyphs and what follows from them. */
  private complete(f: Frag, shaped: Shaped[]): void {
    f.shaped = this.tracking ? shaped.map(s => tracked(s, this.tracking)) : shaped
    let width = 0
    let letters = 0
    for (const s of f.shaped) {
      width += inEms(s, s.advance)
      letters += s.letters
    }
    f.width = width * this.size
    f.ems = letters * this.size
    const first = f.shaped[0]
    const last = f.shaped[f.shaped.length - 1]
    if (first?.pairs.length) f.hangLeft = hang(f.text[0]!, hangsLeft) * advanceOf(first, 0) * this.size
    if (last?.pairs.length)
      f.hangRight = hang(f.text[f.text.length - 1]!, hangsRight) * advanceOf(last, last.pairs.length - 1) * this.size
  }

  private plainlyCovered(text: string): boolean {
    if (!this.plain.test(text)) return false
    for (let i = 0; i < text.length; i++) if (!this.face.covers(text.charCodeAt(i))) return false
    return true
  }
}

const inEms = (s: Shaped, units: number): number => units / s.face.unitsPerEm

/** Width of a glyph with its kerning, ems. */
const advanceOf = (s: Shaped, i: number): number => inEms(s, (i + 1 < s.x.length ? s.x[i + 1]! : s.advance) - s.x[i]!)

function withLastText(s: Shaped, text: string): Shaped {
  const pairs = [...s.pairs]
  pairs[pairs.length - 1] = s.face.pair(s.face.pairGlyph(pairs[pairs.length - 1]!), text)
  return { ...s, pairs }
}

function tracked(s: Shaped, by: number): Shaped {
  const units = by * s.face.unitsPerEm
  const x = [...s.x]
  let letter = -1
  for (let i = 0; i < x.length; i++) {
    if (i === 0 || s.cluster[i] !== s.cluster[i - 1]) letter++
    x[i] = s.x[i]! + units * letter
  }
  return { ...s, x, advance: s.advance + units * s.letters }
}

/** Width of a piece up to a character: exact between clusters, in proportion inside a ligature. */
function widthBefore(f: Frag, at: number): number {
  let offset = 0
  let width = 0
  for (const s of f.shaped) {
    const n = s.pairs.length
    for (let i = 0; i < n; i++) {
      const from = offset + s.cluster[i]!
      if (from >= at) return (width + inEms(s, s.x[i]!)) * f.style.size
      const len = Math.max(1, s.face.pairText(s.pairs[i]!).length)
      if (at < from + len) return (width + inEms(s, s.x[i]!) + (advanceOf(s, i) * (at - from)) / len) * f.style.size
    }
    for (let i = 0; i < n; i++) offset += s.face.pairText(s.pairs[i]!).length
    width += inEms(s, s.advance)
  }
  return f.width
}

/** Optical margins: the part of a sign's width that may stand outside the measure. */
const hangsLeft: Record<string, number> = {
  '“': 0.5,
  '‘': 0.6,
  '„': 0.5,
  '‚': 0.6,
  '«': 0.35,
  '‹': 0.45,
  '”': 0.5,
  '’': 0.6,
  '"': 0.5,
  "'": 0.6,
  '(': 0.1,
  '—': 0.15,
  '–': 0.2,
  A: 0.05,
  T: 0.05,
  V: 0.05,
  W: 0.05,
  Y: 0.05,
}
const hangsRight: Record<string, number> = {
  '.': 0.7,
  ',': 0.7,
  '-': 0.6,
  '\u00ad': 0.6,
  '‐': 0.6,
  ';': 0.4,
  ':': 0.4,
  '”': 0.5,
  '’': 0.6,
  '“': 0.5,
  '‘': 0.6,
  '»': 0.35,
  '›': 0.45,
  '"': 0.5,
  "'": 0.6,
  '!': 0.15,
  '?': 0.15,
  ')': 0.1,
  '—': 0.2,
  '–': 0.3,
  r: 0.04,
  y: 0.04,
  v: 0.04,
  w: 0.04,
}
const hang = (ch: string, table: Record<string, number>): number => table[ch] ?? 0

/** How much of a character at the end of a line may hang in the margin on that side, as a share of its width. */
export const hangOf = (ch: string, side: 'left' | 'right'): number => hang(ch, side === 'left' ? hangsLeft : hangsRight)
