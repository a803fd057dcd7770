import {
  type Drawing,
  drawFolio,
  drawGround,
  FOLIO_SIZE,
  folioHeight,
  groundAt,
  kindOf,
  LARGE_PRINT,
  type Leaf,
  type LaidPage,
  laidOut,
  lookOf,
  type PageLook,
  type RunPress,
  type Side,
  smallPrint,
} from '../activity'
import type { Asset, Book, PagePlan, Run } from '../book'
import { type Layer, LayerBuilder, type PageMarks } from '../marks'
import { Fault, type Ticker } from '../trade'
import type { FontShelf, TextStyle } from '../type'
import type { Interior, PlannedAt } from './interior'
import type { PageSpec } from './layout'
import { bleedEdges } from './section'

/** Margins of planned pages that say nothing else, points: a ruled page fills its leaf. */
export const PLAIN_MARGIN = 36
/** How much farther than the outlet asks for print stands from the edge, points. */
const SAFER = 4
/** Between a folio and what stands above it, points. */
const OVER_FOLIO = 6

/** What planned pages are set by beside their plan. Lengths in points. */
export interface PlanSetting {
  /** The inside margin asked for at the count that results. */
  inside: number
  /** The outlet's safe zone, and the one where an interior has bleed. */
  safe: number
  safeWithBleed: number
  runs: RunPress
  shelf: FontShelf
  /** Pages that are looked at, by index, where not all are: the other planned ones are left empty. */
  only?: ReadonlySet<number> | undefined
  ticker?: Ticker
}

/**
 * Sets the pages of a plan among those of the sections: each run behind the section that it says (`Interior.inserts`), from a
 * right-hand page, margins mirrored, numbered as the pages come; pages that look alike share one layer. What comes after stands on
 * the side where it stood. Where a run has a ground, every leaf has the bleed: all pages of a file have one size.
 */
export async function withPlan(
  interior: Interior,
  { data: { language }, assets }: Pick<Book, 'data' | 'assets'>,
  plan: PagePlan,
  { inside, safe, safeWithBleed, runs, shelf, only, ticker }: PlanSetting,
): Promise<Interior> {
  const pictures = new Map(assets.map(a => [a.id, a]))
  const folio = plan.folios && plan.folios !== 'none' ? await folioStyle(plan, language, shelf) : undefined
  const leaf = leafOfPlan(interior, plan, { inside, safe, safeWithBleed, pictures, folio })
  const grounds = new Map<string, Layer>()

  const pages: PageMarks[] = []
  const told: Told = { unmade: [], twins: [], byHand: [], offending: [] }
  const planned = new Map<number, PlannedAt>()
  const runStarts = new Map<string, number>()
  const add = (on?: OnLeaf): void => {
    const shown = !only || only.has(pages.length) ? on : undefined
    pages.push(plannedLeaf(leaf, pages.length, folioAt(interior, pages.length), { ...shown, grounds }))
  }
  const laid = layInserts(interior, plan)
  const drawing = {
    runs: plan.runs,
    room: leaf.room,
    language,
    look: plan.look,
    large: plan.large,
    leaves: { recto: leafAbout(leaf, 'recto'), verso: leafAbout(leaf, 'verso') },
    assets: pictures,
    ticker,
  }
  const folios = plan.references ? foliosOf(laid, interior) : undefined
  let taken = 0
  const takeTo = (end: number): void => {
    for (const p of interior.pages.slice(taken, end))
      pages.push(anyEdge(p.bleed) ? p : { ...p, bleed: edgesOf(interior.spec, leaf.bleeds, pages.length) })
    taken = end
  }
  for (const { at, pages: placed } of laid) {
    takeTo(at)
    const begins = pages.length
    const drawn = await drawRuns({ placed, begins, only }, runs, { ...drawing, folios })
    told.unmade.push(...drawn.unmade)
    told.twins.push(...drawn.twins)
    told.byHand.push(...drawn.byHand)
    told.offending.push(...drawn.offending)
    for (const [id, page] of drawn.starts) runStarts.set(id, page)
    for (const { run, index = 0, back } of placed) {
      const layers = run && drawn.layers.get(run.id)
      if (run) planned.set(pages.length, { run: run.id, index, back: !!back, room: roomOn(leaf, pages.length) })
      add(run && { run, index, back, layer: layers && (back ? layers.backs : layers.fronts)[index] })
    }
  }
  takeTo(interior.pages.length)
  if (!only) runs.turn()
  const moved = (page: number): number => page + interior.inserts.reduce((n, i) => n + (i.at <= page ? i.pages : 0), 0)
  const starts = [...[...interior.starts].map(([id, page]) => [id, moved(page)] as const), ...runStarts]
  return {
    ...interior,
    pages,
    inserts: [],
    ...told,
    planned,
    starts: new Map(starts.sort((a, b) => a[1] - b[1])),
    unmetAt: interior.unmetAt.map(u => ({ ...u, page: moved(u.page) })),
    block: interior.pages.length ? interior.block : { x: leaf.inner, y: leaf.head, ...leaf.room },
  }
}

