'use client'
import { useEffect, useRef, useState } from 'react'
import { press } from '@/workers/client'

/** The opening of the book's own first chapter in a style. */
export function StyleSample({
  bookId,
  editionId,
  style,
  version,
  width,
  ratio,
  label,
}: {
  bookId: string
  editionId: string
  style: string | object
  version: number
  width: number
  /** Height ÷ width of the page. */ ratio: number
  label: string
}) {
  const canvas = useRef<HTMLCanvasElement>(null)
  const [painted, setPainted] = useState(false)
  const [trouble, setTrouble] = useState<string>()
  useEffect(() => {
    let gone = false
    press()
      .sample(bookId, editionId, style, Math.round(width * Math.min(2, devicePixelRatio || 1)))
      .then(bitmap => {
        if (gone || !bitmap || !canvas.current) return
        canvas.current.width = bitmap.width
        canvas.current.height = bitmap.height
        canvas.current.getContext('bitmaprenderer')!.transferFromImageBitmap(bitmap)
        setPainted(true)
      })
      .catch((e: Error) => !gone && setTrouble(e.message))
    return () => {
      gone = true
    }
  }, [bookId, editionId, style, version, width])
  return (
    <span className="sample" style={{ width, height: width * ratio }}>
      {trouble ?? (
        <canvas
          ref={canvas}
          role="img"
          aria-label={label}
          data-painted={painted}
          style={{ width, height: width * ratio }}
        />
      )}
    </span>
  )
}
