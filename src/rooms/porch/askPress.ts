import { freshen, type HeldBook } from '@/data/books'
import type { OutletProfile } from '@/core/trade'
import { allOutlets } from '@/data/outlets'
import { driftOf } from '@/parts/pairs'
import { openAtPress, press } from '@/workers/client'
import type { Asked } from './looks'

/** Asks the press about books as the store has them. Each question opens its book there first, unless it has it already. */
export function askPress(): Asked {
  const held = new Map<string, HeldBook>()
  let known: OutletProfile[] | undefined
  /** Whether there is such a book. */
  const opened = async (id: string): Promise<boolean> => {
    const stored = await freshen(id, held.get(id))
    if (!stored) return false
    held.set(id, stored)
    known ??= await allOutlets()
    await openAtPress(stored.book, known)
    return true
  }
  return {
    front: async id => ((await opened(id)) ? press().front(id) : undefined),
    outlook: async id => ((await opened(id)) ? press().outlook(id) : undefined),
    drifts: async ({ id, pairs }) => {
      const sold = pairs.filter(p => p.state.live)
      if (!sold.length || !(await opened(id))) return {}
      return Object.fromEntries(await Promise.all(sold.map(async p => [p.key, await driftOf(press(), p)] as const)))
    },
  }
}
