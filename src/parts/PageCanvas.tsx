'use client'
import { useEffect, useRef, useState } from 'react'
import { press } from '@/workers/client'

/** One page, painted by the press at the size it is shown. Until the new one is there the old one stays, or what is known of it `early`. */
export function PageCanvas({ bookId, editionId, index, version, width, height, scale, early, label }: { bookId: string; editionId: string; index: number; version: number; width: number; height: number; scale: number; early?: ImageBitmap; label: string }) {
  const canvas = useRef<HTMLCanvasElement>(null)
  const [painted, setPainted] = useState('')
  const key = `${index}/${version}/${scale.toFixed(3)}`
  const show = (bitmap: ImageBitmap): void => {
    canvas.current!.width = bitmap.width
    canvas.current!.height = bitmap.height
    canvas.current!.getContext('bitmaprenderer')!.transferFromImageBitmap(bitmap)
  }

  useEffect(() => {
    let gone = false
    const work = async (): Promise<void> => {
      const ratio = Math.min(3, window.devicePixelRatio || 1)
      const bitmap = await press().paint(bookId, editionId, index, scale * ratio)
      if (gone || !bitmap || !canvas.current) return
      show(bitmap)
      setPainted(key)
    }
    work().catch(() => {
      // The edition was closed meanwhile; the room says what is wrong, a page has nothing to add.
      if (!gone) setPainted('')
    })
    return () => {
      gone = true
    }
  }, [bookId, editionId, index, version, scale, key])

  useEffect(() => {
    // A bitmap is shown once: it is empty afterwards.
    if (early?.width && canvas.current) show(early)
  }, [early])

  return <canvas ref={canvas} role={label ? 'img' : undefined} aria-label={label || undefined} aria-hidden={label ? undefined : true} data-painted={painted === key} style={{ width: width * scale, height: height * scale, display: 'block' }} />
}
