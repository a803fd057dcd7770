'use client'
import { useState } from 'react'
import type { PagePlan } from '@/core/book'
import { isCommand, isTyping, useKeys } from '@/parts/useKeys'
import type { PlannedPage } from '@/workers/answers/hands'
import type { Hold, Reshape } from './holding'
import { type InHand, useHand } from './useHand'

/** Points that an arrow moves a piece; with Shift; what + and − size it by. */
const STEP = 1
const LEAP = 10
const GROWS = 1.05

const ARROWS: Record<string, [dx: number, dy: number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}

/** What of an open spread is taken hold of, by mouse or keys. */
export interface Holding {
  held: Hold | undefined
  inHand: InHand | undefined
  handOn: (hold: Hold) => InHand | undefined
  hold: (hold: Hold | undefined) => void
  reshape: Reshape
}

export function useHolding(bookId: string, plan: PagePlan, pages: PlannedPage[]): Holding {
  const [held, hold] = useState<Hold>()
  const handOn = useHand(bookId, plan, pages)
  const inHand = held && handOn(held)
  const reshape: Reshape = ({ index, piece }, was, now) => {
    const on = piece === undefined ? undefined : handOn({ index })
    if (!on || piece === undefined || on.isLocked(piece)) return
    const [dx, dy] = [now.x - was.x, now.y - was.y]
    const by = now.width / was.width
    const placed = on.placedAt(piece)?.piece
    const { room } = on.page
    if (placed)
      void on.changePlaced(piece, 'Move', p => ({
        x: p.x + dx / room.width,
        y: p.y + dy / room.height,
        // What is drawn may be smaller than its box: the box grows as what is drawn did.
        width: p.width * by,
        height: p.height * (now.height / was.height),
      }))
    else void on.change(piece, 'Move', p => ({ x: (p.x ?? 0) + dx, y: (p.y ?? 0) + dy, size: (p.size ?? 1) * by }))
  }
  useKeys(e => {
    if (held?.piece === undefined || !inHand || isTyping(e) || e.defaultPrevented) return
    const { index, piece } = held
    // Keys say how far and how much: a piece that was placed a moment ago need not be drawn yet.
    const was = { piece, x: 0, y: 0, width: 1, height: 1 }
    if (e.key === 'Escape') hold({ index })
    else if (isCommand(e) || inHand.isLocked(piece)) return
    else if (e.key === 'Delete' || e.key === 'Backspace') void inHand.remove(piece).then(() => hold({ index }))
    else if (ARROWS[e.key]) {
      const [dx, dy] = ARROWS[e.key]!
      const far = e.shiftKey ? LEAP : STEP
      reshape({ index, piece }, was, { ...was, x: dx * far, y: dy * far })
    } else if (e.key === '+' || e.key === '-' || e.key === '−') {
      const by = e.key === '+' ? GROWS : 1 / GROWS
      reshape({ index, piece }, was, { ...was, width: by, height: by })
    } else return
    e.preventDefault()
  }, true)
  return { held: inHand && held, inHand, handOn, hold, reshape }
}
