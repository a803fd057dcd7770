'use client'
import { Input } from 'antd'
import { useEffect, useState } from 'react'
import type { PageBox } from '@/core/pages'
import { useLatest } from '@/parts/useLatest'
import { usePress } from '@/parts/usePress'

/** How long typing rests before the pages are searched, milliseconds. */
const WAIT = 180
const NONE: Match[] = []

/** A match: its page and its boxes there. */
export interface Match {
  page: number
  boxes: PageBox[]
}

/** Finds a text in the pages as they are set; Enter goes to the next place, with Shift to the one before. */
export function Find({
  bookId,
  editionId,
  version,
  from,
  onGo,
  onFound,
}: {
  bookId: string
  editionId: string
  version: number
  /** The page that is looked at: the next match from there is gone to first. */ from: number
  onGo: (page: number) => void
  onFound: (m: Match[]) => void
}) {
  const [text, setText] = useState('')
  const [at, setAt] = useState(0)
  const { answer, trouble } = usePress<Match[]>(
    async press => (text.trim() ? press.find(bookId, editionId, text) : undefined),
    [bookId, editionId, text],
    { anew: [version], after: WAIT },
  )
  // Where the pages could not be searched, the matches of another word are none of this one's.
  const found = (trouble ? undefined : answer) ?? NONE
  // A new list begins with the match nearest behind what is looked at.
  const begin = useLatest((list: Match[]) => {
    const next = list.findIndex(m => m.page >= from)
    setAt(Math.max(0, next))
  })
  useEffect(() => begin(found), [begin, found])
  const show = useLatest((list: Match[], i: number) => {
    onFound(list)
    const match = list[i]
    if (match) onGo(match.page)
  })
  useEffect(() => show(found, at), [show, found, at])
  return (
    <span className="find">
      <Input
        size="small"
        type="search"
        value={text}
        placeholder="find in the pages"
        aria-label="Find in the pages"
        onChange={e => setText(e.target.value)}
        onKeyDown={e => {
          if (e.key === 'Enter' && found.length) setAt(a => (a + (e.shiftKey ? found.length - 1 : 1)) % found.length)
          if (e.key === 'Escape') setText('')
        }}
      />
      <span role="status">
        {text.trim() ? (found.length ? `${at + 1} of ${found.length}` : (trouble ?? 'nowhere')) : ''}
      </span>
    </span>
  )
}
