import { type Hands, laidOut, type RunTwins } from '../activity'
import {
  contentsEntries,
  type ContentsEntry,
  passageLanguages,
  roman,
  type Run,
  type Section,
  shortName,
} from '../book'
import type { Book } from '../book'
import type { PageMarks } from '../marks'
import type { Remedy, Ticker } from '../trade'
import type { FontShelf } from '../type'
import type { BlockContext } from './context'
import { endNoteItems, type EndNote, notesHead } from './endNotes'
import type { Lack } from './lacks'
import {
  blockOf,
  holdsNotes,
  isPrinted,
  type Layout,
  layoutOf,
  opensOnRecto,
  type PageSpec,
  type ToSet,
} from './layout'
import { leafOf, type Leaves, sectionLeaves, type Side, sideOf } from './leaves'
import { contentsItems, copyrightPage, halfTitlePage, type SetEntry, titlePage } from './made'
import type { UnmetAt } from './paginate'
import { setSection, type SetSection } from './section'
import { mergeStats, type SetStats } from './setStats'
import type { InteriorStyle } from './style'
import { type Lent, Typefaces } from './typefaces'

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
  /** Runs of the plan that could not be made: their pages are blank. */
  unmade: Unmade[]
  /** What the runs of the plan ask. */
  twins: RunTwins[]
  /** What the author changed by hand on pages of runs. */
  byHand: HandOnRun[]
  /** Words of the author's own in runs of the plan that are likely to offend. */
  offending: RunOffends[]
  /** Which page of which run stands on a page, by its index. */
  planned: ReadonlyMap<number, PlannedAt>
  /** Where planned pages are still to go in; none where there is no plan, or they have. */
  inserts: Insert[]
  /** Index of the first page that is numbered 1, planned pages not counted. */
  numbered: number
  /** The text block's box on a recto: x, y, width, height. */
  block: { x: number; y: number; width: number; height: number }
  /** The outside margin, points. */
  outside: number
}

/** A page of a run, or the back of it, where it stands in the book; its room in points from the trim's left top. */
export interface PlannedAt {
  run: string
  index: number
  back: boolean
  room: { x: number; y: number; width: number; height: number }
}

/** The author's hand on a run. */
export interface HandOnRun extends Hands {
  run: string
}

/** Words of a run that are likely to offend. */
export interface RunOffends {
  run: string
  words: string[]
}

/** A run that could not be made: why, and what would mend it where that is known. */
export interface Unmade {
  run: string
  message: string
  remedy?: Remedy | undefined
}

/** What each section was set as, by its id. */
type SetBook = Map<string, SetSection>

/** Planned pages among those that are set: before which they go in, and how many, blanks that keep right-hand pages on the right counted. */
export interface Insert {
  at: number
  pages: number
  /** Ids of their runs, in order. */
  runs: string[]
}

/** Where sections begin, how many pages there are, and what each is called. */
interface Order extends Pick<Interior, 'inserts' | 'numbered'> {
  starts: Map<string, number>
  total: number
  label(index: number): string
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

  async set(book: Book, style: InteriorStyle, spec: PageSpec, ticker?: Ticker): Promise<Interior> {
    const layout = await this.layout({ book, style, spec })
    const chosen = layout.sections.filter(isPrinted)
    // Contents first with empty folios, to know how many pages they take; the numbers are put in when they are known.
    const set = await this.setAll(layout, chosen, ticker)
    const order = orderOf(layout, chosen, set)
    for (const s of chosen)
      if (s.made && s.role === 'contents')
        set.set(s.id, setMade(layout, s, sideOf(order.starts.get(s.id)!), entriesOf(layout, { ...order, set })))
    const { starts } = order
    const parts = chosen.map(s => set.get(s.id)!)
    const lacks = parts.flatMap(p => p.lacks)
    return {
      pages: bound(layout, chosen, set, order),
      spec: { ...spec, inside: layout.inside },
      style,
      starts,
      stats: mergeStats(parts.map(p => p.stats)),
      unmetAt: chosen.flatMap(s => set.get(s.id)!.unmetAt.map(u => ({ ...u, page: starts.get(s.id)! + u.page }))),
      lent: layout.ctx.faces.lent(),
      missing: lacks.filter(l => !l.from),
      borrowed: lacks.flatMap(l => (l.from ? [{ ...l, from: l.from }] : [])),
      inserts: order.inserts,
      unmade: [],
      twins: [],
      byHand: [],
      offending: [],
      planned: new Map(),
      numbered: order.numbered,
      ...blockOf(layout),
    }
  }

