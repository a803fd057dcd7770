'use client'
import { useEffect, useRef, useState } from 'react'
import { press } from '@/workers/client'

interface Part {
  x: number
  y: number
  width: number
  height: number
}

/** One page, or the `part` of it that is in view (points from the trim's top left), painted by the press at the size it is shown. Until the new one is there the old one stays, or what is known of it `early`. */
export function PageCanvas({
  bookId,
  editionId,
  index,
  version,
  width,
  height,
  part,
  scale,
  early,
  label,
}: {
  bookId: string
  editionId: string
  index: number
  version: number
  width: number
  height: number
  part?: Part
  scale: number
  early?: ImageBitmap
  label: string
}) {
  const canvas = useRef<HTMLCanvasElement>(null)
  const now = part ?? { x: 0, y: 0, width, height }
  const [painted, setPainted] = useState({ key: '', part: now })
  const key = `${index}/${version}/${scale.toFixed(3)}/${now.x},${now.y},${now.width},${now.height}`
  const show = (bitmap: ImageBitmap): void => {
    canvas.current!.width = bitmap.width
    canvas.current!.height = bitmap.height
    canvas.current!.getContext('bitmaprenderer')!.transferFromImageBitmap(bitmap)
  }

  useEffect(() => {
    let gone = false
    const work = async (): Promise<void> => {
      const ratio = Math.min(3, window.devicePixelRatio || 1)
      const bitmap = await press().paint(bookId, editionId, index, scale * ratio, now)
      if (gone || !bitmap || !canvas.current) return
      show(bitmap)
      setPainted({ key, part: now })
    }
    work().catch(() => {
      // The edition was closed meanwhile; the room says what is wrong, a page has nothing to add.
      if (!gone) setPainted({ key: '', part: now })
    })
    return () => {
      gone = true
    }
  }, [bookId, editionId, key])

  useEffect(() => {
    // A bitmap is shown once: it is empty afterwards.
    if (early?.width && canvas.current) show(early)
  }, [early])

  // What stands on the canvas keeps its place on the page, larger or smaller, until it is painted anew.
  const shown = painted.key ? painted.part : now
  return (
    <canvas
      ref={canvas}
      role={label ? 'img' : undefined}
      aria-label={label || undefined}
      aria-hidden={label ? undefined : true}
      data-painted={painted.key === key}
      style={{
        width: shown.width * scale,
        height: shown.height * scale,
        marginLeft: shown.x * scale,
        marginTop: shown.y * scale,
        display: 'block',
      }}
    />
  )
}
