import { profileOf, shippedProfiles } from '@/core/outlets'
import type { OutletProfile } from '@/core/trade'

/** The outlets that the press knows: those that ship, and the author's own in their place or beside them. */
let profiles: OutletProfile[] = shippedProfiles

export const knownOutlets = (): OutletProfile[] => profiles
export const outlet = (id: string): OutletProfile => profileOf(id, profiles)
export function setOwnOutlets(own: OutletProfile[]): void {
  profiles = [...shippedProfiles.filter(p => !own.some(o => o.id === p.id)), ...own]
}
