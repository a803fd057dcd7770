'use client'
import { useSyncExternalStore } from 'react'
import { Sill } from '@/parts/Sill'
import type { Looks } from './looks'
import { nextFor, pairsWith } from './next'
import type { Entry } from './useEntries'

/** All books in figures, and what needs the author first. */
export function PorchSill({ entries, looks }: { entries: Entry[] | undefined; looks: Looks }) {
  const state = useSyncExternalStore(looks.onAny, looks.now, looks.now)
  const sum = sumOf(entries ?? [], looks)
  const figures = [
    { name: 'Books', value: String(entries?.length) },
    { name: 'Words', value: sum.words.toLocaleString('en') },
    { name: 'Pages in print', value: String(sum.pages) },
  ]
  const stopped = (
    <>
      The press was stopped.{' '}
      <button type="button" onClick={() => looks.goOn()}>
        Look at all books
      </button>
    </>
  )
  const inOrder = entries?.length && sum.known === entries.length ? 'Nothing is asked of you' : undefined
  return <Sill figures={entries ? figures : []} asks={state.stopped ? stopped : (sum.asks ?? inOrder)} />
}

function sumOf(entries: Entry[], looks: Looks): { known: number; words: number; pages: number; asks?: string } {
  let [known, words, pages] = [0, 0, 0]
  let first: { after: number; words: string } | undefined
  for (const e of entries) {
    const look = looks.of(e.id)
    const { outlook } = look
    if (!outlook || look.bad) continue
    known++
    words += outlook.words
    for (const x of outlook.editions) pages += x.pages ?? 0
    const need = nextFor(e, pairsWith(e, look), outlook)
    if (need && (!first || need.after < first.after)) first = { after: need.after, words: `${e.title}: ${need.words}` }
  }
  return { known, words, pages, ...(first ? { asks: first.words } : {}) }
}
