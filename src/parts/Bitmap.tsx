'use client'
import { type CSSProperties, useLayoutEffect, useRef } from 'react'

/** A picture that the press painted, as an image of the page. It stays the caller's, and may be shown again. */
export function Bitmap({ bitmap, label, style }: { bitmap?: ImageBitmap; label: string; style?: CSSProperties }) {
  const canvas = useRef<HTMLCanvasElement>(null)
  useLayoutEffect(() => {
    const c = canvas.current
    if (!c || !bitmap) return
    c.width = bitmap.width
    c.height = bitmap.height
    c.getContext('2d')!.drawImage(bitmap, 0, 0)
  }, [bitmap])
  return <canvas ref={canvas} role="img" aria-label={label} data-painted={!!bitmap} style={style} />
}