  /**
   * One section as it will be set, before the rest is: pages as they come out where it begins at `start`, with the labels that
   * `label` gives. What is set here is not set again when the whole book is. Undefined where the section has no text of its own.
   */
  async setOne(
    of: ToSet,
    { section, start, label }: { section: string; start: number; label: (index: number) => string },
  ): Promise<Pick<Interior, 'pages' | 'block' | 'outside' | 'starts'> | undefined> {
    const layout = await this.layout(of)
    const s = layout.sections.find(x => x.id === section)
    if (!s || s.made || holdsNotes(s) || !isPrinted(s)) return undefined
    const at = fromRecto(s, layout, start)
    const done = this.setText(layout, s, sideOf(at))
    const leaves: Leaves = { label, bleeds: done.pages.some(p => p.ground) }
    const before = Array.from({ length: at }, (_, i) => leafOf(layout, leaves, i))
    return {
      pages: [...before, ...sectionLeaves(layout, s, done, leaves, at)],
      starts: new Map([[s.id, at]]),
      ...blockOf(layout),
    }
  }

  private async layout(of: ToSet): Promise<Layout> {
    return layoutOf(of, await this.faces(of.style, of.book), this.styleKey(of.style))
  }

  private async setAll(layout: Layout, chosen: Section[], ticker: Ticker | undefined): Promise<SetBook> {
    const set: SetBook = new Map()
    const endNotes: { title: string; notes: EndNote[] }[] = []
    const firstBehind = chosen.find(s => s.part !== 'front')
    const blocks = chosen.reduce((n, s) => n + s.doc.content.length, 0)
    const said = (done: number): ReturnType<Ticker> | undefined =>
      ticker?.({ stage: 'Setting pages', done, of: blocks })
    let doneBlocks = 0
    // Inside a section the ticker only hears: the section is set in one breath, a wish to stop is met after it.
    const within = ticker && ((n: number): void => void Promise.resolve(said(doneBlocks + n)).catch(() => undefined))
    let at = 0
    for (const s of chosen) {
      if (s === firstBehind && at % 2 === 1) at++
      at = fromRecto(s, layout, at)
      const side = sideOf(at)
      const done = holdsNotes(s)
        ? setNotes(layout, s, side, endNotes)
        : s.made
          ? setMade(layout, s, side, [])
          : this.setText(layout, s, side, within)
      set.set(s.id, done)
      if (done.endNotes.length) endNotes.push({ title: shortName(layout.names.get(s.id)!), notes: done.endNotes })
      at += done.pages.length
      doneBlocks += s.doc.content.length
      await said(doneBlocks)
    }
    return set
  }

  private setText(layout: Layout, s: Section, side: Side, done?: (blocks: number) => void): SetSection {
    const label = layout.names.get(s.id)!
    const key = `${layout.keyOf(s)}|${side}|${s.id}|${s.role}|${label.numberWords}|${label.title}|${s.subtitle}`
    let byKey = this.sections.get(s.doc)
    if (!byKey) this.sections.set(s.doc, (byKey = new Map()))
    const known = byKey.get(key)
    if (known) return known
    // A few settings of a document are kept (sides, styles being compared), not every one there ever was.
    if (byKey.size > 5) byKey.delete(byKey.keys().next().value!)
    const quiet = s.role === 'dedication' || s.role === 'epigraph' || s.role === 'copyright'
    const set = setSection(s, quiet ? { title: '' } : label, layout.ctxOf(s), {
      first: side,
      ...(done ? { done } : {}),
    })
    byKey.set(key, set)
    return set
  }

  private faces(style: InteriorStyle, { data: { language }, sections }: Book): Promise<Typefaces> {
    const passages = passageLanguages(sections)
    const key = `${this.styleKey(style)}|${language}|${passages.join()}`
    let f = this.typefaces.get(key)
    if (!f) this.typefaces.set(key, (f = Typefaces.load(style, language, this.shelf, passages)))
    return f
  }

  private styleKey(style: InteriorStyle): string {
    let k = this.styleKeys.get(style)
    if (!k) this.styleKeys.set(style, (k = JSON.stringify(style)))
    return k
  }
}

/** The index that a section begins at, where pages are set up to `at`. */
const fromRecto = (s: Section, layout: Layout, at: number): number =>
  opensOnRecto(s, layout.ctxOf(s).style) && at % 2 === 1 ? at + 1 : at

/** Front matter is numbered by itself, in roman numerals; what follows begins on a recto with 1. */
function orderOf(layout: Layout, chosen: Section[], set: SetBook): Order {
  const starts = new Map<string, number>()
  const through = (parts: Section[], from: number): number =>
    parts.reduce((at, s) => {
      const start = fromRecto(s, layout, at)
      starts.set(s.id, start)
      return start + set.get(s.id)!.pages.length
    }, from)
  const behind = chosen.filter(s => s.part !== 'front')
  const front = through(
    chosen.filter(s => s.part === 'front'),
    0,
  )
  const frontPages = behind.length ? front + (front % 2) : front
  const end = through(behind, frontPages)
  const total = end + (end % 2)
  const numbered = behind.length ? frontPages : total
  const inserts = insertsOf(layout, behind, { starts, numbered, total })
  const moved = (index: number): number => index + inserts.reduce((n, i) => n + (i.at <= index ? i.pages : 0), 0)
  return {
    starts,
    total,
    inserts,
    numbered,
    label: index => (index < numbered ? roman(index + 1) : String(moved(index) - numbered + 1)),
  }
}

