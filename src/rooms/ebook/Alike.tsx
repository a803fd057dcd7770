'use client'
import { useEffect, useMemo, useState } from 'react'
import type { PictureWeight } from '@/core/chain'
import { megabytes } from '@/parts/megabytes'
import { useKeys, isCommand, isTyping } from '@/parts/useKeys'
import { usePress } from '@/parts/usePress'
import { percent } from './likeness'

/** How many times as near. */
const NEAR = 4

/** A picture as it came and as it goes, one over the other, parted by a line that is moved. */
export function Alike({
  bookId,
  editionId,
  outletId,
  pictures,
  asset,
  version,
  onShow,
}: {
  bookId: string
  editionId: string
  outletId: string | undefined
  pictures: readonly PictureWeight[]
  asset: string
  version: number
  /** Another picture; none: back to reading. */
  onShow: (asset: string | undefined) => void
}) {
  const at = Math.max(
    0,
    pictures.findIndex(p => p.asset === asset),
  )
  const picture = pictures[at]
  const [part, setPart] = useState(50)
  const [near, setNear] = useState(false)
  // Where it is looked at more nearly, in parts of its sides.
  const [spot, setSpot] = useState({ x: 0.5, y: 0.5 })
  const { answer: two, trouble } = usePress(
    async press => ({ of: asset, ...(await press.twoPictures(bookId, editionId, outletId, asset)) }),
    [bookId, editionId, outletId, asset],
    { anew: [version] },
  )
  const urls = useMemo(() => {
    const { was, is } = two?.of === asset ? two : {}
    return was && { was: URL.createObjectURL(was), is: is ? URL.createObjectURL(is) : undefined }
  }, [two, asset])
  useEffect(
    () => () => {
      if (urls) for (const url of [urls.was, urls.is]) if (url) URL.revokeObjectURL(url)
    },
    [urls],
  )
  const step = (by: number): void => onShow(pictures[(at + by + pictures.length) % pictures.length]?.asset)
  useKeys(e => {
    if (isCommand(e)) return
    if (e.key === 'Escape') onShow(undefined)
    if (isTyping(e)) return
    if (e.key === 'ArrowRight') step(1)
    if (e.key === 'ArrowLeft') step(-1)
  })
  if (!picture) return null
  const { width, height } = picture
  const looked = near ? { transform: `scale(${NEAR})`, transformOrigin: `${spot.x * 100}% ${spot.y * 100}%` } : {}
  return (
    <div className="alike">
      <p className="became">
        <b>{picture.name ?? 'A picture'}</b>, {at + 1} of {pictures.length}: {whatBecame(picture)}
      </p>
      <div className="joined">
        <div
          className="both"
          style={{ aspectRatio: `${width} / ${height}` }}
          onMouseMove={e => {
            const box = e.currentTarget.getBoundingClientRect()
            setSpot({ x: (e.clientX - box.left) / box.width, y: (e.clientY - box.top) / box.height })
          }}
        >
          {urls && (
            // Blobs of the worker: there is nothing for an optimiser to do.
            <>
              <span className="layer">
                <img src={urls.was} alt={`${picture.name ?? 'The picture'} as it came`} style={looked} />
              </span>
              <span className="layer" style={{ clipPath: `inset(0 0 0 ${part}%)` }}>
                <img src={urls.is ?? urls.was} alt={`${picture.name ?? 'The picture'} as it goes`} style={looked} />
              </span>
              <span className="parting" style={{ left: `${part}%` }} />
              <span className="came">as it came</span>
              <span className="goes">as it goes</span>
              <input
                type="range"
                min={0}
                max={100}
                step={1}
                value={part}
                aria-label="Where the one ends and the other begins"
                onChange={e => setPart(Number(e.target.value))}
              />
            </>
          )}
          {trouble && <p role="alert">{trouble}</p>}
        </div>
      </div>
      <p className="ways">
        <button type="button" aria-label="The picture before" disabled={pictures.length < 2} onClick={() => step(-1)}>
          ←
        </button>
        <button type="button" onClick={() => setNear(!near)}>
          {near ? 'at reading size' : 'four times as near'}
        </button>
        <button type="button" onClick={() => onShow(undefined)}>
          back to reading
        </button>
        <button type="button" aria-label="The next picture" disabled={pictures.length < 2} onClick={() => step(1)}>
          →
        </button>
      </p>
    </div>
  )
}

const kinds: Record<string, string> = { 'image/jpeg': 'JPEG', 'image/png': 'PNG', 'image/gif': 'GIF' }

/** What was made of it, in words. */
function whatBecame({ is, was, likeness, type, quality, from, failed, width, height }: PictureWeight): string {
  if (failed !== undefined) return `it goes as it came, ${megabytes(is)}. ${failed}`
  if (type === 'application/pdf') return `it goes as a picture of its page, ${megabytes(is)}.`
  if (is >= was && !from) return `it goes as it came, ${megabytes(is)}.`
  const kind = `${kinds[type] ?? type}${quality === undefined ? '' : ` of quality ${quality}`}`
  return [
    `${megabytes(is)} instead of ${megabytes(was)},`,
    `${likeness === 1 ? 'the same pixel for pixel' : `${percent(likeness)} like the original`}, ${kind}`,
    from ? `, ${width} × ${height} pixels of ${from.width} × ${from.height}.` : '.',
  ]
    .join(' ')
    .replace(' ,', ',')
    .replace(' .', '.')
}
