import Papa from 'papaparse'
import { linesOf } from './sayings'

/** A row of a table by the names of its columns and by their numbers from 1; of a list without columns the line is `row` and `1`. */
export type Row = Readonly<Record<string, string>>

/**
 * Reads rows: a table with named columns (tabs, semicolons or commas between them, as many in every line), or a row a line. A line that
 * only looks like a table's is kept whole.
 */
export function rowsOf(text: string): Row[] {
  const whole = text.replace(/^\uFEFF/, '').trim()
  const { data } = Papa.parse<string[]>(whole, { delimitersToGuess: ['\t', ';', ','], skipEmptyLines: 'greedy' })
  const [heads, ...rest] = data
  if (!heads || heads.length < 2 || !rest.length || rest.some(r => r.length !== heads.length))
    return linesOf(whole).map(row => ({ row, 1: row }))
  return rest.map(cells => {
    const row: Record<string, string> = { row: cells.map(c => c.trim()).join(' · ') }
    cells.forEach((cell, i) => {
      row[String(i + 1)] = cell.trim()
      const name = heads[i]!.trim()
      if (name) row[name] = cell.trim()
    })
    return row
  })
}

/** Names of the columns of a text that is a table; none where it is a list. */
export const columnsOf = (text: string): string[] => {
  const [first] = rowsOf(text)
  return first && '2' in first ? Object.keys(first).filter(k => k !== 'row' && !/^\d+$/.test(k)) : []
}
