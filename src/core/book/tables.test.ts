import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { cases } from '../../../tests/support/deep'
import {
  type CellJson,
  columnCount,
  gridOf,
  headRows,
  inlineText,
  joinedCells,
  newTable,
  partedCell,
  placeOf,
  type RowJson,
  schema,
  tableOf,
  type TableJson,
  withColumn,
  withHead,
  withoutColumn,
  withoutRow,
  withRow,
} from '.'

const wordsOf = (table: TableJson): string[] =>
  table.content.flatMap(r => r.content.flatMap(c => c.content.map(p => inlineText(p.content)).filter(Boolean)))

/** Any table: rows of different lengths, cells that reach over columns and rows, some with words, each word once. */
const anyTable = fc
  .array(
    fc.array(
      fc.record({
        span: fc.integer({ min: 1, max: 3 }),
        rows: fc.oneof(fc.constant(1), fc.integer({ min: 1, max: 4 })),
        says: fc.boolean(),
      }),
      { minLength: 1, maxLength: 4 },
    ),
    { minLength: 1, maxLength: 4 },
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
        content: cells.map(({ span, rows, says }): CellJson => ({
          type: 'cell',
          attrs: { span, rows },
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
  // What reaches out of it, or out of its head, ends there.
  .map(table => tableOf(table, gridOf(table)))
const sound = (table: TableJson): void => schema.nodeFromJSON(table).check()

/** No two cells stand in one place, none reaches out of its table or out of its head. */
function standsApart(table: TableJson): void {
  const taken = new Set<string>()
  const head = headRows(table)
  for (const { row, column, wide, deep } of gridOf(table).cells) {
    expect(row + deep).toBeLessThanOrEqual(row < head ? head : table.content.length)
    for (let y = row; y < row + deep; y++)
      for (let x = column; x < column + wide; x++) {
        expect(taken.has(`${y}/${x}`)).toBe(false)
        taken.add(`${y}/${x}`)
      }
  }
}

describe('any table', () => {
  test('rows and columns come and go: no word is lost but theirs, and what came goes again', () => {
    fc.assert(
      fc.property(anyTable, fc.nat(8), (table, n) => {
        const at = n % (table.content.length + 1)
        const taller = withRow(table, at)
        sound(taller)
        standsApart(taller)
        expect(wordsOf(taller)).toEqual(wordsOf(table))
        // A row that would be covered wholly parts what covers it, and leaves it parted.
        const over = gridOf(table).cells.filter(c => c.row < at && c.row + c.deep > at)
        const covered = over.reduce((n, c) => n + c.wide, 0) === columnCount(table)
        if (!covered) expect(withoutRow(taller, at)).toEqual(table)
        expect(headRows(taller)).toBe(headRows(table) + (at < headRows(table) ? 1 : 0))

        const columns = columnCount(table)
        const column = n % (columns + 1)
        const wider = withColumn(table, column)
        sound(wider)
        standsApart(wider)
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
        standsApart(narrower)
        const gone = gridOf(table).cells.filter(c => c.wide === 1 && c.column === column)
        expect(wordsOf(narrower)).toEqual(
          wordsOf(table).filter(w => !gone.some(c => c.cell.content.some(p => inlineText(p.content) === w))),
        )
      }),
      { numRuns: cases(200, 5000) },
    )
  })

  test('cells are joined, beside and below, and parted with all their words; the columns stay', () => {
    fc.assert(
      fc.property(anyTable, fc.nat(3), fc.nat(3), fc.constantFrom('beside', 'below'), (table, r, c, way) => {
        const at = r % table.content.length
        const index = c % table.content[at]!.content.length
        const one = joinedCells(table, at, index, way as 'beside' | 'below')
        const whole = partedCell(one, at, index)
        for (const t of [one, whole]) {
          sound(t)
          standsApart(t)
          expect(columnCount(t)).toBe(columnCount(table))
          expect(wordsOf(t).sort()).toEqual(wordsOf(table).sort())
        }
        const [before, after, parted] = [table, one, whole].map(t => placeOf(t, at, index)!)
        // Where nothing but what reaches over it was left in a row, that goes, and what reaches is as high as before.
        if (one !== table && one.content.length === table.content.length)
          expect(after!.wide * after!.deep).toBeGreaterThan(before!.wide * before!.deep)
        expect([parted!.wide, parted!.deep, parted!.column]).toEqual([1, 1, before!.column])
      }),
      { numRuns: cases(200, 5000) },
    )
  })

  test('its head is as many rows as it is told', () => {
    fc.assert(
      fc.property(anyTable, fc.nat(5), (table, rows) => {
        const is = withHead(table, rows)
        expect(headRows(is)).toBe(Math.min(rows, table.content.length))
        standsApart(is)
        expect(wordsOf(is)).toEqual(wordsOf(table))
      }),
    )
  })
})

const cell = (text: string, span = 1, rows = 1): CellJson => ({
  type: 'cell',
  attrs: { span, rows },
  content: [{ type: 'paragraph', attrs: { id: '', align: null }, content: [{ type: 'text', text }] }],
})
const tableOfCells = (...rows: CellJson[][]): TableJson => ({
  type: 'table',
  attrs: { id: 'b1' },
  content: rows.map(content => ({ type: 'row', attrs: { head: false }, content })),
})
const shape = (t: TableJson): string[][] =>
  t.content.map(r =>
    r.content.map(c => `${wordsOf(tableOfCells([c])).join()} ${c.attrs.span}x${c.attrs.rows ?? 1}`.trim()),
  )

describe('a cell that reaches over rows', () => {
  const table = tableOfCells([cell('a', 1, 2), cell('b')], [cell('c')], [cell('d'), cell('e')])
  test('takes the first free columns, and pushes the cells below it aside', () => {
    expect(gridOf(table).cells.map(c => [c.row, c.column])).toEqual([
      [0, 0],
      [0, 1],
      [1, 1],
      [2, 0],
      [2, 1],
    ])
  })
  test('grows by a row within it, shrinks without one, and keeps its words when its first row goes', () => {
    expect(shape(withRow(table, 1))).toEqual([['a 1x3', 'b 1x1'], ['1x1'], ['c 1x1'], ['d 1x1', 'e 1x1']])
    expect(shape(withoutRow(table, 1)!)).toEqual([
      ['a 1x1', 'b 1x1'],
      ['d 1x1', 'e 1x1'],
    ])
    expect(shape(withoutRow(table, 0)!)).toEqual([
      ['a 1x1', 'c 1x1'],
      ['d 1x1', 'e 1x1'],
    ])
  })
  test('is joined with the one below, and parted into empty ones', () => {
    const joined = joinedCells(table, 0, 0, 'below')
    expect(shape(joined)).toEqual([['a,d 1x3', 'b 1x1'], ['c 1x1'], ['e 1x1']])
    expect(shape(partedCell(table, 0, 0))).toEqual([
      ['a 1x1', 'b 1x1'],
      ['1x1', 'c 1x1'],
      ['d 1x1', 'e 1x1'],
    ])
    // Beside it stands one that is not as high.
    expect(joinedCells(table, 0, 0, 'beside')).toBe(table)
  })
  test('ends with the head; a row that nothing is left in goes', () => {
    expect(shape(withHead(table, 1))).toEqual([
      ['a 1x1', 'b 1x1'],
      ['1x1', 'c 1x1'],
      ['d 1x1', 'e 1x1'],
    ])
    const covered = tableOfCells([cell('a', 1, 2), cell('b', 1, 2)], [], [cell('c'), cell('d')])
    expect(shape(tableOf(covered, gridOf(covered)))).toEqual([
      ['a 1x1', 'b 1x1'],
      ['c 1x1', 'd 1x1'],
    ])
  })
})

test('a new table has its rows and columns, a head, and nothing else', () => {
  const table = newTable(3, 2)
  sound(table)
  expect([table.content.length, columnCount(table), headRows(table), wordsOf(table)]).toEqual([3, 2, 1, []])
  expect(headRows(newTable(1, 2))).toBe(0)
  expect(withoutRow(newTable(1, 2), 0)).toBeUndefined()
})

test('a table of ten thousand rows, each reaching over many, is a grid in linear time', () => {
  const row = (n: number): CellJson[] => [cell(`a${n}`, 1, n % 3 ? 1 : 200), cell(`b${n}`, 30, 1 + (n % 2))]
  const table = tableOfCells(...Array.from({ length: 10_000 }, (_, n) => row(n)))
  const grid = gridOf(table)
  expect(grid.cells).toHaveLength(20_000)
  expect(wordsOf(tableOf(table, grid)).sort()).toEqual(wordsOf(table).sort())
})
