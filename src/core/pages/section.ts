import { roles, type Section, type SectionLabel } from '../book'
import { BLACK, type Edges, type Layer, LayerBuilder, PathBuilder } from '../marks'
import { flowItems } from './blocks'
import type { BlockContext } from './context'
import type { FlowItem, Report } from './flow'
import type { Lack } from './lacks'
import { opening } from './opening'
import { endNoteItems, type EndNote, notesHead, notesTitle } from './endNotes'
import { type CutPage, type PageFrame, paginate, type Unmet, type UnmetAt } from './paginate'
import { emptyStats, reportTo, type SetStats } from './setStats'

/** A page of a section without head and folio; the layer's origin is the text block's top left. */
export interface ContentPage {
  layer: Layer
  /** What runs over the edges of the leaf; its origin is the trim's top left. */
  ground?: Layer
  /** Holds one picture, without head and folio. */
  leaf?: boolean
  /** The opening page carries no head and no folio. */
  opens: boolean
  /** Lines used and lines there were. */
  filled: number
}

export interface SetSection {
  pages: ContentPage[]
  stats: SetStats
  /** Wishes that could not be met, by page of the section. */
  unmetAt: UnmetAt[]
  lacks: Lack[]
  /** Notes that wait for the end of the book. */
  endNotes: EndNote[]
}

/** What all sections of a book have in common. */
export type BookContext = Omit<BlockContext, 'section' | 'lacks'>

export interface SectionOptions {
  /** The side that its first page will be. */
  first: 'recto' | 'verso'
  /** In place of its text: a made page, the contents, notes of the book. */
  items?: FlowItem[]
  /** Hears how many blocks are set. */
  done?: (blocks: number) => void
}

/** Sets a section: its items are made, cut into pages, drawn. */
export function setSection(
  section: Section,
  label: SectionLabel,
  ctx: BookContext,
  { first, items, done }: SectionOptions,
): SetSection {
  const lacks: Lack[] = []
  const full: BlockContext = { ...ctx, section: section.id, lacks: lack => lacks.push(lack) }
  const { make, endNotes } = itemsOf(section, opening(section, label, full), full, { items, done })
  // What the opening lacks stays said when the text is set again.
  const lackedByOpening = lacks.length
  let flow = make(full)
  if (!flow.length) return { pages: [], stats: emptyStats(), unmetAt: [], lacks, endNotes: endNotes() }
  const frame: PageFrame = { lines: ctx.lines, leading: ctx.style.text.leading, noteRule: NOTE_RULE, first }
  let { pages, unmet, unmetAt } = paginate(flow, frame)
  // A chapter whose pages do not level, or whose last has too few lines, is tried again with spreads a line long, then with every length that its paragraphs can take: that costs, and is rare.
  const further = [
    () => flow,
    () => (items ? undefined : ((lacks.length = lackedByOpening), make({ ...full, everyLength: true }))),
  ]
  for (const [i, other] of further.entries()) {
    if (worth(unmet) < 10) break
    const tried = other()
    if (!tried) break
    const again = paginate(tried, { ...frame, mayBeLong: roomBelow(ctx), beam: i ? 160 : 64 })
    if (worth(again.unmet) < worth(unmet)) {
      flow = tried
      ;({ pages, unmet, unmetAt } = again)
    }
  }
  const stats: SetStats = { ...emptyStats(), unmet }
  const out = new LayerBuilder(96, 3072)
  const side = (i: number): 'recto' | 'verso' => ((i % 2 === 0) === (first === 'recto') ? 'recto' : 'verso')
  return {
    pages: pages.map((p, i) => drawPage(out, p, flow, { ctx: full, stats, opens: i === 0, side: side(i) })),
    stats,
    unmetAt,
    lacks,
    endNotes: endNotes(),
  }
}

