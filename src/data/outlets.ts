import type { OutletProfile } from '@/core/trade'
import { db } from './db'

/** The outlets that there are, in the order in which they are offered. */
export const allOutlets = async (): Promise<OutletProfile[]> =>
  (await db.outlets.orderBy('place').toArray()).map(r => r.profile)
