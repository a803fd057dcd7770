import { type Day, dayOf, isoOf, weekdayOf } from '@/core/activity'
import type { Pace } from '@/core/book'
import { type DayTally, netOf } from './tally'

/** How a pace stands today: planned anew each day from what is there. */
export interface Standing {
  /** Words to go. */
  left: number
  /** Writing days to the last day, today among them where it is one. */
  days: number
  /** Words that today was to bring, by what was there when it began; none where nobody is to write today. */
  share: number
  /** Words that today brought, what was cut taken off. */
  done: number
  /** Words a day from tomorrow on; undefined where no day is left. */
  after: number | undefined
  /** The day on which it would be done as the last weeks went, "2027-03-03"; undefined where they brought nothing. */
  endsOn: string | undefined
  state: 'under way' | 'there' | 'over'
}

/** Days back that say how the work goes. */
const LOOKS_BACK = 28
/** Nobody looks further ahead. */
const AHEAD = 3650

const isWritingDay = (pace: Pace, day: Day): boolean => pace.days.includes(weekdayOf(day))

/** Writing days from one day to another, both counted. */
export function writingDays(pace: Pace, from: Day, to: Day): number {
  let n = 0
  for (let d = from; d <= to; d++) if (isWritingDay(pace, d)) n++
  return n
}

/** How a pace stands. `words`: of the book now; `tallies`: its days. */
export function standingOf(
  pace: Pace,
  { today, words, tallies }: { today: string; words: number; tallies: readonly DayTally[] },
): Standing {
  const [now, last] = [dayOf(today)!, dayOf(pace.by)!]
  const done = netOn(tallies, today)
  const left = Math.max(0, pace.target - words)
  const days = writingDays(pace, now, last)
  const writes = isWritingDay(pace, now) && now <= last
  const share = writes ? Math.ceil(Math.max(0, pace.target - (words - done)) / days) : 0
  const later = days - (writes ? 1 : 0)
  // What today is still to bring is not asked of the days after it.
  const goes = Math.max(left, 0) - Math.max(0, share - done)
  return {
    left,
    days,
    share,
    done,
    after: later ? Math.ceil(Math.max(0, goes) / later) : undefined,
    endsOn: left ? endOf(pace, { now, left, tallies }) : undefined,
    state: left === 0 ? 'there' : now > last || !days ? 'over' : 'under way',
  }
}

const netOn = (tallies: readonly DayTally[], day: string): number =>
  tallies.filter(t => t.day === day).reduce((n, t) => n + netOf(t), 0)

/** The day on which the words to go are there, at what the writing days of the last weeks brought. */
function endOf(
  pace: Pace,
  { now, left, tallies }: { now: Day; left: number; tallies: readonly DayTally[] },
): string | undefined {
  const begun = Math.min(now, ...tallies.map(t => dayOf(t.day)!))
  const from = Math.max(now - LOOKS_BACK + 1, begun)
  const brought = tallies.filter(t => dayOf(t.day)! >= from && dayOf(t.day)! <= now).reduce((n, t) => n + netOf(t), 0)
  const perDay = brought / Math.max(1, writingDays(pace, from, now))
  if (perDay <= 0 || !pace.days.length) return undefined
  let missing = left
  for (let d = now + 1; d < now + AHEAD; d++) {
    if (isWritingDay(pace, d)) missing -= perDay
    if (missing <= 0) return isoOf(d)
  }
  return undefined
}

/** A day of the picture. */
export interface PlotDay {
  day: string
  wrote: number
  cut: number
  came: number
  /** Words that the day was, or is, to bring for the last day to be met; undefined where nobody is to write, and beyond the plan. */
  needed?: number
}

/** Days from one to another, with what each brought and what each was to bring, planned anew each day. `words`: of the book now. */
export function plotOf(
  tallies: readonly DayTally[],
  { from, to, today, pace, words }: { from: Day; to: Day; today: string; pace?: Pace; words: number },
): PlotDay[] {
  const by = new Map(tallies.map(t => [t.day, t]))
  const now = dayOf(today)!
  // What was there when a day began: from today backward.
  const began = new Map<Day, number>()
  let at = words
  for (let d = now; d >= from; d--) {
    const t = by.get(isoOf(d))
    at -= t ? netOf(t) : 0
    began.set(d, at)
  }
  const out: PlotDay[] = []
  for (let d = from; d <= to; d++) {
    const day = isoOf(d)
    const { wrote = 0, cut = 0, came = 0 } = by.get(day) ?? {}
    const needed = pace && neededOn(pace, d, { now, began: began.get(Math.min(d, now)) ?? words })
    out.push({ day, wrote, cut, came, ...(needed === undefined ? {} : { needed }) })
  }
  return out
}

/** What a day is to bring: of what was to go when it began, or will be when today has brought its share. */
function neededOn(pace: Pace, day: Day, { now, began }: { now: Day; began: number }): number | undefined {
  const [since, last] = [dayOf(pace.since)!, dayOf(pace.by)!]
  if (day < since || day > last || !isWritingDay(pace, day)) return undefined
  return Math.ceil(Math.max(0, pace.target - began) / writingDays(pace, Math.min(day, now), last))
}
