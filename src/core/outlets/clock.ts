/** Hours on the simulated clock of the stand-in outlets. */
export type Hours = number

/** Whether a value is a time of the simulated clock: within a thousand years of its start. */
export const isHours = (v: unknown): v is Hours => typeof v === 'number' && v >= 0 && v < 1e7

/** The clock starts here; months and years are counted from it. */
export const CLOCK_START = Date.UTC(2026, 5, 1)
export const HOURS_A_DAY = 24

/** A moment of the clock as a date, UTC. */
export const clockDate = (now: Hours): Date => new Date(CLOCK_START + now * 3_600_000)
export const yearOf = (now: Hours): number => clockDate(now).getUTCFullYear()
