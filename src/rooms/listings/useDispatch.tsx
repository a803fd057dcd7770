'use client'
import { App } from 'antd'
import { useRef, useState } from 'react'
import type { Book } from '@/core/book'
import type { MadePackage } from '@/core/chain'
import { reviewReasons } from '@/core/outlets'
import type { OutletProfile } from '@/core/trade'
import { orderProof, send } from '@/data/listings'
import type { Pair } from '@/parts/pairs'
import { saveAs } from '@/parts/saveAs'
import { bringUpToDate } from '@/parts/openBook'
import { useSay } from '@/parts/useSay'
import { press, proxied } from '@/workers/client'

/** How far a package is. */
export interface Making {
  stage: string
  percent: number
}

/** How many reasons are read out before a package is sent all the same. */
const REASONS_READ = 6

/** Making the package of a pair, and what is done with it: kept as a file, sent, printed as a proof. */
export function useDispatch(book: Book, { edition, outletId, state }: Pair, profile: OutletProfile) {
  const { modal } = App.useApp()
  const say = useSay()
  const [making, setMaking] = useState<Making>()
  const stopped = useRef(false)

  const make = async (): Promise<MadePackage | undefined> => {
    stopped.current = false
    setMaking({ stage: 'Begin', percent: 2 })
    try {
      await bringUpToDate(book.id)
      return await press().pack(
        book.id,
        edition.id,
        outletId,
        proxied((p: { stage: string; done: number; of: number }) => {
          setMaking({ stage: p.stage, percent: Math.round((p.done / Math.max(1, p.of)) * 100) })
          return !stopped.current
        }),
      )
    } catch (e) {
      if (!stopped.current) say.failed(e)
      return undefined
    } finally {
      setMaking(undefined)
    }
  }

  /** Hands a package over, and says how it went. */
  const handOver = async (made: MadePackage, to: typeof send, done: string): Promise<void> => {
    try {
      await to(book.id, edition.id, profile, made.submission, made.zip)
      say.done(done)
    } catch (e) {
      say.failed(e)
    }
  }

  return {
    making,
    stop: (): void => {
      stopped.current = true
    },
    download: async (): Promise<void> => {
      const made = await make()
      if (made) saveAs(made.zip, made.submission.name, 'application/zip')
    },
    proof: async (): Promise<void> => {
      const made = await make()
      if (made) await handOver(made, orderProof, `A proof of ${made.submission.name} is ordered.`)
    },
    dispatch: async (): Promise<void> => {
      const made = await make()
      if (!made) return
      const go = (): Promise<void> => handOver(made, send, `${made.submission.name} is on its way to ${profile.name}.`)
      const approved = state.proofs.filter(p => p.approved !== undefined).map(p => p.submission)
      const faults = reviewReasons(made.submission, state.live?.submission, profile, approved)
      if (!faults.length) return go()
      modal.confirm({
        title: `${profile.name} would return this`,
        content: (
          <ul style={{ paddingLeft: 18, margin: 0 }}>
            {faults.slice(0, REASONS_READ).map(f => (
              <li key={f}>{f}</li>
            ))}
          </ul>
        ),
        okText: 'Send it all the same',
        cancelText: 'Mend it first',
        width: 520,
        onOk: go,
      })
    },
  }
}
