import Papa from 'papaparse'
import {
  CLOCK_START,
  clockDate,
  foldListing,
  hasPackage,
  type Hours,
  HOURS_A_DAY,
  type ListingEvent,
  unitOf,
} from '../outlets'
import type { StatementColumns } from '../trade'

/** "2026-06" for a moment. */
export const monthOf = (now: Hours): string => clockDate(now).toISOString().slice(0, 7)
/** Hours from the clock's start to the first moment of a month. */
export const hoursOfMonth = (month: string): Hours => (Date.parse(`${month}-01T00:00:00Z`) - CLOCK_START) / 3_600_000

/** A line of a statement, in the ledger's own terms. Money in minor units. */
export interface StatementLine {
  outlet: string
  /** "2026-06". */
  month: string
  title: string
  edition: string
  units: number
  royalty: number
  currency: string
}

/**
 * A listing as statements need it. What a statement says is what was sold under at the time: it is read from what was sent, so that
 * no later title, no edition taken away and no other profile rewrites it.
 */
export interface ListedEdition {
  /** Under it the listing is kept. */
  key: string
  /** What the edition is called. */
  edition: string
  events: ListingEvent[]
}

const nextMonth = (month: string): string => {
  const [y, m] = month.split('-').map(Number)
  return m === 12 ? `${y! + 1}-01` : `${y}-${String(m! + 1).padStart(2, '0')}`
}

/** Copies the simulated readers buy in a whole month: from the listing's own words and a slow fall after the first weeks. */
function copiesIn(month: string, key: string, ebook: boolean, since: Hours): number {
  const from = Math.max(since, hoursOfMonth(month))
  const days = Math.max(0, (hoursOfMonth(nextMonth(month)) - from) / HOURS_A_DAY)
  const age = Math.max(0, (hoursOfMonth(month) - since) / HOURS_A_DAY / 30)
  const base = (ebook ? 34 : 21) * (0.6 + 0.8 * unitOf(key))
  return Math.round(((base * days) / 30) * (0.55 + 0.45 * Math.exp(-age / 3)) * (0.8 + 0.4 * unitOf(`${month}/${key}`)))
}

/** The statements that the stand-ins have issued by now: one line a listing and whole month. Royalties are those of the package on sale at the month's end. */
export function statementsBy(now: Hours, listings: ListedEdition[]): StatementLine[] {
  const out: StatementLine[] = []
  for (let month = monthOf(0); hoursOfMonth(nextMonth(month)) <= now; month = nextMonth(month)) {
    const end = hoursOfMonth(nextMonth(month)) - 1e-6
    for (const l of listings) {
      const { live } = foldListing(l.events, end)
      if (!live) continue
      const { snapshot } = live.submission
      const units = copiesIn(month, l.key, snapshot.pages === undefined, live.first)
      out.push({
        outlet: live.profile.name,
        month,
        title: snapshot.title,
        edition: l.edition,
        units,
        royalty: units * (snapshot.royalty ?? 0),
        currency: live.profile.currency,
      })
    }
  }
  return out
}

/** A statement of an outlet as it writes it: its name, and its own columns. */
export interface StatementForm {
  outlet: string
  columns: StatementColumns
}

/** The forms in which the outlets of listings write, each as its newest package knew it; in the order of their names. */
export function statementForms(listings: ListedEdition[]): StatementForm[] {
  const sent = listings.flatMap(l => l.events.filter(hasPackage)).sort((a, b) => a.at - b.at)
  const columns = new Map(sent.map(e => [e.profile.name, e.profile.statement]))
  return [...columns].map(([outlet, c]) => ({ outlet, columns: c })).sort((a, b) => (a.outlet < b.outlet ? -1 : 1))
}

/** An outlet's statement: CSV, in columns of its own. */
export function statementCsv(lines: StatementLine[], { outlet, columns }: StatementForm): string {
  const cents = (n: number): string => (n / 100).toFixed(2)
  return Papa.unparse(
    lines
      .filter(l => l.outlet === outlet)
      .map(l => ({
        [columns.month]: l.month,
        [columns.title]: l.title,
        [columns.edition]: l.edition,
        [columns.units]: l.units,
        [columns.royalty]: cents(l.royalty),
        [columns.currency]: l.currency,
      })),
  )
}

/** Reads an outlet's statement. Lines that do not read are counted. */
export function readStatement(
  csv: string,
  { outlet, columns }: StatementForm,
): { lines: StatementLine[]; skipped: number } {
  const { data } = Papa.parse<Record<string, string>>(csv, { header: true, skipEmptyLines: true })
  const lines: StatementLine[] = []
  let skipped = 0
  for (const row of data) {
    const pick = (what: keyof StatementColumns): string => row[columns[what]]?.trim() ?? ''
    const [month, units, due] = [pick('month'), Number(pick('units')), pick('royalty')]
    if (!/^\d{4}-\d{2}$/.test(month) || !Number.isFinite(units) || !due || !Number.isFinite(Number(due))) skipped++
    else
      lines.push({
        outlet,
        month,
        title: pick('title'),
        edition: pick('edition'),
        units,
        royalty: Math.round(Number(due) * 100),
        currency: pick('currency'),
      })
  }
  return { lines, skipped }
}

/** Royalty by month and outlet, for the chart: months in order, each with its outlets. */
export function byMonth(
  lines: StatementLine[],
): { month: string; outlets: Record<string, number>; total: number; units: number }[] {
  const months = new Map<string, { month: string; outlets: Record<string, number>; total: number; units: number }>()
  for (const l of [...lines].sort((a, b) => (a.month < b.month ? -1 : 1))) {
    const m = months.get(l.month) ?? { month: l.month, outlets: {}, total: 0, units: 0 }
    m.outlets[l.outlet] = (m.outlets[l.outlet] ?? 0) + l.royalty
    m.total += l.royalty
    m.units += l.units
    months.set(l.month, m)
  }
  return [...months.values()]
}

/** The next statement's day, in words the ledger shows. */
export const nextStatement = (now: Hours): string =>
  new Date(CLOCK_START + hoursOfMonth(nextMonth(monthOf(now))) * 3_600_000).toISOString().slice(0, 10)
