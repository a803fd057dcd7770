'use client'
import { useSearchParams } from 'next/navigation'
import { useCallback, useEffect, useMemo, useState } from 'react'
import type { Leaves } from '@/core/chain'
import { usePress } from '@/parts/usePress'
import { useSay } from '@/parts/useSay'
import type { Match } from './Find'
import { spreadOf } from './Strip'

/** Which pages are open, as the address asks and the author turns them. */
export interface OpenPage {
  /** Index of the page at the left; −1 where the first page stands alone on the right. */
  left: number
  last: number
  /** Opens a spread, or a page where they are shown alone. */
  go: (to: number) => void
  choose: (to: number) => void
  /** The word that the address asks for. */
  mark: Match | undefined
}

export function useOpenPage(
  leaves: Leaves | undefined,
  { bookId, editionId, single }: { bookId: string; editionId: string | undefined; single: boolean },
): OpenPage {
  const params = useSearchParams()
  const say = useSay()
  const asked = params.get('page')
  // A place of the text that was asked for: its page is shown, its word marked.
  const [section, block, chars] = [params.get('section'), params.get('block'), Number(params.get('chars')) || 0]
  const [chosen, setChosen] = useState<number>()
  const [mark, setMark] = useState<Match>()
  // The first view is an opening that faces a full page of text: it shows the most of a style.
  const first = useMemo(() => (leaves ? firstView(leaves) : -1), [leaves])
  const pages = leaves?.pages.length ?? 0
  const last = leaves ? (single ? pages - 1 : spreadOf(pages - 1)) : -1
  const go = useCallback((to: number) => setChosen(Math.max(-1, Math.min(last, to))), [last])
  const { answer: place, trouble } = usePress(
    async press =>
      leaves && editionId && section && block
        ? press.wordInPages(bookId, editionId, { section, block, chars })
        : undefined,
    [leaves, editionId, bookId, section, block, chars],
  )
  useEffect(() => {
    if (!place) return
    setChosen(c => c ?? spreadOf(place.page))
    setMark(place)
  }, [place])
  useEffect(() => {
    if (trouble) say.failed(trouble)
  }, [trouble, say])
  const from = asked && /^\d+$/.test(asked) ? spreadOf(Number(asked)) : first
  return { left: Math.min(chosen ?? from, last), last, go, choose: setChosen, mark }
}

function firstView({ pages }: Leaves): number {
  const body = Math.max(
    0,
    pages.findIndex(p => p.label === '1'),
  )
  const full = 0.6 * Math.max(...pages.map(p => p.runs))
  const facing = pages.findIndex((p, i) => i > body && i % 2 === 0 && p.opens && pages[i - 1]!.runs >= full)
  return spreadOf(facing > 0 ? facing : body)
}
