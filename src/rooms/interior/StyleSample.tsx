'use client'
import { Bitmap } from '@/parts/Bitmap'
import { usePress } from '@/parts/usePress'

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
  const { answer, trouble } = usePress(
    press => press.sample(bookId, editionId, style, Math.round(width * Math.min(2, devicePixelRatio || 1))),
    [bookId, editionId, style, width],
    { anew: [version] },
  )
  return (
    <span className="sample" style={{ width, height: width * ratio }}>
      {trouble ?? <Bitmap bitmap={answer} label={label} style={{ width, height: width * ratio }} />}
    </span>
  )
}
