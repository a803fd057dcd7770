import type { Align } from '../../../book'
import type { LetterLook } from '../../looks'
import { child, elements, type XmlElement } from '../../../files'

export interface TextLook extends LetterLook {
  /** Points, or by the letters of the style it is based on. */
  size?: { points: number } | { times: number }
}

export interface ParaLook {
  align?: Align
  before?: boolean
  after?: boolean
  left?: number
  right?: number
}

/** A style with all that it inherits. */
export interface OdtStyle {
  /** As people see it. */
  name: string
  level?: number
  text: LetterLook & { size?: number }
  para: ParaLook
}

const NONE: OdtStyle = { name: '', text: {}, para: {} }
/** Points of text where no style says. */
const PLAIN_SIZE = 12

/** The styles of an open document: those made as one writes, and those with names (ODF 1.3, part 3, 16). */
export class OdtStyles {
  private readonly raw = new Map<string, XmlElement>()
  private readonly known = new Map<string, OdtStyle>()
  private readonly defaults = new Map<string, XmlElement>()
  private readonly lists = new Map<string, XmlElement>()
  language: string | undefined

  constructor(roots: readonly (XmlElement | undefined)[]) {
    for (const root of roots)
      for (const group of elements(root))
        if (['office:styles', 'office:automatic-styles'].includes(group.name))
          for (const e of elements(group)) this.add(e)
    const text = child(this.defaults.get('paragraph'), 'style:text-properties')
    const language = text?.attrs['fo:language']
    const country = text?.attrs['fo:country']
    if (language && language !== 'none')
      this.language = country && country !== 'none' ? `${language}-${country}` : language
  }

  private add(e: XmlElement): void {
    const family = e.attrs['style:family'] ?? ''
    const name = e.attrs['style:name'] ?? ''
    if (e.name === 'style:style') this.raw.set(`${family}/${name}`, e)
    else if (e.name === 'style:default-style') this.defaults.set(family, e)
    else if (e.name === 'text:list-style') this.lists.set(name, e)
  }

  /** Size of text that no style changes, points. */
  get bodySize(): number {
    return this.of('paragraph', 'Standard').text.size ?? this.plainSize
  }

  private get plainSize(): number {
    const size = lookOf(this.defaults.get('paragraph')).size
    return size && 'points' in size ? size.points : PLAIN_SIZE
  }

  /** A style of a family ("paragraph", "text", "table-cell"). */
  of(family: string, name: string | undefined): OdtStyle {
    return name ? this.resolve(`${family}/${name}`, 0) : NONE
  }

  private resolve(key: string, depth: number): OdtStyle {
    const known = this.known.get(key)
    if (known) return known
    const e = this.raw.get(key)
    // A style that the file names and does not define still says what its paragraphs are.
    if (!e) return { ...NONE, name: plainName(key.slice(key.indexOf('/') + 1)) }
    if (depth > 40) return NONE
    const family = key.slice(0, key.indexOf('/'))
    const parentName = e.attrs['style:parent-style-name']
    const parent = parentName ? this.resolve(`${family}/${parentName}`, depth + 1) : NONE
    const look = lookOf(e)
    const around = parent.text.size ?? (family === 'paragraph' ? this.plainSize : undefined)
    const size = !look.size
      ? parent.text.size
      : 'points' in look.size
        ? look.size.points
        : around && around * look.size.times
    const level = Number(e.attrs['style:default-outline-level'])
    const automatic = !e.attrs['style:display-name'] && /^[A-Z]{1,2}\d+$/.test(e.attrs['style:name'] ?? '')
    const own = plainName(e.attrs['style:display-name'] ?? e.attrs['style:name'] ?? '')
    const style: OdtStyle = {
      name: automatic && parent.name ? parent.name : own,
      ...(level >= 1 && level <= 10 ? { level } : parent.level ? { level: parent.level } : {}),
      text: { ...parent.text, ...look, ...(size ? { size } : { size: undefined }) } as OdtStyle['text'],
      para: {
        ...parent.para,
        ...paraOf(e),
        // A page of another kind begins on a page of its own.
        ...(e.attrs['style:master-page-name'] ? { before: true } : {}),
      },
    }
    this.known.set(key, style)
    return style
  }

