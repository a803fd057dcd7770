import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { cases } from '../../../tests/support/deep'
import {
  type CellJson,
  columnCount,
  columnOf,
  headRows,
  inlineText,
  joinedCells,
  newTable,
  partedCell,
  type RowJson,
  schema,
  type TableJson,
  withColumn,
  withHead,
  withoutColumn,
  withoutRow,
  withRow,
} from '.'

const wordsOf = (table: TableJson): string[] =>
  table.content.flatMap(r => r.content.flatMap(c => c.content.map(p => inlineText(p.content)).filter(Boolean)))

/** Any table: rows of different lengths, cells that span, some with words, each word once. */
const anyTable = fc
  .array(
    fc.array(fc.record({ span: fc.integer({ min: 1, max: 3 }), says: fc.boolean() }), { minLength: 1, maxLength: 4 }),
    {
      minLength: 1,
      maxLength: 4,
    },
  )
  .chain(rows => fc.tuple(fc.constant(rows), fc.nat(rows.length)))
  .map(([rows, head]): TableJson => {
    let n = 0
    return {
      type: 'table',
      attrs: { id: 'b1' },
      content: rows.map((cells, i): RowJson => ({
        type: 'row',
        attrs: { head: i < head },
        content: cells.map(({ span, says }): CellJson => ({
          type: 'cell',
          attrs: { span },
          content: [
            {
              type: 'paragraph',
              attrs: { id: '', align: null },
              ...(says && { content: [{ type: 'text' as const, text: `w${++n}` }] }),
            },
          ],
        })),
      })),
    }
  })
const sound = (table: TableJson): void => schema.nodeFromJSON(table).check()

describe('any table', () => {
  test('rows and columns come and go: no word is lost but theirs, and what came goes again', () => {
    fc.assert(
      fc.property(anyTable, fc.nat(8), (table, n) => {
        const at = n % (table.content.length + 1)
        const taller = withRow(table, at)
        sound(taller)
        expect(wordsOf(taller)).toEqual(wordsOf(table))
        expect(withoutRow(taller, at)).toEqual(table)
        expect(headRows(taller)).toBe(headRows(table) + (at < headRows(table) ? 1 : 0))

        const columns = columnCount(table)
        const column = n % (columns + 1)
        const wider = withColumn(table, column)
        sound(wider)
        expect(columnCount(wider)).toBe(columns + 1)
        expect(wordsOf(wider)).toEqual(wordsOf(table))
        const back = withoutColumn(wider, column)!
        expect(columnCount(back)).toBe(columns)
        expect(wordsOf(back)).toEqual(wordsOf(table))
      }),
      { numRuns: cases(200, 5000) },
    )
  })

  test('without a column only words of cells that stood in it alone are gone', () => {
    fc.assert(
      fc.property(anyTable, fc.nat(11), (table, n) => {
        const column = n % columnCount(table)
        const narrower = withoutColumn(table, column)
        if (!narrower) return expect(columnCount(table)).toBe(1)
        sound(narrower)
        const gone = table.content.flatMap(r =>
          r.content.filter((c, i) => c.attrs.span === 1 && columnOf(r, i) === column),
        )
        expect(wordsOf(narrower)).toEqual(
          wordsOf(table).filter(w => !gone.some(c => c.content.some(p => inlineText(p.content) === w))),
        )
      }),
      { numRuns: cases(200, 5000) },
    )
  })

  test('cells are joined and parted with all their words, and the columns stay', () => {
    fc.assert(
      fc.property(anyTable, fc.nat(3), fc.nat(3), (table, r, c) => {
        const at = r % table.content.length
        const index = c % table.content[at]!.content.length
        const one = joinedCells(table, at, index)
        const whole = partedCell(one, at, index)
        for (const t of [one, whole]) {
          sound(t)
          expect(columnCount(t)).toBe(columnCount(table))
          expect(wordsOf(t)).toEqual(wordsOf(table))
        }
        if (index < table.content[at]!.content.length - 1) {
          expect(one.content[at]!.content).toHaveLength(table.content[at]!.content.length - 1)
          expect(whole.content[at]!.content[index]!.attrs.span).toBe(1)
        } else expect(one).toBe(table)
      }),
      { numRuns: cases(200, 5000) },
    )
  })

  test('its head is as many rows as it is told', () => {
    fc.assert(
      fc.property(anyTable, fc.nat(5), (table, rows) => {
        const is = withHead(table, rows)
        expect(headRows(is)).toBe(Math.min(rows, table.content.length))
        expect(wordsOf(is)).toEqual(wordsOf(table))
      }),
    )
  })
})

test('a new table has its rows and columns, a head, and nothing else', () => {
  const table = newTable(3, 2)
  sound(table)
  expect([table.content.length, columnCount(table), headRows(table), wordsOf(table)]).toEqual([3, 2, 1, []])
  expect(headRows(newTable(1, 2))).toBe(0)
  expect(withoutRow(newTable(1, 2), 0)).toBeUndefined()
})
