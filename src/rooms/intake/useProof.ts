'use client'
import { useEffect, useState } from 'react'
import type { Book } from '@/core/book'
import type { Leaves } from '@/core/chain'
import { Cancelled, type OutletProfile } from '@/core/trade'
import { closeAtPress, openAtPress, press } from '@/workers/client'

/** The page where what is looked at begins. */
export interface Proof {
  bookId: string
  editionId: string
  leaves: Leaves
  version: number
  page: number
}

/** What is shown: where a section begins, or one block of it. */
export interface ProofPlace {
  section: string
  block?: string
}

/** A manuscript as it would be set: the page of a place. The press forgets it when it is no longer looked at. */
export function useProof(
  book: Book | undefined,
  outlets: readonly OutletProfile[] | undefined,
  pictures: Map<string, Uint8Array> | undefined,
  place: ProofPlace | undefined,
): { proof?: Proof; trouble?: string; stopped: boolean; again: () => void } {
  const [proof, setProof] = useState<Proof>()
  const [trouble, setTrouble] = useState<string>()
  const [stopped, setStopped] = useState(false)
  const { section, block } = place ?? {}
  const bookId = book?.id
  const editionId = book?.editions.find(e => e.kind !== 'ebook')?.id
  useEffect(() => {
    if (!book || !outlets || section === undefined || !editionId || stopped) return
    let gone = false
    const work = async (): Promise<void> => {
      await openAtPress(book, outlets, pictures)
      const leaves = await press().leaves(book.id, editionId)
      const page =
        (await press().pageOf(book.id, editionId, section, block)) ??
        (await press().pageOf(book.id, editionId, section)) ??
        0
      if (gone) return
      setTrouble(undefined)
      setProof(s => ({ bookId: book.id, editionId, leaves, version: (s?.version ?? 0) + 1, page }))
    }
    work().catch((e: Error) => {
      if (gone) return
      if (e instanceof Cancelled) setStopped(true)
      else setTrouble(e.message)
    })
    return () => {
      gone = true
    }
  }, [book, outlets, pictures, section, block, editionId, stopped])
  useEffect(() => {
    // A press that has ended has forgotten it already.
    if (bookId) return () => void closeAtPress(bookId).catch(() => undefined)
  }, [bookId])
  return { ...(proof ? { proof } : {}), ...(trouble ? { trouble } : {}), stopped, again: () => setStopped(false) }
}