/** Where the runs of a plan go in: each before the section that follows the one it stands behind. What follows keeps its side. */
function insertsOf(
  { spec, sections }: Layout,
  behind: Section[],
  { starts, numbered, total }: Pick<Order, 'starts' | 'numbered' | 'total'>,
): Insert[] {
  const place = (s: Section): number => sections.findIndex(x => x.id === s.id)
  const before = (run: { behind?: string }): number =>
    sections.findIndex(s => s.id === run.behind && s.part !== 'front')
  const byPlace = new Map<number, Run[]>()
  for (const run of [...(spec.planned ?? [])].sort((a, b) => before(a) - before(b))) {
    const next = before(run) < 0 ? undefined : behind.find(s => place(s) > before(run))
    const at = before(run) < 0 ? numbered : next ? starts.get(next.id)! : total
    byPlace.set(at, [...(byPlace.get(at) ?? []), run])
  }
  return [...byPlace]
    .map(([index, runs]) => {
      const pages = (index % 2) + laidOut(runs).length
      return { at: index, pages: pages + (pages % 2), runs: runs.map(r => r.id) }
    })
    .sort((a, b) => a.at - b.at)
}

/** All pages, one behind the other, with blank ones where a section begins later. */
function bound(layout: Layout, chosen: Section[], set: SetBook, { starts, total, label }: Order): PageMarks[] {
  const leaves: Leaves = { label, bleeds: chosen.some(s => set.get(s.id)!.pages.some(p => p.ground)) }
  const pages: PageMarks[] = []
  const blankTo = (index: number): void => {
    while (pages.length < index) pages.push(leafOf(layout, leaves, pages.length))
  }
  for (const s of chosen) {
    blankTo(starts.get(s.id)!)
    for (const page of sectionLeaves(layout, s, set.get(s.id)!, leaves, pages.length)) pages.push(page)
  }
  blankTo(total)
  return pages
}

/** Sets a page that the book makes from its own data. Contents without `entries` take the room that they will take. */
function setMade(layout: Layout, s: Section, side: Side, entries: SetEntry[]): SetSection {
  const { book, ctx, names, spec } = layout
  const lacks: Lack[] = []
  const full: BlockContext = { ...ctx, section: s.id, lacks: lack => lacks.push(lack) }
  if (s.role === 'contents') {
    const items = contentsItems(entries.length ? entries : entriesOf(layout), s, full)
    return setSection(s, names.get(s.id)!, ctx, { first: side, items })
  }
  const layer =
    s.role === 'title-page'
      ? titlePage(book, full)
      : s.role === 'half-title'
        ? halfTitlePage(book, full)
        : s.role === 'copyright'
          ? copyrightPage(book, spec.isbn, full)
          : undefined
  const empty = setSection(
    { ...s, doc: { type: 'doc', content: [] }, title: '', subtitle: undefined },
    { title: '' },
    { ...ctx, style: { ...ctx.style, openings: { ...ctx.style.openings, sink: 0 } } },
    { first: side },
  )
  return layer
    ? { pages: [{ layer, opens: true, filled: 0 }], stats: empty.stats, unmetAt: [], lacks, endNotes: [] }
    : empty
}

/** Notes at the end of the book, under the names of their sections. */
function setNotes(
  { ctx, names }: Layout,
  s: Section,
  side: Side,
  all: { title: string; notes: EndNote[] }[],
): SetSection {
  const lacks: Lack[] = []
  const full: BlockContext = { ...ctx, section: s.id, lacks: lack => lacks.push(lack) }
  const items = all.flatMap(({ title, notes }) => [...notesHead(title, full, 1), ...endNoteItems(notes, full)])
  const set = setSection(s, names.get(s.id)!, ctx, { first: side, items })
  return { ...set, lacks: [...set.lacks, ...lacks] }
}

/** What the contents list in print, with the folios of pages where they are set. */
function entriesOf({ sections, book }: Layout, set?: Order & { set: SetBook }): SetEntry[] {
  const printed = new Set(sections.filter(s => isPrinted(s) && s.role !== 'contents').map(s => s.id))
  const folioOf = ({ section, block }: ContentsEntry): string => {
    if (!set) return ''
    const within = block === undefined ? 0 : (blockPages(set.set.get(section)!).get(block) ?? 0)
    return set.label(set.starts.get(section)! + within)
  }
  return contentsEntries(sections, book.data.language)
    .filter(e => printed.has(e.section))
    .map(e => ({ ...e, folio: folioOf(e) }))
}

const read = new WeakMap<SetSection, ReadonlyMap<string, number>>()

/** The page of a section that each of its blocks begins on, from 0. Remembered with what was set. */
function blockPages(set: SetSection): ReadonlyMap<string, number> {
  const known = read.get(set)
  if (known) return known
  const out = new Map<string, number>()
  set.pages.forEach(({ layer }, page) => {
    for (const { block, again } of layer.text?.places ?? []) if (!again && !out.has(block)) out.set(block, page)
  })
  read.set(set, out)
  return out
}
