import { rgb as parsed } from 'd3-color'
import type { Path } from './path'

/**
 * Marks: everything that prints. A page is a stack of layers in PDF points, origin at the trim's top left, y down. A
 * layer holds its text in typed arrays (an object a word would cost a second on a novel) and everything else as items.
 * Layers are never changed once built, so a chapter's pages share theirs between settings.
 */

/** A colour: black ink alone (0 paper, 1 solid), or RGB 0…1 for covers and screens. */
export type Colour = { k: number } | { r: number; g: number; b: number }
export const BLACK: Colour = { k: 1 }

/** "#15343d" -> RGB. */
export function rgb(hex: string): Colour {
  const c = parsed(hex)
  return { r: c.r / 255, g: c.g / 255, b: c.b / 255 }
}

/**
 * What marks need of a font. Glyphs are written as *pairs*: an index into the face's table of (glyph, text) pairs, so that
 * a small capital or a ligature says in the file which letters it stands for.
 */
export interface GlyphFace {
  /** Unique and stable: family, weight, slope. */
  key: string
  postscriptName: string
  unitsPerEm: number
  pairGlyph(pair: number): number
  pairText(pair: number): string
  /** Advance of a glyph id in font units, as the file's own table says. */
  advance(glyph: number): number
  /** Outline in font units, y up. */
  outline(glyph: number): Path
}

/**
 * Runs of glyphs, one entry a run in each array. A run has one face, size, colour and baseline; its glyphs are
 * `glyphs[start[i] … start[i+1])` at absolute x.
 */
export interface TextTable {
  faces: GlyphFace[]
  colours: Colour[]
  count: number
  face: Uint8Array
  colour: Uint8Array
  size: Float32Array
  /** Horizontal scale of the glyphs, 1 = as drawn. */
  stretch: Float32Array
  /** Space added behind each letter, ems; already in `x`. */
  letter: Float32Array
  baseline: Float32Array
  start: Uint32Array
  /** Index into `places`. */
  place: Uint32Array
  places: MarkPlace[]
  /** Pair ids. */
  glyphs: Uint16Array
  x: Float32Array
}

/** Where marks come from: a section and a block of the book. */
export interface MarkPlace {
  section: string
  block: string
  /** Said again for the reader's sake, as a table's head on its next page: no part of the text. */
  again?: boolean
  /** The section that a reader of the file goes to from here. */
  to?: string
  /** An address in the web that a reader of the file goes to from here. */
  href?: string
  /** A mark that setting puts before the text of its block, as a list's: no part of the text. */
  label?: boolean
}

export interface PathMark {
  kind: 'path'
  path: Path
  fill?: Colour
  /** `round`: its corners are, as around letters. */
  stroke?: { colour: Colour; width: number; round?: true }
}

export interface ImageMark {
  kind: 'image'
  asset: string
  x: number
  y: number
  width: number
  height: number
  /** How dark black is in it, 0 to 1: all of it is as much lighter; where absent as it is. */
  tone?: number
  alt?: string
  place?: MarkPlace
}

/** Marks under one transform [a b c d e f] (points), clip and opacity. */
export interface GroupMark {
  kind: 'group'
  transform?: [number, number, number, number, number, number]
  clip?: Path
  opacity?: number
  /** Named for checks and views: "ground", "barcode", "title". */
  role?: string
  /** A part of a planned page that can be taken hold of by itself. */
  piece?: PieceMark
  layers: Layer[]
}

/** What a part of a page is called, unique within what it stands in; where it is words that may be reworded, what they are. */
export interface PieceMark {
  id: string
  words?: string
  /** What the words would be without the author's hand; where absent, they are as made. */
  made?: string
}

export type Item = PathMark | ImageMark | GroupMark

/** Items are drawn first, text over them. */
export interface Layer {
  items: Item[]
  text?: TextTable
}

/** A layer and where its origin lies on the page. */
export interface PlacedLayer {
  layer: Layer
  x: number
  y: number
}

export interface Edges {
  top: number
  right: number
  bottom: number
  left: number
}

export interface PageMarks {
  width: number
  height: number
  bleed: Edges
  layers: PlacedLayer[]
  /** The folio as printed or counted: "iv", "12"; also the page's label in the PDF. */
  label: string
  side: 'recto' | 'verso'
}
