import type { PDFRef } from '@cantoo/pdf-lib'
import type { BlockJson, FootnoteJson, InlineJson, Section } from '../book'
import type { ImageMark, MarkPlace } from '../marks'
import type { PdfFile } from './file'

/** What a block is to a reading machine: standard structure types of PDF 32000-1, 14.8.4. */
export type Tag = 'P' | 'H1' | 'H2' | 'H3' | 'H4' | 'Note' | 'Caption' | 'Figure' | 'BlockQuote'

/** What the sections of a book are made of, for the tags of its pages. */
export interface TagSource {
  /** Title of each section in the book's order. */
  sections: { id: string; title: string; made: boolean }[]
  /** By "section/block", in reading order. */
  blocks: Map<string, Tag>
}

/** The structure of a book's sections. */
export function tagSource(sections: Section[]): TagSource {
  const blocks = new Map<string, Tag>()
  for (const s of sections) {
    const put = (id: string, tag: Tag): void => void (id && blocks.set(`${s.id}/${id}`, tag))
    const inline = (content: InlineJson[] | undefined): void => content?.forEach(n => n.type === 'footnote' && put((n as FootnoteJson).attrs.id, 'Note'))
    const walk = (b: BlockJson | { type: string; attrs?: { id?: string }; content?: unknown[] }, quoted: boolean): void => {
      const tag: Tag = b.type === 'heading' ? (`H${Math.min(4, (b as { attrs: { level: number } }).attrs.level + 1)}` as Tag) : b.type === 'image' ? 'Caption' : quoted ? 'BlockQuote' : 'P'
      if (b.attrs && 'id' in b.attrs && b.attrs.id) put(b.attrs.id, tag)
      if (!('content' in b) || !b.content) return
      for (const c of b.content as { type: string }[]) if (c.type === 'footnote') inline([c as InlineJson])
      else if (c.type !== 'text' && c.type !== 'hard_break' && c.type !== 'sign') walk(c as never, quoted || b.type === 'quote' || b.type === 'letter')
    }
    if (!s.made) for (const b of s.doc.content) walk(b, false)
  }
  return { sections: sections.map(s => ({ id: s.id, title: s.title, made: s.made })), blocks }
}

interface Element {
  tag: Tag
  /** Place in the reading order of its section: pictures are drawn before words, and notes stand at the foot. */
  order: number
  alt?: string
  kids: { page: number; id: number }[]
  ref: PDFRef
}

/** The structure tree of a file, grown while its pages are written: each block is one element, however many pages it stands on. */
export class StructureTree {
  private readonly root: PDFRef
  private readonly sections = new Map<string, { ref: PDFRef; elements: Element[] }>()
  private readonly byKey = new Map<string, Element>()
  /** Elements of each page by their number in its content. */
  private readonly parents: Element[][] = []
  private page = -1
  private readonly titles: Map<string, string>
  private readonly made: Set<string>
  private readonly order: Map<string, number>

  constructor(private readonly file: PdfFile, private readonly source: TagSource) {
    this.root = file.ref()
    this.titles = new Map(source.sections.map(s => [s.id, s.title]))
    this.order = new Map([...source.blocks.keys()].map((key, i) => [key, i]))
    this.made = new Set(source.sections.filter(s => s.made).map(s => s.id))
  }

  beginPage(index: number): void {
    this.page = index
    this.parents[index] = []
  }

  /** What stands before a run of text in the content: a tag with the number of its element on this page, or that it is no part of the text. */
  text(place: MarkPlace): string {
    if (!place.section || place.again) return ARTIFACT
    const of = `${place.section}/${place.block}`
    const tag: Tag = place.block ? (this.source.blocks.get(of) ?? 'P') : place.to !== undefined || this.made.has(place.section) ? 'P' : 'H1'
    return this.open(`${of}/${place.to ?? ''}`, place.section, tag, this.order.get(of) ?? -1)
  }

  picture(item: ImageMark): string {
    if (!item.alt || !item.place?.section) return ARTIFACT
    const of = `${item.place.section}/${item.place.block}`
    // Before its caption, which is of the same block.
    return this.open(`${of}/figure/${item.asset}`, item.place.section, 'Figure', (this.order.get(of) ?? -1) - 0.5, item.alt)
  }

  private open(key: string, section: string, tag: Tag, order: number, alt?: string): string {
    let e = this.byKey.get(key)
    if (!e) {
      let s = this.sections.get(section)
      if (!s) this.sections.set(section, (s = { ref: this.file.ref(), elements: [] }))
      e = { tag, order, kids: [], ref: this.file.ref(), ...(alt ? { alt } : {}) }
      this.byKey.set(key, e)
      s.elements.push(e)
    }
    const here = this.parents[this.page]!
    const id = here.push(e) - 1
    e.kids.push({ page: this.page, id })
    return `/${tag} <</MCID ${id}>> BDC\n`
  }

  /** Writes the tree; gives its root for the catalog. */
  write(pages: PDFRef[]): PDFRef {
    const { file } = this
    const document = file.ref()
    for (const [id, s] of this.sections) {
      s.elements.sort((a, b) => a.order - b.order)
      for (const e of s.elements) file.object({
        Type: 'StructElem', S: e.tag, P: s.ref, Pg: pages[e.kids[0]!.page]!, K: e.kids.map(k => ({ Type: 'MCR', Pg: pages[k.page]!, MCID: k.id })),
        ...(e.alt ? { Alt: file.text(e.alt) } : {}),
      }, e.ref)
      const title = this.titles.get(id)
      file.object({ Type: 'StructElem', S: 'Sect', P: document, K: s.elements.map(e => e.ref), ...(title ? { T: file.text(title) } : {}) }, s.ref)
    }
    file.object({ Type: 'StructElem', S: 'Document', P: this.root, K: [...this.sections.values()].map(s => s.ref) }, document)
    const nums = this.parents.flatMap((elements, page) => (elements?.length ? [page, elements.map(e => e.ref)] : []))
    file.object({ Type: 'StructTreeRoot', K: [document], ParentTree: file.object({ Nums: nums }), ParentTreeNextKey: pages.length }, this.root)
    return this.root
  }
}

const ARTIFACT = '/Artifact BMC\n'
