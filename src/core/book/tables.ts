import type { CellJson, RowJson, TableJson } from './doc'
import { emptyCell, gridColumns, gridOf, headRows, type PlacedCell, type TableGrid, tableOf } from './tableGrid'

/**
 * Tables as an author edits them: pure operations on a table. None loses a word but those that take a row or a column away.
 * Columns are counted from 0; a cell may reach over several columns and rows.
 */

const row = (cells: number, head = false): RowJson => ({
  type: 'row',
  attrs: { head },
  content: Array.from({ length: Math.max(1, cells) }, emptyCell),
})

/** An empty table with a head. */
export const newTable = (rows: number, columns: number): TableJson => ({
  type: 'table',
  attrs: { id: '' },
  content: Array.from({ length: Math.max(1, rows) }, (_, i) => row(columns, i === 0 && rows > 1)),
})

/** How many columns a table has: as many as its longest row. */
export const columnCount = (table: TableJson): number => gridColumns(gridOf(table))

/** Where the cell at `index` of a row stands. */
export function placeOf(table: TableJson, at: number, index: number): PlacedCell | undefined {
  return gridOf(table).cells.filter(c => c.row === at)[index]
}

const having = (table: TableJson, grid: TableGrid, cells: PlacedCell[], heads = grid.heads): TableJson =>
  tableOf(table, { heads, cells })
const placed = (row: number, column: number): PlacedCell => ({ cell: emptyCell(), row, column, wide: 1, deep: 1 })

/** With an empty row before the one at `at`; within the head it is of the head. Cells that reach over the place reach further. */
export function withRow(table: TableJson, at: number): TableJson {
  const grid = gridOf(table)
  const head = at < headRows(table)
  const over = grid.cells.filter(c => c.row < at && c.row + c.deep > at)
  const covered = over.flatMap(c => Array.from({ length: c.wide }, (_, x) => c.column + x))
  const columns = Array.from({ length: gridColumns(grid) }, (_, c) => c).filter(c => !covered.includes(c))
  // Where all of it would be covered, nobody would see a row: what covers it ends above.
  const reaches = columns.length > 0
  const cells = grid.cells.map(c =>
    c.row >= at ? { ...c, row: c.row + 1 } : over.includes(c) ? { ...c, deep: reaches ? c.deep + 1 : at - c.row } : c,
  )
  const own = (reaches ? columns : covered).map(c => placed(at, c))
  return having(
    { ...table, content: table.content.toSpliced(at, 0, row(1, head)) },
    grid,
    [...cells, ...own],
    grid.heads.toSpliced(at, 0, head),
  )
}

/** Without a row; undefined where it was the only one. A cell that reaches below it stays, with its words. */
export function withoutRow(table: TableJson, at: number): TableJson | undefined {
  if (table.content.length < 2) return undefined
  const grid = gridOf(table)
  const cells = grid.cells.flatMap(c => {
    if (c.row > at) return [{ ...c, row: c.row - 1 }]
    if (c.row + c.deep <= at) return [c]
    return c.deep > 1 ? [{ ...c, deep: c.deep - 1 }] : []
  })
  const left = { ...table, content: table.content.toSpliced(at, 1) }
  return having(left, grid, cells, grid.heads.toSpliced(at, 1))
}

/** With an empty column before column `at`; a cell that spans the place is wider. */
export function withColumn(table: TableJson, at: number): TableJson {
  const grid = gridOf(table)
  const over = grid.cells.filter(c => c.column < at && c.column + c.wide > at)
  const cells = grid.cells.map(c =>
    c.column >= at ? { ...c, column: c.column + 1 } : over.includes(c) ? { ...c, wide: c.wide + 1 } : c,
  )
  const own = grid.heads.flatMap((_, r) => (over.some(c => c.row <= r && c.row + c.deep > r) ? [] : [placed(r, at)]))
  return having(table, grid, [...cells, ...own])
}

/** Without a column; a cell that spans it is narrower. Undefined where it was the only one. */
export function withoutColumn(table: TableJson, at: number): TableJson | undefined {
  const grid = gridOf(table)
  if (gridColumns(grid) < 2) return undefined
  const cells = grid.cells.flatMap(c => {
    if (c.column > at) return [{ ...c, column: c.column - 1 }]
    if (c.column + c.wide <= at) return [c]
    return c.wide > 1 ? [{ ...c, wide: c.wide - 1 }] : []
  })
  return having(table, grid, cells)
}

/** With so many rows as its head. A cell that would reach out of it ends with it. */
export function withHead(table: TableJson, rows: number): TableJson {
  const grid = gridOf(table)
  const cells = grid.cells.map(c => (c.row < rows && c.row + c.deep > rows ? { ...c, deep: rows - c.row } : c))
  const cut = grid.cells.flatMap((c, i) =>
    cells[i] === c ? [] : empties({ ...c, row: rows, deep: c.row + c.deep - rows }),
  )
  return having(
    table,
    grid,
    [...cells, ...cut],
    grid.heads.map((_, i) => i < rows),
  )
}

/** Single empty cells over the place of one. */
const empties = ({ row, column, wide, deep }: Omit<PlacedCell, 'cell'>): PlacedCell[] =>
  Array.from({ length: wide * deep }, (_, i) => placed(row + Math.floor(i / wide), column + (i % wide)))

const says = (c: CellJson): boolean => c.content.some(p => p.content?.length)

/** A cell takes in the one beside it or below, with its words; the very same table where there is none as high or as wide as it. */
export function joinedCells(
  table: TableJson,
  at: number,
  index: number,
  way: 'beside' | 'below' = 'beside',
): TableJson {
  const grid = gridOf(table)
  const c = placeOf(table, at, index)
  if (!c) return table
  const next = grid.cells.find(n =>
    way === 'beside'
      ? n.row === c.row && n.column === c.column + c.wide && n.deep === c.deep
      : n.column === c.column && n.row === c.row + c.deep && n.wide === c.wide,
  )
  if (!next || grid.heads[c.row] !== grid.heads[next.row]) return table
  const content = says(next.cell)
    ? says(c.cell)
      ? [...c.cell.content, ...next.cell.content]
      : next.cell.content
    : c.cell.content
  const grown = way === 'beside' ? { wide: c.wide + next.wide } : { deep: c.deep + next.deep }
  return having(
    table,
    grid,
    grid.cells.flatMap(x =>
      same(x, next) ? [] : same(x, c) ? [{ ...c, ...grown, cell: { ...c.cell, content } }] : [x],
    ),
  )
}

const same = (a: PlacedCell, b: PlacedCell): boolean => a.row === b.row && a.column === b.column

/** A cell that reaches over several places becomes as many cells, its words in the first. */
export function partedCell(table: TableJson, at: number, index: number): TableJson {
  const c = placeOf(table, at, index)
  if (!c || (c.wide < 2 && c.deep < 2)) return table
  const grid = gridOf(table)
  const one = { ...c, wide: 1, deep: 1 }
  return having(
    table,
    grid,
    grid.cells.flatMap(x => (same(x, c) ? [one, ...empties(c).slice(1)] : [x])),
  )
}
