import type { Asset } from '@/core/book'
import { isPdf, unshared } from '@/core/trade'
import { atHand } from './telling'

/** What pictures are called: the one at hand is named, so that what breaks the press can be. */
const names = new Map<string, string>()
export function callThem(assets: Asset[]): void {
  for (const a of assets) if (a.name) names.set(a.id, a.name)
}

let queue: Promise<unknown> = Promise.resolve()
/** One decode at a time: a picture of 24 megapixels takes a hundred megabytes while it is open. */
export function inTurn<T>(id: string, work: () => Promise<T>): Promise<T> {
  const named = async (): Promise<T> => {
    atHand(names.get(id) ?? 'a picture')
    try {
      return await work()
    } finally {
      atHand(undefined)
    }
  }
  const next = queue.then(named, named)
  queue = next.catch(() => undefined)
  return next
}

/** A picture's pixels, or a PDF page's as it is seen. */
export async function bitmapOf(bytes: Uint8Array): Promise<ImageBitmap> {
  if (!isPdf(bytes)) return createImageBitmap(new Blob([unshared(bytes)]))
  const { pdfBitmap } = await import('./pdfPicture')
  return pdfBitmap(bytes)
}

/** A picture decoded whole, handed to `use` and closed afterwards. Undefined where its bytes are no picture that can be decoded. */
export const decodedWhole = <T>(
  id: string,
  bytes: Uint8Array,
  use: (bitmap: ImageBitmap) => Promise<T> | T,
): Promise<T | undefined> =>
  inTurn(id, async () => {
    const bitmap = await bitmapOf(bytes).catch(() => undefined)
    if (!bitmap) return undefined
    try {
      return await use(bitmap)
    } finally {
      bitmap.close?.()
    }
  })
