import { primaryTag } from '../../book'
import { Fault } from '../../trade'
import { type Day, dayOf, isoOf, onDate, yearOf } from './day'

/** Days that are marked: public holidays of a country and its region, and the author's own from a calendar file or a table, kept as its text. */
export interface HolidaySource {
  /** ISO 3166 code; none where it is empty. */
  country: string
  /** A code of the country's own: "by" for Bavaria. */
  region: string
  text: string
}

/** Names of holidays by day. */
export type Holidays = ReadonlyMap<Day, string>

/** Holidays of a source between two days, both counted; an own name stands before a public one. */
export async function holidaysOf(
  { country, region, text }: HolidaySource,
  { from, to, language }: { from: Day; to: Day; language: string },
): Promise<Holidays> {
  const found = new Map<Day, string>()
  if (country)
    for (const [day, name] of await publicHolidays(country, region, { from, to, language })) found.set(day, name)
  for (const { day, name, yearly } of readHolidays(text).days) {
    if (!yearly) found.set(day, name)
    else
      for (let year = yearOf(from); year <= yearOf(to); year++)
        found.set(onDate(year, Number(isoOf(day).slice(5, 7)) - 1, Number(isoOf(day).slice(8))), name)
  }
  return new Map([...found].filter(([day]) => day >= from && day <= to))
}

async function publicHolidays(
  country: string,
  region: string,
  { from, to, language }: { from: Day; to: Day; language: string },
): Promise<[Day, string][]> {
  const { default: Calendar } = await import('date-holidays')
  const calendar = region ? new Calendar(country, region) : new Calendar(country)
  const tag = primaryTag(language)
  const days: [Day, string][] = []
  for (let year = yearOf(from); year <= yearOf(to); year++)
    for (const h of calendar.getHolidays(year, tag) ?? []) {
      const day = h.type === 'public' ? dayOf(h.date.slice(0, 10)) : undefined
      if (day !== undefined) days.push([day, h.name])
    }
  return days
}

/** Countries whose public holidays are known, and the regions of one, by code; names in a language where there are any. */
export async function countriesKnown(language: string): Promise<{ code: string; name: string }[]> {
  const { default: Calendar } = await import('date-holidays')
  return named(new Calendar().getCountries(primaryTag(language)))
}
export async function regionsKnown(country: string, language: string): Promise<{ code: string; name: string }[]> {
  const { default: Calendar } = await import('date-holidays')
  return named(new Calendar().getStates(country, primaryTag(language)))
}
const named = (all: Record<string, string> | undefined): { code: string; name: string }[] =>
  Object.entries(all ?? {}).map(([code, name]) => ({ code, name }))

export interface OwnHoliday {
  day: Day
  name: string
  /** It comes every year. */
  yearly: boolean
}

/** Most days of an own text. */
const MOST = 4000

/**
 * An author's own days: a calendar file (RFC 5545: the events' first day, their summary, yearly ones among them) or a table, a day a line
 * ("2027-01-06, Epiphany"). What was not understood is counted, with the first such line.
 */
export function readHolidays(text: string): { days: OwnHoliday[]; not: number; first?: string } {
  const read = /^BEGIN:VCALENDAR/m.test(text) ? events(text) : rows(text)
  if (read.days.length > MOST)
    throw new Fault('holidays', `There are more than ${MOST} days in this list: take a part of it.`)
  return read
}

function rows(text: string): { days: OwnHoliday[]; not: number; first?: string } {
  const days: OwnHoliday[] = []
  const astray: string[] = []
  text.split(/\r?\n/).forEach((line, i) => {
    if (!line.trim()) return
    const m = /^\s*"?(\d{4}-\d{2}-\d{2})"?\s*[,;\t]\s*"?(.*?)"?\s*$/.exec(line)
    const day = m && dayOf(m[1]!)
    if (day !== undefined && day !== null && m![2]) days.push({ day, name: m![2].replace(/""/g, '"'), yearly: false })
    // The first line may be its heads.
    else if (i || /\d/.test(line)) astray.push(line.trim())
  })
  return { days, not: astray.length, ...(astray[0] && { first: astray[0] }) }
}

function events(text: string): { days: OwnHoliday[]; not: number; first?: string } {
  // A line that begins with a space goes on the one before.
  const lines = text.replace(/\r?\n[ \t]/g, '').split(/\r?\n/)
  const days: OwnHoliday[] = []
  const astray: string[] = []
  let event: { start?: string; name?: string; rule?: string } | undefined
  for (const line of lines) {
    if (line === 'BEGIN:VEVENT') event = {}
    else if (line === 'END:VEVENT' && event) {
      const { start, name, rule } = event
      const day = start && dayOf(`${start.slice(0, 4)}-${start.slice(4, 6)}-${start.slice(6, 8)}`)
      if (day !== undefined && day !== '' && name) days.push({ day, name, yearly: /FREQ=YEARLY/.test(rule ?? '') })
      else astray.push(name ?? start ?? 'an event without a name')
      event = undefined
    } else if (event) {
      const [, field, value] = /^([A-Z]+)(?:;[^:]*)?:(.*)$/.exec(line) ?? []
      if (field === 'DTSTART') event.start = value!
      if (field === 'SUMMARY') event.name = value!.replace(/\\([,;\\])/g, '$1').replace(/\\n/gi, ' ')
      if (field === 'RRULE') event.rule = value!
    }
  }
  return { days, not: astray.length, ...(astray[0] && { first: astray[0] }) }
}
