import { clockDate, type Hours } from '@/core/outlets'

/** A moment of the simulated clock as it is read: "14 Jun, 09:30". */
export const day = (hours: Hours): string =>
  clockDate(hours).toLocaleDateString('en-GB', { day: 'numeric', month: 'short', timeZone: 'UTC' }) +
  ', ' +
  clockDate(hours).toISOString().slice(11, 16)
