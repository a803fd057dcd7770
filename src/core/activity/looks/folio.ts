import { type LayerBuilder, type MarkPlace, PathBuilder } from '../../marks'
import { setFrag, type TextStyle } from '../../type'
import type { PageLook } from './look'

/** Size of folios, points. */
export const FOLIO_SIZE = 8.5
const DISC = 8
/** Height of figures and of their middle, by their size. */
const FIGURES = 0.72
const MIDDLE = 0.35
const RULE = { width: 22, above: 3, thickness: 0.7 }

/** How far a folio reaches above its baseline, points. */
export function folioHeight({ folio }: PageLook, print: number): number {
  const size = FOLIO_SIZE * print
  if (folio.form === 'disc') return size * MIDDLE + DISC * print
  return folio.form === 'over a rule' ? size + RULE.above + RULE.thickness : size * FIGURES
}

/** Where a folio stands: the middle of its figures, and the baseline; points. */
export interface FolioAt {
  out: LayerBuilder
  /** Where it begins, ends or has its middle, as `align` says. */
  x: number
  align: 'left' | 'centre' | 'right'
  baseline: number
  place: MarkPlace
  /** Its figures in the look's face: on paper, and on a dark disc. */
  style: TextStyle
  onDark: TextStyle
  /** How much larger than usual it is. */
  print: number
}

/** Draws a page's number as its look has it. */
export function drawFolio({ folio }: PageLook, label: string, at: FolioAt): void {
  const { out, x, align, baseline, place } = at
  const disc = folio.form === 'disc'
  const [size, radius] = [FOLIO_SIZE * at.print, DISC * at.print]
  const frag = (disc ? at.onDark : at.style).frag(folio.form === 'dashes' ? `– ${label} –` : label)
  const width = disc ? 2 * radius : frag.width
  const left = align === 'left' ? x : align === 'right' ? x - width : x - width / 2
  if (disc)
    out.add({
      kind: 'path',
      path: new PathBuilder().circle(left + radius, baseline - size * MIDDLE, radius).build(),
      fill: { k: 0.85 },
    })
  if (folio.form === 'over a rule') {
    const start = align === 'left' ? left : align === 'right' ? x - RULE.width : x - RULE.width / 2
    const path = new PathBuilder().rect(start, baseline - size - RULE.above, RULE.width, RULE.thickness).build()
    out.add({ kind: 'path', path, fill: { k: 0.7 } })
  }
  setFrag(out, frag, { x: left + (width - frag.width) / 2, y: baseline, place })
}
