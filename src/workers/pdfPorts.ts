import type { PictureSource, Subsetter } from '@/core/pdf'
import { Fault } from '@/core/trade'
import { decodedWhole, originalBytes } from './pictureShelf'

/** What files are dated: not the day on which they are made, so that the same book gives the same bytes. */
export const DATE = '2026-01-01T00:00:00Z'

// Writers are loaded when something is written: they have no part in a book's first pages.
export const pdf = (): Promise<typeof import('@/core/pdf')> => import('@/core/pdf')

let subsetter: Promise<Subsetter> | undefined
export const loadedSubsetter = (): Promise<Subsetter> =>
  (subsetter ??= fetch('/fonts/harfbuzz-subset.wasm').then(async r =>
    (await pdf()).loadSubsetter(new Uint8Array(await r.arrayBuffer())),
  ))

export const pictureSource: PictureSource = {
  bytes: originalBytes,
  decode: async (bytes, asset) => {
    const pixels = await decodedWhole(asset, bytes, bitmap => {
      const canvas = new OffscreenCanvas(bitmap.width, bitmap.height)
      const ctx = canvas.getContext('2d')!
      ctx.drawImage(bitmap, 0, 0)
      return {
        width: bitmap.width,
        height: bitmap.height,
        rgba: ctx.getImageData(0, 0, bitmap.width, bitmap.height).data,
      }
    })
    if (!pixels) throw new Fault('picture', 'A picture is damaged and cannot be decoded.')
    return pixels
  },
}
