import { authorLine, type Book, labels, roles, roman, type Section, type SectionLabel, shortName } from '../book'
import { type Layer, LayerBuilder, type PageMarks } from '../marks'
import { Fault, type Ticker } from '../trade'
import type { FontShelf } from '../type'
import { type BlockContext, basesOf } from './context'
import { folio, runningHead } from './furniture'
import { type ContentsEntry, contentsItems, copyrightPage, halfTitlePage, titlePage } from './made'
import type { Lack } from './lacks'
import { bleedEdges, setSection, type SetSection, type SetStats } from './section'
import { endNoteItems, type EndNote, notesTitle } from './notes'
import { textItems } from './textItems'
import { type InteriorStyle, marginsOf } from './style'
import { mayBeExcepted, type StyleChanges, withChanges } from './styleChanges'
import type { UnmetAt } from './paginate'
import { type Lent, Typefaces } from './typefaces'

/** The leaf that an interior is set on. Points. */
export interface PageSpec {
  width: number
  height: number
  /** Inside margin; the style's own is the least. */
  inside: number
  /** What a plate prints past the trim, and whether on the edge at the spine, too. No bleed where absent. */
  bleed?: number
  bleedsInside?: boolean
  isbn?: string
  /** Pages that a plan sets between the front and what comes after it: numbers go on behind them. */
  planned?: number
  /** Departures at one section, by its id: see `mayBeExcepted`. */
  exceptions?: Record<string, StyleChanges>
}

export interface Interior {
  pages: PageMarks[]
  spec: PageSpec
  style: InteriorStyle
  /** Index of each section's first page. */
  starts: Map<string, number>
  stats: SetStats
  /** Wishes that could not be met, by index of the page. */
  unmetAt: UnmetAt[]
  /** What the text's face does not have and what is done instead. */
  lent: Lent[]
  /** What no font has. */
  missing: Lack[]
  /** What another family lends. */
  borrowed: Required<Lack>[]
  /** The text block's box on a recto: x, y, width, height. */
  block: { x: number; y: number; width: number; height: number }
  /** The outside margin, points. */
  outside: number
}

/**
 * Sets interiors. Keeps what it has shaped and set: a section whose document, style, measure and side did not change is
 * not set again, which is what makes a keystroke cheap.
 */
export class Setter {
  private readonly typefaces = new Map<string, Promise<Typefaces>>()
  private readonly sections = new WeakMap<Section['doc'], Map<string, SetSection>>()
  private readonly styleKeys = new WeakMap<InteriorStyle, string>()

  constructor(private readonly shelf: FontShelf) {}

  /** What all sections of a book have in common for a setting: the block on the leaf, faces, names, and what each departs in. */
  private async layout(book: Book, style: InteriorStyle, spec: PageSpec) {
    const faces = await this.faces(style, book.data.language)
    const margins = marginsOf(style)
    const inside = Math.max(spec.inside, margins.inside)
    const measure = spec.width - inside - margins.outside
    const lines = Math.floor((spec.height - margins.head - margins.foot) / style.text.leading)
    if (measure < style.text.size * 8 || lines < 8)
      throw new Fault('page-too-small', 'The margins leave no room for text on this trim.')
    const ctx: Omit<BlockContext, 'section' | 'lacks'> = {
      faces,
      style,
      bases: basesOf(style),
      measure,
      noteMeasure: measure,
      lines,
      leaf: {
        width: spec.width,
        height: spec.height,
        bleed: spec.bleed ?? 0,
        bleedsInside: !!spec.bleedsInside,
        top: margins.head,
      },
      assets: new Map(book.assets.map(a => [a.id, a])),
    }
    const sections = withNotes(book.sections, style, book.data.language)
    const excepted = new Map(
      Object.entries(spec.exceptions ?? {}).map(([id, changes]) => [
        id,
        withChanges(style, Object.fromEntries(Object.entries(changes).filter(([path]) => mayBeExcepted(path)))),
      ]),
    )
    const key = `${this.styleKey(style)}|${measure}|${lines}|${book.data.language}|${spec.width}|${spec.bleed}|${spec.bleedsInside}`
    const styleOf = (s: Section): InteriorStyle => excepted.get(s.id) ?? style
    return {
      faces,
      margins,
      inside,
      measure,
      lines,
      ctx,
      sections,
      names: labels(sections, book.data.language),
      styleOf,
      keyOf: (s: Section): string => (styleOf(s) === style ? key : `${key}|${JSON.stringify(spec.exceptions![s.id])}`),
    }
  }

