import type { PDFRef } from '@cantoo/pdf-lib'
import { type BlockJson, gridOf, gridRows, type InlineJson, type Section } from '../book'
import type { ImageMark, MarkPlace } from '../marks'
import type { PdfFile } from './file'

/** What a block is to a reading machine: standard structure types of PDF 32000-1, 14.8.4. */
type BlockTag = 'P' | 'H1' | 'H2' | 'H3' | 'H4' | 'Note' | 'Caption' | 'Figure' | 'Lbl'
/** What holds blocks together. */
type GroupTag = 'BlockQuote' | 'L' | 'LI' | 'LBody' | 'Table' | 'TR' | 'TH' | 'TD'

/** A quotation, a list and its items, a table with its rows and cells. */
export interface Group {
  tag: GroupTag
  /** Place in the reading order of its section. */
  order: number
  within?: Group
  /** Groups in it, empty cells among them: a table is told whole. */
  parts: Group[]
  /** Columns and rows that a cell takes. */
  wide: number
  deep: number
}

interface TaggedBlock {
  tag: BlockTag
  order: number
  within?: Group
}

/** What the sections of a book are made of, for the tags of its pages. */
export interface TagSource {
  /** Title of each section in the book's order. */
  sections: { id: string; title: string; made: boolean }[]
  /** By "section/block". */
  blocks: Map<string, TaggedBlock>
}

/** The structure of a book's sections. */
export function tagSource(sections: Section[]): TagSource {
  const blocks = new Map<string, TaggedBlock>()
  for (const s of sections) {
    if (s.made) continue
    let order = 0
    const put = (id: string, tag: BlockTag, within: Group | undefined): void =>
      void (id && blocks.set(`${s.id}/${id}`, { tag, order: order++, ...(within ? { within } : {}) }))
    const group = (tag: GroupTag, within: Group | undefined, { wide, deep } = { wide: 1, deep: 1 }): Group => {
      const g: Group = { tag, order: order++, parts: [], wide, deep, ...(within ? { within } : {}) }
      within?.parts.push(g)
      return g
    }
    const words = (id: string, tag: BlockTag, content: InlineJson[] | undefined, within: Group | undefined): void => {
      put(id, tag, within)
      content?.forEach(n => n.type === 'footnote' && put(n.attrs.id, 'Note', within))
    }
    const walk = (b: BlockJson, within?: Group): void => {
      switch (b.type) {
        case 'paragraph':
          return words(b.attrs.id, 'P', b.content, within)
        case 'heading':
          return words(b.attrs.id, `H${Math.min(4, b.attrs.level + 1)}` as BlockTag, b.content, within)
        case 'image':
          return words(b.attrs.id, 'Caption', b.content, within)
        case 'verse':
          return words(
            b.attrs.id,
            'P',
            b.content.flatMap(line => line.content ?? []),
            within,
          )
        case 'quote':
        case 'letter': {
          const quote = group('BlockQuote', within)
          return b.content.forEach(c => walk(c, quote))
        }
        case 'list': {
          const list = group('L', within)
          return b.content.forEach(item => {
            const body = group('LBody', group('LI', list))
            item.content.forEach(c => walk(c, body))
          })
        }
        case 'table': {
          const table = group('Table', within)
          const grid = gridOf(b)
          return gridRows(grid).forEach((cells, i) => {
            const tr = group('TR', table)
            cells.forEach(c => {
              const td = group(grid.heads[i] ? 'TH' : 'TD', tr, c)
              c?.cell.content.forEach(p => walk(p, td))
            })
          })
        }
      }
    }
    for (const b of s.doc.content) walk(b)
  }
  return { sections: sections.map(s => ({ id: s.id, title: s.title, made: s.made })), blocks }
}

/** A node of the tree: a block holds words, a group and a section hold nodes. */
interface Element {
  tag: BlockTag | GroupTag | 'Sect'
  /** Place in the reading order of its section: pictures are drawn before words, and notes stand at the foot. */
  order: number
  alt?: string
  wide?: number
  deep?: number
  /** Marked content by page and number. */
  words: { page: number; id: number }[]
  parts: Element[]
  ref: PDFRef
}

/** The structure tree of a file, grown while its pages are written: each block is one element, however many pages it stands on. */
export class StructureTree {
  private readonly root: PDFRef
  private readonly sections = new Map<string, Element>()
  private readonly groups = new Map<Group, Element>()
  private readonly byKey = new Map<string, Element>()
  /** Elements of each page by their number in its content. */
  private readonly parents: Element[][] = []
  private page = -1
  private readonly titles: Map<string, string>
  private readonly made: Set<string>

