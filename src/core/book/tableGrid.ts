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
  const taken: Set<number>[] = table.content.map(() => new Set())
  const cells: PlacedCell[] = []
  table.content.forEach((r, row) => {
    let column = 0
    for (const cell of r.content) {
      const wide = cell.attrs.span
      while (!free(taken[row]!, column, wide)) column++
      const reaches = Math.min(cell.attrs.rows ?? 1, rows - row)
      for (let k = 0; k < reaches; k++) for (let c = 0; c < wide; c++) taken[row + k]!.add(column + c)
      cells.push({ cell, row, column, wide, deep: Math.min(reaches, (row < head ? head : rows) - row) })
      column += wide
    }
  })
  return { heads: table.content.map(r => r.attrs.head), cells }
}

const free = (taken: ReadonlySet<number>, from: number, wide: number): boolean => {
  for (let c = from; c < from + wide; c++) if (taken.has(c)) return false
  return true
}

/** How many columns a grid has: as many as its longest row. */
export const gridColumns = ({ cells }: TableGrid): number => cells.reduce((n, c) => Math.max(n, c.column + c.wide), 1)

/** The cells of each row in the order of columns, and an empty one for each place between them that none takes. */
export function gridRows({ heads, cells }: TableGrid): (PlacedCell | undefined)[][] {
  const taken = new Map<string, PlacedCell>()
  for (const c of cells)
    for (let k = 0; k < c.deep; k++) for (let x = 0; x < c.wide; x++) taken.set(`${c.row + k}/${c.column + x}`, c)
  return heads.map((_, row) => {
    const own = cells.filter(c => c.row === row).sort((a, b) => a.column - b.column)
    const out: (PlacedCell | undefined)[] = []
    let column = 0
    for (const c of own) {
      for (; column < c.column; column++) if (!taken.has(`${row}/${column}`)) out.push(undefined)
      out.push(c)
      column = c.column + c.wide
    }
    return out
  })
}

/** The table of a grid, everything of `table` that is no row as it was. A row that nothing of its own is left in goes, if all of it is covered. */
export function tableOf(table: TableJson, grid: TableGrid): TableJson {
  const columns = gridColumns(grid)
  let { heads, cells } = grid
  for (let row = heads.length - 1; row >= 0; row--) {
    if (cells.some(c => c.row === row)) continue
    const covered = new Set<number>()
    for (const c of cells)
      if (c.row < row && c.row + c.deep > row) for (let x = 0; x < c.wide; x++) covered.add(c.column + x)
    const open = Array.from({ length: columns }, (_, c) => c).find(c => !covered.has(c))
    if (open !== undefined) cells = [...cells, { cell: emptyCell(), row, column: open, wide: 1, deep: 1 }]
    else {
      heads = heads.toSpliced(row, 1)
      cells = cells.map(c =>
        c.row > row ? { ...c, row: c.row - 1 } : c.row + c.deep > row ? { ...c, deep: c.deep - 1 } : c,
      )
    }
  }
  const content = gridRows({ heads, cells }).map((own, row): RowJson => ({
    ...(table.content[row] ?? { type: 'row' }),
    attrs: { ...table.content[row]?.attrs, head: heads[row]! },
    content: own.map(c => (c ? sized(c) : emptyCell())),
  }))
  return { ...table, content }
}

/** A cell that says how far it reaches where it stands. */
function sized({ cell, wide, deep }: PlacedCell): CellJson {
  const { span, rows = 1 } = cell.attrs
  return span === wide && rows === deep ? cell : { ...cell, attrs: { ...cell.attrs, span: wide, rows: deep } }
}