/** Makes a section's items, once or again in another context: its opening, its text, and its notes where they stand at its end. */
function itemsOf(
  section: Section,
  opens: FlowItem[],
  ctx: BlockContext,
  { items, done }: Pick<SectionOptions, 'items' | 'done'>,
): { make: (ctx: BlockContext) => FlowItem[]; endNotes: () => EndNote[] } {
  const { at } = ctx.style.notes
  const apart = section.role === 'dedication' || section.role === 'epigraph'
  let kept: EndNote[] = []
  const textOf = (c: BlockContext): FlowItem[] => {
    kept = []
    return flowItems(section.doc, c, {
      opens: opens.length > 0 && !!roles[section.role].headed,
      apart,
      ...(done ? { done } : {}),
      ...(at === 'foot' ? {} : { keepNotes: kept }),
    })
  }
  return {
    make: c => {
      const flow = [...opens, ...(items ?? textOf(c))]
      return at === 'chapter' && kept.length ? [...flow, ...notesUnder(ctx, kept)] : flow
    },
    endNotes: () => (at === 'book' ? kept : []),
  }
}

/** The notes of a chapter under their title. */
const notesUnder = (ctx: BlockContext, notes: EndNote[]): FlowItem[] => [
  ...notesHead(notesTitle(ctx.faces.language), ctx, 2),
  ...endNoteItems(notes, ctx),
]

/** How much is unmet, in the order of the wishes. */
const worth = (u: Unmet): number =>
  (u.widows + u.strandedHeads) * 1e6 + u.unevenSpreads * 1e3 + u.shortLastPage * 10 + u.hyphensAtRectoFoot

/** Whether a line more at the foot would still stand clear of the folio. */
const roomBelow = ({ style }: Pick<BlockContext, 'style'>): boolean =>
  style.folios.at === 'head, outside' || style.folios.distance >= style.text.leading * 1.55

/** Space between text and notes, with the hairline in it. */
const NOTE_RULE = 9

interface Drawing {
  ctx: BlockContext
  /** Takes how each line came out. */
  stats: SetStats
  opens: boolean
  side: 'recto' | 'verso'
}

function drawPage(out: LayerBuilder, page: CutPage, flow: FlowItem[], on: Drawing): ContentPage {
  const { ctx, opens } = on
  const report = reportTo(on.stats)
  const leaf = page.leaf === undefined ? undefined : flow[page.leaf]!.leaf!
  if (leaf) {
    const { width, height, top } = ctx.leaf
    leaf.ground?.(out, { width, height, bleed: bleedEdges(ctx.leaf, on.side), top })
    const ground = leaf.ground ? out.build() : undefined
    leaf.draw(out, report)
    return { layer: out.build(), ...(ground ? { ground } : {}), leaf: true, opens, filled: 0 }
  }
  for (const p of page.placements) {
    const item = flow[p.item]!
    if (p.led) item.lead?.draw(out, p.row - item.lead.lines, report)
    item.draw(out, p, report)
  }
  if (page.notes.length) drawNotes(out, page, ctx, report)
  return { layer: out.build(), opens, filled: page.filled }
}

/** Notes stand on the foot of a full page, so that all pages end alike. */
function drawNotes(out: LayerBuilder, page: CutPage, ctx: BlockContext, report: Report): void {
  const { leading } = ctx.style.text
  const height = page.notes.reduce((h, n) => h + n.height, 0)
  let y = (ctx.lines - page.short) * leading - height
  out.add({
    kind: 'path',
    path: new PathBuilder().rect(0, y - NOTE_RULE * 0.45, ctx.measure * 0.22, 0.4).build(),
    fill: BLACK,
  })
  for (const n of page.notes) {
    n.draw(out, y, report)
    y += n.height
  }
}

/** What is printed past each edge of a leaf on one side of the spine, points. */
export const bleedEdges = (
  { bleed, bleedsInside }: Pick<BlockContext['leaf'], 'bleed' | 'bleedsInside'>,
  side: 'recto' | 'verso',
): Edges => {
  const inner = bleedsInside ? bleed : 0
  return { top: bleed, bottom: bleed, left: side === 'recto' ? inner : bleed, right: side === 'recto' ? bleed : inner }
}