  constructor(
    private readonly file: PdfFile,
    private readonly source: TagSource,
  ) {
    this.root = file.ref()
    this.titles = new Map(source.sections.map(s => [s.id, s.title]))
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
    const block = this.source.blocks.get(of)
    // The mark of a list's item stands before what it marks.
    const body = block?.within
    if (place.label && body?.within)
      return this.open(`${of}/label`, place.section, { tag: 'Lbl', order: body.order - 0.5, within: body.within })
    const tag: BlockTag = place.block
      ? (block?.tag ?? 'P')
      : place.to !== undefined || this.made.has(place.section)
        ? 'P'
        : 'H1'
    return this.open(`${of}/${place.to ?? ''}`, place.section, { tag, order: -1, ...block })
  }

  picture(item: ImageMark): string {
    if (!item.alt || !item.place?.section) return ARTIFACT
    const of = `${item.place.section}/${item.place.block}`
    const block = this.source.blocks.get(of)
    // Before its caption, which is of the same block.
    return this.open(
      `${of}/figure/${item.asset}`,
      item.place.section,
      { ...block, tag: 'Figure', order: (block?.order ?? -1) - 0.5 },
      item.alt,
    )
  }

  private open(key: string, section: string, { tag, order, within }: TaggedBlock, alt?: string): string {
    let e = this.byKey.get(key)
    if (!e)
      this.byKey.set(
        key,
        (e = this.add(within ? this.group(within, section) : this.section(section), {
          tag,
          order,
          ...(alt ? { alt } : {}),
        })),
      )
    const here = this.parents[this.page]!
    const id = here.push(e) - 1
    e.words.push({ page: this.page, id })
    return `/${tag} <</MCID ${id}>> BDC\n`
  }

  private add(to: Element, e: Pick<Element, 'tag' | 'order' | 'alt' | 'wide' | 'deep'>): Element {
    const element: Element = { ...e, words: [], parts: [], ref: this.file.ref() }
    to.parts.push(element)
    return element
  }

  private section(id: string): Element {
    let s = this.sections.get(id)
    if (!s) this.sections.set(id, (s = { tag: 'Sect', order: 0, words: [], parts: [], ref: this.file.ref() }))
    return s
  }

  /** The element of a group, made with all that holds it and, for what is in a table, all of the table. */
  private group(g: Group, section: string): Element {
    let e = this.groups.get(g)
    if (!e) {
      const holder = g.within ? this.group(g.within, section) : this.section(section)
      // The table around it may have made it just now.
      e = this.groups.get(g)
      if (!e) {
        this.groups.set(g, (e = this.add(holder, { tag: g.tag, order: g.order, wide: g.wide, deep: g.deep })))
        if (g.tag === 'Table' || g.tag === 'TR') for (const part of g.parts) this.group(part, section)
      }
    }
    return e
  }

  /** Writes the tree; gives its root for the catalog. */
  write(pages: PDFRef[]): PDFRef {
    const { file } = this
    const document = file.ref()
    const write = (e: Element, parent: PDFRef, title?: string): void => {
      e.parts.sort((a, b) => a.order - b.order)
      file.object(
        {
          Type: 'StructElem',
          S: e.tag,
          P: parent,
          ...(e.words.length ? { Pg: pages[e.words[0]!.page]! } : {}),
          K: [...e.words.map(k => ({ Type: 'MCR', Pg: pages[k.page]!, MCID: k.id })), ...e.parts.map(p => p.ref)],
          ...(e.alt ? { Alt: file.text(e.alt) } : {}),
          ...(title ? { T: file.text(title) } : {}),
          ...attributesOf(e),
        },
        e.ref,
      )
      for (const part of e.parts) write(part, e.ref)
    }
    for (const [id, s] of this.sections) write(s, document, this.titles.get(id))
    file.object(
      { Type: 'StructElem', S: 'Document', P: this.root, K: [...this.sections.values()].map(s => s.ref) },
      document,
    )
    const nums = this.parents.flatMap((elements, page) => (elements?.length ? [page, elements.map(e => e.ref)] : []))
    file.object(
      {
        Type: 'StructTreeRoot',
        K: [document],
        ParentTree: file.object({ Nums: nums }),
        ParentTreeNextKey: pages.length,
      },
      this.root,
    )
    return this.root
  }
}

/** What a cell says of itself: columns and rows it takes, and that a head is one for its column. */
function attributesOf({ tag, wide = 1, deep = 1 }: Element): object {
  if (tag !== 'TH' && tag !== 'TD') return {}
  const of = {
    ...(wide > 1 ? { ColSpan: wide } : {}),
    ...(deep > 1 ? { RowSpan: deep } : {}),
    ...(tag === 'TH' ? { Scope: 'Column' } : {}),
  }
  return Object.keys(of).length ? { A: { O: 'Table', ...of } } : {}
}

const ARTIFACT = '/Artifact BMC\n'
