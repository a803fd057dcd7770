'use client'
import { useEffect, useLayoutEffect, useState } from 'react'
import type { Asset, OwnFamily } from '@/core/book'
import type { Leaves } from '@/core/chain'
import { inUnit } from '@/core/trade'
import { shippedFamilies } from '@/core/type'
import { showLength } from '@/parts/lengths'
import { useLatest } from '@/parts/useLatest'
import { MarginNotes } from './MarginNotes'
import { SpecimenPage, type SpreadView } from './SpecimenPage'
import { useHairlines } from './useHairlines'
import { useStage } from './useStage'
import { Wishes } from './Wishes'
import { partInView, scaleOf } from './zoom'

interface SpecimenProps extends Omit<SpreadView, 'scale'> {
  assets: Asset[]
  fonts: OwnFamily[]
  left: number
  single: boolean
  zoom: number
  onZoom: (by: 1 | -1) => void
  /** Says the scale at which the spread fits. */
  onFit: (scale: number) => void
  /** Pages looked at, and their pixels a point; 0 where they are seen in part. */
  onLook: (looked: { pages: number[]; scale: number } | undefined) => void
  onChange: (path: string, value: number | boolean | string) => void
  onGo: (page: number) => void
}

/** The open spread with the style as notes in its margins, joined by hairlines to what they rule. */
export function Specimen(props: SpecimenProps) {
  const { bookId, edition, leaves, version, left, single, hasText, zoom, fonts, assets, onChange } = props
  const [fit, setFit] = useState(0)
  const scale = scaleOf(zoom, fit)
  const origin = { x: leaves.outside, y: leaves.block.y }
  const { stage, room, view, onScroll } = useStage(scale, zoom > 0, origin, props.onZoom)
  const fits = room.width
    ? Math.min((room.width - 40) / ((single ? 1 : 2) * leaves.width), (room.height - 16) / leaves.height)
    : 0
  const said = useLatest(props.onFit)
  useLayoutEffect(() => {
    if (!fits) return
    setFit(fits)
    said(fits)
  }, [fits, said])
  const editionId = edition.id
  const lines = useHairlines({ bookId, editionId, version, left, scale, room, stage, hidden: zoom > 0 || single })
  const shownPages = single ? [Math.max(0, left)] : [left, left + 1]
  const ratio = Math.min(3, devicePixelRatio || 1)
  const parts = shownPages.map((_, i) =>
    partInView(leaves, scale, ratio, { ...view, x: view.x - i * leaves.width * scale }),
  )
  const whole = parts.every(p => p && p.width === leaves.width && p.height === leaves.height)
  const look = useLatest(() => props.onLook(whole && scale ? { pages: shownPages, scale: scale * ratio } : undefined))
  useEffect(() => look(), [look, left, single, scale, whole])
  const noted = { bookId, editionId, leaves, assets, fonts, onChange }
  return (
    <div className="specimen">
      <MarginNotes side="left" of={noted}>
        <InsideAsked leaves={leaves} />
      </MarginNotes>
      <div
        className={zoom ? 'stage zoomed' : 'stage'}
        ref={stage}
        onScroll={onScroll}
        tabIndex={zoom ? 0 : -1}
        role={zoom ? 'region' : undefined}
        aria-label={zoom ? 'The open spread, enlarged' : undefined}
      >
        {scale > 0 && (
          <div className="spread">
            {shownPages.map((p, i) => (
              <SpecimenPage key={p - left} of={{ ...props, scale }} index={p} part={parts[i]} />
            ))}
          </div>
        )}
      </div>
      <MarginNotes side="right" of={noted}>
        {hasText && <Wishes leaves={leaves} family={familyOf(leaves, fonts)} onGo={props.onGo} />}
      </MarginNotes>
      <Hairlines lines={lines} />
    </div>
  )
}

function InsideAsked({ leaves: { pages, insideAsked, block, style } }: { leaves: Leaves }) {
  const wider = inUnit(block.x, 'in') > style.margins.inside + 0.001
  return (
    <p className="aside">
      {pages.length} pages ask for {showLength(insideAsked, 2)} inside
      {wider ? `; they have ${showLength(block.x, 2)}` : ''}.
    </p>
  )
}

const familyOf = ({ style }: Leaves, fonts: OwnFamily[]): string =>
  shippedFamilies[style.text.family]?.name ?? fonts.find(f => f.id === style.text.family)?.name ?? 'This typeface'

/** From each note to what it rules on this spread. */
function Hairlines({ lines }: { lines: string[] }) {
  return (
    <svg className="hairlines" aria-hidden>
      <marker id="hairline-end" markerWidth="6" markerHeight="6" refX="3" refY="3">
        <circle cx="3" cy="3" r="2.4" />
      </marker>
      {lines.map(d => (
        <path key={d} d={d} />
      ))}
    </svg>
  )
}
