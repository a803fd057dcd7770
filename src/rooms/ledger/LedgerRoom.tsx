'use client'
import { Button } from 'antd'
import { useLiveQuery } from 'dexie-react-hooks'
import { useMemo } from 'react'
import {
  byMonth,
  type ListedEdition,
  nextStatement,
  readStatement,
  type StatementLine,
  statementCsv,
  statementForms,
  statementsBy,
} from '@/core/ledger'
import { formatMoney } from '@/core/trade'
import { allBooks } from '@/data/bookList'
import { readClock } from '@/data/clock'
import { ClockBar } from '@/parts/ClockBar'
import { kindWords } from '@/parts/kinds'
import { saveAs } from '@/parts/saveAs'
import { Sill } from '@/parts/Sill'
import { RoyaltyBars } from './RoyaltyBars'
import './ledger.css'
import { allListings } from '@/data/listings'

/** What the stand-in outlets have written by now, read back from their own statements. */
function useStatements():
  { lines: StatementLine[]; csv: { outlet: string; text: string }[]; skipped: number; listed: number } | undefined {
  const books = useLiveQuery(allBooks)
  const listings = useLiveQuery(allListings)
  const now = useLiveQuery(readClock)
  return useMemo(() => {
    if (!books || !listings || now === undefined) return undefined
    const listed: ListedEdition[] = listings.map(l => {
      const [bookId, editionId] = l.key.split('/') as [string, string, string]
      // An edition that was taken away is called by what its name says of it.
      const kind = books.find(b => b.id === bookId)?.editions.find(e => e.id === editionId)?.kind ?? editionId
      return { key: l.key, edition: kindWords[kind] ?? kind, events: l.events }
    })
    const issued = statementsBy(now, listed)
    const forms = statementForms(listed).filter(f => issued.some(l => l.outlet === f.outlet))
    const csv = forms.map(form => ({ ...form, text: statementCsv(issued, form) }))
    const read = csv.map(c => readStatement(c.text, c))
    return {
      lines: read.flatMap(r => r.lines),
      csv,
      skipped: read.reduce((n, r) => n + r.skipped, 0),
      listed: listed.length,
    }
  }, [books, listings, now])
}

/** The ledger: statements as they come in, by month and outlet. */
export function LedgerRoom() {
  const statements = useStatements()
  const now = useLiveQuery(readClock)
  const lines = statements?.lines ?? []
  // Amounts of one currency are added up, and no others.
  const series = [...new Set(lines.map(l => l.currency))].sort().map(currency => ({
    currency,
    months: byMonth(lines.filter(l => l.currency === currency)),
  }))
  const months = byMonth(lines)
  const units = months.reduce((n, m) => n + m.units, 0)
  const royalties = series.map(s =>
    formatMoney(
      s.months.reduce((n, m) => n + m.total, 0),
      s.currency,
    ),
  )
  return (
    <>
      <main id="room" className="room ledger">
        <header className="topline">
          <h1>Ledger</h1>
        </header>
        <ClockBar />
        <div className="sheet">
          {statements && !statements.lines.length && (
            <div className="empty">
              <h2>{statements.listed ? 'No statement yet' : 'Nothing is on sale yet'}</h2>
              <p>
                {statements.listed
                  ? `Statements are written at each month’s end, for whole months. The next are due on ${nextStatement(now ?? 0)}: move the clock on.`
                  : 'When a listing is on sale, its outlet writes a statement at each month’s end. They are read here: copies and royalties by edition, outlet and month.'}
              </p>
            </div>
          )}
          {months.length > 0 && (
            <>
              {series.map(s => (
                <RoyaltyBars key={s.currency} months={s.months} currency={s.currency} />
              ))}
              <table>
                <thead>
                  <tr>
                    <th>month</th>
                    <th>outlet</th>
                    <th>title</th>
                    <th>edition</th>
                    <th className="n">copies</th>
                    <th className="n">royalty</th>
                  </tr>
                </thead>
                <tbody>
                  {[...lines]
                    .sort((a, b) => (a.month > b.month ? -1 : a.month < b.month ? 1 : b.royalty - a.royalty))
                    .map(l => (
                      <tr key={`${l.month}${l.outlet}${l.title}${l.edition}`}>
                        <td>{l.month}</td>
                        <td>{l.outlet}</td>
                        <td>{l.title}</td>
                        <td>{l.edition}</td>
                        <td className="n">{l.units}</td>
                        <td className="n">{formatMoney(l.royalty, l.currency)}</td>
                      </tr>
                    ))}
                </tbody>
              </table>
              <p className="csv">
                {statements!.csv.map(c => (
                  <Button
                    key={c.outlet}
                    size="small"
                    onClick={() => saveAs(c.text, `${c.outlet.toLowerCase()}-statement.csv`, 'text/csv')}
                  >
                    {c.outlet}’s statement as CSV
                  </Button>
                ))}
              </p>
            </>
          )}
        </div>
      </main>
      <Sill
        figures={[
          { name: 'Statements', value: String(months.length) },
          { name: 'Copies', value: units.toLocaleString('en') },
          { name: 'Royalties', value: royalties.join(' + ') || '0' },
        ]}
        asks={
          statements?.skipped
            ? `${statements.skipped} lines could not be read`
            : now === undefined
              ? undefined
              : `Next statements on ${nextStatement(now)}`
        }
      />
    </>
  )
}
