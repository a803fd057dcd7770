import { type MarkJson, primaryTag } from '../book'
import { BLACK, type Colour, pathBox } from '../marks'
import { type Face, type FontShelf, type Hyphenator, loadHyphenator, shapeIn, TextStyle } from '../type'
import type { InteriorStyle } from './style'

/** Asked where a style's own family lacks a character. */
const fallbacksFor = (family: string): string[] => [
  family === 'source-serif' ? 'eb-garamond/regular' : 'source-serif/regular',
]

/** How a kind of text is set, before bold, italic and the rest are applied to it. */
export interface TextBase {
  size: number
  italic?: boolean
  bold?: boolean
  smallCaps?: boolean
  /** Lining figures, as beside capitals. */
  lining?: boolean
  /** Figures all of one width, so that columns of them stand true. */
  tabular?: boolean
  /** Ems between glyphs. */
  tracking?: number
  colour?: Colour
}

const STRONG = 1,
  EM = 2,
  CAPS = 4,
  SUP = 8,
  SUB = 16,
  STRIKE = 32

export const markBits = (marks: MarkJson[] | undefined): number => {
  let b = 0
  if (marks)
    for (const m of marks)
      b |=
        m.type === 'strong'
          ? STRONG
          : m.type === 'em'
            ? EM
            : m.type === 'small_caps'
              ? CAPS
              : m.type === 'superscript'
                ? SUP
                : m.type === 'subscript'
                  ? SUB
                  : m.type === 'strike'
                    ? STRIKE
                    : 0
  return b
}

/** Something that a face does not have, and what stands in for it. */
export interface Lent {
  what: 'small capitals' | 'old-style figures' | 'lining figures' | 'italic' | 'bold' | 'bold italic'
  /** In which cut; absent where the whole family lacks it. */
  cut?: 'regular' | 'italic' | 'bold' | 'bold-italic'
}

/** Height of lent small capitals, as part of the capitals'. */
const LENT_CAPITALS = 0.8

/** The figures that a face draws when it is asked for none in particular: old-style ones stand lower than capitals, or below the line. */
function ownFigures(face: Face): 'old-style' | 'lining' {
  const height = (text: string): number => {
    const shaped = shapeIn(face, text, [], 'en')
    return pathBox(face.outline(face.pairGlyph(shaped.pairs[0]!)))[3] / face.unitsPerEm
  }
  return height('1') < face.metrics.capHeight * 0.85 ? 'old-style' : 'lining'
}

/** Languages that write all nouns with a capital. */
const NOUNS_IN_CAPITALS = new Set(['de', 'lb'])

