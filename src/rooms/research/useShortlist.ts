'use client'
import Papa from 'papaparse'
import { useMemo } from 'react'
import type { KeptPhrase, PhrasePlace } from '@/core/book'
import { type PhraseFigures, roomOf } from '@/core/market'
import type { BookRecord } from '@/data/records'
import { saveAs } from '@/parts/saveAs'
import { useCommit } from '@/parts/useCommit'

/** A book's shortlist of phrases, and what can be done with it. `market`: where phrases that are kept come from. */
export function useShortlist(book: BookRecord | undefined, market: string) {
  const commit = useCommit(book?.id ?? '')
  const kept = useMemo(() => book?.words ?? [], [book])
  const keptSet = useMemo(() => new Set(kept.map(k => k.phrase)), [kept])
  const change = (label: string, words: (w: KeptPhrase[]) => KeptPhrase[]): void =>
    void (book && commit(label, r => ({ words: words(r.words ?? []) })))
  return {
    kept,
    keptSet,
    /** Keeps a phrase, or lets go of it. */
    keep: (p: PhraseFigures): void =>
      keptSet.has(p.phrase)
        ? change(`Let go of “${p.phrase}”`, w => w.filter(k => k.phrase !== p.phrase))
        : change(`Keep “${p.phrase}”`, w => [
            ...w,
            { phrase: p.phrase, market, searches: p.searches, demand: p.demand, crowding: p.crowding },
          ]),
    place: (phrase: string, to: PhrasePlace | undefined): void =>
      change(to ? `“${phrase}”: ${to}` : `“${phrase}” without a place`, w =>
        w.map(k => (k.phrase === phrase ? { ...k, place: to } : k)),
      ),
    note: (phrase: string, text: string): void =>
      change(`Note on “${phrase}”`, w => w.map(k => (k.phrase === phrase ? { ...k, note: text || undefined } : k))),
    /** The shortlist as a file. */
    save: (): void =>
      saveAs(
        Papa.unparse(
          kept.map(k => ({
            phrase: k.phrase,
            market: k.market,
            searches: k.searches,
            demand: k.demand,
            crowding: k.crowding,
            room: Math.round(roomOf(k.demand, k.crowding)),
            place: k.place ?? '',
            note: k.note ?? '',
          })),
        ),
        `${book?.id ?? 'shortlist'}-phrases.csv`,
        'text/csv',
      ),
  }
}

/** A kept phrase with the figures that a list shows. */
export const figuresOf = (k: KeptPhrase): PhraseFigures => ({
  phrase: k.phrase,
  niche: '',
  searches: k.searches,
  buyShare: k.searches ? k.demand / k.searches : 0,
  demand: k.demand,
  crowding: k.crowding,
  room: Math.round(roomOf(k.demand, k.crowding)),
  price: 0,
})
