import type { Edges, LayerBuilder } from '../marks'
import type { SetLine } from '../type'

/** Hears how each line came out. */
export type Report = (line: SetLine) => void

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
  /** Would rather share its page with the beginning of what follows, if nothing dearer is lost by that: a letter's date, and its last words with its close. */
  holdNext: boolean
  /** A new page before this. */
  breakBefore: boolean
  /** Lines at the start that are never parted: two, or more beside an initial. */
  keepFirst: number
  /** May be parted between lines; otherwise its one variant stands whole. */
  breakable: boolean
  /** Leaves a ragged foot without blame: pictures, tables, contents. */
  solid: boolean
  variants: FlowVariant[]
  /** Set again above this item where it begins a page by a turn: a table's head. */
  lead: { lines: number; draw(out: LayerBuilder, row: number, report: Report): void } | undefined
  /** Takes a page of its own behind the one that the text has come to; it has no lines, and the text goes on before it. */
  leaf: Leaf | undefined
  draw(out: LayerBuilder, part: ItemPart, report: Report): void
}

/** What is drawn of an item: lines `from`…`to` of a variant; `row` is the grid row of line `from`, counted from the text block's top. */
export interface ItemPart {
  variant: number
  from: number
  to: number
  row: number
}

/** An item that is never parted, as it stands at a row. */
export const wholeAt = (item: FlowItem, row: number): ItemPart => ({
  variant: 0,
  from: 0,
  to: item.variants[0]!.lines,
  row,
})

/** A page that holds one picture. */
export interface Leaf {
  /** Draws what runs over the edges of the leaf; the layer's origin is the trim's top left. */
  ground?(out: LayerBuilder, on: LeafFrame): void
  /** Draws what stands in the text block. */
  draw(out: LayerBuilder, report: Report): void
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
  hyphens: Uint8Array | undefined
  /** Notes called, by line, ascending. */
  notes: { line: number; note: FlowNote }[] | undefined
}

/** An item with what is not said of it left at nothing: no space around it, one piece, no part in what follows. All items are made here, field by field, so that the engine sees one kind of object. */
export const itemOf = (of: Partial<FlowItem> & Pick<FlowItem, 'variants' | 'draw'>): FlowItem => ({
  before: of.before ?? 0,
  after: of.after ?? 0,
  flex: of.flex ?? 0,
  keepNext: of.keepNext ?? false,
  holdNext: of.holdNext ?? false,
  breakBefore: of.breakBefore ?? false,
  keepFirst: of.keepFirst ?? 2,
  breakable: of.breakable ?? false,
  solid: of.solid ?? false,
  variants: of.variants,
  lead: of.lead,
  leaf: of.leaf,
  draw: of.draw,
})

/** The one length of an item that has no other. */
export const ofLines = (lines: number, notes?: FlowVariant['notes']): FlowVariant[] => [
  { lines, cost: 0, hyphens: undefined, notes: notes?.length ? notes : undefined },
]

export interface FlowNote {
  /** Points. */
  height: number
  /** Lines, for parting a note that is longer than a page. */
  draw(out: LayerBuilder, y: number, report: Report): void
}

/** A picture that stands beside the text: how many rows it still takes, and its side. */
export interface Beside {
  rows: number
  side: 'left' | 'right'
  /** Room that it takes from the lines, with the space between, points. */
  room: number
  /** Draws it with its first row at `row`; done by the first text beside it. */
  draw?: FlowItem['draw']
  notes: NonNullable<FlowVariant['notes']>
}
