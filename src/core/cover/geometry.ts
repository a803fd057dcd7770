import {
  type BindingKind,
  type BindingRules,
  bindingRules,
  Fault,
  IN,
  MM,
  type OutletProfile,
  paperOf,
  parseTrim,
  type PrintRules,
  printRules,
  pts,
  roundPages,
  spineThickness,
} from '../trade'
import type { BarcodeWish, PanelName } from '../book'
import type { Edges } from '../marks'

import type { Rect } from './rect'
import { type SpineReads, spineReads } from './spineText'

export type { Rect } from './rect'
export type { PanelName } from '../book'

/** A part of the flat that means something to whoever designs: data, so that views, checks and templates agree. */
export interface Zone {
  kind: 'safe' | 'spine text' | 'barcode' | 'fold' | 'drift' | 'hinge' | 'holes'
  panel: PanelName
  rect: Rect
}

/** A sheet that the printer asks for: what is cut of it, and what stands over at its edges. */
export interface Sheet {
  name: 'cover' | 'back' | 'front'
  /** On the flat, as it is cut. */
  rect: Rect
  bleed: Edges
}

/** The flat: back, spine and front beside each other. `width` and `height` are without the bleed (or, for a case, the turned-in wrap). */
export interface Flat {
  binding: BindingKind
  width: number
  height: number
  /** At the flat's own edges. */
  bleed: Edges
  panels: Record<PanelName, Rect>
  /** One, or two where back and front are printed apart: their inner bleeds lie between them. */
  sheets: Sheet[]
  zones: Zone[]
  /** Pages as printed. */
  pages: number
  /** A leaf as it is cut, and how thick all of them are. */
  leaf: { width: number; height: number; thickness: number }
  /** Text may stand on the spine. */
  spineText: boolean
  /** Which way it runs. */
  spineReads: SpineReads
  /** Whose barcode its place is for. */
  barcodeBy: 'author' | 'printer'
}

/** Size of a sheet as the printer asks for it; where there are two they are alike. */
export function sheetSize({ sheets }: Flat): { width: number; height: number } {
  const { rect, bleed } = sheets[0]!
  return { width: rect.width + bleed.left + bleed.right, height: rect.height + bleed.top + bleed.bottom }
}

/** EAN-13 at its nominal size: 113 modules of 0.33 mm with quiet zones, 25.93 mm high with its figures (GS1 General Specifications, 5.2). */
const MODULE = 0.33 * MM
/** Beside it a price: a gap of nine modules for the quiet zone of seven, 47 of the add-on, five of quiet (GS1 General Specifications, 5.2). */
export const ADD_ON = { gap: 9, modules: 47, quiet: 5 }
export const BARCODE = {
  module: MODULE,
  width: 113 * MODULE,
  withAddOn: (113 - 7 + ADD_ON.gap + ADD_ON.modules + ADD_ON.quiet) * MODULE,
  height: 25.93 * MM,
}

/** Clear strip along the holes of a coil, where the profile says none. */
const COIL_STRIP = 0.5 * IN
/** How far a fold may lie beside its place, where the profile does not say. */
const DRIFT = 1.5 * MM

export interface CoverSpec {
  binding: BindingKind
  trim: string
  paper: string
  /** Pages as made; blanks are added up to the outlet's multiple. */
  pages: number
  /** BCP 47; spines run down where it is absent. */
  language?: string
  /** How its author wants the barcode; as the outlet has it where nothing is said. */
  barcode?: BarcodeWish | undefined
}

/** The lengths that a binding's flat is made of, points. */
interface Lengths {
  leaf: { width: number; height: number }
  panel: { width: number; height: number }
  spine: number
  /** At head, foot and fore edge. */
  bleed: { top: number; bottom: number; outer: number; inner: number }
  /** From the edges of a panel: at three of them, and at the spine's side. */
  safe: number
  safeInner: number
  hinge: number
  strip: number
}

/** Bleed of a cover: what its binding says, or what all of the printer's work has. */
function bleedOf(rules: PrintRules, binding: BindingRules): Lengths['bleed'] {
  if (binding.kind === 'case' && binding.case) return even(pts(binding.case.wrap))
  const { coverBleed = rules.bleed } = binding
  if (typeof coverBleed === 'string') return even(pts(coverBleed))
  const { top, bottom, outer, inner } = coverBleed
  return { top: pts(top), bottom: pts(bottom), outer: pts(outer), inner: pts(inner) }
}
const even = (all: number): Lengths['bleed'] => ({ top: all, bottom: all, outer: all, inner: all })

function lengthsOf(
  rules: PrintRules,
  binding: BindingRules,
  { trim, spine }: { trim: string; spine: number },
): Lengths {
  const size = parseTrim(trim)
  if (!size) throw new Fault('no-trim', `“${trim}” is no trim.`)
  const boards = binding.kind === 'case' ? binding.case : undefined
  const over = boards ? pts(boards.overhang) : 0
  const hinge = boards ? pts(boards.hinge) : 0
  const strip = binding.kind !== 'coil' ? 0 : binding.holes ? pts(binding.holes) : COIL_STRIP
  const safe = pts(rules.safe)
  return {
    leaf: { width: size.width, height: size.height },
    panel: { width: size.width + over, height: size.height + 2 * over },
    spine,
    bleed: bleedOf(rules, binding),
    safe,
    safeInner: Math.max(safe, hinge ? hinge + pts(rules.spineClear) : 0, strip),
    hinge,
    strip,
  }
}

