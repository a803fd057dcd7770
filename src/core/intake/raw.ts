import type { Tracked } from './readers/docx/riding'
import { type Align, type Crop, type InlineJson, inlineText, type MarkJson, type Role, type TableJson } from '../book'

/** A manuscript as its file says it, before it is understood: blocks in order, with the facts that structure is read from. */
export interface RawManuscript {
  blocks: RawBlock[]
  /** Bytes of pictures by the reader's own key. */
  pictures: Map<string, Uint8Array>
  meta: {
    title?: string
    subtitle?: string
    author?: string
    language?: string
    series?: string
    seriesNumber?: number
    imprint?: string
    place?: string
    /** Key of the picture that is its logo. */
    logo?: string
    description?: string
    isbn?: string
  }
  /** Size of body text, points, where the file knows one. */
  bodySize?: number
  dropped: DropCounter
  /** What the book makes by itself, and is therefore not taken over: numbers of notes, a typed title page. */
  remade?: DropCounter
}

/** Names by which links of the file lead to a block; changes to it that were recorded. */
export interface Anchored {
  anchors?: string[]
  tracked?: Tracked[]
}

export interface RawPara extends Anchored {
  type: 'para'
  content: InlineJson[]
  /** Name of the paragraph style, as people see it. */
  style?: string
  /** Heading level from 1, from an outline level or a heading style or sign. 0: a title style. */
  level?: number
  /** Largest size of its text, points. */
  size?: number
  align?: Align
  bold?: boolean
  italic?: boolean
  /** What the file says that it heads. */
  role?: Role
  /** Whether what it heads is counted, where the file says so: its words are a title then, whatever they look like. */
  numbered?: boolean
  /** A page ends just before; `newFile`: because a file does, which is no turn of the page by itself. */
  newPage?: boolean
  newFile?: boolean
  /** Empty paragraphs that stood before it. */
  gap?: number
  /** `goesOn`: it belongs to the item that the paragraph before it began. */
  list?: { key: string; level: number; ordered: boolean; start: number; goesOn?: boolean }
  quote?: boolean
  /** Left and right indents, points. */
  indent?: { left: number; right: number }
}

/** A sound or a film by the reader’s key of its bytes, and its words. */
export interface RawRecording {
  key: string
  spoken: string
}

export type RawBlock = RawPara | (RawOther & Anchored)

type RawOther =
  | { type: 'table'; table: TableJson }
  | {
      type: 'picture'
      key: string
      alt: string
      newPage?: boolean
      caption?: InlineJson[]
      /** A link on it, as the text's links are. */
      leads?: string
      crop?: Crop
      /** It is the still of a recording; one of which nothing is seen has an empty key. */
      plays?: RawRecording
    }
  /** A section begins, as the file itself says, without a heading. */
  | { type: 'section'; role: Role; title?: string; numbered?: boolean; why: string }
  | { type: 'scene' }
  | { type: 'page' }
  | { type: 'verse'; lines: { content: InlineJson[]; indent: number; stanza: boolean }[] }
  | { type: 'container'; kind: 'quote' | 'letter'; blocks: RawBlock[] }

/** Counts what is left out, with a few places each: nothing goes in silence. */
export class DropCounter {
  private readonly kinds = new Map<string, { count: number; places: string[]; letters: number }>()
  /** `gone`: the text that went with it, of which the letters are counted, or their number. */
  add(what: string, near: string, count = 1, gone: string | number = ''): void {
    let k = this.kinds.get(what)
    if (!k) this.kinds.set(what, (k = { count: 0, places: [], letters: 0 }))
    k.count += count
    k.letters += typeof gone === 'number' ? gone : lettersIn(gone)
    const place = near.trim().slice(0, 60)
    if (place && k.places.length < 5 && !k.places.includes(place)) k.places.push(place)
  }
  /** Takes in what another counted, each place with what it stands in. */
  take(other: DropCounter, within = ''): void {
    const prefix = within && `${within}: `
    for (const [what, { count, places, letters }] of other.kinds) {
      if (!places.length) this.add(what, within, count, letters)
      else places.forEach((place, i) => this.add(what, `${prefix}${place}`, i ? 0 : count, i ? 0 : letters))
    }
  }
  /** Letters that went, of all kinds together. */
  get letters(): number {
    return [...this.kinds.values()].reduce((n, k) => n + k.letters, 0)
  }
  list(): Dropped[] {
    return [...this.kinds]
      .map(([what, { count, places, letters }]) => ({ what, count, places, ...(letters ? { letters } : {}) }))
      .sort((a, b) => (a.what < b.what ? -1 : 1))
  }
}

export interface Dropped {
  what: string
  count: number
  /** First words of the paragraphs they stood in, at most five. */
  places: string[]
  /** Letters that went with them, where any did. */
  letters?: number
}

/** All stretches of words in a block, in order: of its cells, lines and caption, too. */
export function stretchesOf(b: RawBlock): InlineJson[][] {
  switch (b.type) {
    case 'para':
      return [b.content]
    case 'table':
      return b.table.content.flatMap(r => r.content.flatMap(c => c.content.map(p => p.content ?? [])))
    case 'verse':
      return b.lines.map(l => l.content)
    case 'container':
      return b.blocks.flatMap(stretchesOf)
    case 'picture':
      return b.caption ? [b.caption] : []
    default:
      return []
  }
}

/** All words of a block, those of its notes, too; a line a stretch. */
export const textOfBlock = (b: RawBlock): string =>
  stretchesOf(b)
    .map(s => inlineText(s, true))
    .join('\n')

/** Signs of a text that are no space: what is counted in and out of a reading. */
export const lettersIn = (text: string): number => text.replace(/[\s\u00ad\u200b\ufeff\u0000-\u001f]/g, '').length

/** Where a picture leads that stands among such links: to where the innermost does. */
export function leading(links: readonly MarkJson[]): { leads?: string } {
  const link = links.findLast(m => m.type === 'link')
  return link ? { leads: link.attrs.href } : {}
}

/** What typists indent paragraphs with. */
export const TABS = 'tabs before paragraphs: the style indents'
