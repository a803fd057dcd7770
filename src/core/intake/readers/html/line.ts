import { type Align, type InlineJson, type MarkJson, primaryTag } from '../../../book'
import { cleanText, sameMarks, trimInline } from '../../inline'
import { marksOf } from '../../looks'
import type { RawBlock, RawPara } from '../../raw'

/** How words look where they stand, all that is inherited resolved. */
export interface Standing {
  bold: boolean
  italic: boolean
  smallCaps: boolean
  strike: boolean
  caps: boolean
  vertical: 'superscript' | 'subscript' | 'baseline'
  /** Points. */
  size: number
  align: Align
  left: number
  right: number
  keepsLines: boolean
  /** Links that the words stand in. */
  links: readonly MarkJson[]
  /** The language of the words, where their page says one. */
  language: string | undefined
  /** The page's own. */
  mainly: string | undefined
}

/** Words in another language than their page's are a passage of their own; one of another country is none. */
const passage = ({ language, mainly }: Standing): MarkJson[] =>
  language &&
  mainly &&
  /^[a-z]{2,3}(-[a-z0-9]{1,8}){0,4}$/i.test(language) &&
  primaryTag(language) !== primaryTag(mainly)
    ? [{ type: 'language', attrs: { tag: language } }]
    : []

type Picture = Extract<RawBlock, { type: 'picture' }>

/** Words of a paragraph as they come together: white space is one space, neighbours of one look are one. */
export class Line {
  private readonly content: InlineJson[] = []
  readonly pictures: Picture[] = []
  private size = 0
  private letters = 0
  private bold = 0
  private italic = 0

  /** The words so far. */
  get text(): string {
    return this.content.map(n => (n.type === 'text' ? n.text : ' ')).join('')
  }

  words(t: string, s: Standing): void {
    if (s.keepsLines && t.includes('\n')) {
      t.split('\n').forEach((line, i) => {
        if (i) this.add({ type: 'hard_break' })
        this.words(
          line.replace(/^[ \t]+/, w => '\u00a0'.repeat(w.length)),
          s,
        )
      })
      return
    }
    let text = cleanText(t).replace(/ {2,}/g, ' ')
    const last = this.content.at(-1)
    if (!last || last.type === 'hard_break' || (last.type === 'text' && last.text.endsWith(' ')))
      text = text.replace(/^ +/, '')
    if (!text) return
    if (s.caps) text = text.toUpperCase()
    const marks = marksOf(s, [...s.links, ...passage(s)])
    const letters = text.trim().length
    this.letters += letters
    if (s.bold) this.bold += letters
    if (s.italic) this.italic += letters
    if (letters && s.vertical === 'baseline') this.size = Math.max(this.size, s.size)
    if (last?.type === 'text' && sameMarks(last.marks, marks)) last.text += text
    else this.content.push({ type: 'text', text, ...(marks.length ? { marks } : {}) })
  }

  add(n: InlineJson): void {
    this.content.push(n)
  }

  /** What stands here as a paragraph, with its pictures behind it; nothing where there is neither. */
  blocks(of: Omit<RawPara, 'type' | 'content' | 'size' | 'bold' | 'italic'>): RawBlock[] {
    // Signs without a word beside them are pictures.
    if (!this.content.some(n => n.type === 'footnote' || (n.type === 'text' && n.text.trim())))
      for (const n of this.content)
        if (n.type === 'sign') this.pictures.push({ type: 'picture', key: n.attrs.asset, alt: n.attrs.alt })
    const content = trimInline(this.content.filter(n => this.letters > 0 || n.type === 'footnote'))
    const out: RawBlock[] = []
    if (content.length)
      out.push({
        type: 'para',
        ...of,
        content,
        ...(this.size ? { size: Math.round(this.size * 100) / 100 } : {}),
        bold: this.letters > 0 && this.bold >= this.letters * 0.95,
        italic: this.letters > 0 && this.italic >= this.letters * 0.95,
      })
    out.push(...this.pictures)
    return out
  }

  /** What may stand in a note or a caption. */
  get inline(): InlineJson[] {
    return trimInline(this.content)
  }
}
