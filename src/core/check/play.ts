import { type OutletProfile, printRules, pts } from '../trade'
import type { Severity } from './finding'

/**
 * How far a length that is off matters at a printer, points: within the press's own play it is no error, then a remark, then it
 * stops. Source: the profile.
 */
export function byPlay(profile: OutletProfile, off: number): Extract<Severity, 'stop' | 'remark'> | undefined {
  const { silent, remark } = printRules(profile).play
  if (off <= pts(silent)) return undefined
  return off > pts(remark) ? 'stop' : 'remark'
}
