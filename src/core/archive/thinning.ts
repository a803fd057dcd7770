/** Occasions on which a version is kept by itself: the end of a sitting, before a large change, when a package went out. */
export const versionKinds = ['sitting', 'before', 'sent'] as const
export type VersionKind = (typeof versionKinds)[number]

interface Kept {
  at: number
  kind?: VersionKind
}

const DAY = 24 * 3600 * 1000
const ALL = 2 * DAY
const DAILY = 31 * DAY
const WEEKLY = 366 * DAY

/** The rule by which kept versions are thinned, as it is said. */
export const thinningSaid =
  'What you kept by a name and what went to an outlet stays. Of the rest all stay for two days, then the last of each day for a month, of each week for a year, of each month for good.'

/**
 * Versions that age thins out. `dayOf` gives the number of a moment's day where the author lives, so that a day is theirs.
 */
export function thinnedOut<V extends Kept>(versions: readonly V[], now: number, dayOf: (at: number) => number): V[] {
  const last = new Map<string, V>()
  const spans = versions.map(v => spanOf(v, now, dayOf))
  versions.forEach((v, i) => {
    const span = spans[i]
    const best = span === undefined ? undefined : last.get(span)
    if (span !== undefined && (!best || best.at < v.at)) last.set(span, v)
  })
  return versions.filter((v, i) => spans[i] !== undefined && last.get(spans[i]) !== v)
}

/** Of which stretch of time only the last version stays; undefined where it stays in any case. */
function spanOf({ at, kind }: Kept, now: number, dayOf: (at: number) => number): string | undefined {
  if (kind === undefined || kind === 'sent' || now - at < ALL) return undefined
  const day = dayOf(at)
  if (now - at < DAILY) return `day ${day}`
  // Day 0, the first of January 1970, was a Thursday: weeks begin on Mondays.
  if (now - at < WEEKLY) return `week ${Math.floor((day + 3) / 7)}`
  const date = new Date(day * DAY)
  return `month ${date.getUTCFullYear()} ${date.getUTCMonth()}`
}
