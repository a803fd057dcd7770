/** A stretch of writing without a longer rest. Milliseconds. */
export interface Sitting {
  from: number
  to: number
  wrote: number
  cut: number
}

/** What was done on a book on one day. */
export interface DayTally {
  /** "2026-11-29", where the author lives. */
  day: string
  /** Words written, words taken away, words that came in otherwise (brought in, brought back, doubled). */
  wrote: number
  cut: number
  came: number
  sittings: readonly Sitting[]
}

/** What a change did to the words of a book. */
export interface WordsChanged {
  /** Words more, or fewer. */
  by: number
  /** By writing, or by an act on the whole book. */
  how: 'writing' | 'act'
  /** It takes a change back: what that had counted counts no more. */
  back?: boolean
}

/** Who rests longer has ended a sitting. Milliseconds. */
export const SITTING_ENDS = 10 * 60 * 1000

export const emptyTally = (day: string): DayTally => ({ day, wrote: 0, cut: 0, came: 0, sittings: [] })

/** A day's tally with a change that was made at `at`. */
export function tallied(tally: DayTally, { by, how, back = false }: WordsChanged, at: number): DayTally {
  const { wrote, cut, came } = counted(tally, by, how === 'act', back)
  const last = tally.sittings.at(-1)
  const goes = { wrote: wrote - tally.wrote, cut: cut - tally.cut }
  const goesOn = last && at - last.to < SITTING_ENDS && at >= last.from
  const sitting: Sitting = goesOn
    ? { from: last.from, to: at, wrote: Math.max(0, last.wrote + goes.wrote), cut: Math.max(0, last.cut + goes.cut) }
    : { from: at, to: at, wrote: Math.max(0, goes.wrote), cut: Math.max(0, goes.cut) }
  const sittings = goesOn ? [...tally.sittings.slice(0, -1), sitting] : [...tally.sittings, sitting]
  return { ...tally, wrote, cut, came, sittings }
}

/** What is taken back leaves the count it was in, as far as the day has it; the rest is told as what it is. */
function counted(t: DayTally, by: number, act: boolean, back: boolean): Pick<DayTally, 'wrote' | 'cut' | 'came'> {
  const more = act ? 'came' : 'wrote'
  const from = by < 0 ? more : 'cut'
  const left = back ? Math.min(t[from], Math.abs(by)) : 0
  const rest = Math.abs(by) - left
  const after = { wrote: t.wrote, cut: t.cut, came: t.came }
  after[from] -= left
  after[by < 0 ? 'cut' : more] += rest
  return after
}

/** How many words more, or fewer, a day left. */
export const netOf = ({ wrote, cut, came }: Pick<DayTally, 'wrote' | 'cut' | 'came'>): number => wrote + came - cut

/** The same days of several books together; their sittings in the order in which they were. */
export function together(tallies: readonly DayTally[]): DayTally[] {
  const days = new Map<string, DayTally>()
  for (const t of tallies) {
    const there = days.get(t.day)
    days.set(
      t.day,
      there
        ? {
            day: t.day,
            wrote: there.wrote + t.wrote,
            cut: there.cut + t.cut,
            came: there.came + t.came,
            sittings: [...there.sittings, ...t.sittings].sort((a, b) => a.from - b.from),
          }
        : t,
    )
  }
  return [...days.values()].sort((a, b) => (a.day < b.day ? -1 : 1))
}
