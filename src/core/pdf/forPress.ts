import { type OutletProfile, printRules } from '../trade'
import type { PdfOptions } from './options'

/** Pixels an inch that pictures keep where nothing else is chosen: what presses ask for. */
export const PRESS_PPI = 300

/** How an outlet wants what it prints. What has colour is RGB, which PDF/X-1a does not take: it is prepared for PDF/X-4 there. */
export function asPrinted(profile: OutletProfile, grey: boolean): Pick<PdfOptions, 'grey' | 'ppi' | 'preparedFor'> {
  const { leastPpi, pdf } = printRules(profile)
  return {
    grey,
    ppi: Math.max(PRESS_PPI, leastPpi),
    ...(pdf === 'plain' ? {} : { preparedFor: grey ? 'X-1a' : 'X-4' }),
  }
}