  async set(book: Book, style: InteriorStyle, spec: PageSpec, ticker?: Ticker): Promise<Interior> {
    const layout = await this.layout(book, style, spec)
    const { faces, ctx, sections, names, styleOf, keyOf } = layout

    // Contents first with empty folios, to know how many pages they take; the numbers are put in when they are known.
    const set = new Map<string, SetSection>()
    const pagesOf = (parts: Section[], startIndex: number): number => {
      let at = startIndex
      for (const s of parts) {
        at = this.opensOnRecto(s, styleOf(s)) && at % 2 === 1 ? at + 1 : at
        starts.set(s.id, at)
        const done = set.get(s.id)!
        at += done.pages.length
      }
      return at
    }
    const starts = new Map<string, number>()
    const chosen = sections.filter(s => this.printed(s))
    const endNotes: { title: string; notes: EndNote[] }[] = []
    const front = chosen.filter(s => s.part === 'front')
    const rest = chosen.filter(s => s.part !== 'front')
    let at = 0
    const blocks = chosen.reduce((n, s) => n + s.doc.content.length, 0)
    let doneBlocks = 0
    // Inside a section the ticker only hears: the section is set in one breath, a wish to stop is met after it.
    const within =
      ticker &&
      ((n: number): void =>
        void Promise.resolve(ticker({ stage: 'Setting pages', done: doneBlocks + n, of: blocks })).catch(
          () => undefined,
        ))
    for (const s of chosen) {
      if (s === rest[0] && at % 2 === 1) at++
      if (this.opensOnRecto(s, styleOf(s)) && at % 2 === 1) at++
      const side = at % 2 === 0 ? 'recto' : 'verso'
      const done =
        s.id === NOTES
          ? this.setNotes(s, names.get(s.id)!, ctx, side, endNotes)
          : s.made
            ? this.setMade(book, s, names.get(s.id)!, ctx, spec.isbn, side, [])
            : this.setText(
                s,
                names.get(s.id)!,
                styleOf(s) === style ? ctx : { ...ctx, style: styleOf(s) },
                side,
                keyOf(s),
                within,
              )
      set.set(s.id, done)
      if (done.endNotes.length) endNotes.push({ title: shortName(names.get(s.id)!), notes: done.endNotes })
      at += done.pages.length
      doneBlocks += s.doc.content.length
      await ticker?.({ stage: 'Setting pages', done: doneBlocks, of: blocks })
    }
    let frontPages = pagesOf(front, 0)
    if (rest.length && frontPages % 2 === 1) frontPages++
    const bodyEnd = pagesOf(rest, frontPages)
    const total = bodyEnd + (bodyEnd % 2)
    const label = (index: number): string =>
      index < frontPages || !rest.length ? roman(index + 1) : String(index - frontPages + 1 + (spec.planned ?? 0))

    for (const s of chosen)
      if (s.made && s.role === 'contents') {
        const entries = contentsEntries(chosen, names, id => label(starts.get(id)!))
        set.set(
          s.id,
          this.setMade(
            book,
            s,
            names.get(s.id)!,
            ctx,
            spec.isbn,
            starts.get(s.id)! % 2 === 0 ? 'recto' : 'verso',
            entries,
          ),
        )
      }

    const pages: PageMarks[] = []
    // One plate gives every leaf its bleed: all pages of a file have one size.
    const bleeds = chosen.some(s => set.get(s.id)!.pages.some(p => p.ground))
    const blank = (): void => void pages.push(leafOf(spec, ctx, pages.length, label(pages.length), bleeds, []))
    for (const s of chosen) {
      while (pages.length < starts.get(s.id)!) blank()
      for (const page of this.leavesOf(book, s, set.get(s.id)!, layout, pages.length, label, bleeds, spec))
        pages.push(page)
    }
    while (pages.length < total) blank()

    const stats = mergeStats([...set.values()].map(s => s.stats))
    const unmetAt = chosen.flatMap(s => set.get(s.id)!.unmetAt.map(u => ({ ...u, page: starts.get(s.id)! + u.page })))
    const lacks = chosen.flatMap(s => set.get(s.id)!.lacks)
    const missing = lacks.filter(l => !l.from)
    const borrowed = lacks.flatMap(l => (l.from ? [{ ...l, from: l.from }] : []))
    return {
      pages,
      spec: { ...spec, inside: layout.inside },
      style,
      starts,
      stats,
      unmetAt,
      lent: faces.lent(),
      missing,
      borrowed,
      ...blockOf(layout, style),
    }
  }

