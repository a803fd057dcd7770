'use client'
import { useCallback, useEffect, useRef, useState } from 'react'
import { type Band, kindOf, runName } from '@/core/activity'
import { roles } from '@/core/book'
import type { Leaves } from '@/core/chain'
import { PageThumb } from '@/parts/PageThumb'
import { TINY_GAIN } from '@/workers/draw'
import { BandHandle, BandPlace, keyOf, type Moves, MovingBands } from './MovingBands'

/** Width of a page of the flatplan, pixels. */
const PAGE = 62
/** Spreads are painted when they come so near to what is in view, pixels. */
const NEAR = '400px'

/** The pages that a flatplan shows, and what is asked of it when a spread is chosen. */
export interface FlatplanOf {
  bookId: string
  editionId: string
  leaves: Leaves
  /** Of the pages: they are painted anew where it is another. */
  version: number
  onOpen: (band: Band, left: number) => void
}

/** The whole book as small true spreads in bands: its runs, what is written between them, blanks. */
export function Flatplan({ bands, moves, ...of }: FlatplanOf & { bands: Band[]; moves: Moves | undefined }) {
  'use memo'
  const [watch, seen] = useSeen()
  return (
    <div className="flatplan" ref={watch} role="group" aria-label="All pages">
      <MovingBands bands={bands} moves={moves}>
        {(band, drop) => (
          <BandPlace key={keyOf(band)} band={band} drop={drop}>
            {moves && <BandHandle band={band} moves={moves} />}
            <BandHead band={band} leaves={of.leaves} />
            <BandSpreads band={band} seen={seen} {...of} />
          </BandPlace>
        )}
      </MovingBands>
    </div>
  )
}

function BandHead({ band, leaves }: { band: Band; leaves: Leaves }) {
  'use memo'
  const [name, besides] = namesOf(band)
  const labels = leaves.pages.slice(band.from, band.to).map(p => p.label)
  const span = labels.length > 1 ? `${labels[0]} – ${labels.at(-1)}` : labels[0]
  return (
    <h2>
      {name} <em>{besides}</em>
      <span>
        {labels.length === 1 ? 'one page' : `${labels.length} pages`}, {span}
      </span>
    </h2>
  )
}

function namesOf({ of }: Band): [name: string, besides: string] {
  if (of === 'front') return ['Front pages', '']
  if (of === 'blank') return ['Blank', 'where nothing is planned']
  if ('section' in of) return [of.section.title || roles[of.section.role].name, 'written']
  const kind = kindOf(of.run.kind)?.name ?? of.run.kind
  return [runName(of.run), runName(of.run) === kind ? '' : kind.toLowerCase()]
}

/** The spreads of a band, as they lie in the book: where it begins or ends within one, the other page is left out. */
export function BandSpreads({
  band,
  seen,
  left: open,
  bookId,
  editionId,
  leaves,
  version,
  onOpen,
}: FlatplanOf & { band: Band; seen: ReadonlySet<number>; left?: number }) {
  'use memo'
  const scale = PAGE / leaves.width
  const size = { width: PAGE, height: leaves.height * scale }
  const lefts: number[] = []
  for (let left = band.from - ((band.from + 1) % 2); left < band.to; left += 2) lefts.push(left)
  return (
    <div className="spreads">
      {lefts.map(left => {
        const shown = [left, left + 1].filter(p => p >= band.from && p < band.to)
        const label = shown.map(p => leaves.pages[p]?.label).join('–')
        return (
          <button
            key={left}
            type="button"
            data-left={left}
            aria-current={left === open}
            disabled={band.of === 'blank'}
            aria-label={`Pages ${label}`}
            onClick={() => onOpen(band, left)}
          >
            <span className="leaf">
              {[left, left + 1].map(p => (
                <span key={p} className={shown.includes(p) ? 'half' : 'half none'} style={size}>
                  {shown.includes(p) && !leaves.pages[p]?.blank && seen.has(left) && (
                    <PageThumb
                      bookId={bookId}
                      editionId={editionId}
                      index={p}
                      version={version}
                      width={leaves.width}
                      height={leaves.height}
                      scale={scale}
                      gain={TINY_GAIN}
                    />
                  )}
                </span>
              ))}
            </span>
            <span className="folios">
              {[left, left + 1].map(p => (
                <span key={p}>{shown.includes(p) && leaves.pages[p]?.label}</span>
              ))}
            </span>
          </button>
        )
      })}
    </div>
  )
}

/** The spreads that have come into view, by the index of their left page; what is in view is looked for anew at every turn. */
export function useSeen(): [ref: (element: HTMLElement | null) => void, seen: ReadonlySet<number>] {
  const [seen, setSeen] = useState<ReadonlySet<number>>(new Set())
  const root = useRef<HTMLElement | null>(null)
  const watch = useRef<IntersectionObserver | undefined>(undefined)
  const ref = useCallback((element: HTMLElement | null) => {
    root.current = element
    watch.current?.disconnect()
    watch.current =
      element === null
        ? undefined
        : new IntersectionObserver(
            entries => {
              const now = entries.filter(e => e.isIntersecting).map(e => Number((e.target as HTMLElement).dataset.left))
              if (now.length) setSeen(s => new Set([...s, ...now]))
            },
            { root: element, rootMargin: NEAR },
          )
  }, [])
  useEffect(() => {
    root.current?.querySelectorAll('[data-left]').forEach(b => watch.current?.observe(b))
  })
  return [ref, seen]
}
