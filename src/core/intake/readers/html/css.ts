import type { CssNode } from 'css-tree'
import generate from 'css-tree/generator'
import parse from 'css-tree/parser'
import walk from 'css-tree/walker'
import type { Align } from '../../../book'
import type { LetterLook } from '../../looks'
import type { XmlElement } from '../../../files'

/** What a style says of an element by itself; what is not said is inherited, or plain. */
export interface Look extends LetterLook {
  /** Letters, by those around them, or in points. */
  size?: { times: number } | { points: number }
  align?: Align
  /** A page begins before it, or ends behind it. */
  pageBefore?: boolean
  pageAfter?: boolean
  /** Indent of the whole block, points. */
  left?: number
  right?: number
  /** Height of a picture, ems. */
  height?: number
  keepsLines?: boolean
}

interface Rule {
  name?: string
  id?: string
  classes: string[]
  weight: number
  order: number
  look: Look
}

/** Bytes of styles that are read; a page that has more styles itself by script. */
const MOST_STYLES = 4e6

/** The styles of a page. Rules for an element by its name, its classes and its id are heard; those for its place among others are not. */
export class Styles {
  private readonly rules = new Map<string, Rule[]>()
  private readonly known = new Map<string, Look>()
  private order = 0

  constructor(sheets: readonly string[]) {
    let read = 0
    for (const sheet of sheets) if ((read += sheet.length) < MOST_STYLES) this.add(sheet)
  }

  private add(sheet: string): void {
    let ast: CssNode
    try {
      ast = parse(sheet, { parseValue: false, parseCustomProperty: false })
    } catch {
      return // Styles that cannot be read style nothing: no word depends on them.
    }
    const addRule = (selector: CssNode, look: Look): void => this.rule(selector, look)
    walk(ast, {
      visit: 'Rule',
      enter(node) {
        // Rules of a device's own are not those of the text.
        const medium = this.atrule?.prelude ? generate(this.atrule.prelude) : ''
        if (this.atrule?.name === 'media' && !/^(all|screen)$/i.test(medium)) return
        if (node.prelude.type !== 'SelectorList') return
        const look = lookFrom(generate(node.block).slice(1, -1))
        if (!Object.keys(look).length) return
        for (const selector of node.prelude.children) addRule(selector, look)
      },
    })
  }

  private rule(selector: CssNode, look: Look): void {
    if (selector.type !== 'Selector') return
    const rule: Rule = { classes: [], weight: 0, order: this.order++, look }
    for (const part of selector.children)
      if (part.type === 'TypeSelector' && part.name !== '*') {
        rule.name = part.name.toLowerCase()
        rule.weight += 1
      } else if (part.type === 'ClassSelector') {
        rule.classes.push(part.name)
        rule.weight += 100
      } else if (part.type === 'IdSelector') {
        rule.id = part.name
        rule.weight += 10_000
      } else if (part.type !== 'TypeSelector') return
    const key = rule.id ? `#${rule.id}` : rule.classes[0] ? `.${rule.classes[0]}` : (rule.name ?? '*')
    const known = this.rules.get(key)
    if (known) known.push(rule)
    else this.rules.set(key, [rule])
  }

  /** What is said of an element: by rules, the weightier later, then by itself. */
  of({ name, attrs }: XmlElement): Look {
    const { id = '', style = '' } = attrs
    const key = `${name}|${attrs.class ?? ''}|${this.rules.has(`#${id}`) ? id : ''}|${style}`
    let look = this.known.get(key)
    if (!look) {
      const classes = classesOf(attrs)
      const keys = ['*', name, ...classes.map(c => `.${c}`), `#${id}`]
      const heard = keys
        .flatMap(k => this.rules.get(k) ?? [])
        .filter(
          r => (!r.name || r.name === name) && (!r.id || r.id === id) && r.classes.every(c => classes.includes(c)),
        )
        .sort((a, b) => a.weight - b.weight || a.order - b.order)
      look = Object.assign({}, ...heard.map(r => r.look), lookFrom(style)) as Look
      this.known.set(key, look)
    }
    return look
  }
}

export const classesOf = (attrs: Record<string, string>): string[] => (attrs.class ?? '').split(/\s+/).filter(Boolean)

