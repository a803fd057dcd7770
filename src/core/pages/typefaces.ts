import type { MarkJson } from '../book'
import { BLACK, type Colour } from '../marks'
import { type Face, type FontShelf, type Hyphenator, loadHyphenator, TextStyle } from '../type'
import type { InteriorStyle } from './style'

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
    const [regular, italic, bold, boldItalic, hyphenator, ...fallbacks] = await Promise.all([
      shelf.face(`${f}/regular`), shelf.face(`${f}/italic`), shelf.face(`${f}/bold`), shelf.face(`${f}/bold-italic`),
      loadHyphenator(language),
      ...style.text.fallbacks.map(k => shelf.face(k)),
    ])
    return new Typefaces(style, language, { regular: regular!, italic: italic!, bold: bold!, 'bold-italic': boldItalic! }, fallbacks, hyphenator)
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
    if (this.style.text.oldStyleFigures && !base.lining && !shifted) features.push('onum')
    if (caps) features.push('smcp')
    const size = shifted ? base.size * 0.62 : base.size
    const rise = bits & SUP ? base.size * 0.36 : bits & SUB ? -base.size * 0.14 : 0
    const tracking = (base.tracking ?? 0) + (caps ? 0.02 : 0)
    const colour = base.colour ?? BLACK
    const key = JSON.stringify([face.key, size, features, rise, tracking, colour])
    let s = this.styles.get(key)
    if (!s) this.styles.set(key, (s = new TextStyle([face, ...this.fallbacks], size, features, this.language, colour, rise, tracking, this.hyphenator)))
    return s
  }
}
