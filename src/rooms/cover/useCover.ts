'use client'
import { useRef } from 'react'
import { sheetOf } from '@/core/cover'
import type { OpenBook } from '@/parts/openBook'
import { type Early, earlyOf, useEarly } from '@/parts/useEarly'
import { usePress } from '@/parts/usePress'
import { useSize } from '@/parts/useSize'
import type { CoverView } from '@/workers/answers/covers'
import { press } from '@/workers/client'

/** Pixels of a front that is looked at by itself. */
const FRONT = 900

/** A cover, and the press's picture of its sheet. */
interface Painted {
  cover: CoverView
  picture: ImageBitmap
  /** Pixels a point. */
  at: number
}

/** Covers of new states, drawn before the figures that follow from them. */
export interface EarlyCover {
  early: Early<Painted>
  /** How large the stage shows it, pixels a point; 0 while that is not known. */
  resolution: { current: number }
}

export function useEarlyCover(bookId: string): EarlyCover {
  const resolution = useRef(0)
  const early = useEarly(async (editionId, outletId): Promise<Painted> => {
    const cover = await press().cover(bookId, editionId, outletId)
    const at = resolution.current || 1
    return { cover, picture: await press().paintCover(bookId, editionId, 'sheet', at, outletId), at }
  })
  return { early, resolution }
}

/** How it is looked at: the front by itself, in the printer’s inks. */
interface Looked {
  fronts: boolean
  proof: 'press' | 'marked' | undefined
}

/** The cover of what is looked at as the press draws it, as large as its stage has room for. */
export function useCover(
  bookId: string,
  { edition, outletId, version }: OpenBook,
  { early, resolution }: EarlyCover,
  { fronts, proof }: Looked,
) {
  const [stage, room] = useSize<HTMLDivElement>()
  const editionId = edition?.id
  const held = earlyOf(early.seen, editionId, outletId)
  const { answer, trouble: undrawn } = usePress(
    async press => (editionId && version ? press.cover(bookId, editionId, outletId) : undefined),
    [bookId, editionId, outletId, version],
  )
  const cover = held?.cover ?? answer
  const size = cover && sheetOf(cover.flat)
  const scale = size && room.width ? Math.min((room.width - 96) / size.width, (room.height - 84) / size.height) : 0
  const at = scale * (typeof devicePixelRatio === 'number' ? Math.min(2, devicePixelRatio) : 1)
  if (at) resolution.current = at
  const { answer: painted, trouble: unpainted } = usePress(
    async press => {
      if (!editionId || !cover || !at) return undefined
      // What was painted early is painted, unless the stage has another size since.
      if (held?.at === at) return held.picture
      return press.paintCover(bookId, editionId, 'sheet', at, outletId)
    },
    [bookId, editionId, outletId, cover, at, held],
  )
  const { answer: front, trouble: noFront } = usePress(
    async press =>
      editionId && cover && fronts
        ? press.paintCover(bookId, editionId, 'front', FRONT / cover.flat.height, outletId)
        : undefined,
    [bookId, editionId, outletId, cover, fronts],
  )
  const { answer: inks, trouble: unproofed } = usePress(
    async press => {
      if (!editionId || !cover || !at || !proof) return undefined
      const part = fronts ? 'front' : 'sheet'
      const scale = fronts ? FRONT / cover.flat.height : at
      const of = { part, scale, mark: proof === 'marked', ...(outletId ? { outletId } : {}) } as const
      return { ...(await press.proofCover(bookId, editionId, of)), part }
    },
    [bookId, editionId, outletId, cover, at, proof, fronts],
  )
  const picture = held?.at === at ? held.picture : painted
  const proofed = (part: 'sheet' | 'front') => (proof && inks?.part === part ? inks.picture : undefined)
  return {
    stage,
    cover,
    size,
    scale,
    picture: proofed('sheet') ?? picture,
    front: proofed('front') ?? front,
    beyond: proof ? inks?.beyond : undefined,
    trouble: undrawn ?? unpainted ?? noFront ?? unproofed,
  }
}
