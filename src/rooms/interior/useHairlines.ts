'use client'
import { type RefObject, useLayoutEffect, useState } from 'react'
import { usePress } from '@/parts/usePress'
import { notes } from './notes'

/** Hairlines end so far before what they rule, pixels. */
const CLEAR = 3

/** The hairlines from each margin note to the very thing that it rules on the open spread, as paths over the specimen; none where the spread has no such thing. */
export function useHairlines({
  bookId,
  editionId,
  version,
  left,
  scale,
  room,
  stage,
  hidden,
}: {
  bookId: string
  editionId: string
  /** Of the pages. */
  version: number
  /** The left page of the spread. */
  left: number
  /** Pixels a point. */
  scale: number
  /** Of the stage: where it is another, things stand elsewhere. */
  room: { width: number; height: number }
  stage: RefObject<HTMLDivElement | null>
  hidden: boolean
}): string[] {
  const [lines, setLines] = useState<string[]>([])
  const { answer: ruled } = usePress(
    async press => press.ruled(bookId, editionId, [left, left + 1]),
    [bookId, editionId, left],
    { anew: [version] },
  )
  // Hairlines from each note to what it rules; they are measured after the notes have found their places.
  useLayoutEffect(() => {
    const box = stage.current?.parentElement
    const spread = stage.current?.querySelector('.spread')
    if (!box || !spread || hidden) return setLines([])
    const b = box.getBoundingClientRect()
    const s = spread.getBoundingClientRect()
    setLines(
      notes.flatMap((n, i) => {
        const note = box.querySelector(`#note-${n.id}`)?.getBoundingClientRect()
        // From its margin a note sees the page that is next to it.
        const page = n.side === 'left' ? 0 : 1
        const end = ruled?.[page]?.[n.id]
        if (!note || !end) return []
        const fromX = (n.side === 'left' ? note.right + 4 : note.left - 4) - b.left
        const fromY = note.top + 11 - b.top
        const gap = n.side === 'left' ? -CLEAR : CLEAR
        const toX = s.left - b.left + page * (s.width / 2) + end.x * scale + gap
        const toY = s.top - b.top + end.y * scale
        // Each goes down a way of its own.
        const way = 9 + (i % 3) * 6
        const bend = n.side === 'left' ? s.left - b.left - way : s.right - b.left + way
        return [`M${fromX} ${fromY}H${bend}V${toY}H${toX}`]
      }),
    )
  }, [stage, scale, room, hidden, ruled, left])
  return lines
}
