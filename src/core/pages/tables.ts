import { inlineText, type TableJson } from '../book'
import { BLACK, type LayerBuilder, type MarkPlace, PathBuilder } from '../marks'
import type { BlockContext, NoteCounter, Setting } from './context'
import { type FlowItem, itemOf, ofLines } from './flow'
import { isContinuation } from './notes'
import { signRoom } from './smallPictures'
import { textItems } from './textItems'

/** Tables: columns share the measure by what they hold; rows stay whole; hairlines above, below and under the head. */
export function addTable(
  out: FlowItem[],
  table: TableJson,
  ctx: BlockContext,
  s: Setting,
  notes: NoteCounter,
  place: MarkPlace,
): void {
  const { leading, size } = ctx.style.text
  const measure = ctx.measure - s.left - s.right
  const columns = Math.max(...table.content.map(r => r.content.reduce((n, c) => n + c.attrs.span, 0)))
  const gutter = size * 1.4
  const want = new Array<number>(columns).fill(0)
  const widest = new Array<number>(columns).fill(0)
  const style = ctx.faces.of(ctx.bases.cell)
  for (const row of table.content) {
    let c = 0
    for (const cell of row.content) {
      if (cell.attrs.span === 1) {
        const text = cell.content.map(p => inlineText(p.content)).join(' ')
        // Marks of notes and small pictures take room, too; and a column is never narrower than a letter.
        let natural = cell.content.reduce(
          (w, p) =>
            (p.content ?? []).reduce(
              (v, n) =>
                v + (n.type === 'footnote' ? size * 0.5 : n.type === 'sign' ? signRoom(n, ctx, ctx.bases.cell) : 0),
              w,
            ),
          0,
        )
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
  const room = measure - gutter * (columns - 1)
  // A table that needs less than the measure keeps its natural width, in the middle.
  const spare = room - want.reduce((a, b) => a + b, 0)
  const widths = spare > 0 ? want : shareOut(room, want, widest)
  const x: number[] = []
  const left = s.left + Math.max(0, spare) / 2
  widths.reduce((at, w, i) => ((x[i] = at), at + w + gutter), left)
  const rule = (out: LayerBuilder, y: number, width: number) =>
    out.add({
      kind: 'path',
      path: new PathBuilder().rect(left, y - width / 2, measure - Math.max(0, spare), width).build(),
      fill: BLACK,
    })
  const rows: FlowItem[] = []
  table.content.forEach((row, r) => {
    let c = 0
    const cells: { items: FlowItem[]; x: number }[] = []
    for (const cell of row.content) {
      const span = Math.min(cell.attrs.span, columns - c)
      const width = widths.slice(c, c + span).reduce((a, b) => a + b, 0) + gutter * (span - 1)
      const inner: BlockContext = { ...ctx, measure: width }
      const items = cell.content.flatMap(p =>
        textItems(
          p.content,
          inner,
          {
            base: row.attrs.head ? ctx.bases.headCell : ctx.bases.cell,
            left: 0,
            right: 0,
            indent: 0,
            align: p.attrs.align === 'right' || p.attrs.align === 'center' ? p.attrs.align : 'left',
            hyphenate: false,
          },
          { section: ctx.section, block: p.attrs.id || place.block },
          notes,
          { before: 0, after: 0, keepNext: false, breakable: false },
        ),
      )
      cells.push({ items, x: x[c]! })
      c += span
    }
    const lines = Math.max(1, ...cells.map(cell => cell.items.reduce((n, i) => n + i.variants[0]!.lines, 0)))
    // A row is never parted: what a long note has beyond its first part waits for the text behind.
    const all = cells.flatMap(cell => cell.items.flatMap(i => i.variants[0]!.notes ?? []))
    notes.waiting?.unshift(...all.filter(n => isContinuation(n.note)).map(n => n.note))
    const called = all.filter(n => !isContinuation(n.note)).map(n => ({ line: 0, note: n.note }))
    const last = r === table.content.length - 1
    rows.push(
      itemOf({
        before: r === 0 ? 1 : 0,
        after: last ? 1 : 0,
        keepNext: row.attrs.head,
        solid: true,
        variants: ofLines(Math.min(lines, ctx.lines), called),
        draw: (layer, _v, _f, _t, at, report) => {
          if (r === 0) rule(layer, at * leading - leading * 0.06, 0.7)
          for (const cell of cells) {
            let y = at
            layer.dx = cell.x
            for (const item of cell.items) {
              item.draw(layer, 0, 0, item.variants[0]!.lines, y, report)
              y += item.variants[0]!.lines
            }
            layer.dx = 0
          }
          if (row.attrs.head) rule(layer, (at + lines) * leading + leading * 0.02, 0.35)
          if (last) rule(layer, (at + lines) * leading + leading * 0.12, 0.7)
        },
      }),
    )
  })
  // Where a table goes on over a page, its head stands there again.
  const heads = rows.slice(
    0,
    Math.max(
      0,
      table.content.findIndex(r => !r.attrs.head),
    ),
  )
  const lines = heads.reduce((n, h) => n + h.variants[0]!.lines, 0)
  const lead: FlowItem['lead'] =
    lines > 0 && lines < ctx.lines / 3
      ? {
          lines,
          draw: (layer, row, report) => {
            let at = row
            // What is said again stands for the table, not for its first place in the text.
            layer.placeAs = { section: ctx.section, block: '', again: true }
            for (const h of heads) {
              h.draw(layer, 0, 0, h.variants[0]!.lines, at, report)
              at += h.variants[0]!.lines
            }
            layer.placeAs = undefined
          },
        }
      : undefined
  out.push(
    ...rows.map((r, i) => (lead && i > heads.length && r.variants[0]!.lines + lines <= ctx.lines ? { ...r, lead } : r)),
  )
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
