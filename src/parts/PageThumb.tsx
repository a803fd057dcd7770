'use client'
import { useEffect, useState } from 'react'
import { usePress } from './usePress'

/**
 * One page as a small picture, painted by the press; the one before stands until it is there. It is an image and no canvas: hundreds of
 * canvases in view are hundreds of layers that the browser puts together at every step of scrolling.
 */
export function PageThumb({
  bookId,
  editionId,
  index,
  version,
  width,
  height,
  scale,
  gain,
}: {
  bookId: string
  editionId: string
  index: number
  /** Of the pages: they are painted anew where it is another. */
  version: number
  /** Of the page, points; `scale`: pixels a point. */
  width: number
  height: number
  scale: number
  /** How much darker fine lines are made. */
  gain?: number
}) {
  const { answer } = usePress(
    press => {
      const ratio = Math.min(3, window.devicePixelRatio || 1)
      return press.thumb(bookId, editionId, index, { scale: scale * ratio, gain })
    },
    [bookId, editionId, index, scale, gain],
    { anew: [version] },
  )
  const [shown, setShown] = useState<string>()
  useEffect(() => {
    if (!answer) return
    const url = URL.createObjectURL(answer)
    setShown(url)
    return () => URL.revokeObjectURL(url)
  }, [answer])
  if (!shown) return null
  return <Picture url={shown} width={width * scale} height={height * scale} />
}

function Picture({ url, width, height }: { url: string; width: number; height: number }) {
  const [loaded, setLoaded] = useState<string>()
  return (
    <img
      src={url}
      alt=""
      width={width}
      height={height}
      decoding="sync"
      data-painted={loaded === url}
      onLoad={() => setLoaded(url)}
      style={{ display: 'block' }}
    />
  )
}
