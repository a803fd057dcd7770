import { kindOf, type RunPress, smallPrint } from '../activity'
import type { Book, PagePlan } from '../book'
import { type Layer, LayerBuilder, type PageMarks, PathBuilder } from '../marks'
import type { Ticker } from '../trade'
import { type FontShelf, setFrag } from '../type'
import type { Interior } from './interior'
import type { PageSpec } from './layout'
import { bleedEdges } from './section'

/** Margins of planned pages that say nothing else, points: a ruled page fills its leaf. */
export const PLAIN_MARGIN = 36
/** How much farther than the outlet asks for print stands from the edge, points. */
const SAFER = 4
const FOLIO = { face: 'figtree/regular', size: 8.5 }

/** What planned pages are set by beside their plan. Lengths in points. */
export interface PlanSetting {
  /** The inside margin asked for at the count that results. */
  inside: number
  /** The outlet's safe zone, and the one where an interior has bleed. */
  safe: number
  safeWithBleed: number
  runs: RunPress
  shelf: FontShelf
  ticker?: Ticker
}

/**
 * Sets the pages of a plan between a book's front pages and the sections after them: from a right-hand page, numbered from 1, margins
 * mirrored; pages that look alike share one layer. What comes after begins on a right-hand page again; the interior was set knowing
 * how many are planned (`PageSpec.planned`). Where a run has a ground, every leaf has the bleed: all pages of a file have one size.
 */
export async function withPlan(
  interior: Interior,
  book: Pick<Book, 'data' | 'sections'>,
  plan: PagePlan,
  { inside, safe, safeWithBleed, runs, shelf, ticker }: PlanSetting,
): Promise<Interior> {
  const { width, height } = interior.spec
  const { language } = book.data
  const bleeds = plan.runs.some(r => r.ground && r.pages) || interior.pages.some(p => anyEdge(p.bleed))
  const least = (bleeds ? safeWithBleed : safe) + SAFER
  const margin = (side: 'head' | 'foot' | 'inside' | 'outside'): number =>
    Math.max(plan.margins?.[side] ?? PLAIN_MARGIN, least, side === 'inside' ? inside : 0)
  const [head, foot, inner, outer] = [margin('head'), margin('foot'), margin('inside'), margin('outside')]
  const room = { width: Math.max(1, width - inner - outer), height: Math.max(1, height - head - foot) }
  const bleedAt = (index: number): PageMarks['bleed'] => edgesOf(interior.spec, bleeds, index)

  const cut = frontPages(interior, book)
  const leaves = interior.pages.map((p, i) => (anyEdge(p.bleed) ? p : { ...p, bleed: bleedAt(i) }))
  const pages = leaves.slice(0, cut)
  const starts = new Map([...interior.starts].filter(([, page]) => page < cut))
  const folio = await smallPrint(FOLIO.face, FOLIO.size, language, shelf)
  const grounds = new Map<string, Layer>()
  let number = 0
  const add = (label: string, layers: PageMarks['layers']): void => {
    const index = pages.length
    const side = index % 2 === 0 ? 'recto' : 'verso'
    pages.push({ width, height, bleed: bleedAt(index), layers, label, side })
  }
  for (const run of plan.runs) {
    if (run.pages) starts.set(`run:${run.id}`, pages.length)
    for (const layer of await runs.layersOf(run, room, language, ticker)) {
      const recto = pages.length % 2 === 0
      const label = String(++number)
      const layers: PageMarks['layers'] = []
      if (run.ground) {
        const bleed = bleedAt(pages.length)
        const key = JSON.stringify([run.ground, bleed])
        if (!grounds.has(key)) grounds.set(key, groundOf(run.ground.tone, { width, height }, bleed))
        layers.push({ layer: grounds.get(key)!, x: 0, y: 0 })
      }
      layers.push({ layer, x: recto ? inner : outer, y: head })
      if (plan.folios && plan.folios !== 'none' && !isBare(run)) {
        const out = new LayerBuilder()
        const frag = folio.frag(label)
        const left = recto ? inner : outer
        const middle = left + (room.width - frag.width) / 2
        const x = plan.folios === 'centre' ? middle : recto ? width - outer - frag.width : outer
        // In the middle of the foot margin, but never nearer to the edge than print may stand.
        const y = height - Math.max(least, (foot - FOLIO.size) / 2)
        setFrag(out, frag, { x, y, place: { section: `run:${run.id}`, block: 'folio' } })
        layers.push({ layer: out.build(), x: 0, y: 0 })
      }
      add(label, layers)
    }
  }
  runs.turn()
  if (pages.length % 2) add(String(++number), [])
  const moved = pages.length - cut
  pages.push(...leaves.slice(cut))
  for (const [id, page] of interior.starts) if (page >= cut) starts.set(id, page + moved)
  const unmetAt = interior.unmetAt.map(u => (u.page < cut ? u : { ...u, page: u.page + moved }))
  return { ...interior, pages, starts, unmetAt, block: leaves.length ? interior.block : { x: inner, y: head, ...room } }
}

/** How many pages stand before the plan: those of the front sections. */
function frontPages({ pages, starts }: Interior, { sections }: Pick<Book, 'sections'>): number {
  const front = new Set(sections.filter(s => s.part === 'front').map(s => s.id))
  return Math.min(pages.length, ...[...starts].flatMap(([id, page]) => (front.has(id) ? [] : [page])))
}

const isBare = (run: PagePlan['runs'][number]): boolean => !!kindOf(run.kind)?.bare
const anyEdge = (b: PageMarks['bleed']): boolean => b.top + b.right + b.bottom + b.left > 0

const edgesOf = ({ bleed = 0, bleedsInside = false }: PageSpec, bleeds: boolean, index: number): PageMarks['bleed'] =>
  bleedEdges(bleeds ? { bleed, bleedsInside } : { bleed: 0, bleedsInside: false }, index % 2 === 0 ? 'recto' : 'verso')

/** A tone under the whole leaf and over its edge. */
function groundOf(
  tone: number,
  { width, height }: { width: number; height: number },
  bleed: PageMarks['bleed'],
): Layer {
  const out = new LayerBuilder()
  const path = new PathBuilder()
    .rect(-bleed.left, -bleed.top, width + bleed.left + bleed.right, height + bleed.top + bleed.bottom)
    .build()
  out.add({ kind: 'path', path, fill: { k: tone } })
  return out.build()
}
