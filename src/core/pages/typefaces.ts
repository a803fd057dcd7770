import type { MarkJson } from '../book'
import { BLACK, type Colour } from '../marks'
import { type Face, type FontShelf, type Hyphenator, loadHyphenator, TextStyle } from '../type'
import type { InteriorStyle } from './style'

/** Asked where a style's own family lacks a character. */
const fallbacksFor = (family: string): string[] => [family === 'source-serif' ? 'eb-garamond/regular' : 'source-serif/regular']

/** How a kind of text is set, before bold, italic and the rest are applied to it. */
export interface TextBase {
  size: number
  italic?: boolean
  bold?: boolean
  smallCaps?: boolean
  /** Lining figures, as beside capitals. */
  lining?: boolean
  /** Ems between glyphs. */
  tracking?: number
  colour?: Colour
}

const STRONG = 1, EM = 2, CAPS = 4, SUP = 8, SUB = 16

export const markBits = (marks: MarkJson[] | undefined): number => {
  let b = 0
  if (marks) for (const m of marks) b |= m.type === 'strong' ? STRONG : m.type === 'em' ? EM : m.type === 'small_caps' ? CAPS : m.type === 'superscript' ? SUP : m.type === 'subscript' ? SUB : 0
  return b
}

/** Height of lent small capitals, as part of the capitals'. */
const LENT_CAPITALS = 0.8

/** All ways of setting characters that a style needs, resolved once and kept with their shaped words. */
export class Typefaces {
  private readonly styles = new Map<string, TextStyle>()
  private readonly byBase = new WeakMap<TextBase, (TextStyle | undefined)[]>()

  private constructor(
    readonly style: InteriorStyle,
    readonly language: string,
    private readonly faces: Record<'regular' | 'italic' | 'bold' | 'bold-italic', Face>,
    private readonly fallbacks: Face[],
    private readonly hyphenator: Hyphenator | undefined,
  ) {}

  static async load(style: InteriorStyle, language: string, shelf: FontShelf): Promise<Typefaces> {
    const f = style.text.family
    // Where a family has no such cut, the nearest it has stands in: a bold italic is rather bold than italic.
    const [regular, italic, bold, boldItalic, hyphenator, ...fallbacks] = await Promise.all([
      shelf.face(`${f}/regular`), shelf.faceOr(`${f}/italic`), shelf.faceOr(`${f}/bold`), shelf.faceOr(`${f}/bold-italic`),
      loadHyphenator(language, style.text.hyphenBefore, style.text.hyphenAfter),
      ...fallbacksFor(f).map(k => shelf.face(k)),
    ])
    return new Typefaces(style, language, { regular, italic: italic ?? regular, bold: bold ?? regular, 'bold-italic': boldItalic ?? bold ?? italic ?? regular }, fallbacks, hyphenator)
  }

  get regular(): Face {
    return this.faces.regular
  }

  /** The resolved style for a base with marks upon it. */
  of(base: TextBase, bits = 0): TextStyle {
    let list = this.byBase.get(base)
    if (!list) this.byBase.set(base, (list = []))
    return (list[bits] ??= this.resolve(base, bits))
  }

  private resolve(base: TextBase, bits: number): TextStyle {
    const italic = !!base.italic !== ((bits & EM) !== 0)
    const bold = !!base.bold || (bits & STRONG) !== 0
    const caps = !!base.smallCaps || (bits & CAPS) !== 0
    const shifted = bits & (SUP | SUB)
    const face = this.faces[bold ? (italic ? 'bold-italic' : 'bold') : italic ? 'italic' : 'regular']
    const features: string[] = []
    const figures = this.style.text.oldStyleFigures && !base.lining && !shifted ? 'onum' : 'lnum'
    if (face.features.has(figures)) features.push(figures)
    // A face without small capitals lends its capitals, made small (in large print: whole); the files still say the letters that were written.
    const { large } = this.style.text
    const lent = caps && (large || !face.features.has('smcp'))
    if (caps && !lent) features.push('smcp')
    const full = shifted ? base.size * 0.62 : base.size
    const size = lent && !large ? full * LENT_CAPITALS : full
    const rise = bits & SUP ? base.size * 0.36 : bits & SUB ? -base.size * 0.14 : 0
    const tracking = (base.tracking ?? 0) + (caps ? (lent ? 0.04 : 0.02) : 0)
    const colour = base.colour ?? BLACK
    const key = JSON.stringify([face.key, size, features, rise, tracking, colour, lent])
    let s = this.styles.get(key)
    if (!s) this.styles.set(key, (s = new TextStyle([face, ...this.fallbacks], size, features, this.language, colour, rise, tracking, this.hyphenator, this.style.text.hyphenCapitals, lent)))
    return s
  }
}
