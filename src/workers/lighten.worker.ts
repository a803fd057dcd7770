import * as Comlink from 'comlink'
import { imageSize } from 'image-size'
import type { Asset } from '@/core/book'
import type { Pixels } from '@/core/pdf'
import { Fault, once, unshared } from '@/core/trade'
import { createLightener, type LightAim, type Lightener, loadCodecs } from '@/core/weight'
import './faults'
import { keepLight, storedBytes, storedLight } from './storeReader'

/** Makes one picture lighter at a time; the press has several of these. */

/** Bytes that are not in the store yet, as the press lent them. */
let lent: { id: string; file: Blob } | undefined

const lightener = createLightener({
  bytes: async id => (lent?.id === id ? new Uint8Array(await lent.file.arrayBuffer()) : storedBytes(id)),
  decode: sized,
  codecs: once(() => loadCodecs()),
  kept: { read: storedLight, write: keepLight },
})

/** One for all. */
let canvas: OffscreenCanvas | undefined

interface Size {
  width: number
  height: number
}

async function sized(bytes: Uint8Array, { type, ...full }: Asset, size: Size): Promise<Pixels> {
  const image =
    (await shrunk(bytes, type, full, size)) ??
    (await createImageBitmap(new Blob([unshared(bytes)])).catch(() => undefined))
  if (!image) throw new Fault('picture', 'It is damaged and cannot be decoded.')
  canvas ??= new OffscreenCanvas(1, 1)
  canvas.width = size.width
  canvas.height = size.height
  const ctx = canvas.getContext('2d', { willReadFrequently: true })!
  // Of what is hardly larger no pixel is passed over.
  ctx.imageSmoothingQuality =
    (image instanceof ImageBitmap ? image.width : image.displayWidth) < 2 * size.width ? 'low' : 'high'
  ctx.drawImage(image, 0, 0, size.width, size.height)
  image.close()
  return { ...size, rgba: ctx.getImageData(0, 0, size.width, size.height).data }
}

/** Eighths of its size that a JPEG can be decoded at: a fast transform of fewer coefficients. */
const EIGHTHS = 8

/** A JPEG decoded at the least eighths of its size that are no smaller than wanted; undefined where that is not to be had, or saves nothing. */
async function shrunk(bytes: Uint8Array, type: string, full: Size, { width }: Size): Promise<VideoFrame | undefined> {
  const eighths = Math.ceil((width / full.width) * EIGHTHS)
  // One that is turned by its Exif is turned by the whole way.
  if (typeof ImageDecoder === 'undefined' || type !== 'image/jpeg' || eighths >= EIGHTHS) return undefined
  if ((imageSize(bytes).orientation ?? 1) !== 1) return undefined
  const at = (side: number): number => Math.ceil((side * eighths) / EIGHTHS)
  const decoder = new ImageDecoder({
    data: unshared(bytes),
    type,
    desiredWidth: at(full.width),
    desiredHeight: at(full.height),
  })
  try {
    return (await decoder.decode()).image
  } catch {
    // The whole way says what is wrong with it.
    return undefined
  } finally {
    decoder.close()
  }
}

export interface LightWorker {
  study(picture: Asset, across: number, file: Blob | undefined): ReturnType<Lightener['study']>
  lighten(picture: Asset, aim: LightAim, file: Blob | undefined): ReturnType<Lightener['lighten']>
}

const lend = (id: string, file: Blob | undefined): void => {
  lent = file && { id, file }
}

Comlink.expose({
  study(picture, across, file) {
    lend(picture.id, file)
    return lightener.study(picture, across)
  },
  async lighten(picture, aim, file) {
    lend(picture.id, file)
    const light = await lightener.lighten(picture, aim)
    return Comlink.transfer(light, [light.bytes.buffer as ArrayBuffer])
  },
} satisfies LightWorker)
