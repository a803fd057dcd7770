'use client'
import type { ReactNode } from 'react'
import type { Book } from '@/core/book'
import { MarketRow } from './MarketRow'

/** The front as it is cut, or as small as shops show it among others. */
export function FrontView({
  front,
  small,
  book,
  children,
}: {
  front: ImageBitmap
  small: boolean
  book: Book | undefined
  /** What is said under the front by itself. */
  children?: ReactNode
}) {
  const title = book?.data.title ?? ''
  const draw =
    (height: number) =>
    (c: HTMLCanvasElement | null): void => {
      if (!c) return
      c.height = Math.round(height * Math.min(2, devicePixelRatio || 1))
      c.width = Math.round((c.height * front.width) / front.height)
      c.style.height = `${height}px`
      c.getContext('2d')!.drawImage(front, 0, 0, c.width, c.height)
    }
  if (!small)
    return (
      <div className="onefront">
        <canvas key="front" ref={draw(560)} className="front" role="img" aria-label={`Front of ${title}`} />
        {children}
      </div>
    )
  return (
    <div className="thumbs">
      {[60, 110, 160].map(h => (
        <figure key={h}>
          <canvas ref={draw(h)} role="img" aria-label={`Front of ${title}, ${h} pixels high`} />
          <figcaption>{h} px</figcaption>
        </figure>
      ))}
      <p>As small as a shop’s list shows it. Can the title be read at 110?</p>
      {book && (
        <MarketRow
          book={book}
          own={<canvas ref={draw(160)} className="own" role="img" aria-label={`Front of ${title}, this book`} />}
        />
      )}
    </div>
  )
}
