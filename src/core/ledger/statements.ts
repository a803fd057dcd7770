import Papa from 'papaparse'
import { foldListing, type Hours, type ListingEvent, unitOf } from '../outlets'

/** The simulated clock starts here; months are counted from it. */
export const CLOCK_START = Date.UTC(2026, 5, 1)
export const HOURS_A_DAY = 24

/** Moment of the simulated clock as a date, UTC. */
export const clockDate = (now: Hours): Date => new Date(CLOCK_START + now * 3_600_000)
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

/** A statement as its outlet writes it: CSV, each outlet with columns of its own. */
export function statementCsv(lines: StatementLine[], outlet: string): string {
  const own = lines.filter(l => l.outlet === outlet)
  const cents = (n: number): string => (n / 100).toFixed(2)
  if (outlet === 'Pellowick')
    return Papa.unparse(
      own.map(l => ({
        Period: l.month,
        Book: l.title,
        Format: l.edition,
        Sold: l.units,
        Currency: l.currency,
        Due: cents(l.royalty),
      })),
    )
  return Papa.unparse(
    own.map(l => ({
      month: l.month,
      title: l.title,
      edition: l.edition,
      copies: l.units,
      'royalty total': cents(l.royalty),
      currency: l.currency,
    })),
  )
}

/** Reads a statement back, whichever outlet wrote it. Lines that do not read are counted. */
export function readStatement(csv: string, outlet: string): { lines: StatementLine[]; skipped: number } {
  const { data } = Papa.parse<Record<string, string>>(csv, { header: true, skipEmptyLines: true })
  const lines: StatementLine[] = []
  let skipped = 0
  for (const row of data) {
    const pick = (...names: string[]): string =>
      names
        .map(n => row[n])
        .find(v => v !== undefined)
        ?.trim() ?? ''
    const month = pick('month', 'Period')
    const units = Number(pick('copies', 'Sold'))
    const due = pick('royalty total', 'Due')
    if (!/^\d{4}-\d{2}$/.test(month) || !Number.isInteger(units) || !/^-?\d+(\.\d{1,2})?$/.test(due)) skipped++
    else
      lines.push({
        outlet,
        month,
        title: pick('title', 'Book'),
        edition: pick('edition', 'Format'),
        units,
        royalty: Math.round(Number(due) * 100),
        currency: pick('currency', 'Currency') || 'USD',
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
