import type { Finding } from './finding'

/** Pixels an inch that print wants; a hair less is the rounding of a size. */
const WANTED = 299

/** What there is against a picture of so many pixels an inch as printed, where an outlet shows it under `least`. Undefined: nothing. */
export const coarse = (
  ppi: number,
  least: number,
): Pick<Finding, 'severity' | 'amount' | 'message' | 'remedy'> | undefined =>
  ppi >= WANTED
    ? undefined
    : {
        severity: ppi < least ? 'stop' : 'remark',
        amount: `${Math.floor(ppi)} ppi`,
        message: `A picture has ${Math.floor(ppi)} pixels an inch as printed; 300 are asked, under ${least} shows.`,
        remedy: 'enlarge the original',
      }