/** What is to be known of runs beside their pages. */
type Told = Pick<Interior, 'unmade' | 'twins' | 'byHand' | 'offending'>

/** What the runs of an insert were drawn as: by run; those that could not be made have no layers. */
interface DrawnRuns extends Told {
  layers: Map<string, { fronts: Layer[]; backs: Layer[] }>
  starts: Map<string, number>
}

/** The leaf that all planned pages are: its bleed where anything of the book has one, its margins no narrower than asked. */
function leafOfPlan(
  { spec, pages }: Interior,
  plan: PagePlan,
  of: Pick<PlanSetting, 'inside' | 'safe' | 'safeWithBleed'> & {
    pictures: PlannedLeaf['assets']
    folio: PlannedLeaf['folio']
  },
): PlannedLeaf {
  const bleeds = plan.runs.some(overEdge) || pages.some(p => anyEdge(p.bleed))
  const least = (bleeds ? of.safeWithBleed : of.safe) + SAFER
  const margin = (side: 'head' | 'foot' | 'inside' | 'outside'): number =>
    Math.max(plan.margins?.[side] ?? PLAIN_MARGIN, least, side === 'inside' ? of.inside : 0)
  const [head, inner, outer] = [margin('head'), margin('inside'), margin('outside')]
  // A folio that stands no lower than print may has its place below what it numbers.
  const folioAbove = of.folio ? least + folioHeight(of.folio.look, of.folio.print) + OVER_FOLIO : 0
  const foot = Math.max(margin('foot'), folioAbove)
  const room = { width: Math.max(1, spec.width - inner - outer), height: Math.max(1, spec.height - head - foot) }
  return { spec, bleeds, least, head, foot, inner, outer, room, assets: of.pictures, folio: of.folio }
}

/** Draws the runs of an insert whose first page is that of index `begins`; those alone that stand on pages looked at. */
async function drawRuns(
  { placed, begins, only }: { placed: readonly LaidPage[]; begins: number; only: ReadonlySet<number> | undefined },
  press: RunPress,
  drawing: Drawing,
): Promise<DrawnRuns> {
  const all: DrawnRuns = { layers: new Map(), starts: new Map(), unmade: [], twins: [], byHand: [], offending: [] }
  for (const [i, { run }] of placed.entries()) {
    if (!run || all.starts.has(`run:${run.id}`)) continue
    all.starts.set(`run:${run.id}`, begins + i)
    const sides = placed.flatMap((p, at) => (p.run === run && !p.back ? [sideAt(begins + at)] : []))
    const looked = only && placed.flatMap((p, at) => (p.run === run && only.has(begins + at) ? [p.index!] : []))
    if (looked && !looked.length) continue
    const on = { ...drawing, sides, only: looked && new Set(looked) }
    try {
      const fronts = await press.layersOf(run, on)
      all.layers.set(run.id, { fronts, backs: run.backs?.answers ? await press.backsOf(run, on) : [] })
      if (only) continue
      all.byHand.push({ run: run.id, ...(await press.handsOf(run, drawing)) })
      all.twins.push({ run: run.id, names: await press.twinsOf(run, drawing) })
      const words = await press.offendingIn(run, drawing)
      if (words.length) all.offending.push({ run: run.id, words })
    } catch (e) {
      if (!(e instanceof Fault)) throw e
      // What keeps one run from being made keeps no other: its own pages stay blank, and that is found.
      all.unmade.push({ run: run.id, message: e.message, remedy: e.place === run.id ? e.remedy : undefined })
    }
  }
  return all
}

const overEdge = (run: Run): boolean =>
  run.pages > 0 && !!(run.ground ?? run.backs?.ground ?? kindOf(run.kind)?.bleeds?.(run.params))

/** The room between the margins of a page, points from the trim's left top. */
const roomOn = ({ inner, outer, head, room }: PlannedLeaf, page: number): PlannedAt['room'] => ({
  x: sideAt(page) === 'recto' ? inner : outer,
  y: head,
  ...room,
})

/** The whole leaf about the room of its side. */
function leafAbout(of: PlannedLeaf, side: Side): Leaf {
  const { width, height } = of.spec
  const x = side === 'recto' ? of.inner : of.outer
  return { x: -x, y: -of.head, width, height, bleed: edgesOf(of.spec, of.bleeds, side === 'recto' ? 0 : 1) }
}

const sideAt = (index: number): Side => (index % 2 === 0 ? 'recto' : 'verso')
const folioAt = (interior: Interior, index: number): string => String(index - interior.numbered + 1)

