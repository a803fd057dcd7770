/** A day of the calendar, counted from 1 January 1970 (0). Plain arithmetic in UTC: no clock and no zone. */
export type Day = number

const MS = 86_400_000

/** "2027-01-04" -> its day; undefined where there is no such day. */
export function dayOf(iso: string): Day | undefined {
  const m = /^(\d{4})-(\d{2})-(\d{2})$/.exec(iso)
  if (!m) return undefined
  const day = onDate(Number(m[1]), Number(m[2]) - 1, Number(m[3]))
  return isoOf(day) === iso ? day : undefined
}

/** Year from 100 on, month from 0, day of the month: what goes over a month's or a year's end goes on behind it. */
export const onDate = (year: number, month: number, date: number): Day => Math.round(Date.UTC(year, month, date) / MS)

export const utc = (day: Day): Date => new Date(day * MS)
export const isoOf = (day: Day): string => utc(day).toISOString().slice(0, 10)

/** 0 Sunday to 6 Saturday. */
export const weekdayOf = (day: Day): number => (((day + 4) % 7) + 7) % 7

/** The day that the week of a day begins with; `first`: 0 Sunday to 6 Saturday. */
export const weekBegin = (day: Day, first: number): Day => day - ((weekdayOf(day) - first + 7) % 7)

export const yearOf = (day: Day): number => utc(day).getUTCFullYear()
export const monthOf = (day: Day): number => utc(day).getUTCMonth()
export const dateOf = (day: Day): number => utc(day).getUTCDate()

/** The first day of the month so many months after that of a day. */
export const monthBegin = (day: Day, after = 0): Day => onDate(yearOf(day), monthOf(day) + after, 1)
export const daysInMonth = (day: Day): number => monthBegin(day, 1) - monthBegin(day)

/** Number of the week of a day by ISO 8601: that of its Thursday. */
export function weekNumber(day: Day): number {
  const thursday = weekBegin(day, 1) + 3
  return Math.floor((thursday - onDate(yearOf(thursday), 0, 1)) / 7) + 1
}
