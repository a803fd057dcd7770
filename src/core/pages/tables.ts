import { type CellJson, inlineText, type RowJson, type TableJson } from '../book'
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
  const columns = columnsOf(table, ctx, s)
  const rows = table.content.map((row, r) =>
    tableRow(row, columns, spot, { first: r === 0, last: r === table.content.length - 1 }),
  )
  // Where a table goes on over a page, its head stands there again.
  const after = table.content.findIndex(r => !r.attrs.head)
  const heads = rows.slice(0, Math.max(0, after))
  const lead = headAgain(heads, ctx)
  const fits = (r: FlowItem): boolean => r.variants[0]!.lines + (lead?.lines ?? 0) <= ctx.lines
  out.push(...rows.map((r, i) => (lead && i > heads.length && fits(r) ? { ...r, lead } : r)))
}

/** How the columns share the measure. A table that needs less keeps its natural width, in the middle. */
function columnsOf(table: TableJson, ctx: BlockContext, s: Setting): Columns {
  const measure = ctx.measure - s.left - s.right
  const gutter = ctx.style.text.size * 1.4
  const { want, widest } = wantedWidths(table, ctx)
  const room = measure - gutter * (want.length - 1)
  const spare = Math.max(0, room - want.reduce((a, b) => a + b, 0))
  const widths = spare > 0 ? want : shareOut(room, want, widest)
  const left = s.left + spare / 2
  const x: number[] = []
  widths.reduce((at, w, i) => ((x[i] = at), at + w + gutter), left)
  return { x, widths, gutter, left, width: measure - spare }
}

/** What each column would like to have, and the least that holds its longest word, points. */
function wantedWidths(table: TableJson, ctx: BlockContext): { want: number[]; widest: number[] } {
  const { size } = ctx.style.text
  const count = Math.max(...table.content.map(r => r.content.reduce((n, c) => n + c.attrs.span, 0)))
  const want = new Array<number>(count).fill(0)
  const widest = new Array<number>(count).fill(0)
  const style = ctx.faces.of(ctx.bases.cell)
  for (const row of table.content) {
    let c = 0
    for (const cell of row.content) {
      if (cell.attrs.span === 1) {
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
      c += cell.attrs.span
    }
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

/** A row as one item that is never parted, with the hairlines that it carries. */
function tableRow(
  row: RowJson,
  columns: Columns,
  spot: Spot,
  { first, last }: { first: boolean; last: boolean },
): FlowItem {
  const { ctx, notes } = spot
  const { leading } = ctx.style.text
  const cells = cellsOf(row, columns, spot)
  const lines = Math.max(1, ...cells.map(cell => cell.items.reduce((n, i) => n + i.variants[0]!.lines, 0)))
  // What a long note has beyond its first part waits for the text behind.
  const all = cells.flatMap(cell => cell.items.flatMap(i => i.variants[0]!.notes ?? []))
  notes.waiting?.unshift(...all.filter(n => isContinuation(n.note)).map(n => n.note))
  const called = all.filter(n => !isContinuation(n.note)).map(n => ({ line: 0, note: n.note }))
  const rule = (out: LayerBuilder, y: number, width: number): void =>
    out.add({
      kind: 'path',
      path: new PathBuilder().rect(columns.left, y - width / 2, columns.width, width).build(),
      fill: BLACK,
    })
  return itemOf({
    before: first ? 1 : 0,
    after: last ? 1 : 0,
    keepNext: row.attrs.head,
    solid: true,
    variants: ofLines(Math.min(lines, ctx.lines), called),
    draw: (layer, { row: at }, report) => {
      if (first) rule(layer, at * leading - leading * 0.06, 0.7)
      for (const cell of cells) {
        layer.dx = cell.x
        drawStacked(layer, cell.items, at, report)
        layer.dx = 0
      }
      if (row.attrs.head) rule(layer, (at + lines) * leading + leading * 0.02, 0.35)
      if (last) rule(layer, (at + lines) * leading + leading * 0.12, 0.7)
    },
  })
}

/** The texts of a row's cells, and where each stands. */
function cellsOf(
  row: RowJson,
  { x, widths, gutter }: Columns,
  { ctx, notes, place }: Spot,
): { items: FlowItem[]; x: number }[] {
  const base = row.attrs.head ? ctx.bases.headCell : ctx.bases.cell
  let c = 0
  return row.content.map(cell => {
    const span = Math.min(cell.attrs.span, widths.length - c)
    const measure = widths.slice(c, c + span).reduce((a, b) => a + b, 0) + gutter * (span - 1)
    const items = cell.content.flatMap(({ attrs, content }) =>
      textItems(
        content,
        { ctx: { ...ctx, measure }, notes, place: { section: ctx.section, block: attrs.id || place.block } },
        {
          base,
          left: 0,
          right: 0,
          indent: 0,
          align: attrs.align === 'right' || attrs.align === 'center' ? attrs.align : 'left',
          hyphenate: false,
        },
        { before: 0, after: 0, keepNext: false, breakable: false },
      ),
    )
    const at = x[c]!
    c += span
    return { items, x: at }
  })
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
