'use client'
import { Button } from 'antd'
import {
  columnCount,
  headRows,
  joinedCells,
  partedCell,
  type TableJson,
  withColumn,
  withHead,
  withoutColumn,
  withoutRow,
  withRow,
} from '@/core/book'
import { ChoiceValue } from '@/parts/Sentence'
import { type CellPlace, changeTable, type FoundTable, tableAt } from '../tables'
import { type AtCursorProps, kindOf } from './kind'

/** Where the cursor is in a table, and what can be done there. */
function Sentence({ editor, found, readOnly }: AtCursorProps<FoundTable>) {
  const table = found.node.toJSON() as TableJson
  const { row, cell, column } = found
  const here = table.content[row]!.content[cell]!
  const act = (label: string, words: string, operation: (t: TableJson) => TableJson | undefined, to: CellPlace) => (
    <Button
      type="link"
      size="small"
      aria-label={label}
      disabled={readOnly}
      onMouseDown={e => e.preventDefault()}
      onClick={() => changeTable(editor, found, operation, to)}
    >
      {words}
    </Button>
  )
  const last = cell === table.content[row]!.content.length - 1
  return (
    <>
      Row {row + 1} of {table.content.length}: {act('Row above', 'one above', t => withRow(t, row), { row, cell: 0 })},{' '}
      {act('Row below', 'one below', t => withRow(t, row + 1), { row: row + 1, cell: 0 })},{' '}
      {act('Take the row out', 'take it out', t => withoutRow(t, row), { row, cell })}. Column {column + 1} of{' '}
      {columnCount(table)}: {act('Column before', 'one before', t => withColumn(t, column), { row, cell })},{' '}
      {act('Column behind', 'one behind', t => withColumn(t, column + here.attrs.span), { row, cell: cell + 1 })},{' '}
      {act('Take the column out', 'take it out', t => withoutColumn(t, column), { row, cell })}. Its head is{' '}
      <ChoiceValue
        label="Head of the table"
        value={String(headRows(table))}
        disabled={readOnly}
        choices={headChoices(table)}
        onChange={v => changeTable(editor, found, t => withHead(t, Number(v)), { row, cell })}
      />
      {(!last || here.attrs.span > 1) && <>. The cell </>}
      {!last && act('Join with the next cell', 'takes in the next', t => joinedCells(t, row, cell), { row, cell })}
      {!last && here.attrs.span > 1 && ', '}
      {here.attrs.span > 1 && act('Part the cell', 'is parted', t => partedCell(t, row, cell), { row, cell })}.
    </>
  )
}

/** As many rows as a head may sensibly have, and those it has. */
const headChoices = (table: TableJson): { value: string; words: string }[] =>
  Array.from({ length: Math.min(table.content.length, Math.max(3, headRows(table))) + 1 }, (_, n) => ({
    value: String(n),
    words: n === 0 ? 'none' : n === 1 ? 'the first row' : `the first ${n} rows`,
  }))

export const table = kindOf('table', tableAt, Sentence)