/** What declarations come to. */
function lookFrom(declarations: string): Look {
  const look: Look = {}
  for (const part of declarations.split(';')) {
    const at = part.indexOf(':')
    if (at < 0) continue
    const read = properties[part.slice(0, at).trim().toLowerCase()]
    const value = part
      .slice(at + 1)
      .replace(/!\s*important/i, '')
      .trim()
      .toLowerCase()
    if (read && value) Object.assign(look, read(value))
  }
  return look
}

const properties: Record<string, (value: string) => Look | undefined> = {
  'font-weight': v => ({ bold: v === 'bold' || v === 'bolder' || Number(v) >= 600 }),
  'font-style': v => ({ italic: v === 'italic' || v.startsWith('oblique') }),
  'font-variant': v => ({ smallCaps: v.includes('small-caps') }),
  'font-variant-caps': v => ({ smallCaps: v.includes('small-caps') }),
  'text-transform': v => ({ caps: v === 'uppercase' }),
  'text-decoration': v => ({ underline: v.includes('underline'), strike: v.includes('line-through') }),
  'text-decoration-line': v => ({ underline: v.includes('underline'), strike: v.includes('line-through') }),
  color: v => ({
    coloured: !/^(inherit|currentcolor|black|windowtext|#0{3,6}|rgb\(0, ?0, ?0\)|initial|unset)$/.test(v),
  }),
  'background-color': v => ({ marked: !/^(inherit|transparent|white|#f{3,6}|initial|unset)$/.test(v) }),
  display: v => ({ hidden: v === 'none' }),
  'vertical-align': v => ({
    vertical: v === 'super' ? 'superscript' : v === 'sub' ? 'subscript' : 'baseline',
  }),
  'font-size': v => sizeOf(v),
  'text-align': v => ({ align: v === 'center' ? 'center' : v === 'right' || v === 'end' ? 'right' : null }),
  'page-break-before': v => ({ pageBefore: isTurn(v) }),
  'break-before': v => ({ pageBefore: isTurn(v) }),
  'page-break-after': v => ({ pageAfter: isTurn(v) }),
  'break-after': v => ({ pageAfter: isTurn(v) }),
  'margin-left': v => lengthInto('left', v),
  'margin-right': v => lengthInto('right', v),
  height: v => ({ height: (points(v) ?? 0) / EM }),
  'white-space': v => ({ keepsLines: v === 'pre' || v === 'pre-wrap' || v === 'pre-line' }),
}

const isTurn = (v: string): boolean => /^(always|page|left|right|recto|verso)$/.test(v)

/** Points of an em where nobody says how large letters are. */
export const EM = 12

const units: Record<string, number> = {
  pt: 1,
  px: 0.75,
  em: EM,
  rem: EM,
  ex: EM / 2,
  in: 72,
  cm: 28.3465,
  mm: 2.83465,
  pc: 12,
}

/** A length in points; undefined where it is none that can be known here. */
function points(v: string): number | undefined {
  const m = /^(-?\d*\.?\d+)\s*([a-z]+)$/.exec(v)
  const unit = m && units[m[2]!]
  return unit ? Number(m[1]) * unit : undefined
}

const lengthInto = (side: 'left' | 'right', v: string): Look => {
  const length = points(v) ?? 0
  return length > 0 ? { [side]: Math.min(720, length) } : {}
}

const named: Record<string, number> = {
  'xx-small': 0.6,
  'x-small': 0.75,
  small: 0.89,
  medium: 1,
  large: 1.2,
  'x-large': 1.5,
  'xx-large': 2,
}

function sizeOf(v: string): Look | undefined {
  if (v === 'larger' || v === 'smaller') return { size: { times: v === 'larger' ? 1.2 : 1 / 1.2 } }
  if (named[v]) return { size: { points: named[v] * EM } }
  const share = /^(\d*\.?\d+)(%|em|rem)$/.exec(v)
  if (share) {
    const times = Number(share[1]) / (share[2] === '%' ? 100 : 1)
    return share[2] === 'rem' ? { size: { points: times * EM } } : { size: { times } }
  }
  const length = points(v)
  return length && length > 0 && length < 1700 ? { size: { points: length } } : undefined
}
