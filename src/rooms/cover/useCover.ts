'use client'
import { sheetSize } from '@/core/cover'
import type { OpenBook } from '@/parts/openBook'
import { usePress } from '@/parts/usePress'
import { useSize } from '@/parts/useSize'

/** The cover of what is looked at as the press draws it, as large as its stage has room for. */
export function useCover(bookId: string, { edition, outletId, version }: OpenBook) {
  const [stage, room] = useSize<HTMLDivElement>()
  const editionId = edition?.id
  const { answer: cover, trouble: undrawn } = usePress(
    async press => (editionId && version ? press.cover(bookId, editionId, outletId) : undefined),
    [bookId, editionId, outletId, version],
  )
  const size = cover && sheetSize(cover.flat)
  const scale = size && room.width ? Math.min((room.width - 96) / size.width, (room.height - 84) / size.height) : 0
  const { answer: painted, trouble: unpainted } = usePress(
    async press => {
      if (!editionId || !cover || !scale) return undefined
      const ratio = Math.min(2, devicePixelRatio || 1)
      const picture = await press.paintCover(bookId, editionId, 'sheet', scale * ratio, outletId)
      return { picture, front: await press.paintCover(bookId, editionId, 'front', 900 / cover.flat.height, outletId) }
    },
    [bookId, editionId, outletId, cover, scale],
  )
  return { stage, cover, size, scale, ...painted, trouble: undrawn ?? unpainted }
}
