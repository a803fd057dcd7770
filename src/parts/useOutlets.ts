'use client'
import { useLiveQuery } from 'dexie-react-hooks'
import type { OutletProfile } from '@/core/trade'
import { allOutlets } from '@/data/outlets'

/** The outlets that there are, in the order in which they are offered; undefined until the store has answered. The same list while nothing of them changes. */
export const useOutlets = (): readonly OutletProfile[] | undefined => useLiveQuery(allOutlets)
