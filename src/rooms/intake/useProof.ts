'use client'
import { useEffect, useState } from 'react'
import type { Book } from '@/core/book'
import type { Leaves } from '@/core/chain'
import { Cancelled, type OutletProfile } from '@/core/trade'
import { openAtPress, press } from '@/workers/client'
import type { ProposedSection } from './understanding'

/** The page where a section begins. */
export interface Proof {
  leaves: Leaves
  version: number
  page: number
}

/** A manuscript as it would be set: the page where the section looked at begins, or where it runs on if it is struck. */
export function useProof(
  book: Book | undefined,
  outlets: readonly OutletProfile[] | undefined,
  pictures: Map<string, Uint8Array> | undefined,
  host: ProposedSection | undefined,
): { proof?: Proof; trouble?: string; stopped: boolean; again: () => void } {
  const [proof, setProof] = useState<Proof>()
  const [trouble, setTrouble] = useState<string>()
  const [stopped, setStopped] = useState(false)
  const section = host?.section.id
  useEffect(() => {
    if (!book || !outlets || !pictures || section === undefined || stopped) return
    let gone = false
    const work = async (): Promise<void> => {
      await openAtPress(book, outlets, pictures)
      const leaves = await press().leaves('intake', 'paperback')
      const page = (await press().pageOf('intake', 'paperback', section)) ?? 0
      if (gone) return
      setTrouble(undefined)
      setProof(s => ({ leaves, version: (s?.version ?? 0) + 1, page }))
    }
    work().catch((e: Error) => {
      if (gone) return
      if (e instanceof Cancelled) setStopped(true)
      else setTrouble(e.message)
    })
    return () => {
      gone = true
    }
  }, [book, outlets, pictures, section, stopped])
  return { ...(proof ? { proof } : {}), ...(trouble ? { trouble } : {}), stopped, again: () => setStopped(false) }
}
