import { kindOf, type RunPress, type RunTwins, smallPrint } from '../activity'
import type { Book, PagePlan, Run } from '../book'
import { type Layer, LayerBuilder, type PageMarks, PathBuilder } from '../marks'
import { Fault, type Ticker } from '../trade'
import { type FontShelf, setFrag, type TextStyle } from '../type'
import type { Interior, Unmade } from './interior'
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
 * Sets the pages of a plan among those of the sections: each run behind the section that it says (`Interior.inserts`), from a
 * right-hand page, margins mirrored, numbered as the pages come; pages that look alike share one layer. What comes after stands on
 * the side where it stood. Where a run has a ground, every leaf has the bleed: all pages of a file have one size.
 */
export async function withPlan(
  interior: Interior,
  { data: { language } }: Pick<Book, 'data'>,
  plan: PagePlan,
  { inside, safe, safeWithBleed, runs, shelf, ticker }: PlanSetting,
): Promise<Interior> {
  const { width, height } = interior.spec
  const bleeds = plan.runs.some(r => r.ground && r.pages) || interior.pages.some(p => anyEdge(p.bleed))
  const least = (bleeds ? safeWithBleed : safe) + SAFER
  const margin = (side: 'head' | 'foot' | 'inside' | 'outside'): number =>
    Math.max(plan.margins?.[side] ?? PLAIN_MARGIN, least, side === 'inside' ? inside : 0)
  const [head, foot, inner, outer] = [margin('head'), margin('foot'), margin('inside'), margin('outside')]
  const room = { width: Math.max(1, width - inner - outer), height: Math.max(1, height - head - foot) }
  const folio =
    plan.folios && plan.folios !== 'none'
      ? { at: plan.folios, style: await smallPrint(FOLIO.face, FOLIO.size, language, shelf) }
      : undefined
  const leaf: PlannedLeaf = { spec: interior.spec, bleeds, least, head, foot, inner, outer, room, folio }
  const grounds = new Map<string, Layer>()

  const pages: PageMarks[] = []
  const unmade: Unmade[] = []
  const twins: RunTwins[] = []
  const runStarts = new Map<string, number>()
  const add = (run?: Run, layer?: Layer): void => {
    const label = String(pages.length - interior.numbered + 1)
    pages.push(plannedLeaf(leaf, pages.length, label, { run, layer, grounds }))
  }
  let taken = 0
  const takeTo = (end: number): void => {
    for (const p of interior.pages.slice(taken, end))
      pages.push(anyEdge(p.bleed) ? p : { ...p, bleed: edgesOf(interior.spec, bleeds, pages.length) })
    taken = end
  }
  for (const insert of interior.inserts) {
    takeTo(insert.at)
    const begins = pages.length
    if (begins % 2) add()
    for (const run of insert.runs.map(id => plan.runs.find(r => r.id === id)!)) {
      if (run.pages) runStarts.set(`run:${run.id}`, pages.length)
      try {
        for (const layer of await runs.layersOf(run, { runs: plan.runs, room, language, ticker })) add(run, layer)
        twins.push({ run: run.id, names: await runs.twinsOf(run, plan.runs, ticker) })
      } catch (e) {
        if (!(e instanceof Fault)) throw e
        // What keeps one run from being made keeps no other: its own pages stay blank, and that is found.
        unmade.push({ run: run.id, message: e.message, remedy: e.place === run.id ? e.remedy : undefined })
        for (let i = 0; i < run.pages; i++) add(run)
      }
    }
    while (pages.length < begins + insert.pages) add()
  }
  takeTo(interior.pages.length)
  runs.turn()
  const moved = (page: number): number => page + interior.inserts.reduce((n, i) => n + (i.at <= page ? i.pages : 0), 0)
  const starts = [...[...interior.starts].map(([id, page]) => [id, moved(page)] as const), ...runStarts]
  return {
    ...interior,
    pages,
    inserts: [],
    unmade,
    twins,
    starts: new Map(starts.sort((a, b) => a[1] - b[1])),
    unmetAt: interior.unmetAt.map(u => ({ ...u, page: moved(u.page) })),
    block: interior.pages.length ? interior.block : { x: inner, y: head, ...room },
  }
}

/** An interior that is to be handed on. Throws a Fault where a run could not be made: its pages would be blank. */
export function whole(interior: Interior): Interior {
  const [unmade] = interior.unmade
  if (unmade) throw new Fault('runs', unmade.message, unmade.run, unmade.remedy)
  return interior
}

/** What all planned leaves have in common. Lengths in points. */
interface PlannedLeaf {
  spec: PageSpec
  bleeds: boolean
  /** How near to the edge print may stand. */
  least: number
  head: number
  foot: number
  inner: number
  outer: number
  room: { width: number; height: number }
  folio: { at: 'outside' | 'centre'; style: TextStyle } | undefined
}

/** One leaf: a page of a run on its ground, with its folio; without a run, a blank one. */
function plannedLeaf(
  of: PlannedLeaf,
  index: number,
  label: string,
  { run, layer, grounds }: { run?: Run | undefined; layer?: Layer | undefined; grounds: Map<string, Layer> },
): PageMarks {
  const { width, height } = of.spec
  const side = index % 2 === 0 ? 'recto' : 'verso'
  const bleed = edgesOf(of.spec, of.bleeds, index)
  const layers: PageMarks['layers'] = []
  if (run?.ground) {
    const key = JSON.stringify([run.ground, bleed])
    if (!grounds.has(key)) grounds.set(key, groundOf(run.ground.tone, { width, height }, bleed))
    layers.push({ layer: grounds.get(key)!, x: 0, y: 0 })
  }
  if (layer) layers.push({ layer, x: side === 'recto' ? of.inner : of.outer, y: of.head })
  if (run && of.folio && !isBare(run)) layers.push({ layer: folioOf(of, side, label, run.id), x: 0, y: 0 })
  return { width, height, bleed, layers, label, side }
}

/** The number of a page, in the foot margin. */
function folioOf(of: PlannedLeaf, side: 'recto' | 'verso', label: string, run: string): Layer {
  const { width, height } = of.spec
  const { at, style } = of.folio!
  const out = new LayerBuilder()
  const frag = style.frag(label)
  const left = side === 'recto' ? of.inner : of.outer
  const middle = left + (of.room.width - frag.width) / 2
  const x = at === 'centre' ? middle : side === 'recto' ? width - of.outer - frag.width : of.outer
  // In the middle of the foot margin, but never nearer to the edge than print may stand.
  const y = height - Math.max(of.least, (of.foot - FOLIO.size) / 2)
  setFrag(out, frag, { x, y, place: { section: `run:${run}`, block: 'folio' } })
  return out.build()
}

const isBare = (run: Run): boolean => !!kindOf(run.kind)?.bare
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
