'use client'
import { Button } from 'antd'
import { type ReactNode, useLayoutEffect, useRef, useState } from 'react'
import type { Band } from '@/core/activity'
import type { Edition, Run } from '@/core/book'
import type { Leaves } from '@/core/chain'
import { isTyping, useKeys } from '@/parts/useKeys'
import { usePress } from '@/parts/usePress'
import { useSize } from '@/parts/useSize'
import { BandSpreads, useSeen } from './Flatplan'
import { PlanSpread } from './PlanSpread'

/** Hairlines end so far before what they rule, and bend so far beside the spread, pixels. */
const CLEAR = 3
const BEND = 12

interface SpecimenOf {
  bookId: string
  edition: Edition
  leaves: Leaves
  version: number
  run: Run
  band: Band | undefined
  /** The left page of the open spread, −1 before the first. */
  left: number
  onTurn: (left: number) => void
  onClose: () => void
  /** What the run is, in sentences. */
  children: ReactNode
}

/** A band that is opened: one of its spreads in the middle, true to the press, the run said beside it, all its spreads below. */
export function RunSpecimen(props: SpecimenOf) {
  const { bookId, edition, leaves, version, run, band, left, onTurn, onClose, children } = props
  const [box, room] = useSize<HTMLDivElement>()
  const [watch, seen] = useSeen()
  const stage = useRef<HTMLDivElement>(null)
  useKeys(e => {
    if (isTyping(e) || e.defaultPrevented) return
    if (e.key === 'Escape') onClose()
  })
  const line = useHairline({ bookId, editionId: edition.id, version, run, left, room, width: leaves.width, stage })
  return (
    <div className="run-specimen">
      <div className="stage" ref={stage}>
        <div className="middle" ref={box}>
          <PlanSpread
            bookId={bookId}
            edition={edition}
            leaves={leaves}
            version={version}
            left={left}
            room={room}
            onTurn={onTurn}
          />
        </div>
        <div className="sentences">
          <Button size="small" type="text" className="all" onClick={onClose}>
            ← All pages
          </Button>
          {children}
        </div>
        {line && (
          <svg className="hairlines" aria-hidden>
            <path d={line} />
          </svg>
        )}
      </div>
      {band && (
        <div className="row" ref={watch} role="group" aria-label="Spreads of the run">
          <BandSpreads
            band={band}
            seen={seen}
            left={left}
            bookId={bookId}
            editionId={edition.id}
            leaves={leaves}
            version={version}
            onOpen={(_band, to) => onTurn(to)}
          />
        </div>
      )}
    </div>
  )
}

/** The hairline from what a run is to what stands of it on the open spread, as a path over the stage; none where nothing does. */
function useHairline({
  bookId,
  editionId,
  version,
  run,
  left,
  room,
  width,
  stage,
}: {
  bookId: string
  editionId: string
  version: number
  run: Run
  left: number
  room: { width: number; height: number }
  /** Of a page, points. */
  width: number
  stage: React.RefObject<HTMLDivElement | null>
}): string | undefined {
  const [line, setLine] = useState<string>()
  const { answer } = usePress(
    async press => {
      for (const page of [left + 1, left]) {
        const on = page >= 0 ? await press.boxOn(bookId, editionId, page, `run:${run.id}`, 'page') : undefined
        if (on) return { on, right: page === left + 1 }
      }
      return undefined
    },
    [bookId, editionId, left, run.id],
    { anew: [version] },
  )
  useLayoutEffect(() => {
    const frame = stage.current?.getBoundingClientRect()
    const spread = stage.current?.querySelector('.spread')?.getBoundingClientRect()
    const head = stage.current?.querySelector('.sentences .note h2')?.getBoundingClientRect()
    if (!frame || !spread || !head || !answer) return setLine(undefined)
    const scale = spread.width / (2 * width)
    const { on, right } = answer
    const toX = spread.left - frame.left + (right ? spread.width / 2 : 0) + (on.x + on.width) * scale + CLEAR
    const toY = spread.top - frame.top + (on.y + on.height / 3) * scale
    const fromY = head.top + head.height / 2 - frame.top
    setLine(`M${head.left - frame.left - 5} ${fromY}H${spread.right - frame.left + BEND}V${toY}H${toX}`)
  }, [stage, answer, room, width])
  return line
}
