import { authorLine, type Book, roles, type Section, type SectionLabel, shortName } from '../book'
import { type Layer, LayerBuilder, type PageMarks } from '../marks'
import { folio, runningHead } from './furniture'
import type { Layout } from './layout'
import { bleedEdges, type BookContext, type SetSection } from './section'
import type { InteriorStyle } from './style'

export type Side = 'recto' | 'verso'

export const sideOf = (index: number): Side => (index % 2 === 0 ? 'recto' : 'verso')

/** What leaves of a book have in common: the label of each by its index, and whether they bleed. All pages of a file have one size, so one plate gives every leaf its bleed. */
export interface Leaves {
  label(index: number): string
  bleeds: boolean
}

/** One leaf. */
export function leafOf(
  { spec, ctx }: Layout,
  { label, bleeds }: Leaves,
  index: number,
  layers: PageMarks['layers'] = [],
): PageMarks {
  const side = sideOf(index)
  return {
    width: spec.width,
    height: spec.height,
    bleed: bleedEdges(bleeds ? ctx.leaf : { bleed: 0, bleedsInside: false }, side),
    layers,
    label: label(index),
    side,
  }
}

/** A section's pages on their leaves from an index on, with head and folio. */
export function sectionLeaves(layout: Layout, s: Section, set: SetSection, leaves: Leaves, from: number): PageMarks[] {
  const { book, names, ctx, margins, inside } = layout
  const headText = headsOf(book, names.get(s.id)!, ctx.style)
  return set.pages.map((page, i) => {
    const index = from + i
    const side = sideOf(index)
    const x = side === 'recto' ? inside : margins.outside
    const y = margins.head
    const furnished =
      roles[s.role].headed && !page.opens && !page.leaf
        ? furniture(headText[side], leaves.label(index), side, ctx)
        : s.role === 'contents' && i > 0
          ? furniture('', leaves.label(index), side, ctx)
          : undefined
    return leafOf(layout, leaves, index, [
      ...(page.ground ? [{ layer: page.ground, x: 0, y: 0 }] : []),
      { layer: page.layer, x, y },
      ...(furnished ? [{ layer: furnished, x, y }] : []),
    ])
  })
}

/** The running heads of a section, by side. */
function headsOf({ data }: Book, label: SectionLabel, { heads }: InteriorStyle): Record<Side, string> {
  const author = authorLine(data) || data.title
  const section = shortName(label) || data.title
  return {
    verso: heads.verso === 'author' ? author : heads.verso === 'title' ? data.title : '',
    recto: heads.recto === 'section' ? section : heads.recto === 'title' ? data.title : '',
  }
}

function furniture(head: string, folioText: string, side: Side, ctx: BookContext): Layer {
  const out = new LayerBuilder(4, 64)
  const above = ctx.style.folios.at === 'head, outside'
  runningHead(out, head, side, ctx, above ? folioText : '')
  if (!above) folio(out, folioText, side, ctx)
  return out.build()
}
