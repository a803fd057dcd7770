import {
  type CellJson,
  gridByRow,
  gridColumns,
  gridOf,
  headRows,
  inlineText,
  type PlacedCell,
  type TableGrid,
  type TableJson,
} from '../book'
import { BLACK, type LayerBuilder, PathBuilder } from '../marks'
import type { BlockContext, Setting, Spot } from './context'
import { type FlowItem, itemOf, ofLines, type Report, wholeAt } from './flow'
import { isContinuation } from './notes'
import { signRoom } from './smallPictures'
import { textItems } from './textItems'

/** Where the columns of a table stand in the measure, points. */
interface Columns {
  x: number[]
  widths: number[]
  gutter: number
  /** Left edge and width of the whole. */
  left: number
  width: number
}

/** Tables: columns share the measure by what they hold; rows stay whole; hairlines above, below and under the head. */
export function addTable(out: FlowItem[], table: TableJson, spot: Spot, s: Setting): void {
  const { ctx } = spot
  const grid = gridOf(table)
  const columns = columnsOf(grid, ctx, s)
  const head = headRows(table)
  const byRow = gridByRow(grid)
  const bands = bandsOf(byRow).flatMap(rows => bandItems(rows, byRow, grid.heads, columns, spot))
  // Where a table goes on over a page, its head stands there again.
  const heads = head < table.content.length ? bands.filter(b => b.to <= head).map(b => b.item) : []
  const lead = headAgain(heads, ctx)
  const fits = (r: FlowItem): boolean => r.variants[0]!.lines + (lead?.lines ?? 0) <= ctx.lines
  out.push(...bands.map(({ item }, i) => (lead && i > heads.length && fits(item) ? { ...item, lead } : item)))
}

/** Rows that no cell ties to their neighbours, from the first to before the last. */
interface Rows {
  from: number
  to: number
}

/** A table's rows, those that a cell reaches over together. */
function bandsOf(cells: readonly PlacedCell[][]): Rows[] {
  const out: Rows[] = []
  for (let from = 0; from < cells.length; from = out.at(-1)!.to) {
    let to = from + 1
    // A cell in what is taken in may reach further still.
    for (let row = from; row < to; row++) for (const c of cells[row]!) to = Math.max(to, row + c.deep)
    out.push({ from, to })
  }
  return out
}

/** How the columns share the measure. A table that needs less keeps its natural width, in the middle. */
function columnsOf(grid: TableGrid, ctx: BlockContext, s: Setting): Columns {
  const measure = ctx.measure - s.left - s.right
  const gutter = ctx.style.text.size * 1.4
  const { want, widest } = wantedWidths(grid, ctx)
  const room = measure - gutter * (want.length - 1)
  const spare = Math.max(0, room - want.reduce((a, b) => a + b, 0))
  const widths = spare > 0 ? want : shareOut(room, want, widest)
  const left = s.left + spare / 2
  const x: number[] = []
  widths.reduce((at, w, i) => ((x[i] = at), at + w + gutter), left)
  return { x, widths, gutter, left, width: measure - spare }
}

/** What each column would like to have, and the least that holds its longest word, points. */
function wantedWidths(grid: TableGrid, ctx: BlockContext): { want: number[]; widest: number[] } {
  const { size } = ctx.style.text
  const count = gridColumns(grid)
  const want = new Array<number>(count).fill(0)
  const widest = new Array<number>(count).fill(0)
  const style = ctx.faces.of(ctx.bases.cell)
  for (const { cell, column: c, wide } of grid.cells) {
    if (wide > 1) continue
    const text = cell.content.map(p => inlineText(p.content)).join(' ')
    // Marks of notes and small pictures take room, too; and a column is never narrower than a letter.
    let natural = roomOfSigns(cell, ctx)
    widest[c] = Math.max(widest[c]!, natural, size * 0.5)
    for (const word of text.split(/\s+/)) {
      const width = word ? style.frag(word).width : 0
      widest[c] = Math.max(widest[c]!, width)
      natural += (natural ? style.space : 0) + width
    }
    want[c] = Math.max(want[c]!, natural + 0.5, size * 0.5)
  }
  return { want, widest }
}

function roomOfSigns(cell: CellJson, ctx: BlockContext): number {
  let room = 0
  for (const p of cell.content)
    for (const n of p.content ?? [])
      if (n.type === 'footnote') room += ctx.style.text.size * 0.5
      else if (n.type === 'sign') room += signRoom(n, ctx, ctx.bases.cell)
  return room
}

/** A band higher than this part of a page is parted at its rows after all. */
const HIGHEST_BAND = 0.6

/**
 * Rows that hang together as one item that is never parted, with the hairlines that they carry. Where they are too high for that, each
 * stands by itself, and what reaches over several stands whole in its first.
 */
function bandItems(
  rows: Rows,
  cells: readonly PlacedCell[][],
  heads: readonly boolean[],
  columns: Columns,
  spot: Spot,
): { item: FlowItem; to: number }[] {
  const { ctx, notes } = spot
  const set = cells.slice(rows.from, rows.to).flatMap(own => own.map(c => setCell(c, heads[c.row]!, columns, spot)))
  const waiting = set.flatMap(c => c.items.flatMap(i => i.variants[0]!.notes ?? []))
  // What a long note has beyond its first part waits for the text behind.
  notes.waiting?.unshift(...waiting.filter(n => isContinuation(n.note)).map(n => n.note))
  const count = rows.to - rows.from
  const whole = bandItem(rows, set, heads, columns, ctx)
  if (count === 1 || whole.variants[0]!.lines <= ctx.lines * HIGHEST_BAND) return [{ item: whole, to: rows.to }]
  return Array.from({ length: count }, (_, i) => {
    const row = { from: rows.from + i, to: rows.from + i + 1 }
    const own = set.filter(c => c.row === row.from).map(c => ({ ...c, deep: 1 }))
    return { item: bandItem(row, own, heads, columns, ctx), to: row.to }
  })
}

