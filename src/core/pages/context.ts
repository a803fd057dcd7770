import type { Asset, FootnoteJson } from '../book'
import type { MarkPlace } from '../marks'
import type { Beside, FlowNote } from './flow'
import type { Lack } from './lacks'
import { type InteriorStyle, legible } from './style'
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
  const at = (wanted: number): number => legible(style, wanted)
  return {
    body: { size: at(size) },
    apart: { size: at(size + 0.5), italic: true },
    quote: { size: at(size - 0.5), italic: style.quotes.italic },
    note: { size: at(style.notes.size) },
    caption: { size: at(size - 1.5), italic: true },
    cell: { size: at(size - 0.5), lining: true, tabular: true },
    headCell: { size: at(size - 0.5), italic: true, lining: true, tabular: true },
    heads: [
      { size: at(size + 3) },
      { size: at(size + 0.5), smallCaps: true, tracking: 0.04 },
      { size: at(size), italic: true },
    ],
    leadIn: { size: at(size), smallCaps: true, tracking: 0.03 },
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
  /** The leaf's size, and what is printed past its edges where a plate needs it; points. */
  leaf: {
    width: number
    height: number
    bleed: number
    /** On the edge at the spine, too. */ bleedsInside: boolean
    top: number
  }
  /** Paragraphs offer every length that they can be set in, not only those that come by the way. */
  everyLength?: boolean
  section: string
  assets: Map<string, Asset>
  /** Collects what the typeface lacks, with its places. */
  lacks: (lack: Lack) => void
}

/** Gives the numbers of notes through a section. */
export interface NoteCounter {
  next(): string
  /** Takes a note that does not stand at the foot of its page but with others at an end; absent or false where it does. */
  apart?(note: FootnoteJson, mark: string, place: MarkPlace): boolean
  /** Parts of long notes that wait for the text that follows. */
  waiting?: FlowNote[]
}

/** Where something of a section is set: in which context, by whom its notes are numbered, for which place of the text. */
export interface Spot {
  ctx: BlockContext
  notes: NoteCounter
  place: MarkPlace
}

/** How blocks stand at a place: insets, and what the next paragraph does. */
export interface Setting {
  base: TextBase
  left: number
  right: number
  /** No first-line indent for the next paragraph. */
  flush: boolean
  /** The next paragraph opens a chapter or follows a break: it may have an initial or a lead-in. */
  begins?: 'chapter' | 'break' | undefined
  /** A picture that waits for the text to stand beside it. */
  beside?: Beside
  /** How paragraphs without an alignment of their own are set; the style's way, where absent. */
  align?: 'center'
}

/** Baseline of a grid row below the row's top: three quarters of the leading leave room for descenders. */
export const baselineIn = (leading: number): number => leading * 0.75
