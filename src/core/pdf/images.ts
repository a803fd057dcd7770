import type { PDFRef } from '@cantoo/pdf-lib'
import type { Separation } from '../ink'
import type { PdfFile } from './file'
import { isPdf } from '../trade'
import { embedForeignPage, type Known } from './foreign'
import { shrunk } from './resample'
import { round } from './round'

/** A decoded picture: 4 bytes a pixel, not premultiplied. Decoding is a port: a canvas in the browser, a library in Node. */
export interface Pixels {
  width: number
  height: number
  rgba: Uint8Array | Uint8ClampedArray
}

/** What the writer asks of the world for a picture of the book. */
export interface PictureSource {
  bytes(asset: string): Promise<Uint8Array | undefined>
  decode(bytes: Uint8Array, asset: string): Promise<Pixels>
}

/** How a picture goes into a file. */
interface PictureWish {
  mostPixels?: number | undefined
  tone?: number | undefined
  known: Known
  /** Colours as a press's inks. */
  inks?: Separation | undefined
}

/** Embeds a picture: grey for black books; over white, since presses refuse transparency; no wider than `mostPixels`; black in it as dark as `tone` says (Decode, ISO 32000-1, 8.9.5.2). Unchanged JPEGs pass through. */
export async function embedImage(
  file: PdfFile,
  source: PictureSource,
  asset: string,
  grey: boolean,
  { mostPixels, tone, known, inks }: PictureWish,
): Promise<PDFRef | undefined> {
  const bytes = await source.bytes(asset)
  if (!bytes) return undefined
  // A page that was made elsewhere; one that is damaged leaves a marked box, as a picture does.
  if (isPdf(bytes)) return embedForeignPage(file, bytes, known).catch(() => undefined)
  const jpeg = jpegHeader(bytes)
  const tooWide = (width: number): boolean => mostPixels !== undefined && width > mostPixels * 1.15
  if (jpeg && !tooWide(jpeg.width) && (jpeg.components === 1 || (jpeg.components === 3 && !grey && !inks))) {
    return file.stream(
      bytes,
      {
        Type: 'XObject',
        Subtype: 'Image',
        Width: jpeg.width,
        Height: jpeg.height,
        ColorSpace: jpeg.components === 1 ? 'DeviceGray' : 'DeviceRGB',
        BitsPerComponent: 8,
        ...lighter(tone, jpeg.components),
        Filter: 'DCTDecode',
      },
      file.ref(),
      true,
    )
  }
  // One that cannot be decoded stops no book: a marked box stands in its place.
  const pixels = await source.decode(bytes, asset).catch(() => undefined)
  if (!pixels) return undefined
  const { width, height, rgba } = pixels
  const channels = grey ? 1 : 3
  const out = new Uint8Array(width * height * channels)
  for (let i = 0, k = 0; i < width * height; i++) {
    const a = rgba[i * 4 + 3]! / 255
    const r = rgba[i * 4]! * a + 255 * (1 - a)
    const g = rgba[i * 4 + 1]! * a + 255 * (1 - a)
    const b = rgba[i * 4 + 2]! * a + 255 * (1 - a)
    if (grey) out[k++] = Math.round(0.299 * r + 0.587 * g + 0.114 * b)
    else {
      out[k++] = Math.round(r)
      out[k++] = Math.round(g)
      out[k++] = Math.round(b)
    }
  }
  const [w, h] = tooWide(width)
    ? [Math.max(1, Math.round(mostPixels!)), Math.max(1, Math.round((mostPixels! * height) / width))]
    : [width, height]
  const seen = w === width ? out : shrunk(out, { width, height }, channels, { width: w, height: h })
  const separated = grey ? undefined : inks?.pixels(seen)
  return file.stream(separated ?? seen, {
    Type: 'XObject',
    Subtype: 'Image',
    Width: w,
    Height: h,
    ColorSpace: grey ? 'DeviceGray' : separated ? 'DeviceCMYK' : 'DeviceRGB',
    BitsPerComponent: 8,
    ...(separated ? thinner(tone) : lighter(tone, channels)),
  })
}

const lighter = (tone: number | undefined, channels: number): { Decode?: number[] } =>
  tone === undefined ? {} : { Decode: Array.from({ length: channels }, () => [round(1 - tone), 1]).flat() }

/** The same of inks, where none is white. */
const thinner = (tone: number | undefined): { Decode?: number[] } =>
  tone === undefined ? {} : { Decode: Array.from({ length: 4 }, () => [0, round(tone)]).flat() }

/** Size and components of a baseline or progressive JPEG, from its frame header. Undefined for other files. */
export function jpegHeader(b: Uint8Array): { width: number; height: number; components: number } | undefined {
  if (b[0] !== 0xff || b[1] !== 0xd8) return undefined
  let i = 2
  while (i + 9 < b.length) {
    if (b[i] !== 0xff) return undefined
    const marker = b[i + 1]!
    if (marker >= 0xc0 && marker <= 0xcf && marker !== 0xc4 && marker !== 0xc8 && marker !== 0xcc)
      return { height: (b[i + 5]! << 8) | b[i + 6]!, width: (b[i + 7]! << 8) | b[i + 8]!, components: b[i + 9]! }
    i += marker === 0xff ? 1 : 2 + ((b[i + 2]! << 8) | b[i + 3]!)
  }
  return undefined
}
