'use client'
import { Input } from 'antd'
import { useEffect, useRef, useState } from 'react'
import type { PageBox } from '@/core/pages'
import { press } from '@/workers/client'

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
  onFound: (m: Match[], at: number) => void
}) {
  const [text, setText] = useState('')
  const [found, setFound] = useState<Match[]>([])
  const [at, setAt] = useState(0)
  const [trouble, setTrouble] = useState<string>()
  const asked = useRef(0)
  useEffect(() => {
    const turn = ++asked.current
    const wait = setTimeout(() => {
      if (!text.trim()) return setFound([])
      press()
        .find(bookId, editionId, text)
        .then(
          m =>
            turn === asked.current &&
            (setFound(m),
            setTrouble(undefined),
            setAt(
              Math.max(
                0,
                m.findIndex(x => x.page >= from),
              ),
            )),
          (e: Error) => turn === asked.current && (setFound([]), setTrouble(e.message)),
        )
    }, 180)
    return () => clearTimeout(wait)
  }, [bookId, editionId, text, version])
  useEffect(() => onFound(found, at), [found, at])
  useEffect(() => {
    const m = found[at]
    if (m) onGo(m.page)
  }, [found, at])
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
