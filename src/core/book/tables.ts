import type { CellJson, ParagraphJson, RowJson, TableJson } from './doc'

/**
 * Tables as an author edits them: pure operations on a table. None loses a word but those that take a row or a column away.
 * Rows may be of different lengths: what a row lacks is empty. Columns are counted from 0; a cell may span several.
 */

const paragraph = (): ParagraphJson => ({ type: 'paragraph', attrs: { id: '', align: null } })
const cell = (): CellJson => ({ type: 'cell', attrs: { span: 1 }, content: [paragraph()] })
const row = (cells: number, head = false): RowJson => ({
  type: 'row',
  attrs: { head },
  content: Array.from({ length: Math.max(1, cells) }, cell),
})

/** An empty table with a head. */
export const newTable = (rows: number, columns: number): TableJson => ({
  type: 'table',
  attrs: { id: '' },
  content: Array.from({ length: Math.max(1, rows) }, (_, i) => row(columns, i === 0 && rows > 1)),
})

const widthOf = (r: RowJson): number => r.content.reduce((n, c) => n + c.attrs.span, 0)

/** How many columns a table has: as many as its longest row. */
export const columnCount = (table: TableJson): number => Math.max(...table.content.map(widthOf))

/** Rows that are its head: the first ones that say so. */
export const headRows = (table: TableJson): number => {
  const first = table.content.findIndex(r => !r.attrs.head)
  return first < 0 ? table.content.length : first
}

/** The column that a row's cell begins in. */
export const columnOf = (r: RowJson, index: number): number =>
  r.content.slice(0, index).reduce((n, c) => n + c.attrs.span, 0)

const having = (table: TableJson, rows: RowJson[]): TableJson => ({ ...table, content: rows })
const spanning = (c: CellJson, span: number): CellJson => ({ ...c, attrs: { ...c.attrs, span } })

/** With an empty row before the one at `at`; within the head it is of the head. */
export function withRow(table: TableJson, at: number): TableJson {
  const rows = [...table.content]
  rows.splice(at, 0, row(columnCount(table), at < headRows(table)))
  return having(table, rows)
}

/** Without a row; undefined where it was the only one. */
export const withoutRow = (table: TableJson, at: number): TableJson | undefined =>
  table.content.length > 1
    ? having(
        table,
        table.content.filter((_, i) => i !== at),
      )
    : undefined

/** With an empty column before column `at`; a cell that spans the place is wider. */
export function withColumn(table: TableJson, at: number): TableJson {
  return having(
    table,
    table.content.map(r => {
      const content: CellJson[] = []
      let column = 0
      let put = false
      for (const c of r.content) {
        const end = column + c.attrs.span
        if (!put && column === at) content.push(cell())
        put ||= column === at
        const within: boolean = !put && at < end
        content.push(within ? spanning(c, c.attrs.span + 1) : c)
        put ||= within
        column = end
      }
      // A short row is filled up to the new column.
      if (!put) while (column++ <= at) content.push(cell())
      return { ...r, content }
    }),
  )
}

/** Without a column; a cell that spans it is narrower. Undefined where it was the only one. */
export function withoutColumn(table: TableJson, at: number): TableJson | undefined {
  if (columnCount(table) < 2) return undefined
  const rows = table.content.flatMap(r => {
    let column = 0
    const content = r.content.flatMap(c => {
      const from = column
      column += c.attrs.span
      if (at < from || at >= column) return [c]
      return c.attrs.span > 1 ? [spanning(c, c.attrs.span - 1)] : []
    })
    // A row that had this column alone is empty, not gone: the table's rows stay what they were.
    return [{ ...r, content: content.length ? content : [cell()] }]
  })
  return having(table, rows)
}

/** With so many rows as its head. */
export const withHead = (table: TableJson, rows: number): TableJson =>
  having(
    table,
    table.content.map((r, i) => (r.attrs.head === i < rows ? r : { ...r, attrs: { ...r.attrs, head: i < rows } })),
  )

const says = (c: CellJson): boolean => c.content.some(p => p.content?.length)

/** A cell takes in the one beside it, with its words; the very same table where there is none. */
export function joinedCells(table: TableJson, at: number, index: number): TableJson {
  const r = table.content[at]
  const [c, next] = [r?.content[index], r?.content[index + 1]]
  if (!r || !c || !next) return table
  const content = says(next) ? (says(c) ? [...c.content, ...next.content] : next.content) : c.content
  const one: CellJson = { ...c, attrs: { ...c.attrs, span: c.attrs.span + next.attrs.span }, content }
  return having(
    table,
    table.content.map((x, i) => (i === at ? { ...r, content: r.content.toSpliced(index, 2, one) } : x)),
  )
}

/** A cell that spans several becomes as many, its words in the first. */
export function partedCell(table: TableJson, at: number, index: number): TableJson {
  const r = table.content[at]
  const c = r?.content[index]
  if (!r || !c || c.attrs.span < 2) return table
  const cells = [spanning(c, 1), ...Array.from({ length: c.attrs.span - 1 }, cell)]
  return having(
    table,
    table.content.map((x, i) => (i === at ? { ...r, content: r.content.toSpliced(index, 1, ...cells) } : x)),
  )
}
