import { Fault } from '@/core/trade'
import { FontShelf, shippedFonts } from '@/core/type'

/** The press's faces, from the app's own origin. */
export const shelf = new FontShelf(async key => {
  const file = shippedFonts[key]
  if (!file) return undefined
  const response = await fetch(`/fonts/${file}`)
  if (!response.ok)
    throw new Fault(
      'font-load',
      `The typeface “${key}” could not be fetched (${response.status}). It is tried again when it is next wanted.`,
    )
  return new Uint8Array(await response.arrayBuffer())
})

// What every book needs is on its way while the rest of the worker's script is still being read: HarfBuzz, and the faces of the first style.
for (const key of [
  'eb-garamond/regular',
  'eb-garamond/italic',
  'eb-garamond/bold',
  'eb-garamond/bold-italic',
  'source-serif/regular',
])
  void shelf.face(key).catch(() => undefined)
