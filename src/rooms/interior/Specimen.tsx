'use client'
import { useEffect, useLayoutEffect, useState } from 'react'
import type { Asset, Edition, OwnFamily } from '@/core/book'
import { inUnit } from '@/core/trade'
import { shippedFamilies } from '@/core/type'
import { showLength } from '@/parts/lengths'
import { useLatest } from '@/parts/useLatest'
import { PageCanvas } from '@/parts/PageCanvas'
import type { Leaves } from '@/core/chain'
import { Exception } from './Exception'
import type { Match } from './Find'
import { MarginNote } from './MarginNote'
import { notes } from './notes'
import { type Overlay, PageViews } from './PageViews'
import { useHairlines } from './useHairlines'
import { useStage } from './useStage'
import { Wishes } from './Wishes'
import { partInView, scaleOf } from './zoom'

/** The open spread with the style as notes in its margins, joined by hairlines to what they rule. */
export function Specimen({
  bookId,
  editionId,
  assets,
  fonts,
  leaves,
  version,
  left,
  shown,
  single,
  found,
  edition,
  hasText,
  zoom,
  early,
  onZoom,
  onFit,
  onLook,
  onChange,
  onPlace,
  onGo,
}: {
  edition: Edition
  assets: Asset[]
  fonts: OwnFamily[]
  hasText: boolean
  bookId: string
  editionId: string
  leaves: Leaves
  version: number
  left: number
  shown: ReadonlySet<Overlay>
  single: boolean
  found: Match[]
  zoom: number
  onZoom: (by: 1 | -1) => void
  /** Says the scale at which the spread fits. */ onFit: (scale: number) => void
  /** Pages in a changed style, while the book is being set in it. */ early: Map<number, ImageBitmap> | undefined
  /** Pages looked at, and their pixels a point; 0 where they are seen in part. */ onLook: (
    pages: number[],
    scale: number,
  ) => void
  onChange: (path: string, value: number | boolean | string) => void
  onPlace: (page: number, x: number, y: number) => void
  onGo: (page: number) => void
}) {
  const [fit, setFit] = useState(0)
  const scale = scaleOf(zoom, fit)
  const { stage, room, view, onScroll } = useStage(scale, zoom > 0, { x: leaves.outside, y: leaves.block.y }, onZoom)
  const fits = room.width
    ? Math.min((room.width - 40) / ((single ? 1 : 2) * leaves.width), (room.height - 16) / leaves.height)
    : 0
  const said = useLatest(onFit)
  useLayoutEffect(() => {
    if (!fits) return
    setFit(fits)
    said(fits)
  }, [fits, said])
  const lines = useHairlines({ bookId, editionId, version, left, scale, room, stage, hidden: zoom > 0 || single })
  const px = (v: number): number => v * scale
  const shownPages = single ? [Math.max(0, left)] : [left, left + 1]
  const ratio = Math.min(3, devicePixelRatio || 1)
  const parts = shownPages.map((_, i) =>
    partInView(leaves, scale, ratio, { ...view, x: view.x - i * px(leaves.width) }),
  )
  const whole = parts.every(p => p && p.width === leaves.width && p.height === leaves.height)
  const look = useLatest(() => onLook(shownPages, whole ? scale * ratio : 0))
  useEffect(() => look(), [look, left, single, scale, whole])
  return (
    <div className="specimen">
      <div className="margin">
        {notes
          .filter(n => n.side === 'left')
          .map(n => (
            <MarginNote
              key={n.id}
              note={n}
              style={leaves.style}
              bookId={bookId}
              editionId={editionId}
              assets={assets}
              fonts={fonts}
              onChange={onChange}
            />
          ))}
        <p className="aside">
          {leaves.pages.length} pages ask for {showLength(leaves.insideAsked, 2)} inside
          {inUnit(leaves.block.x, 'in') > leaves.style.margins.inside + 0.001
            ? `; they have ${showLength(leaves.block.x, 2)}`
            : ''}
          .
        </p>
      </div>
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
              <div
                key={p - left}
                className={leaves.pages[p] ? 'page' : 'page none'}
                style={{ width: px(leaves.width), height: px(leaves.height) }}
                title={leaves.pages[p] && !leaves.pages[p].blank ? 'A click opens the text here' : undefined}
                onClick={e => {
                  const box = e.currentTarget.getBoundingClientRect()
                  onPlace(p, (e.clientX - box.left) / scale, (e.clientY - box.top) / scale)
                }}
              >
                {leaves.pages[p] && parts[i] && (
                  <PageCanvas
                    bookId={bookId}
                    editionId={editionId}
                    index={p}
                    version={version}
                    width={leaves.width}
                    height={leaves.height}
                    part={parts[i]}
                    scale={scale}
                    early={early?.get(p)}
                    label={`Page ${leaves.pages[p].label}${leaves.pages[p].blank ? ', blank' : ''}`}
                  />
                )}
                {leaves.pages[p]?.section && hasText && (
                  <Exception
                    bookId={bookId}
                    edition={edition}
                    section={leaves.pages[p].section}
                    title={leaves.pages[p].opens ?? ''}
                    style={leaves.style}
                  />
                )}
                {leaves.pages[p] && (shown.size > 0 || found.length > 0) && (
                  <PageViews
                    bookId={bookId}
                    editionId={editionId}
                    leaves={leaves}
                    version={version}
                    page={p}
                    scale={scale}
                    shown={shown}
                    found={found.flatMap(m => (m.page === p ? m.boxes : []))}
                  />
                )}
              </div>
            ))}
          </div>
        )}
      </div>
      <div className="margin">
        {notes
          .filter(n => n.side === 'right')
          .map(n => (
            <MarginNote
              key={n.id}
              note={n}
              style={leaves.style}
              bookId={bookId}
              editionId={editionId}
              assets={assets}
              fonts={fonts}
              onChange={onChange}
            />
          ))}
        {hasText && (
          <Wishes
            leaves={leaves}
            family={
              shippedFamilies[leaves.style.text.family]?.name ??
              fonts.find(f => f.id === leaves.style.text.family)?.name ??
              'This typeface'
            }
            onGo={onGo}
          />
        )}
      </div>
      <svg className="hairlines" aria-hidden>
        <marker id="hairline-end" markerWidth="6" markerHeight="6" refX="3" refY="3">
          <circle cx="3" cy="3" r="2.4" />
        </marker>
        {lines.map(d => (
          <path key={d} d={d} />
        ))}
      </svg>
    </div>
  )
}
