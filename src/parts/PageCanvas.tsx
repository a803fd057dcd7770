'use client'
import { useLayoutEffect, useRef, useState } from 'react'
import type { Part } from '@/workers/draw'
import { usePress } from './usePress'

/**
 * One page, or the `part` of it that is in view (points from the trim's top left), painted by the press at the size it is shown. Until the
 * new one is there the old one stays, or what is known of it `early`. One that cannot be painted says so in its place.
 */
export function PageCanvas({
  bookId,
  editionId,
  index,
  version,
  width,
  height,
  part,
  scale,
  gain,
  early,
  label,
}: {
  bookId: string
  editionId: string
  index: number
  /** Of the pages: they are painted anew where it is another. */ version: number
  width: number
  height: number
  part?: Part
  scale: number
  /** Where it is so small that its fine lines would be lost: how much darker they are made. */ gain?: number
  early?: ImageBitmap
  label: string
}) {
  const canvas = useRef<HTMLCanvasElement>(null)
  const { x, y, width: wide, height: high } = part ?? { x: 0, y: 0, width, height }
  const [shown, setShown] = useState<{ key: string; part: Part }>()
  const key = `${bookId}/${editionId}/${index}/${version}/${scale.toFixed(3)}/${x},${y},${wide},${high}`
  const { answer, trouble } = usePress(
    async press => {
      const ratio = Math.min(3, window.devicePixelRatio || 1)
      const asked = { x, y, width: wide, height: high }
      const bitmap = await press.paint(bookId, editionId, index, scale * ratio, { part: asked, gain })
      return bitmap && { bitmap, shown: { key, part: asked } }
    },
    [bookId, editionId, index, scale, gain, x, y, wide, high, key],
  )
  // A bitmap is shown once: it is empty afterwards.
  useLayoutEffect(() => {
    if (early?.width && canvas.current) show(canvas.current, early)
  }, [early])
  useLayoutEffect(() => {
    if (!answer?.bitmap.width || !canvas.current) return
    show(canvas.current, answer.bitmap)
    setShown(answer.shown)
  }, [answer])

  // What stands on the canvas keeps its place on the page, larger or smaller, until it is painted anew.
  const at = shown?.part ?? { x, y, width: wide, height: high }
  return (
    <>
      <canvas
        ref={canvas}
        role={label ? 'img' : undefined}
        aria-label={label || undefined}
        aria-hidden={label ? undefined : true}
        data-painted={shown?.key === key}
        style={{
          width: at.width * scale,
          height: at.height * scale,
          marginLeft: at.x * scale,
          marginTop: at.y * scale,
          display: 'block',
        }}
      />
      {trouble && label && (
        <p className="unpainted" role="alert">
          This page could not be painted: {trouble}
        </p>
      )}
    </>
  )
}

function show(canvas: HTMLCanvasElement, bitmap: ImageBitmap): void {
  canvas.width = bitmap.width
  canvas.height = bitmap.height
  canvas.getContext('bitmaprenderer')!.transferFromImageBitmap(bitmap)
}
