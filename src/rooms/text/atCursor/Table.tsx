'use client'
import { Button } from 'antd'
import { Fragment } from 'react'
import {
  columnCount,
  headRows,
  joinedCells,
  partedCell,
  placeOf,
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
  const { wide, deep } = placeOf(table, row, cell) ?? { wide: 1, deep: 1 }
  const ways = (['beside', 'below'] as const).filter(way => joinedCells(table, row, cell, way) !== table)
  const reaches = wide > 1 || deep > 1
  return (
    <>
      Row {row + 1} of {table.content.length}: {act('Row above', 'one above', t => withRow(t, row), { row, cell: 0 })},{' '}
      {act('Row below', 'one below', t => withRow(t, row + 1), { row: row + 1, cell: 0 })},{' '}
      {act('Take the row out', 'take it out', t => withoutRow(t, row), { row, cell })}. Column {column + 1} of{' '}
      {columnCount(table)}: {act('Column before', 'one before', t => withColumn(t, column), { row, cell })},{' '}
      {act('Column behind', 'one behind', t => withColumn(t, column + wide), { row, cell: cell + 1 })},{' '}
      {act('Take the column out', 'take it out', t => withoutColumn(t, column), { row, cell })}. Its head is{' '}
      <ChoiceValue
        label="Head of the table"
        value={String(headRows(table))}
        disabled={readOnly}
        choices={headChoices(table)}
        onChange={v => changeTable(editor, found, t => withHead(t, Number(v)), { row, cell })}
      />
      {(ways.length > 0 || reaches) && <>. The cell </>}
      {ways.map((way, i) => (
        <Fragment key={way}>
          {i > 0 && ', '}
          {act(JOIN[way].label, JOIN[way].words, t => joinedCells(t, row, cell, way), { row, cell })}
        </Fragment>
      ))}
      {ways.length > 0 && reaches && ', '}
      {reaches && act('Part the cell', 'is parted', t => partedCell(t, row, cell), { row, cell })}.
    </>
  )
}

const JOIN = {
  beside: { label: 'Join with the next cell', words: 'takes in the next' },
  below: { label: 'Join with the cell below', words: 'takes in the one below' },
}

/** As many rows as a head may sensibly have, and those it has. */
const headChoices = (table: TableJson): { value: string; words: string }[] =>
  Array.from({ length: Math.min(table.content.length, Math.max(3, headRows(table))) + 1 }, (_, n) => ({
    value: String(n),
    words: n === 0 ? 'none' : n === 1 ? 'the first row' : `the first ${n} rows`,
  }))

export const table = kindOf('table', tableAt, Sentence)
