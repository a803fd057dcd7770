import { profileOf } from '@/core/outlets'
import type { OutletProfile } from '@/core/trade'

/** The outlets that the press knows: what the page says there are. */
let profiles: readonly OutletProfile[] = []
const listeners: (() => void)[] = []

export const knownOutlets = (): readonly OutletProfile[] => profiles
export const outlet = (id: string): OutletProfile => profileOf(id, profiles)
/** Hears when the outlets are others. */
export const onOutlets = (l: () => void): void => void listeners.push(l)

export function setOutlets(known: readonly OutletProfile[]): void {
  profiles = known
  listeners.forEach(l => l())
}
