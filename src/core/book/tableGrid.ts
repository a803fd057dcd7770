import type { CellJson, ParagraphJson, RowJson, TableJson } from './doc'

/** A cell where it stands: rows and columns from 0, those that it takes from there on. */
export interface PlacedCell {
  cell: CellJson
  row: number
  column: number
  wide: number
  deep: number
}

/** A table as a grid: what it is edited and drawn by. Rows may be of different lengths: what a row lacks is empty. */
export interface TableGrid {
  /** Of each row, whether it says that it is of the head. */
  heads: boolean[]
  /** In the order of the text. */
  cells: PlacedCell[]
}

export const emptyParagraph = (): ParagraphJson => ({ type: 'paragraph', attrs: { id: '', align: null } })
export const emptyCell = (): CellJson => ({ type: 'cell', attrs: { span: 1 }, content: [emptyParagraph()] })

/** Rows that are a table's head: the first ones that say so. */
export const headRows = (table: TableJson): number => {
  const first = table.content.findIndex(r => !r.attrs.head)
  return first < 0 ? table.content.length : first
}

/**
 * Where the cells of a table stand: each in the first columns of its row that are free, as web pages have it. None reaches out of
 * the table, nor from its head into its body: what it would cover there is empty.
 */
export function gridOf(table: TableJson): TableGrid {
  const rows = table.content.length
  const head = headRows(table)
  const taken = new Taken()
  const cells: PlacedCell[] = []
  table.content.forEach((r, row) => {
    let column = 0
    for (const cell of r.content) {
      const wide = cell.attrs.span
      while (!taken.free(row, column, wide)) column++
      const reaches = Math.min(cell.attrs.rows ?? 1, rows - row)
      taken.take(column, wide, row + reaches)
      cells.push({ cell, row, column, wide, deep: Math.min(reaches, (row < head ? head : rows) - row) })
      column += wide
    }
  })
  return { heads: table.content.map(r => r.attrs.head), cells }
}

/** What of the columns is taken while rows are gone through: each to before which row. */
class Taken {
  private readonly until: number[] = []

  free(row: number, from: number, wide = 1): boolean {
    for (let c = from; c < from + wide; c++) if ((this.until[c] ?? 0) > row) return false
    return true
  }

  take(from: number, wide: number, until: number): void {
    for (let c = from; c < from + wide; c++) this.until[c] = Math.max(this.until[c] ?? 0, until)
  }
}

/** The cells of each row that begin there, in the order of columns. */
export function gridByRow({ heads, cells }: TableGrid): PlacedCell[][] {
  const out: PlacedCell[][] = heads.map(() => [])
  for (const c of cells) out[c.row]!.push(c)
  for (const own of out) own.sort((a, b) => a.column - b.column)
  return out
}

/** How many columns a grid has: as many as its longest row. */
export const gridColumns = ({ cells }: TableGrid): number => cells.reduce((n, c) => Math.max(n, c.column + c.wide), 1)

/** The cells of each row in the order of columns, and nothing for each place between them that none takes. */
export function gridRows(grid: TableGrid): (PlacedCell | undefined)[][] {
  const taken = new Taken()
  return gridByRow(grid).map((own, row) => {
    const out: (PlacedCell | undefined)[] = []
    let column = 0
    for (const c of own) {
      for (; column < c.column; column++) if (taken.free(row, column)) out.push(undefined)
      out.push(c)
      column = c.column + c.wide
    }
    for (const c of own) taken.take(c.column, c.wide, row + c.deep)
    return out
  })
}

/** The table of a grid, everything of `table` that is no row as it was. A row that nothing of its own is left in goes, if all of it is covered. */
export function tableOf(table: TableJson, grid: TableGrid): TableJson {
  const whole = withoutBareRows(grid)
  const content = gridRows(whole).map((own, row): RowJson => ({
    ...(table.content[row] ?? { type: 'row' }),
    attrs: { ...table.content[row]?.attrs, head: whole.heads[row]! },
    content: own.map(c => (c ? sized(c) : emptyCell())),
  }))
  return { ...table, content }
}

/** Without rows that begin no cell: an empty cell stands where there is room for one, and where there is none the row goes. */
function withoutBareRows(grid: TableGrid): TableGrid {
  const columns = gridColumns(grid)
  const taken = new Taken()
  const filled: PlacedCell[] = []
  // Rows that stay, before each.
  const kept = [0]
  gridByRow(grid).forEach((own, row) => {
    let stays = own.length > 0
    if (!stays) {
      let open = 0
      while (open < columns && !taken.free(row, open)) open++
      stays = open < columns
      if (stays) filled.push({ cell: emptyCell(), row, column: open, wide: 1, deep: 1 })
    }
    for (const c of own) taken.take(c.column, c.wide, row + c.deep)
    kept.push(kept[row]! + (stays ? 1 : 0))
  })
  const cells = filled.length ? [...grid.cells, ...filled] : grid.cells
  if (kept.at(-1) === grid.heads.length) return { heads: grid.heads, cells }
  return {
    heads: grid.heads.filter((_, row) => kept[row + 1]! > kept[row]!),
    cells: cells.map(c => ({ ...c, row: kept[c.row]!, deep: kept[c.row + c.deep]! - kept[c.row]! })),
  }
}

/** A cell that says how far it reaches where it stands. */
function sized({ cell, wide, deep }: PlacedCell): CellJson {
  const { span, rows = 1 } = cell.attrs
  return span === wide && rows === deep ? cell : { ...cell, attrs: { ...cell.attrs, span: wide, rows: deep } }
}
