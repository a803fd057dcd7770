'use client'
import { Button } from 'antd'
import { type ReactNode, useEffect } from 'react'
import type { Edition } from '@/core/book'
import type { Leaves } from '@/core/chain'
import { formatTrim } from '@/core/trade'
import { PageCanvas } from '@/parts/PageCanvas'
import type { useEarlyLook } from '@/parts/useEarlyLook'

/** Kept free beside a spread, and under it for its caption; the least that it is drawn in; pixels. */
const FREE = { width: 36, height: 64 }
const LEAST = 240
/** Below so many pixels a point the hairlines of a ruling would be lost here and there: they are made a little darker. */
const REDUCED = 0.9
const GAIN = 1.4

/** Two facing pages, true to the press. `left`: the index of the left one, −1 before the first page. */
export function PlanSpread({
  bookId,
  edition,
  leaves,
  version,
  left,
  room,
  look,
  onTurn,
  over,
}: {
  bookId: string
  edition: Edition
  leaves: Leaves
  version: number
  left: number
  /** Where it is shown, pixels. */
  room: { width: number; height: number }
  /** Changes are seen here first. */
  look: ReturnType<typeof useEarlyLook>
  onTurn: (left: number) => void
  /** What lies over the spread, which is `scale` pixels a point. */
  over?: (scale: number) => ReactNode
}) {
  'use memo'
  const total = leaves.pages.length
  const scale = Math.min(
    Math.max(LEAST, room.width - FREE.width) / (2 * leaves.width),
    Math.max(LEAST, room.height - FREE.height) / leaves.height,
  )
  const gain = scale < REDUCED ? GAIN : undefined
  const { look: looksAt } = look
  useEffect(() => {
    const ratio = Math.min(3, window.devicePixelRatio || 1)
    looksAt({ pages: [left, left + 1].filter(p => p >= 0 && p < total), scale: scale * ratio, gain })
    return () => looksAt(undefined)
  }, [looksAt, left, total, scale, gain])
  const early = look.early(version)
  const labels = [left, left + 1].flatMap(p => leaves.pages[p]?.label ?? [])
  return (
    <>
      <div className="spread">
        {[left, left + 1].map(p => (
          <div
            key={p - left}
            className={leaves.pages[p] ? 'page' : 'page none'}
            style={{ width: leaves.width * scale, height: leaves.height * scale }}
          >
            {leaves.pages[p] && (
              <PageCanvas
                bookId={bookId}
                editionId={edition.id}
                index={p}
                version={version}
                width={leaves.width}
                height={leaves.height}
                scale={scale}
                {...(gain && { gain })}
                {...(early?.has(p) && { early: early.get(p)! })}
                label={`Page ${leaves.pages[p].label}`}
              />
            )}
          </div>
        ))}
        {over?.(scale)}
      </div>
      <p className="caption">
        {formatTrim(edition.trim ?? '')} · pages {labels.join('–')} of {total}
        <span>
          <Button
            size="small"
            type="text"
            aria-label="Spread before"
            disabled={left < 0}
            onClick={() => onTurn(Math.max(-1, left - 2))}
          >
            ←
          </Button>
          <Button
            size="small"
            type="text"
            aria-label="Spread after"
            disabled={left + 2 >= total}
            onClick={() => onTurn(left + 2)}
          >
            →
          </Button>
        </span>
      </p>
    </>
  )
}
