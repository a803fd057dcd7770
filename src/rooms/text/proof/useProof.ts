'use client'
import { useMemo, useState } from 'react'
import type { Book, KeptProof } from '@/core/book'
import {
  dictionaryOf,
  type Doubt,
  everywhereKey,
  type KeptDictionary,
  placeKey,
  type Told,
  withRemedies,
} from '@/core/proof'
import { tellForAll, tellOfBook } from '@/data/proof'
import { useSay } from '@/parts/useSay'
import type { SectionActs } from '../useSectionActs'
import { NOTHING_TOLD, type Read, useReading } from './useReading'

/** Where something is left as it is, or a word is right. */
export type Where = 'here' | 'book' | 'all'

/** The reading of a book for doubts, and what is done with them. */
export interface Proofing extends Pick<Read, 'doubts' | 'learnt' | 'reading' | 'trouble' | 'meant'> {
  /** What was told of this book, and of all books in its language. */
  told: { book: KeptProof; all: KeptProof }
  /** In what words are looked up: the author's own, or why none ships; absent where they are not looked up. */
  dictionary: { own: KeptDictionary | undefined; lacking: string | undefined } | undefined
  /** The doubt that is looked at. */
  at: number
  now: Doubt | undefined
  step: (to: number) => void
  /** Other words where a doubt stands, or wherever the same is doubted. Resolves whether any stand. */
  mend: (doubt: Doubt, words: string, everywhere?: boolean) => Promise<boolean>
  leave: (doubt: Doubt, where: Where) => void
  untell: (what: Told, where: 'book' | 'all') => void
}

/** `only`: the section whose doubts are looked at; the whole book's where it is undefined. */
export function useProof(
  book: Book,
  only: string | undefined,
  { on, acts }: { on: boolean; acts: SectionActs },
): Proofing {
  const say = useSay()
  const read = useReading(book, on)
  const [at, setAt] = useState(0)
  const { language } = book.data
  const doubts = useMemo(
    () => (only === undefined ? read.doubts : read.doubts.filter(d => d.section === only)),
    [read.doubts, only],
  )
  const place = Math.min(at, Math.max(0, doubts.length - 1))
  const tell = (what: Told, where: 'book' | 'all', stands = true): void => {
    const told =
      where === 'book' ? tellOfBook(book.id, what, stands) : tellForAll(language, what, stands).then(read.toldAll)
    void told.catch(say.failed)
  }
  const found = dictionaryOf(language)
  return {
    doubts,
    learnt: read.learnt,
    told: { book: book.proof ?? NOTHING_TOLD, all: read.all },
    reading: read.reading,
    trouble: read.trouble,
    meant: read.meant,
    dictionary: read.kinds.includes('spelling')
      ? { own: read.own, lacking: 'why' in found ? found.why : undefined }
      : undefined,
    at: place,
    now: doubts[place],
    step: to => setAt(doubts.length ? ((to % doubts.length) + doubts.length) % doubts.length : 0),
    async mend(doubt, words, everywhere = false) {
      const key = everywhereKey(doubt)
      const meant = everywhere && key ? doubts.filter(d => everywhereKey(d) === key && d.was === doubt.was) : [doubt]
      let changed = 0
      const stands = await acts.operate(`Mend “${doubt.was.trim() || 'a space'}”`, b => {
        const made = withRemedies(
          b,
          meant.map(d => ({ doubt: d, words })),
        )
        changed = made.changed
        return made.book
      })
      if (stands && !changed) say.warn('The text says something else there by now; it is read again.')
      return stands && changed > 0
    },
    leave(doubt, where) {
      if (where === 'here') return tell({ left: placeKey(doubt) }, 'book')
      if (doubt.kind === 'spelling') return tell({ word: doubt.was.replaceAll('’', "'") }, where)
      const key = everywhereKey(doubt)
      if (key) tell({ left: key }, where)
    },
    untell: (what, where) => tell(what, where, false),
  }
}
