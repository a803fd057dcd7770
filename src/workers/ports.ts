import type { BlankPorts } from '@/core/delivery'
import type { Inks, Lcms } from '@/core/ink'
import type { Pictures } from '@/core/marks'
import type { PictureSource, Subsetter } from '@/core/pdf'
import { Fault } from '@/core/trade'
import { draw, withBleed } from './draw'
import { lightener } from './lightener'
import { decodedWhole } from './decoding'
import { originalBytes, withOriginals, withPreviews } from './pictureShelf'

/** What the press asks of the browser: a canvas, pictures from the store, the font subsetter, the day. */

let subsetter: Promise<Subsetter> | undefined
let inks: Promise<Inks> | undefined
const colourModule = '/colour/lcms.js'

const fetched = async (path: string): Promise<Uint8Array> => {
  const r = await fetch(path)
  if (!r.ok) throw new Fault('colour', 'The colours of the press could not be loaded.')
  return new Uint8Array(await r.arrayBuffer())
}

const pictures: PictureSource = {
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

const fileOf = async (canvas: OffscreenCanvas, type: 'image/jpeg' | 'image/png', quality = 0.9): Promise<Uint8Array> =>
  new Uint8Array(await (await canvas.convertToBlob({ type, quality })).arrayBuffer())

export const ports: BlankPorts = {
  pictures,
  lightener,
  pageWords: async pdf => (await import('./pdfPicture')).pdfWords(pdf),
  pagePictures: async pdf => (await import('./pdfPicture')).pdfPictures(pdf),
  async paint(page, height, { type, quality } = { type: 'jpeg' }) {
    const canvas = await withOriginals(page, p => draw(page, height / page.height, p))
    return { bytes: await fileOf(canvas, `image/${type}`, quality), width: canvas.width, height: canvas.height }
  },
  async inks() {
    const { loadInks } = await import('@/core/ink')
    inks ??= (async () => {
      const [profile, wasm] = await Promise.all(['/colour/coated-offset.icc', '/colour/lcms.wasm'].map(fetched))
      // Served as it is: it looks for its own folder, which a bundle does not have.
      const lcms = (await import(/* turbopackIgnore: true */ colourModule)) as Lcms
      return loadInks(profile!, lcms, wasm!)
    })().catch((e: unknown) => {
      inks = undefined
      throw e
    })
    return inks
  },
  async pixels(page, scale, of) {
    const painted = (p: Pictures): OffscreenCanvas => draw(page, scale, p, withBleed(page))
    const canvas = of ? await withOriginals(page, painted) : await withPreviews([page], painted)
    const { width, height } = canvas
    return { width, height, rgba: canvas.getContext('2d')!.getImageData(0, 0, width, height).data }
  },
  paintSheet: (page, pixelsAPoint) =>
    fileOf(
      draw(page, pixelsAPoint, () => undefined, withBleed(page), '#ffffff'),
      'image/png',
    ),
  // The writer of PDFs is loaded when something is written: it has no part in a book's first pages.
  pdf: async () => {
    const { loadSubsetter, streamDeflate } = await import('@/core/pdf')
    subsetter ??= fetch('/fonts/harfbuzz-subset.wasm')
      .then(r => r.arrayBuffer())
      .then(b => loadSubsetter(new Uint8Array(b)))
    return { subsetter: await subsetter, pictures, deflate: streamDeflate }
  },
}

/** The day that files are dated: today, in UTC. */
export const today = (): string => `${new Date().toISOString().slice(0, 10)}T00:00:00Z`
