'use client'
import { useState } from 'react'
import type { Book, Round } from '@/core/book'
import { allOutlets } from '@/data/outlets'
import { type CameBack, takeCopy, takeReturn } from '@/data/rounds'
import { Fault } from '@/core/trade'
import { useSay } from '@/parts/useSay'
import { press } from '@/workers/client'

/** A file that does not say on which round it went out. */
export interface Asking {
  file: File
  rounds: readonly Round[]
}

/** Takes in what others sent back. */
export interface TakingIn {
  busy: boolean
  /** What came last, to be said. */
  came: (CameBack & { by: string }) | undefined
  /** Which round is it of? */
  asking: Asking | undefined
  take: (file: File) => void
  /** The round that was asked for; none, where it is not to be taken in after all. */
  answer: (round: Round | undefined) => void
}

export function useTakeIn(book: Book, flush: () => Promise<void>, onCame: (id: string) => void): TakingIn {
  const [busy, setBusy] = useState(false)
  const [came, setCame] = useState<TakingIn['came']>()
  const [asking, setAsking] = useState<Asking>()
  const say = useSay()
  const work = (make: () => Promise<(CameBack & { by: string }) | undefined>): void => {
    setBusy(true)
    setCame(undefined)
    void flush()
      .then(make)
      .then(
        result => {
          if (!result) return
          setCame(result)
          onCame(result.id)
        },
        (e: Error) => say.failed(e),
      )
      .finally(() => setBusy(false))
  }
  const document = async (file: File, round: Round): Promise<CameBack & { by: string }> => {
    const bytes = new Uint8Array(await file.arrayBuffer())
    const by = round.to
    const result = await takeReturn(book.id, round, by, (sent, lastId) =>
      press().readReturned(bytes, { sent, at: round.at, lastId }),
    )
    return { ...result, by }
  }
  const copy = async (file: File): Promise<CameBack & { by: string }> => {
    const read = await press().readFile(file, await allOutlets())
    const { review } = read.book
    if (!review) throw new Fault('no-copy', `“${file.name}” is a book of its own: bring it in on the porch.`)
    const round = book.rounds?.find(r => r.id === review.round)
    if (review.of !== (book.uid ?? book.id) || !round)
      throw new Fault(
        'other-book',
        `“${file.name}” is a copy of another book, “${read.book.data.title}”: nothing was taken in.`,
      )
    return { ...(await takeCopy(book.id, round, read)), by: review.by || round.to }
  }
  const take = (file: File): void =>
    work(async () => {
      if (!/\.docx$/i.test(file.name)) return copy(file)
      const slip = await press().slipIn(new Uint8Array(await file.arrayBuffer()))
      if (slip && slip.book !== (book.uid ?? book.id))
        throw new Fault('other-book', `“${file.name}” went out from another book: nothing was taken in.`)
      const rounds = (book.rounds ?? []).filter(r => r.form === 'docx')
      const own = rounds.find(r => r.id === slip?.round)
      if (own) return document(file, own)
      if (!rounds.length)
        throw new Fault(
          'no-round',
          `“${file.name}” is none that went out from here. A new manuscript is brought in on the porch.`,
        )
      setAsking({ file, rounds })
      return undefined
    })
  const answer = (round: Round | undefined): void => {
    const file = asking?.file
    setAsking(undefined)
    if (file && round) work(() => document(file, round))
  }
  return { busy, came, asking, take, answer }
}