  /**
   * One section as it will be set, before the rest is: pages as they come out where it begins at `start`, with the labels that
   * `label` gives. What is set here is not set again when the whole book is. Undefined where the section has no text of its own.
   */
  async setOne(
    book: Book,
    style: InteriorStyle,
    spec: PageSpec,
    sectionId: string,
    start: number,
    label: (index: number) => string,
  ): Promise<Pick<Interior, 'pages' | 'block' | 'outside' | 'starts'> | undefined> {
    const layout = await this.layout(book, style, spec)
    const s = layout.sections.find(x => x.id === sectionId)
    if (!s || s.made || s.id === NOTES || !this.printed(s)) return undefined
    const { ctx, names, styleOf, keyOf } = layout
    const at = this.opensOnRecto(s, styleOf(s)) && start % 2 === 1 ? start + 1 : start
    const done = this.setText(
      s,
      names.get(s.id)!,
      styleOf(s) === style ? ctx : { ...ctx, style: styleOf(s) },
      at % 2 === 0 ? 'recto' : 'verso',
      keyOf(s),
    )
    const bleeds = done.pages.some(p => p.ground)
    const pages = Array.from({ length: at }, (_, i) => leafOf(spec, ctx, i, label(i), bleeds, []))
    return {
      pages: [...pages, ...this.leavesOf(book, s, done, layout, at, label, bleeds, spec)],
      starts: new Map([[s.id, at]]),
      ...blockOf(layout, style),
    }
  }

  /** A section's pages on their leaves, with head and folio. */
  private leavesOf(
    book: Book,
    s: Section,
    done: SetSection,
    { names, ctx, margins, inside }: Awaited<ReturnType<Setter['layout']>>,
    from: number,
    label: (index: number) => string,
    bleeds: boolean,
    spec: PageSpec,
  ): PageMarks[] {
    const headText = this.headFor(book, names.get(s.id)!, ctx.style)
    return done.pages.map((page, i) => {
      const index = from + i
      const side = index % 2 === 0 ? 'recto' : 'verso'
      const x = index % 2 === 0 ? inside : margins.outside
      const y = margins.head
      const furniture =
        roles[s.role].headed && !page.opens && !page.leaf
          ? this.furniture(headText[side], label(index), side, ctx)
          : s.role === 'contents' && i > 0
            ? this.furniture('', label(index), side, ctx)
            : undefined
      return leafOf(spec, ctx, index, label(index), bleeds, [
        ...(page.ground ? [{ layer: page.ground, x: 0, y: 0 }] : []),
        { layer: page.layer, x, y },
        ...(furniture ? [{ layer: furniture, x, y }] : []),
      ])
    })
  }

  private faces(style: InteriorStyle, language: string): Promise<Typefaces> {
    const key = `${this.styleKey(style)}|${language}`
    let f = this.typefaces.get(key)
    if (!f) this.typefaces.set(key, (f = Typefaces.load(style, language, this.shelf)))
    return f
  }

  private styleKey(style: InteriorStyle): string {
    let k = this.styleKeys.get(style)
    if (!k) this.styleKeys.set(style, (k = JSON.stringify(style)))
    return k
  }

  /** Sections without words stay out of print. */
  private printed(s: Section): boolean {
    return (
      s.made || s.role === 'part' || !!s.title || s.doc.content.some(b => b.type !== 'paragraph' || !!b.content?.length)
    )
  }