/** The flat for a specification at an outlet. Paperback: width = 2 × trim + spine; case: 2 × (trim + overhang) + spine with the wrap as bleed. */
export function flatFor(profile: OutletProfile, spec: CoverSpec): Flat {
  const rules = printRules(profile)
  const binding = bindingRules(profile, spec.binding)
  const pages = roundPages(spec.pages, binding.pageMultiple)
  const lengths = lengthsOf(rules, binding, { trim: spec.trim, spine: spineThickness(profile, spec, pages) })
  const { panel, spine, bleed } = lengths
  const apart = spine === 0 && binding.coverSheets === 'two'
  // Where back and front are sheets of their own, each has its bleed along the holes.
  const between = apart ? 2 * bleed.inner : spine
  const panels: Flat['panels'] = {
    back: { x: 0, y: 0, ...panel },
    spine: { x: panel.width, y: 0, width: spine, height: panel.height },
    front: { x: panel.width + between, y: 0, ...panel },
  }
  const width = 2 * panel.width + between
  const edges = { top: bleed.top, right: bleed.outer, bottom: bleed.bottom, left: bleed.outer }
  const text = spineTextZone(rules, lengths, pages)
  return {
    binding: spec.binding,
    width,
    height: panel.height,
    bleed: edges,
    panels,
    sheets: apart
      ? [
          { name: 'back', rect: panels.back, bleed: { ...edges, right: bleed.inner } },
          { name: 'front', rect: panels.front, bleed: { ...edges, left: bleed.inner } },
        ]
      : [{ name: 'cover', rect: { x: 0, y: 0, width, height: panel.height }, bleed: edges }],
    zones: [
      ...panelZones(panels, lengths),
      ...(text ? [text] : []),
      ...(apart || spec.binding === 'coil' ? [] : foldZones(panels, lengths, rules.drift ? pts(rules.drift) : DRIFT)),
      ...barcodeZone(rules, lengths, spec.barcode === 'priced'),
    ],
    pages,
    leaf: { ...lengths.leaf, thickness: pages * pts(paperOf(profile, spec.paper).caliper) },
    spineText: text !== undefined,
    spineReads: spineReads(spec.language ?? ''),
    barcodeBy: spec.barcode === 'left clear' ? 'printer' : (rules.barcodeBy ?? 'author'),
  }
}

/** What is safe of both panels, and what lies beside their hinges or holes. */
function panelZones(panels: Flat['panels'], { panel, safe, safeInner, hinge, strip }: Lengths): Zone[] {
  const { width, height } = panel
  const clear = { y: safe, width: width - safe - safeInner, height: height - 2 * safe }
  const zones: Zone[] = [
    { kind: 'safe', panel: 'back', rect: { x: safe, ...clear } },
    { kind: 'safe', panel: 'front', rect: { x: panels.front.x + safeInner, ...clear } },
  ]
  for (const [kind, wide] of [
    ['hinge', hinge],
    ['holes', strip],
  ] as const) {
    if (!wide) continue
    zones.push({ kind, panel: 'back', rect: { x: width - wide, y: 0, width: wide, height } })
    zones.push({ kind, panel: 'front', rect: { x: panels.front.x, y: 0, width: wide, height } })
  }
  return zones
}

/** Where words may stand on the spine: from the outlet's count of pages, clear of both folds. */
function spineTextZone(rules: PrintRules, { panel, spine, safe }: Lengths, pages: number): Zone | undefined {
  const clear = pts(rules.spineClear)
  if (pages < rules.spineTextFrom || spine <= 2 * clear) return undefined
  const rect = { x: panel.width + clear, y: safe, width: spine - 2 * clear, height: panel.height - 2 * safe }
  return { kind: 'spine text', panel: 'spine', rect }
}

/** The folds, and how far they may drift. A stitched booklet has one. */
function foldZones(panels: Flat['panels'], { panel: { height }, spine }: Lengths, drift: number): Zone[] {
  const folds = spine > 0 ? [panels.spine.x, panels.front.x] : [panels.front.x]
  return folds.flatMap((x): Zone[] => [
    { kind: 'fold', panel: 'spine', rect: { x, y: 0, width: 0, height } },
    { kind: 'drift', panel: 'spine', rect: { x: x - drift, y: 0, width: 2 * drift, height } },
  ])
}

function barcodeZone(rules: PrintRules, { panel, safe, safeInner }: Lengths, priced?: boolean): Zone[] {
  if (rules.barcode === 'printer leaves it') return []
  const width = priced ? BARCODE.withAddOn : BARCODE.width
  const x = rules.barcode === 'back, lower left' ? safe : panel.width - safeInner - width
  const rect = { x, y: panel.height - safe - BARCODE.height, width, height: BARCODE.height }
  return [{ kind: 'barcode', panel: 'back', rect }]
}

/** The zone of a kind on a panel. */
export const zoneOf = (f: Flat, kind: Zone['kind'], panel: PanelName): Rect | undefined =>
  f.zones.find(z => z.kind === kind && z.panel === panel)?.rect
