import { gridOf, type PlacedCell, type TableJson } from '@/core/book'

/** What stands at a place of a row as word processors have it: a cell, one that another reaches over from above, or one where the table has none. */
export type RowPlace = { is: 'cell' | 'covered'; placed: PlacedCell; column: number } | { is: 'gap'; column: number }

/** The rows of a table, every column up to the last that is taken. */
export function placesOf(table: TableJson): RowPlace[][] {
  const { cells } = gridOf(table)
  const rows = table.content.map((): (PlacedCell | undefined)[] => [])
  for (const placed of cells)
    for (let row = placed.row; row < placed.row + placed.deep; row++)
      for (let c = placed.column; c < placed.column + placed.wide; c++) rows[row]![c] = placed
  return rows.map((columns, row) => {
    const out: RowPlace[] = []
    for (let column = 0; column < columns.length;) {
      const placed = columns[column]
      out.push(placed ? { is: placed.row === row ? 'cell' : 'covered', placed, column } : { is: 'gap', column })
      column += placed?.wide ?? 1
    }
    return out
  })
}