  private opensOnRecto(s: Section, style: InteriorStyle): boolean {
    if (s.role === 'copyright') return false
    if (s.part === 'front' || s.role === 'part') return true
    return style.openings.recto
  }

  private setText(
    s: Section,
    label: SectionLabel,
    ctx: Omit<BlockContext, 'section' | 'lacks'>,
    side: 'recto' | 'verso',
    key: string,
    within?: (blocks: number) => void,
  ): SetSection {
    const full = `${key}|${side}|${s.id}|${s.role}|${label.numberWords}|${label.title}|${s.subtitle}`
    let byKey = this.sections.get(s.doc)
    if (!byKey) this.sections.set(s.doc, (byKey = new Map()))
    let done = byKey.get(full)
    if (!done) {
      // A few settings of a document are kept (sides, styles being compared), not every one there ever was.
      if (byKey.size > 5) byKey.delete(byKey.keys().next().value!)
      const quiet = s.role === 'dedication' || s.role === 'epigraph' || s.role === 'copyright'
      byKey.set(full, (done = setSection(s, quiet ? { title: '' } : label, ctx, side, undefined, within)))
    }
    return done
  }

  private setMade(
    book: Book,
    s: Section,
    label: SectionLabel,
    ctx: Omit<BlockContext, 'section' | 'lacks'>,
    isbn: string | undefined,
    side: 'recto' | 'verso',
    entries: ContentsEntry[],
  ): SetSection {
    const lacks: Lack[] = []
    const full: BlockContext = { ...ctx, section: s.id, lacks: lack => lacks.push(lack) }
    if (s.role === 'contents') {
      const list = entries.length
        ? entries
        : contentsEntries(
            withNotes(book.sections, ctx.style, book.data.language).filter(x => this.printed(x)),
            labels(withNotes(book.sections, ctx.style, book.data.language), book.data.language),
            () => '',
          )
      return setSection(s, label, ctx, side, contentsItems(list, s, full))
    }
    const layer =
      s.role === 'title-page'
        ? titlePage(book, s, full)
        : s.role === 'half-title'
          ? halfTitlePage(book, s, full)
          : s.role === 'copyright'
            ? copyrightPage(book, s, isbn, full)
            : undefined
    const empty = setSection(
      { ...s, doc: { type: 'doc', content: [] }, title: '', subtitle: undefined },
      { title: '' },
      { ...ctx, style: { ...ctx.style, openings: { ...ctx.style.openings, sink: 0 } } },
      side,
    )
    return layer
      ? { pages: [{ layer, opens: true, filled: 0 }], stats: empty.stats, unmetAt: [], lacks, endNotes: [] }
      : empty
  }

  /** Notes at the end of the book, under the names of their sections. */
  private setNotes(
    s: Section,
    label: SectionLabel,
    ctx: Omit<BlockContext, 'section' | 'lacks'>,
    side: 'recto' | 'verso',
    all: { title: string; notes: EndNote[] }[],
  ): SetSection {
    const lacks: Lack[] = []
    const full: BlockContext = { ...ctx, section: s.id, lacks: lack => lacks.push(lack) }
    const items = all.flatMap(({ title, notes }) => [
      ...textItems(
        [{ type: 'text', text: title }],
        full,
        { base: ctx.bases.heads[1]!, left: 0, right: 0, indent: 0, align: ctx.style.headings.align, hyphenate: false },
        { section: s.id, block: '' },
        { next: () => '' },
        { before: 1, after: 0, keepNext: true, breakable: false },
      ),
      ...endNoteItems(notes, full),
    ])
    const set = setSection(s, label, ctx, side, items)
    return { ...set, lacks: [...set.lacks, ...lacks] }
  }

  private headFor(book: Book, label: SectionLabel, style: InteriorStyle): { recto: string; verso: string } {
    return {
      verso:
        style.heads.verso === 'author'
          ? authorLine(book.data) || book.data.title
          : style.heads.verso === 'title'
            ? book.data.title
            : '',
      recto:
        style.heads.recto === 'section'
          ? shortName(label) || book.data.title
          : style.heads.recto === 'title'
            ? book.data.title
            : '',
    }
  }

