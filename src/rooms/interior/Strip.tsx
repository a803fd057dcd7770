'use client'
import { useEffect, useRef, useState } from 'react'
import type { Leaves } from '@/core/chain'
import { PageThumb } from '@/parts/PageThumb'

/** Index of the left page of a spread: −1 where the first recto stands alone. */
export const spreadOf = (page: number): number => (page % 2 === 0 ? page - 1 : page)
export const spreadCount = (pages: number): number => Math.floor(pages / 2) + 1

/** All spreads in a row; those in view are painted. Openings carry a mark. */
export function Strip({
  bookId,
  editionId,
  leaves,
  version,
  left,
  overview = false,
  onChoose,
}: {
  /** All pages at a size at which they can be told apart, in rows. */ overview?: boolean
  bookId: string
  editionId: string
  leaves: Leaves
  version: number
  left: number
  onChoose: (left: number) => void
}) {
  const row = useRef<HTMLDivElement>(null)
  const [seen, setSeen] = useState<Set<number>>(new Set())
  const half = overview ? 78 : 29
  const scale = half / leaves.width
  const count = spreadCount(leaves.pages.length)

  useEffect(() => {
    const watch = new IntersectionObserver(
      entries => {
        const now = entries.filter(e => e.isIntersecting).map(e => Number((e.target as HTMLElement).dataset.left))
        if (now.length) setSeen(s => new Set([...s, ...now]))
      },
      { root: row.current, rootMargin: '300px' },
    )
    row.current?.querySelectorAll('button').forEach(b => watch.observe(b))
    return () => watch.disconnect()
  }, [count])

  useEffect(() => {
    row.current?.querySelector(`[data-left="${left}"]`)?.scrollIntoView({ block: 'nearest', inline: 'nearest' })
  }, [left, count])

  return (
    <div className={overview ? 'strip overview' : 'strip'} ref={row} role="group" aria-label="All spreads">
      {Array.from({ length: count }, (_, i) => {
        const l = i * 2 - 1
        const shown = [l, l + 1].filter(p => leaves.pages[p])
        const opens = shown.map(p => leaves.pages[p]!.opens).find(Boolean)
        const label = shown.map(p => leaves.pages[p]!.label).join('–')
        return (
          <button
            key={l}
            type="button"
            data-left={l}
            aria-current={l === left}
            aria-label={`Pages ${label}${opens ? `, ${opens} opens` : ''}`}
            title={opens}
            onClick={() => onChoose(l)}
          >
            <span className="leaf" style={{ height: leaves.height * scale }}>
              {[l, l + 1].map(p => (
                <span
                  key={p}
                  className={leaves.pages[p] ? 'half' : 'half none'}
                  style={{ width: half, height: leaves.height * scale }}
                >
                  {leaves.pages[p] && !leaves.pages[p].blank && seen.has(l) && (
                    <PageThumb
                      bookId={bookId}
                      editionId={editionId}
                      index={p}
                      version={version}
                      width={leaves.width}
                      height={leaves.height}
                      scale={scale}
                    />
                  )}
                </span>
              ))}
            </span>
            <span className="folios">
              {label}
              {opens && <i aria-hidden />}
            </span>
          </button>
        )
      })}
    </div>
  )
}
