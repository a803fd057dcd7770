'use client'
import type { Spread } from '@/data/matter'
import { spreadInWords } from '@/parts/spreadInWords'
import { useSay } from '@/parts/useSay'

/** A change in all books: resolves to whether it was made; books that it did not reach are said, and why it failed. */
export function useTold(): (work: Promise<Spread>) => Promise<boolean> {
  const say = useSay()
  return work =>
    work.then(
      done => {
        if (done.left.length) say.warn(spreadInWords(done))
        return true
      },
      e => {
        say.failed(e as Error)
        return false
      },
    )
}
