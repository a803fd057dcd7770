import type { Crop } from './crop'
import type { Remark } from './remarks'

/** The JSON of a section's document, typed. It is what is stored, exchanged and read by pages and ebook. */

export type MarkJson =
  | { type: 'strong' | 'em' | 'small_caps' | 'superscript' | 'subscript' | 'strike' }
  | { type: 'link'; attrs: { href: string } }
  /** Words in a language of their own, by its BCP 47 tag. */
  | { type: 'language'; attrs: { tag: string } }
  /** Another book, by its addresses at outlets: see shops.ts. */
  | { type: 'shops'; attrs: { at: string } }
  /** What is said of the words; it is never printed. */
  | { type: 'remark'; attrs: Remark }
export type MarkName = MarkJson['type']

export interface TextJson {
  type: 'text'
  text: string
  marks?: MarkJson[]
}
export interface HardBreakJson {
  type: 'hard_break'
  marks?: MarkJson[]
}
export interface FootnoteJson {
  type: 'footnote'
  attrs: { id: string }
  content?: (TextJson | HardBreakJson)[]
  marks?: MarkJson[]
}
/** A small picture in the line. `height` in ems. */
export interface SignJson {
  type: 'sign'
  attrs: { asset: string; alt: string; decoration: boolean; height: number }
  marks?: MarkJson[]
}
export type InlineJson = TextJson | HardBreakJson | FootnoteJson | SignJson

export type Align = 'left' | 'right' | 'center' | null

export interface ParagraphJson {
  type: 'paragraph'
  attrs: { id: string; align?: Align }
  content?: InlineJson[]
}
export interface HeadingJson {
  type: 'heading'
  attrs: { id: string; level: number }
  content?: InlineJson[]
}
export interface LineJson {
  type: 'line'
  attrs: { indent: number; stanza: boolean }
  content?: InlineJson[]
}
export interface VerseJson {
  type: 'verse'
  attrs: { id: string }
  content: LineJson[]
}
export interface ItemJson {
  type: 'item'
  content: (ParagraphJson | ListJson)[]
}
export interface ListJson {
  type: 'list'
  attrs: { id: string; ordered: boolean; start: number }
  content: ItemJson[]
}
export interface QuoteJson {
  type: 'quote' | 'letter'
  attrs: { id: string }
  content: (ParagraphJson | ListJson | VerseJson)[]
}
export interface CellJson {
  type: 'cell'
  /** Columns and rows that it reaches over; one row where that is not said. */
  attrs: { span: number; rows?: number }
  content: ParagraphJson[]
}
export interface RowJson {
  type: 'row'
  attrs: { head: boolean }
  content: CellJson[]
}
export interface TableJson {
  type: 'table'
  attrs: { id: string }
  content: RowJson[]
}
/** Where a picture stands: in the measure, beside the text on the left or right, alone on a page, or as a plate from edge to edge of its leaf. */
export type ImageStand = 'measure' | 'left' | 'right' | 'page' | 'plate'
export const imageStands: readonly ImageStand[] = ['measure', 'left', 'right', 'page', 'plate']

export interface ImageJson {
  type: 'image'
  attrs: {
    id: string
    asset: string
    alt: string
    decoration: boolean
    share: number
    /** In the measure, where absent. */ stands?: ImageStand
    /** What is left out of it; the whole picture is shown where there is none. */
    crop?: Crop | null
    /** Where it leads, as a link's address; nowhere, where it is empty. */
    leads?: string
    /** The recording that it plays in ebooks; what is said and heard in that; whether what is seen is said, too. */
    plays?: string
    spoken?: string
    told?: boolean
  }
  content?: InlineJson[]
}
export interface BreakJson {
  type: 'scene_break' | 'page_break'
  attrs: { id: string }
}
export type BlockJson =
  ParagraphJson | HeadingJson | QuoteJson | VerseJson | ListJson | TableJson | ImageJson | BreakJson

export interface DocJson {
  type: 'doc'
  content: BlockJson[]
}