  /** Whether a level of a list is counted, and from where. */
  list(name: string | undefined, level: number): { ordered: boolean; start: number } {
    const wanted = String(level + 1)
    const found = elements(name ? this.lists.get(name) : undefined).find(l => l.attrs['text:level'] === wanted)
    const ordered = found?.name === 'text:list-level-style-number' && found.attrs['style:num-format'] !== ''
    const start = Math.trunc(Number(found?.attrs['text:start-value'] ?? 1))
    return { ordered, start: start >= 0 && start <= 99_999 ? start : 1 }
  }
}

function lookOf(style: XmlElement | undefined): TextLook {
  const a = child(style, 'style:text-properties')?.attrs
  const look: TextLook = {}
  if (!a) return look
  const weight = a['fo:font-weight']
  if (weight) look.bold = weight === 'bold' || Number(weight) >= 600
  const slope = a['fo:font-style']
  if (slope) look.italic = slope === 'italic' || slope === 'oblique'
  if (a['fo:font-variant']) look.smallCaps = a['fo:font-variant'] === 'small-caps'
  if (a['fo:text-transform']) look.caps = a['fo:text-transform'] === 'uppercase'
  const under = a['style:text-underline-style'] ?? a['style:text-underline-type']
  if (under) look.underline = under !== 'none'
  const through = a['style:text-line-through-style'] ?? a['style:text-line-through-type']
  if (through) look.strike = through !== 'none'
  const colour = a['fo:color']
  if (colour) look.coloured = !/^#0{6}$/.test(colour) && a['style:use-window-font-color'] !== 'true'
  const behind = a['fo:background-color']
  if (behind) look.marked = !/^(transparent|#f{6})$/i.test(behind)
  if (a['text:display']) look.hidden = a['text:display'] === 'none'
  const position = /^(super|sub|-?\d+%)/.exec(a['style:text-position'] ?? '')?.[1]
  if (position) {
    const up = position === 'super' ? 1 : position === 'sub' ? -1 : Number.parseInt(position, 10)
    look.vertical = up > 0 ? 'superscript' : up < 0 ? 'subscript' : 'baseline'
  }
  const size = /^(\d*\.?\d+)(pt|%)$/.exec(a['fo:font-size'] ?? '')
  if (size) {
    const n = Number(size[1])
    if (n > 0 && n < 3300) look.size = size[2] === '%' ? { times: n / 100 } : { points: n }
  }
  return look
}

/** A style's name as people read it: spaces are written as their code. */
const plainName = (name: string): string => name.replace(/_20_/g, ' ')

function paraOf(style: XmlElement): ParaLook {
  const a = child(style, 'style:paragraph-properties')?.attrs
  const look: ParaLook = {}
  if (!a) return look
  const align = a['fo:text-align']
  if (align) look.align = align === 'center' ? 'center' : align === 'end' || align === 'right' ? 'right' : null
  if (a['fo:break-before']) look.before = a['fo:break-before'] === 'page'
  if (a['fo:break-after']) look.after = a['fo:break-after'] === 'page'
  const [left, right] = [lengthOf(a['fo:margin-left']), lengthOf(a['fo:margin-right'])]
  if (left !== undefined) look.left = left
  if (right !== undefined) look.right = right
  return look
}

const UNITS: Record<string, number> = { pt: 1, in: 72, cm: 28.3465, mm: 2.83465, pc: 12, px: 0.75 }

/** A length of an open document in points, no longer than ten inches. */
export function lengthOf(v: string | undefined): number | undefined {
  const m = /^(-?\d*\.?\d+)(pt|in|cm|mm|pc|px)$/.exec(v ?? '')
  return m ? Math.min(720, Math.max(0, Number(m[1]) * UNITS[m[2]!]!)) : undefined
}
