import type { Align } from '../../../book'
import type { LetterLook } from '../../looks'
import { child, elements, type XmlElement } from '../../../files'

/** Character formatting; undefined means "as inherited". */
export interface RunProps extends LetterLook {
  /** Points. */
  size?: number
}

export interface ParaProps {
  align?: Align
  outline?: number
  pageBreakBefore?: boolean
  num?: { id: string; level: number }
  left?: number
  right?: number
}

interface Style {
  name: string
  /** What its name says paragraphs are. */
  titles: boolean
  quotes: boolean
  outline?: number
  run: RunProps
  /** How the words of its paragraphs look: a style's own colour is how its headings look, and no word marked by the author. */
  letters: RunProps
  para: ParaProps
}

const styleOf = (name: string, run: RunProps, para: ParaProps): Style => ({
  name,
  titles: /^title$/i.test(name),
  quotes: /quot|extract|zitat|citation/i.test(name),
  run,
  letters: { ...run, coloured: false, marked: false },
  para,
})

/** The styles of a document, inheritance resolved. */
export class StyleSheet {
  private readonly raw = new Map<string, XmlElement>()
  private readonly resolved = new Map<string, Style>()
  private defaults: Style = styleOf('Normal', { size: 10 }, {})
  private defaultId: string | undefined
  language: string | undefined

  constructor(root: XmlElement | undefined) {
    for (const e of elements(root)) {
      if (e.name === 'w:docDefaults') {
        const rpr = child(child(e, 'w:rPrDefault'), 'w:rPr')
        const para = this.paragraphProps(child(child(e, 'w:pPrDefault'), 'w:pPr'))
        this.defaults = styleOf('Normal', { size: 10, ...this.runProps(rpr) }, para)
        this.language = child(rpr, 'w:lang')?.attrs['w:val']
      } else if (e.name === 'w:style' && e.attrs['w:styleId']) {
        this.raw.set(e.attrs['w:styleId'], e)
        if (e.attrs['w:type'] === 'paragraph' && isOn(e.attrs['w:default'])) this.defaultId = e.attrs['w:styleId']
      }
    }
  }

  get bodySize(): number | undefined {
    return this.paragraph(undefined).run.size
  }

  /** A paragraph style with all it inherits; the document's default where there is none of that id. */
  paragraph(id: string | undefined): Style {
    return this.resolve(id && this.raw.has(id) ? id : this.defaultId, 0)
  }

  private resolve(id: string | undefined, depth: number): Style {
    if (!id || depth > 40) return this.defaults
    const known = this.resolved.get(id)
    if (known) return known
    const e = this.raw.get(id)
    if (!e) return this.defaults
    const basedOn = child(e, 'w:basedOn')?.attrs['w:val']
    const parent = basedOn && basedOn !== id ? this.resolve(basedOn, depth + 1) : this.defaults
    const para = { ...parent.para, ...this.paragraphProps(child(e, 'w:pPr')) }
    const name = child(e, 'w:name')?.attrs['w:val'] ?? id
    const headed = /^heading (\d)$/i.exec(name)
    const style: Style = {
      ...styleOf(name, { ...parent.run, ...this.runProps(child(e, 'w:rPr')) }, para),
      outline: para.outline ?? (headed ? Number(headed[1]) - 1 : parent.outline),
    }
    this.resolved.set(id, style)
    return style
  }

  /** Formatting of a run: the paragraph's, then its character style's, then its own. */
  run(base: RunProps, rpr: XmlElement | undefined): RunProps {
    if (!rpr) return base
    const id = child(rpr, 'w:rStyle')?.attrs['w:val']
    const styled = id ? this.characterProps(id, 0) : {}
    return { ...base, ...toggled(base, styled), ...this.runProps(rpr) }
  }

  private characterProps(id: string, depth: number): RunProps {
    const e = this.raw.get(id)
    if (!e || depth > 40) return {}
    const basedOn = child(e, 'w:basedOn')?.attrs['w:val']
    return {
      ...(basedOn && basedOn !== id ? this.characterProps(basedOn, depth + 1) : {}),
      ...this.runProps(child(e, 'w:rPr')),
    }
  }

  runProps(e: XmlElement | undefined): RunProps {
    const p: RunProps = {}
    for (const c of elements(e)) {
      const v = c.attrs['w:val']
      switch (c.name) {
        case 'w:b':
          p.bold = isOn(v ?? '1')
          break
        case 'w:i':
          p.italic = isOn(v ?? '1')
          break
        case 'w:caps':
          p.caps = isOn(v ?? '1')
          break
        case 'w:smallCaps':
          p.smallCaps = isOn(v ?? '1')
          break
        case 'w:vanish':
          p.hidden = isOn(v ?? '1')
          break
        case 'w:u':
          p.underline = v !== 'none'
          break
        case 'w:strike':
        case 'w:dstrike':
          p.strike = isOn(v ?? '1') || !!p.strike
          break
        case 'w:color':
          p.coloured = !!v && !/^(auto|0{6})$/i.test(v)
          break
        case 'w:highlight':
          p.marked = v !== 'none'
          break
        case 'w:shd': {
          const fill = c.attrs['w:fill']
          p.marked = !!fill && !/^(auto|f{6})$/i.test(fill)
          break
        }
        case 'w:vertAlign':
          p.vertical = v === 'superscript' || v === 'subscript' ? v : 'baseline'
          break
        case 'w:sz': {
          const half = Number(v)
          if (half > 0 && half < 3300) p.size = half / 2
          break
        }
      }
    }
    return p
  }

  paragraphProps(e: XmlElement | undefined): ParaProps {
    const p: ParaProps = {}
    for (const c of elements(e)) {
      const v = c.attrs['w:val']
      switch (c.name) {
        case 'w:jc':
          p.align = v === 'center' ? 'center' : v === 'right' || v === 'end' ? 'right' : null
          break
        case 'w:outlineLvl': {
          const n = Number(v)
          if (n >= 0 && n <= 9) p.outline = n
          break
        }
        case 'w:pageBreakBefore':
          p.pageBreakBefore = isOn(v ?? '1')
          break
        case 'w:ind': {
          const points = (a: string | undefined): number =>
            Number.isFinite(Number(a)) ? Math.min(720, Math.max(0, Number(a) / 20)) : 0
          p.left = points(c.attrs['w:left'] ?? c.attrs['w:start'])
          p.right = points(c.attrs['w:right'] ?? c.attrs['w:end'])
          break
        }
        case 'w:numPr': {
          const level = Number(child(c, 'w:ilvl')?.attrs['w:val'] ?? 0)
          p.num = { id: child(c, 'w:numId')?.attrs['w:val'] ?? '0', level: level >= 0 && level <= 8 ? level : 0 }
          break
        }
      }
    }
    return p
  }
}

export const isOn = (v: string | undefined): boolean =>
  v !== undefined && v !== '0' && v !== 'false' && v !== 'off' && v !== 'none'

/** Toggle properties of a character style turn over what the paragraph style says (ECMA-376, 17.7.3). */
function toggled(base: RunProps, styled: RunProps): RunProps {
  const out = { ...styled }
  for (const k of ['bold', 'italic', 'caps', 'smallCaps', 'strike', 'hidden'] as const)
    if (styled[k] && base[k]) out[k] = false
  return out
}

export const readStyles = (root: XmlElement | undefined): StyleSheet => new StyleSheet(root)
