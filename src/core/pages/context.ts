import type { Asset } from '../book'
import type { InteriorStyle } from './style'
import type { TextBase, Typefaces } from './typefaces'

/** The kinds of text of an interior, derived from its style. */
export interface Bases {
  body: TextBase
  apart: TextBase
  quote: TextBase
  note: TextBase
  caption: TextBase
  cell: TextBase
  headCell: TextBase
  heads: TextBase[]
  leadIn: TextBase
}

export function basesOf(style: InteriorStyle): Bases {
  const { size } = style.text
  return {
    body: { size },
    apart: { size: size + 0.5, italic: true },
    quote: { size: size - 0.5 },
    note: { size: style.notes.size },
    caption: { size: size - 1.5, italic: true },
    cell: { size: size - 0.5, lining: true },
    headCell: { size: size - 0.5, italic: true, lining: true },
    heads: [{ size: size + 3 }, { size: size + 0.5, smallCaps: true, tracking: 0.04 }, { size, italic: true }],
    leadIn: { size, smallCaps: true, tracking: 0.03 },
  }
}

/** All that setting a section's blocks needs to know. */
export interface BlockContext {
  faces: Typefaces
  style: InteriorStyle
  bases: Bases
  /** Width of a full line, points. */
  measure: number
  /** Width of notes at the foot: the page's measure, also for notes called in a table's cell. */
  noteMeasure: number
  /** Lines of a full page. */
  lines: number
  section: string
  assets: Map<string, Asset>
  /** Collects characters that no face has, with their place. */
  missing: (text: string, block: string) => void
}

/** Gives the numbers of notes through a section. */
export interface NoteCounter {
  next(): string
}

/** How blocks stand at a place: insets, and what the next paragraph does. */
export interface Setting {
  base: TextBase
  left: number
  right: number
  /** No first-line indent for the next paragraph. */
  flush: boolean
  /** How paragraphs without an alignment of their own are set; the style's way, where absent. */
  align?: 'center'
}

/** Baseline of a grid row below the row's top: three quarters of the leading leave room for descenders. */
export const baselineIn = (leading: number): number => leading * 0.75
