import { type OutletProfile, printRules } from '../trade'
import type { Separation } from '../ink'
import type { PdfOptions } from './options'

/** Pixels an inch that pictures keep where nothing else is chosen: what presses ask for. */
export const PRESS_PPI = 300

/**
 * How an outlet wants what it prints. What is in a press's inks is PDF/X-1a, which any printer takes that takes inks at all; colours of a
 * screen it does not know: where an outlet asks for a standard, they are prepared for PDF/X-4.
 */
export function asPrinted(
  profile: OutletProfile,
  grey: boolean,
  inks?: Separation,
): Pick<PdfOptions, 'grey' | 'ppi' | 'preparedFor' | 'inks'> {
  const { leastPpi, pdf } = printRules(profile)
  return {
    grey,
    ppi: Math.max(PRESS_PPI, leastPpi),
    ...(inks ? { inks, preparedFor: 'X-1a' as const } : pdf === 'plain' ? {} : { preparedFor: grey ? 'X-1a' : 'X-4' }),
  }
}