  private furniture(
    head: string,
    folioText: string,
    side: 'recto' | 'verso',
    ctx: Omit<BlockContext, 'section' | 'lacks'>,
  ): Layer {
    const out = new LayerBuilder(4, 64)
    runningHead(out, head, side, ctx, ctx.style.folios.at === 'head, outside' ? folioText : '')
    if (ctx.style.folios.at !== 'head, outside') folio(out, folioText, side, ctx)
    return out.build()
  }
}

/** A leaf of a book: all have one size, and bleed where any of them needs it. */
function leafOf(
  spec: PageSpec,
  ctx: Pick<BlockContext, 'leaf'>,
  index: number,
  label: string,
  bleeds: boolean,
  layers: PageMarks['layers'],
): PageMarks {
  const side = index % 2 === 0 ? 'recto' : 'verso'
  return {
    width: spec.width,
    height: spec.height,
    bleed: bleedEdges(bleeds ? ctx.leaf : { bleed: 0, bleedsInside: false }, side),
    layers,
    label,
    side,
  }
}

const blockOf = (
  {
    inside,
    margins,
    measure,
    lines,
  }: { inside: number; margins: InteriorStyle['margins']; measure: number; lines: number },
  style: InteriorStyle,
): Pick<Interior, 'block' | 'outside'> => ({
  block: { x: inside, y: margins.head, width: measure, height: lines * style.text.leading },
  outside: margins.outside,
})

/** The section that notes at the end of the book stand in: made while setting, not part of the book. */
const NOTES = 'notes-of-the-book'
const hasNotes = (s: Section): boolean => !s.made && JSON.stringify(s.doc).includes('"footnote"')

/** The sections, and one for the book's notes behind the text that calls them, where the style keeps notes for the end. */
function withNotes(sections: Section[], style: InteriorStyle, language: string): Section[] {
  if (style.notes.at !== 'book') return sections
  const last = sections.findLastIndex(hasNotes)
  if (last < 0) return sections
  const body = sections.findLastIndex(s => s.part === 'body')
  const at = Math.max(last, body) + 1
  return [
    ...sections.slice(0, at),
    {
      id: NOTES,
      part: 'back',
      role: 'notes',
      title: notesTitle(language),
      numbered: false,
      made: false,
      doc: { type: 'doc', content: [] },
    },
    ...sections.slice(at),
  ]
}

function contentsEntries(
  sections: Section[],
  names: Map<string, SectionLabel>,
  folioOf: (id: string) => string,
): ContentsEntry[] {
  return sections
    .filter(s => roles[s.role].listed && s.role !== 'contents')
    .map(s => {
      const label = names.get(s.id)!
      return { id: s.id, title: label.title, number: label.numberWords, folio: folioOf(s.id), part: s.role === 'part' }
    })
    .filter(e => e.title || e.number)
}

function mergeStats(all: SetStats[]): SetStats {
  const out: SetStats = {
    lines: 0,
    fullLines: 0,
    hyphens: 0,
    over: 0,
    gaps: [],
    unmet: { widows: 0, strandedHeads: 0, unevenSpreads: 0, shortLastPage: 0, hyphensAtRectoFoot: 0 },
  }
  for (const s of all) {
    out.lines += s.lines
    out.fullLines += s.fullLines
    out.hyphens += s.hyphens
    out.over += s.over
    for (const g of s.gaps) out.gaps.push(g)
    for (const k of Object.keys(out.unmet) as (keyof typeof out.unmet)[]) out.unmet[k] += s.unmet[k]
  }
  return out
}

/** Evenness of the gaps of full lines: standard deviation ÷ mean, and the share wider than 1.6 × the median. */
export function evenness(stats: SetStats): { unevenness: number; wide: number } {
  const g = stats.gaps
  if (!g.length) return { unevenness: 0, wide: 0 }
  const mean = g.reduce((a, b) => a + b, 0) / g.length
  const sd = Math.sqrt(g.reduce((a, b) => a + (b - mean) ** 2, 0) / g.length)
  const median = [...g].sort((a, b) => a - b)[g.length >> 1]!
  return { unevenness: sd / mean, wide: g.filter(x => x > 1.6 * median).length / g.length }
}