/** The texts of a cell, and where they stand. */
interface SetCell extends PlacedCell {
  items: FlowItem[]
  x: number
  lines: number
}

function bandItem(
  { from, to }: Rows,
  cells: readonly SetCell[],
  heads: readonly boolean[],
  columns: Columns,
  ctx: BlockContext,
): FlowItem {
  const { leading } = ctx.style.text
  const [first, last, head] = [from === 0, to === heads.length, heads[from]!]
  const tops = rowTops({ from, to }, cells)
  const lines = tops.at(-1)!
  const called = cells
    .flatMap(c => c.items.flatMap(i => i.variants[0]!.notes ?? []))
    .filter(n => !isContinuation(n.note))
    .map(n => ({ line: 0, note: n.note }))
  const rule = (out: LayerBuilder, y: number, width: number): void =>
    out.add({
      kind: 'path',
      path: new PathBuilder().rect(columns.left, y - width / 2, columns.width, width).build(),
      fill: BLACK,
    })
  return itemOf({
    before: first ? 1 : 0,
    after: last ? 1 : 0,
    keepNext: head,
    solid: true,
    variants: ofLines(Math.min(lines, ctx.lines), called),
    draw: (layer, { row: at }, report) => {
      if (first) rule(layer, at * leading - leading * 0.06, 0.7)
      for (const cell of cells) {
        layer.dx = cell.x
        drawStacked(layer, cell.items, at + tops[cell.row - from]!, report)
        layer.dx = 0
      }
      if (head) rule(layer, (at + lines) * leading + leading * 0.02, 0.35)
      if (last) rule(layer, (at + lines) * leading + leading * 0.12, 0.7)
    },
  })
}

/** Lines over each row of a band, and over what follows it: every row holds its own cells, the last that a cell reaches over what is left of it. */
function rowTops({ from, to }: Rows, cells: readonly SetCell[]): number[] {
  const tops = [0]
  for (let row = from; row < to; row++) {
    let bottom = tops[row - from]! + 1
    for (const c of cells) if (c.row + c.deep - 1 === row) bottom = Math.max(bottom, tops[c.row - from]! + c.lines)
    tops.push(bottom)
  }
  return tops
}

function setCell(
  placed: PlacedCell,
  head: boolean,
  { x, widths, gutter }: Columns,
  { ctx, notes, place }: Spot,
): SetCell {
  const { column, wide, cell } = placed
  const measure = widths.slice(column, column + wide).reduce((a, b) => a + b, 0) + gutter * (wide - 1)
  const items = cell.content.flatMap(({ attrs, content }) =>
    textItems(
      content,
      { ctx: { ...ctx, measure }, notes, place: { section: ctx.section, block: attrs.id || place.block } },
      {
        base: head ? ctx.bases.headCell : ctx.bases.cell,
        left: 0,
        right: 0,
        indent: 0,
        align: attrs.align === 'right' || attrs.align === 'center' ? attrs.align : 'left',
        hyphenate: false,
      },
      { before: 0, after: 0, keepNext: false, breakable: false },
    ),
  )
  return { ...placed, items, x: x[column]!, lines: items.reduce((n, i) => n + i.variants[0]!.lines, 0) }
}

/** What stands again over a table that goes on; nothing where it would take a third of the page. */
function headAgain(heads: FlowItem[], ctx: BlockContext): FlowItem['lead'] {
  const lines = heads.reduce((n, h) => n + h.variants[0]!.lines, 0)
  if (lines === 0 || lines >= ctx.lines / 3) return undefined
  return {
    lines,
    draw: (layer, row, report) => {
      // What is said again stands for the table, not for its first place in the text.
      layer.placeAs = { section: ctx.section, block: '', again: true }
      drawStacked(layer, heads, row, report)
      layer.placeAs = undefined
    },
  }
}

/** Whole items, one below the other. */
function drawStacked(out: LayerBuilder, items: FlowItem[], row: number, report: Report): void {
  let at = row
  for (const item of items) {
    item.draw(out, wholeAt(item, at), report)
    at += item.variants[0]!.lines
  }
}

/** Widths of columns: each at least its longest word; the rest is poured out evenly until each has what it wants, so that narrow columns are served first. */
function shareOut(room: number, want: number[], least: number[]): number[] {
  const sumLeast = least.reduce((a, b) => a + b, 0)
  if (sumLeast >= room) return least.map(w => (w / (sumLeast || 1)) * room)
  const widths = [...least]
  let spare = room - sumLeast
  let open = widths.map((_, i) => i).filter(i => want[i]! > widths[i]!)
  while (open.length && spare > 0.01) {
    const step = Math.min(spare / open.length, ...open.map(i => want[i]! - widths[i]!))
    for (const i of open) widths[i]! += step
    spare -= step * open.length
    open = open.filter(i => want[i]! - widths[i]! > 0.01)
  }
  return widths
}
