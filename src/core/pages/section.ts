import { roles, type Section, type SectionLabel } from '../book'
import { BLACK, type Edges, type Layer, LayerBuilder, PathBuilder } from '../marks'
import type { SetLine } from '../type'
import { flowItems } from './blocks'
import type { BlockContext } from './context'
import type { FlowItem } from './flow'
import type { Lack } from './lacks'
import { opening } from './opening'
import { endNoteItems, type EndNote, notesTitle } from './notes'
import { textItems } from './textItems'
import { type CutPage, type PageFrame, paginate, type Unmet, type UnmetAt } from './paginate'

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

/** How the lines of a section came out; gaps as parts of the natural gap. */
export interface SetStats {
  lines: number
  fullLines: number
  hyphens: number
  over: number
  /** Width of the gaps of every full line ÷ natural width. */
  gaps: number[]
  unmet: Unmet
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

/** Sets a section: its items are made, cut into pages, drawn. `first` is the side that its first page will be; `done` hears how many blocks are set. */
export function setSection(
  section: Section,
  label: SectionLabel,
  ctx: Omit<BlockContext, 'section' | 'lacks'>,
  first: 'recto' | 'verso',
  items?: FlowItem[],
  done?: (blocks: number) => void,
): SetSection {
  const lacks: Lack[] = []
  const full: BlockContext = { ...ctx, section: section.id, lacks: lack => lacks.push(lack) }
  const opens = opening(section, label, full)
  // What the opening lacks stays said when the text is set again.
  const lackedByOpening = lacks.length
  const { at } = ctx.style.notes
  const kept: EndNote[] | undefined = at === 'foot' ? undefined : []
  const made = (c: BlockContext): FlowItem[] => (
    kept && (kept.length = 0),
    [
      ...opens,
      ...(items ??
        flowItems(
          section.doc,
          c,
          opens.length > 0 && !!roles[section.role].headed,
          section.role === 'dedication' || section.role === 'epigraph',
          done,
          kept,
        )),
    ]
  )
  let flow = made(full)
  const noted = (flow: FlowItem[]): FlowItem[] =>
    at === 'chapter' && kept?.length
      ? [
          ...flow,
          ...textItems(
            [{ type: 'text', text: notesTitle(ctx.faces.language) }],
            full,
            {
              base: ctx.bases.heads[1]!,
              left: 0,
              right: 0,
              indent: 0,
              align: ctx.style.headings.align,
              hyphenate: false,
            },
            { section: section.id, block: '' },
            { next: () => '' },
            { before: 2, after: 0, keepNext: true, breakable: false },
          ),
          ...endNoteItems(kept, full),
        ]
      : flow
  flow = noted(flow)
  const endNotes = at === 'book' ? (kept ?? []) : []
  if (!flow.length) return { pages: [], stats: emptyStats(), unmetAt: [], lacks, endNotes }
  const frame: PageFrame = { lines: ctx.lines, leading: ctx.style.text.leading, noteRule: NOTE_RULE, first }
  let { pages, unmet, unmetAt } = paginate(flow, frame)
  // A chapter whose pages do not level, or whose last has too few lines, is tried again with spreads a line long, then with every length that its paragraphs can take: that costs, and is rare.
  const further = [
    () => flow,
    () => (items ? undefined : ((lacks.length = lackedByOpening), noted(made({ ...full, everyLength: true })))),
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
    pages: pages.map((p, i) => draw(out, p, flow, full, stats, i === 0, side(i))),
    stats,
    unmetAt,
    lacks,
    endNotes,
  }
}

/** How much is unmet, in the order of the wishes. */
const worth = (u: Unmet): number =>
  (u.widows + u.strandedHeads) * 1e6 + u.unevenSpreads * 1e3 + u.shortLastPage * 10 + u.hyphensAtRectoFoot

/** Whether a line more at the foot would still stand clear of the folio. */
const roomBelow = ({ style }: Pick<BlockContext, 'style'>): boolean =>
  style.folios.at === 'head, outside' || style.folios.distance >= style.text.leading * 1.55

/** Space between text and notes, with the hairline in it. */
const NOTE_RULE = 9

function draw(
  out: LayerBuilder,
  page: CutPage,
  flow: FlowItem[],
  ctx: BlockContext,
  stats: SetStats,
  opens: boolean,
  side: 'recto' | 'verso',
): ContentPage {
  const report = (line: SetLine): void => {
    stats.lines++
    if (line.hyphen) stats.hyphens++
    if (line.over > 0) stats.over++
    if (line.full) {
      stats.fullLines++
      if (line.naturalGap > 0) stats.gaps.push(line.gap / line.naturalGap)
    }
  }
  const leaf = page.leaf === undefined ? undefined : flow[page.leaf]!.leaf!
  if (leaf) {
    const { width, height, top } = ctx.leaf
    leaf.ground?.(out, { width, height, bleed: bleedEdges(ctx.leaf, side), top })
    const ground = leaf.ground ? out.build() : undefined
    leaf.draw(out, report)
    return { layer: out.build(), ...(ground ? { ground } : {}), leaf: true, opens, filled: 0 }
  }
  for (const p of page.placements) {
    const item = flow[p.item]!
    if (p.led) item.lead?.draw(out, p.row - item.lead.lines, report)
    item.draw(out, p.variant, p.from, p.to, p.row, report)
  }
  if (page.notes.length) {
    const { leading } = ctx.style.text
    const height = page.notes.reduce((h, n) => h + n.height, 0)
    // Notes stand on the foot of a full page, so that all pages end alike.
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
  return { layer: out.build(), opens, filled: page.filled }
}

/** What is printed past each edge of a leaf on one side of the spine, points. */
export const bleedEdges = (
  { bleed, bleedsInside }: Pick<BlockContext['leaf'], 'bleed' | 'bleedsInside'>,
  side: 'recto' | 'verso',
): Edges => {
  const inner = bleedsInside ? bleed : 0
  return { top: bleed, bottom: bleed, left: side === 'recto' ? inner : bleed, right: side === 'recto' ? bleed : inner }
}

const emptyStats = (): SetStats => ({
  lines: 0,
  fullLines: 0,
  hyphens: 0,
  over: 0,
  gaps: [],
  unmet: { widows: 0, strandedHeads: 0, unevenSpreads: 0, shortLastPage: 0, hyphensAtRectoFoot: 0 },
})