/** What words have of their own beside their look. */
export interface OfWords {
  /** An address that they lead to. */
  href?: string | undefined
  /** The language that they are in, where it is not the book's. */
  language?: string | undefined
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
    private readonly hyphenators: ReadonlyMap<string, Hyphenator>,
  ) {}

  /** `passages`: languages beside the book's own that some of its words are in. */
  static async load(
    style: InteriorStyle,
    language: string,
    shelf: FontShelf,
    passages: readonly string[] = [],
  ): Promise<Typefaces> {
    const f = style.text.family
    // Where a family has no such cut, the nearest it has stands in: a bold italic is rather bold than italic.
    const { hyphenBefore, hyphenAfter } = style.text
    const hyphenators = Promise.all(
      [language, ...passages].map(async tag => [tag, await loadHyphenator(tag, hyphenBefore, hyphenAfter)] as const),
    )
    const [regular, italic, bold, boldItalic, ...fallbacks] = await Promise.all([
      shelf.face(`${f}/regular`),
      shelf.faceOr(`${f}/italic`),
      shelf.faceOr(`${f}/bold`),
      shelf.faceOr(`${f}/bold-italic`),
      ...fallbacksFor(f).map(k => shelf.face(k)),
    ])
    return new Typefaces(
      style,
      language,
      {
        regular,
        italic: italic ?? regular,
        bold: bold ?? regular,
        'bold-italic': boldItalic ?? bold ?? italic ?? regular,
      },
      fallbacks,
      new Map((await hyphenators).flatMap(([tag, h]) => (h ? [[tag, h]] : []))),
    )
  }

  get regular(): Face {
    return this.faces.regular
  }

  /** The same style, whose words lead to an address, or are in a language of their own. */
  marked(base: TextBase, bits: number, { href, language }: OfWords): TextStyle {
    return href === undefined && language === undefined
      ? this.of(base, bits)
      : this.resolve(base, bits, { href, language })
  }

  /** What the family lacks for this style, so that something else stands in for it. */
  lent(): Lent[] {
    const out: Lent[] = []
    const { regular, italic, bold, 'bold-italic': both } = this.faces
    if (italic === regular) out.push({ what: 'italic' })
    if (bold === regular) out.push({ what: 'bold' })
    else if (both === bold || both === italic) out.push({ what: 'bold italic' })
    const figures = this.style.text.oldStyleFigures ? 'onum' : 'lnum'
    for (const [tag, what] of [
      ['smcp', 'small capitals'],
      [figures, figures === 'onum' ? 'old-style figures' : 'lining figures'],
    ] as const) {
      const cuts = [...new Set(Object.values(this.faces))]
      const without = cuts.filter(
        f =>
          !f.features.has(tag) &&
          !(tag === 'onum' ? ownFigures(f) === 'old-style' : tag === 'lnum' && ownFigures(f) === 'lining'),
      )
      if (without.length === cuts.length) out.push({ what })
      else for (const f of without) out.push({ what, cut: f.key.split('/').pop() as NonNullable<Lent['cut']> })
    }
    return out
  }

  /** The resolved style for a base with marks upon it. */
  of(base: TextBase, bits = 0): TextStyle {
    let list = this.byBase.get(base)
    if (!list) this.byBase.set(base, (list = []))
    return (list[bits] ??= this.resolve(base, bits))
  }

  private resolve(base: TextBase, bits: number, { href, language = this.language }: OfWords = {}): TextStyle {
    const hyphenator = this.hyphenators.get(language)
    const italic = !!base.italic !== ((bits & EM) !== 0)
    const bold = !!base.bold || (bits & STRONG) !== 0
    const caps = !!base.smallCaps || (bits & CAPS) !== 0
    const shifted = bits & (SUP | SUB)
    const face = this.faces[bold ? (italic ? 'bold-italic' : 'bold') : italic ? 'italic' : 'regular']
    const features: string[] = []
    const figures = this.style.text.oldStyleFigures && !base.lining && !shifted ? 'onum' : 'lnum'
    if (face.features.has(figures)) features.push(figures)
    // Many faces set figures on one width unless asked not to: right in columns, gappy in text.
    const widths = base.tabular ? 'tnum' : 'pnum'
    if (face.features.has(widths)) features.push(widths)
    // A face without small capitals lends its capitals, made small (in large print: whole); the files still say the letters that were written.
    const { large } = this.style.text
    const lent = caps && (large || !face.features.has('smcp'))
    if (caps && !lent) features.push('smcp')
    const full = shifted ? base.size * 0.62 : base.size
    const size = lent && !large ? full * LENT_CAPITALS : full
    const rise = bits & SUP ? base.size * 0.36 : bits & SUB ? -base.size * 0.14 : 0
    const tracking = (base.tracking ?? 0) + (caps ? (lent ? 0.04 : 0.02) : 0)
    const colour = base.colour ?? BLACK
    const key = JSON.stringify([face.key, size, features, rise, tracking, colour, lent, href, language, bits & STRIKE])
    let s = this.styles.get(key)
    if (!s)
      this.styles.set(
        key,
        (s = new TextStyle({
          faces: [face, ...this.fallbacks],
          size,
          features,
          language,
          colour,
          rise,
          tracking,
          // Where every noun has a capital, it tells no name.
          dividesNames: this.style.text.hyphenCapitals || NOUNS_IN_CAPITALS.has(primaryTag(language)),
          asCapitals: lent,
          ...(hyphenator ? { hyphenator } : {}),
          ...(href === undefined ? {} : { href }),
          strike: !!(bits & STRIKE),
        })),
      )
    return s
  }
}