/** The pages of an insert, all of them: blanks that keep what follows on its side are pages without a run. */
interface LaidInsert {
  at: number
  /** Index of its first page in the whole book. */
  begins: number
  pages: LaidPage[]
}

function layInserts(interior: Interior, plan: PagePlan): LaidInsert[] {
  let before = 0
  return interior.inserts.map(({ at, pages: count, runs }) => {
    const begins = at + before
    const pages: LaidPage[] = begins % 2 ? [{}] : []
    pages.push(...laidOut(runs.map(id => plan.runs.find(r => r.id === id)!)))
    while (pages.length < count) pages.push({})
    before += pages.length
    return { at, begins, pages }
  })
}

/** Folios of the printed pages of all runs. */
function foliosOf(laid: readonly LaidInsert[], interior: Interior): Map<string, string[]> {
  const folios = new Map<string, string[]>()
  for (const { begins, pages } of laid)
    pages.forEach(({ run, back }, i) => {
      if (!run || back) return
      const known = folios.get(run.id) ?? []
      known.push(folioAt(interior, begins + i))
      folios.set(run.id, known)
    })
  return folios
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
  assets: ReadonlyMap<string, Asset>
  folio: { at: 'outside' | 'centre'; look: PageLook; print: number; style: TextStyle; onDark: TextStyle } | undefined
}

async function folioStyle(plan: PagePlan, language: string, shelf: FontShelf): Promise<PlannedLeaf['folio']> {
  const look = lookOf(plan.look)
  const print = plan.large ? LARGE_PRINT : 1
  const style = (tone: number): Promise<TextStyle> =>
    smallPrint(look.folio.face, FOLIO_SIZE * print, language, shelf, tone)
  return {
    at: plan.folios === 'centre' ? 'centre' : 'outside',
    look,
    print,
    style: await style(1),
    onDark: await style(0),
  }
}

/** What stands on a planned leaf: a printed page of a run, or its back; nothing where it is blank. */
interface OnLeaf {
  run: Run
  index: number
  back: boolean | undefined
  layer: Layer | undefined
}

/** One leaf: a page of a run on its ground, with its folio; without a run, a blank one. */
function plannedLeaf(
  of: PlannedLeaf,
  at: number,
  label: string,
  { run, index = 0, back, layer, grounds }: Partial<OnLeaf> & { grounds: Map<string, Layer> },
): PageMarks {
  const { width, height } = of.spec
  const side = sideAt(at)
  const bleed = edgesOf(of.spec, of.bleeds, at)
  const x = side === 'recto' ? of.inner : of.outer
  const layers: PageMarks['layers'] = []
  const ground = back ? run?.backs?.ground : run?.ground
  if (ground) {
    const has = groundAt(ground, index)
    const key = JSON.stringify([ground, has, bleed, side])
    const on = { width, height, bleed, room: { x, y: of.head, ...of.room }, assets: of.assets }
    if (!grounds.has(key)) grounds.set(key, drawGround(ground, has, on))
    layers.push({ layer: grounds.get(key)!, x: 0, y: 0 })
  }
  if (layer) layers.push({ layer, x, y: of.head })
  const numbered = back ? run?.backs?.answers : run && !isBare(run)
  if (run && of.folio && numbered) layers.push({ layer: folioOf(of, side, label, run.id), x: 0, y: 0 })
  return { width, height, bleed, layers, label, side }
}

/** The number of a page, in the foot margin. */
function folioOf(of: PlannedLeaf, side: Side, label: string, run: string): Layer {
  const { width, height } = of.spec
  const { at, look, print, style, onDark } = of.folio!
  const out = new LayerBuilder()
  const middle = (side === 'recto' ? of.inner : of.outer) + of.room.width / 2
  const outer = side === 'recto' ? width - of.outer : of.outer
  drawFolio(look, label, {
    out,
    x: at === 'centre' ? middle : outer,
    align: at === 'centre' ? 'centre' : side === 'recto' ? 'right' : 'left',
    // In the middle of the foot margin, but never nearer to the edge than print may stand.
    baseline: height - Math.max(of.least, (of.foot - FOLIO_SIZE) / 2),
    place: { section: `run:${run}`, block: 'folio' },
    style,
    onDark,
    print,
  })
  return out.build()
}

const isBare = (run: Run): boolean => !!kindOf(run.kind)?.bare
const anyEdge = (b: PageMarks['bleed']): boolean => b.top + b.right + b.bottom + b.left > 0

const edgesOf = ({ bleed = 0, bleedsInside = false }: PageSpec, bleeds: boolean, index: number): PageMarks['bleed'] =>
  bleedEdges(bleeds ? { bleed, bleedsInside } : { bleed: 0, bleedsInside: false }, sideAt(index))