/** Anything in a document that may hold inline content or other nodes. */
type AnyNode = BlockJson | LineJson | ItemJson | RowJson | CellJson | InlineJson | DocJson

/** A place in the book: a block of a section, and an offset in characters of its text. */
export interface Place {
  section: string
  block: string
  offset: number
}

/** The text of inline content; a hard break is a newline. Notes are left out unless asked for. */
export function inlineText(content: InlineJson[] | undefined, notes = false): string {
  if (!content) return ''
  let s = ''
  for (const n of content) {
    if (n.type === 'text') s += n.text
    else if (n.type === 'hard_break') s += '\n'
    else if (n.type === 'footnote' && notes) s += ' ' + inlineText(n.content)
  }
  return s
}

/** Calls `visit` with the inline content of every block and note of a document, in reading order. */
export function eachInline(node: AnyNode, visit: (content: InlineJson[], owner: AnyNode) => void): void {
  const content = 'content' in node ? (node.content as AnyNode[] | undefined) : undefined
  if (!content || !content.length) return
  const inline =
    node.type === 'paragraph' ||
    node.type === 'heading' ||
    node.type === 'line' ||
    node.type === 'image' ||
    node.type === 'footnote'
  if (inline) {
    visit(content as InlineJson[], node)
    for (const n of content) if (n.type === 'footnote') eachInline(n, visit)
  } else for (const n of content) eachInline(n, visit)
}

/** A picture where it is used: over a section's opening, on its own lines or in the line. `block` holds it; none at an opening. */
export interface PictureUse {
  asset: string
  alt: string
  decoration: boolean
  block?: string
}

/** Pictures of a document, in order. */
export function docPictures(doc: DocJson): PictureUse[] {
  const out: PictureUse[] = []
  const walk = (n: AnyNode, block?: string): void => {
    const own = 'attrs' in n && n.attrs && 'id' in n.attrs && n.attrs.id ? n.attrs.id : block
    // A sound need not show anything.
    if ((n.type === 'image' && (n.attrs.asset || !n.attrs.plays)) || n.type === 'sign')
      out.push({
        asset: n.attrs.asset,
        alt: n.attrs.alt,
        decoration: n.attrs.decoration,
        ...(own ? { block: own } : {}),
      })
    if ('content' in n && n.content) for (const c of n.content as AnyNode[]) walk(c, own)
  }
  walk(doc)
  return out
}

/** The running text of a document, a line a paragraph, notes after the paragraph that calls them. */
export function docText(doc: DocJson): string {
  const lines: string[] = []
  eachInline(doc, content => lines.push(inlineText(content)))
  return lines.join('\n')
}

// A word is a run of letters, marks and figures, with apostrophes and hyphens inside it.
const word = /[\p{L}\p{M}\p{N}]+(?:['’‐\-][\p{L}\p{M}\p{N}]+)*/gu

/** Words in a text as authors count them: "harbour-master’s" is one, a dash is none. */
export function countWords(text: string): number {
  let n = 0
  word.lastIndex = 0
  while (word.exec(text)) n++
  return n
}

const counted = new WeakMap<DocJson, number>()

/** Words of a document, notes and captions included. Remembered by the document's identity: documents never change in place. */
export function docWords(doc: DocJson): number {
  let n = counted.get(doc)
  if (n === undefined) {
    n = countWords(docText(doc))
    counted.set(doc, n)
  }
  return n
}

/** All block ids in order, those of notes included. */
export function blockIds(doc: DocJson): string[] {
  const ids: string[] = []
  const walk = (n: AnyNode) => {
    if ('attrs' in n && n.attrs && 'id' in n.attrs) ids.push(n.attrs.id)
    if ('content' in n && n.content) for (const c of n.content as AnyNode[]) walk(c)
  }
  for (const b of doc.content) walk(b)
  return ids
}

export const text = (t: string, ...marks: MarkJson[]): TextJson =>
  marks.length ? { type: 'text', text: t, marks } : { type: 'text', text: t }
export const emptyDoc = (blockId: string): DocJson => ({
  type: 'doc',
  content: [{ type: 'paragraph', attrs: { id: blockId, align: null } }],
})
