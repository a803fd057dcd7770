import { type CellJson, inlineText, type ParagraphJson, type RowJson, type TableJson } from '../../../book'
import { child, elements, type XmlElement } from '../../../files'
import type { RawBlock } from '../../raw'
import { small } from './numbering'
import type { Riding } from './riding'
import { silent } from './silent'
import { isOn } from './styles'

/** What a table is read with. */
interface TableReading {
  /** What stands in a cell. */
  blocks: (cell: XmlElement) => RawBlock[]
  /** Something that does not come along: of these words, or near what was read last; what of it is kept as text. */
  lost: (what: string, words?: string, kept?: string) => void
  riding: Riding | undefined
}

/** Rows that a cell reaches over at most. */
const MOST_ROWS = 200

/** A table of the text; undefined where it has no cells. Of a cell that others are merged into the rows are counted. */
export function tableOf(
  e: XmlElement,
  { blocks, lost, riding }: TableReading,
): Extract<RawBlock, { type: 'table' }> | undefined {
  const rows: RowJson[] = []
  const places: string[] = []
  /** Cells that may reach over rows, by their column: those below that say so are theirs. */
  const reaching = new Map<number, { cell: CellJson; to: number }>()
  for (const tr of tableRows(e)) {
    const cells: CellJson[] = []
    let column = 0
    for (const tc of elements(tr).flatMap(c => (c.name === 'w:sdt' ? elements(child(c, 'w:sdtContent')) : [c]))) {
      if (tc.name !== 'w:tc') continue
      const tcPr = child(tc, 'w:tcPr')
      const merge = child(tcPr, 'w:vMerge')
      const span = Math.max(1, Math.min(60, small(child(tcPr, 'w:gridSpan')?.attrs['w:val'], 1)))
      const at = column
      column += span
      const content: ParagraphJson[] = []
      for (const b of blocks(tc)) {
        // What leads into a cell leads to its table.
        places.push(...(b.anchors ?? []))
        if (b.type === 'para')
          content.push({
            type: 'paragraph',
            attrs: { id: riding?.blockId(b.anchors ?? []) ?? '', align: b.align ?? null },
            content: b.content,
          })
        else if (b.type === 'table') {
          lost('tables inside a table cell: their words are kept as text')
          for (const r of b.table.content) for (const inner of r.content) content.push(...inner.content)
        } else lost('pictures inside a table cell')
      }
      const above = reaching.get(at)
      if (merge && merge.attrs['w:val'] !== 'restart' && above?.to === rows.length && above.cell.attrs.span === span) {
        const hidden = content.map(p => inlineText(p.content, true)).join('')
        if (hidden.trim()) lost('text in cells that are merged away', hidden, hidden)
        above.cell.attrs.rows = Math.min(MOST_ROWS, (above.cell.attrs.rows ?? 1) + 1)
        above.to++
        continue
      }
      const kept = riding ? content : content.filter(p => p.content?.length)
      const cell: CellJson = {
        type: 'cell',
        attrs: { span },
        content: kept.length ? kept : [{ type: 'paragraph', attrs: { id: '', align: null } }],
      }
      cells.push(cell)
      if (merge) reaching.set(at, { cell, to: rows.length + 1 })
      else reaching.delete(at)
    }
    if (column) rows.push({ type: 'row', attrs: { head: heads(tr) }, content: cells })
  }
  if (!rows.length) return undefined
  const table: TableJson = { type: 'table', attrs: { id: '' }, content: rows }
  return { type: 'table', table, ...(places.length ? { anchors: places } : {}) }
}

/** Whether a row is repeated at the head of each page. */
function heads(tr: XmlElement): boolean {
  const said = child(child(tr, 'w:trPr'), 'w:tblHeader')
  return !!said && isOn(said.attrs['w:val'] ?? '1')
}

function tableRows(e: XmlElement): XmlElement[] {
  return elements(e).flatMap(c =>
    c.name === 'w:tr'
      ? child(child(c, 'w:trPr'), 'w:del')
        ? []
        : [c]
      : silent.has(c.name)
        ? []
        : tableRows(child(c, 'w:sdtContent') ?? c),
  )
}
