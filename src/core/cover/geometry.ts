import {
  type BindingKind,
  bindingRules,
  Fault,
  IN,
  MM,
  type OutletProfile,
  parseTrim,
  printRules,
  pts,
  roundPages,
  spineThickness,
} from '../trade'
import type { PanelName } from '../book'
import type { Edges } from '../marks'

import type { Rect } from './rect'
import { type SpineReads, spineReads } from './spineText'

export type { Rect } from './rect'
export type { PanelName } from '../book'

/** A part of the flat that means something to whoever designs: data, so that views, checks and templates agree. */
export interface Zone {
  kind: 'safe' | 'spine text' | 'barcode' | 'fold' | 'hinge' | 'holes'
  panel: PanelName
  rect: Rect
}

/** The flat: one sheet with back, spine and front. `width` and `height` are without the bleed (or, for a case, the turned-in wrap). */
export interface Flat {
  binding: BindingKind
  width: number
  height: number
  bleed: Edges
  panels: Record<PanelName, Rect>
  zones: Zone[]
  /** Pages as printed. */
  pages: number
  /** Text may stand on the spine. */
  spineText: boolean
  /** Which way it runs. */
  spineReads: SpineReads
}

/** Size of the whole sheet as the printer asks for it. */
export const sheetSize = (f: Flat): { width: number; height: number } => ({
  width: f.width + f.bleed.left + f.bleed.right,
  height: f.height + f.bleed.top + f.bleed.bottom,
})

/** EAN-13 at its nominal size: 113 modules of 0.33 mm with quiet zones, 25.93 mm high with its figures (GS1 General Specifications, 5.2). */
export const BARCODE = { module: 0.33 * MM, width: 113 * 0.33 * MM, height: 25.93 * MM }

/** Clear strip along the holes of a coil. */
const COIL_STRIP = 0.5 * IN

export interface CoverSpec {
  binding: BindingKind
  trim: string
  paper: string
  /** Pages as made; blanks are added up to the outlet's multiple. */
  pages: number
  /** BCP 47; spines run down where it is absent. */
  language?: string
}

/** The flat for a specification at an outlet. Paperback: width = 2 × trim + spine; case: 2 × (trim + overhang) + spine with the wrap as bleed. */
export function flatFor(profile: OutletProfile, spec: CoverSpec): Flat {
  const rules = printRules(profile)
  const binding = bindingRules(profile, spec.binding)
  const trim = parseTrim(spec.trim)
  if (!trim) throw new Fault('no-trim', `“${spec.trim}” is no trim.`)
  const pages = roundPages(spec.pages, binding.pageMultiple)
  const spine = spineThickness(profile, spec, pages)
  const over = spec.binding === 'case' && binding.case ? pts(binding.case.overhang) : 0
  const edge = spec.binding === 'case' && binding.case ? pts(binding.case.wrap) : pts(binding.coverBleed ?? rules.bleed)
  const panelWidth = trim.width + over
  const height = trim.height + 2 * over
  const panels: Flat['panels'] = {
    back: { x: 0, y: 0, width: panelWidth, height },
    spine: { x: panelWidth, y: 0, width: spine, height },
    front: { x: panelWidth + spine, y: 0, width: panelWidth, height },
  }
  const safe = pts(rules.safe)
  const clear = pts(rules.spineClear)
  const hinge = spec.binding === 'case' && binding.case ? pts(binding.case.hinge) : 0
  const strip = spec.binding === 'coil' ? COIL_STRIP : 0
  const inner = Math.max(safe, hinge ? hinge + clear : 0, strip)
  const zones: Zone[] = [
    {
      kind: 'safe',
      panel: 'back',
      rect: { x: safe, y: safe, width: panelWidth - safe - inner, height: height - 2 * safe },
    },
    {
      kind: 'safe',
      panel: 'front',
      rect: { x: panels.front.x + inner, y: safe, width: panelWidth - safe - inner, height: height - 2 * safe },
    },
  ]
  const spineText = spine > 0 && pages >= rules.spineTextFrom && spine > 2 * clear
  if (spineText)
    zones.push({
      kind: 'spine text',
      panel: 'spine',
      rect: { x: panels.spine.x + clear, y: safe, width: spine - 2 * clear, height: height - 2 * safe },
    })
  if (spine > 0)
    for (const x of [panels.spine.x, panels.front.x])
      zones.push({ kind: 'fold', panel: 'spine', rect: { x, y: 0, width: 0, height } })
  if (hinge) {
    zones.push({ kind: 'hinge', panel: 'back', rect: { x: panelWidth - hinge, y: 0, width: hinge, height } })
    zones.push({ kind: 'hinge', panel: 'front', rect: { x: panels.front.x, y: 0, width: hinge, height } })
  }
  if (strip) {
    zones.push({ kind: 'holes', panel: 'back', rect: { x: panelWidth - strip, y: 0, width: strip, height } })
    zones.push({ kind: 'holes', panel: 'front', rect: { x: panels.front.x, y: 0, width: strip, height } })
  }
  if (rules.barcode !== 'printer leaves it') {
    const safeBack = zones[0]!.rect
    const x = rules.barcode === 'back, lower left' ? safeBack.x : safeBack.x + safeBack.width - BARCODE.width
    zones.push({
      kind: 'barcode',
      panel: 'back',
      rect: { x, y: safeBack.y + safeBack.height - BARCODE.height, width: BARCODE.width, height: BARCODE.height },
    })
  }
  return {
    binding: spec.binding,
    width: 2 * panelWidth + spine,
    height,
    bleed: { top: edge, right: edge, bottom: edge, left: edge },
    panels,
    zones,
    pages,
    spineText,
    spineReads: spineReads(spec.language ?? ''),
  }
}

/** The zone of a kind on a panel. */
export const zoneOf = (f: Flat, kind: Zone['kind'], panel: PanelName): Rect | undefined =>
  f.zones.find(z => z.kind === kind && z.panel === panel)?.rect
