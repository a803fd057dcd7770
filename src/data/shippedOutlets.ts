import { shippedProfiles } from '@/core/outlets'
import type { OutletRecord } from './records'

/** The outlets that ship, as a store begins with them. A file of its own: it is read once in the life of a store. */
export const shippedRecords: OutletRecord[] = shippedProfiles.map((profile, place) => ({
  id: profile.id,
  place,
  profile,
}))
