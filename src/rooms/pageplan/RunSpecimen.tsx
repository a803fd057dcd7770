'use client'
import { Button } from 'antd'
import dynamic from 'next/dynamic'
import { type ReactNode, useLayoutEffect, useRef, useState } from 'react'
import type { Band } from '@/core/activity'
import type { Asset, Edition, PagePlan, Run } from '@/core/book'
import type { Leaves } from '@/core/chain'
import type { PageBox } from '@/core/pages'
import { isTyping, useKeys } from '@/parts/useKeys'
import { usePress } from '@/parts/usePress'
import type { useEarlyLook } from '@/parts/useEarlyLook'
import { useSize } from '@/parts/useSize'
import type { PlannedPage } from '@/workers/answers/hands'
import { BandSpreads, useSeen } from './Flatplan'
import type { Hold } from './hand/holding'
import { PageSentence } from './hand/PageSentence'
import { useHolding } from './hand/useHolding'
import { usePlannedPages } from './hand/usePlannedPages'
import { PlanSpread } from './PlanSpread'

/** What takes hold of pieces draws them; it is loaded when a spread is opened. */
const PieceStage = dynamic(() => import('./hand/PieceStage').then(m => m.PieceStage), { ssr: false })

/** Hairlines end so far before what they rule, and bend so far beside the spread, pixels. */
const CLEAR = 3
const BEND = 12

interface SpecimenOf {
  bookId: string
  edition: Edition
  plan: PagePlan
  assets: Asset[]
  readOnly: boolean
  leaves: Leaves
  version: number
  run: Run
  band: Band | undefined
  /** The left page of the open spread, −1 before the first. */
  left: number
  look: ReturnType<typeof useEarlyLook>
  onTurn: (left: number) => void
  onClose: () => void
  /** What the run is, in sentences; with the pages of it that are open, and how one is taken hold of. */
  children: (open: PlannedPage | undefined, hold: (hold: Hold) => void) => ReactNode
}

/** A band that is opened: one of its spreads in the middle, true to the press, the run said beside it, all its spreads below. */
export function RunSpecimen(props: SpecimenOf) {
  'use memo'
  const { bookId, edition, plan, assets, readOnly, leaves, version, run, band, left, look, onTurn, onClose, children } =
    props
  const [box, room] = useSize<HTMLDivElement>()
  const [watch, seen] = useSeen()
  const stage = useRef<HTMLDivElement>(null)
  useKeys(e => {
    if (isTyping(e) || e.defaultPrevented) return
    if (e.key === 'Escape') onClose()
  })
  const pages = usePlannedPages(bookId, edition.id, { left, version })
  const { held, inHand, handOn, hold, reshape } = useHolding(bookId, plan, pages)
  const piece = inHand?.page.pieces.find(p => p.piece === held?.piece)
  const heldBox = piece && inHand && { on: piece, right: inHand.page.index === left + 1 }
  const line = useHairline({
    held: heldBox,
    bookId,
    editionId: edition.id,
    version,
    run,
    left,
    room,
    width: leaves.width,
    stage,
  })
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
            look={look}
            onTurn={onTurn}
            over={scale =>
              !readOnly && (
                <PieceStage
                  pages={pages}
                  left={left}
                  page={leaves}
                  scale={scale}
                  held={held}
                  isFree={h => h.piece !== undefined && !handOn(h)?.isLocked(h.piece)}
                  isPlaced={h => h.piece !== undefined && !!handOn(h)?.placedAt(h.piece)}
                  onHold={hold}
                  onReshape={reshape}
                />
              )
            }
          />
        </div>
        <div className="sentences">
          <Button size="small" type="text" className="all" onClick={onClose}>
            ← All pages
          </Button>
          {held && inHand ? (
            <PageSentence bookId={bookId} assets={assets} inHand={inHand} held={held} onHold={hold} />
          ) : (
            children(
              pages.find(p => p.run === run.id),
              to => {
                hold(to)
                if (to.index !== left && to.index !== left + 1) onTurn(to.index - ((to.index + 1) % 2))
              },
            )
          )}
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
  held,
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
  /** What is taken hold of, in place of the run's own. */
  held: { on: PageBox; right: boolean } | undefined
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
    const target = held ?? answer
    if (!frame || !spread || !head || !target) return setLine(undefined)
    const scale = spread.width / (2 * width)
    const { on, right } = target
    const toX = spread.left - frame.left + (right ? spread.width / 2 : 0) + (on.x + on.width) * scale + CLEAR
    const toY = spread.top - frame.top + (on.y + on.height / 3) * scale
    const fromY = head.top + head.height / 2 - frame.top
    setLine(`M${head.left - frame.left - 5} ${fromY}H${spread.right - frame.left + BEND}V${toY}H${toX}`)
  }, [stage, answer, held, room, width])
  return line
}
