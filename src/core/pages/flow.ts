import type { Edges, LayerBuilder } from '../marks'
import type { SetLine } from '../type'

/** What a chapter is made of before it is cut into pages: items that stand on the grid of lines. */
export interface FlowItem {
  /** Lines of space above; dropped at a page's top. */
  before: number
  /** Lines of space below; dropped at a page's foot. */
  after: number
  /** Lines by which the space above may grow so that pages come out level. */
  flex: number
  /** Must share its page with the beginning of what follows. */
  keepNext: boolean
  /** A new page before this. */
  breakBefore?: boolean
  /** Lines at the start that are never parted, where more than two: beside an initial. */
  keepFirst?: number
  /** May be parted between lines; otherwise its one variant stands whole. */
  breakable: boolean
  /** Leaves a ragged foot without blame: pictures, tables. */
  solid: boolean
  variants: FlowVariant[]
  /** Set again above this item where it begins a page by a turn: a table's head. */
  lead?: { lines: number; draw(out: LayerBuilder, row: number, report: (line: SetLine) => void): void }
  /** Takes a page of its own behind the one that the text has come to; it has no lines, and the text goes on before it. */
  leaf?: Leaf
  /** Draws lines `from`…`to` of a variant; `row` is the grid row of line `from`, counted from the text block's top. */
  draw(out: LayerBuilder, variant: number, from: number, to: number, row: number, report: (line: SetLine) => void): void
}

/** A page that holds one picture. */
export interface Leaf {
  /** Draws what runs over the edges of the leaf; the layer's origin is the trim's top left. */
  ground?(out: LayerBuilder, on: LeafFrame): void
  /** Draws what stands in the text block. */
  draw(out: LayerBuilder, report: (line: SetLine) => void): void
}

/** The leaf that such a page is drawn on, points. */
export interface LeafFrame {
  width: number
  height: number
  bleed: Edges
  /** From the trim down to the text block. */
  top: number
}

export interface FlowVariant {
  lines: number
  /** How much worse than the best, in pagination's cost. */
  cost: number
  /** Lines that end in a hyphen, one entry a line; absent where none does. */
  hyphens?: Uint8Array
  /** Notes called, by line, ascending. */
  notes?: { line: number; note: FlowNote }[]
}

export interface FlowNote {
  /** Points. */
  height: number
  /** Lines, for parting a note that is longer than a page. */
  draw(out: LayerBuilder, y: number, report: (line: SetLine) => void): void
}

/** A picture that stands beside the text: how many rows it still takes, and its side. */
export interface Beside {
  rows: number
  side: 'left' | 'right'
  /** Room that it takes from the lines, with the space between, points. */
  room: number
  /** Draws it with its first row at `row`; done by the first text beside it. */
  draw?: FlowItem['draw']
  notes: NonNullable<FlowItem['variants'][number]['notes']>
}
