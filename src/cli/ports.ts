import { existsSync } from 'node:fs'
import { readFile } from 'node:fs/promises'
import { dirname, join } from 'node:path'
import { promisify } from 'node:util'
import { deflate } from 'node:zlib'
import type { DeliveryPorts } from '@/core/delivery'
import type { Lcms } from '@/core/ink'
import { type Canvas2D, imagesOn, type PageMarks, paintPage } from '@/core/marks'
import { loadSubsetter, type PdfPorts, type PictureSource, type Pixels, type Subsetter } from '@/core/pdf'
import { isPdf, once } from '@/core/trade'
import { type FontSource, shippedFonts } from '@/core/type'
import { type CodecModule, createLightener, type KeptLight, type Lightener, loadCodecs } from '@/core/weight'

/** The core's ports in Node: fonts and WASM from the packages, pictures by a canvas library, loaded when first needed. */
const canvasLibrary = () => import('@napi-rs/canvas')

const packages: Record<string, string> = {
  EBGaramond: 'eb-garamond',
  LibreCaslonText: 'libre-caslon-text',
  CrimsonPro: 'crimson-pro',
  Alegreya: 'alegreya',
  Spectral: 'spectral',
  Literata: 'literata',
  SourceSerif4: 'source-serif-4',
  AtkinsonHyperlegible: 'atkinson-hyperlegible',
  Fraunces: 'fraunces',
  Figtree: 'figtree',
}

/** The project's folder: the nearest above the working one that holds its packages. */
export function projectRoot(): string {
  let at = process.cwd()
  while (!existsSync(join(at, 'node_modules/harfbuzzjs'))) {
    const up = dirname(at)
    if (up === at) throw new Error('run this inside the project')
    at = up
  }
  return at
}

export const fontSource: FontSource = async key => {
  const file = shippedFonts[key]
  if (!file) return undefined
  const [family, variant] = file.replace('.ttf', '').split(/_(.*)/)
  const folder = packages[family!] ?? key.split('/')[0]!
  const path = join(projectRoot(), 'node_modules/@expo-google-fonts', folder, variant!, file)
  return existsSync(path) ? new Uint8Array(await readFile(path)) : undefined
}

const zlibDeflate = promisify(deflate)

/** What writing a PDF asks of Node; streams are packed on threads of their own. */
export const nodePdf = async (pictures: PictureSource): Promise<PdfPorts> => ({
  subsetter: await nodeSubsetter(),
  pictures,
  deflate: bytes => zlibDeflate(bytes),
})

let subsetter: Promise<Subsetter> | undefined
const nodeSubsetter = (): Promise<Subsetter> =>
  (subsetter ??= readFile(join(projectRoot(), 'node_modules/harfbuzzjs/dist/harfbuzz-subset.wasm')).then(b =>
    loadSubsetter(new Uint8Array(b)),
  ))

/** Pictures of a book, decoded by the canvas library. */
export function pictureSource(pictures: Map<string, Uint8Array>): PictureSource {
  return {
    bytes: async id => pictures.get(id),
    decode: bytes => decoded(bytes),
  }
}

/** Pixels across a page of a PDF where nobody says how large it is wanted. */
const PDF_PIXELS = 1600

/** A picture that can be drawn; of a page of a PDF, so many pixels wide. */
async function imageOf(bytes: Uint8Array, width: number) {
  const { createCanvas, loadImage } = await canvasLibrary()
  if (!isPdf(bytes)) return loadImage(Buffer.from(bytes))
  const { pdfPixels } = await import('./pdfPages')
  const page = await pdfPixels(bytes, width)
  const canvas = createCanvas(page.width, page.height)
  const ctx = canvas.getContext('2d')
  const image = ctx.createImageData(page.width, page.height)
  image.data.set(page.rgba)
  ctx.putImageData(image, 0, 0)
  return canvas
}

/** A picture's pixels in its own size or another. */
async function decoded(bytes: Uint8Array, size?: { width: number; height: number }): Promise<Pixels> {
  const { createCanvas } = await canvasLibrary()
  const image = await imageOf(bytes, PDF_PIXELS)
  const { width, height } = size ?? image
  const canvas = createCanvas(width, height)
  const ctx = canvas.getContext('2d')
  ctx.imageSmoothingQuality = 'high'
  ctx.drawImage(image, 0, 0, width, height)
  return { width, height, rgba: new Uint8ClampedArray(ctx.getImageData(0, 0, width, height).data.buffer) }
}

/** A page with its bleed on a canvas; `scale`: pixels a point. */
async function painted(page: PageMarks, scale: number, pictures: Map<string, Uint8Array>) {
  const width = Math.round((page.width + page.bleed.left + page.bleed.right) * scale)
  const height = Math.round((page.height + page.bleed.top + page.bleed.bottom) * scale)
  const { createCanvas } = await canvasLibrary()
  const images = new Map<string, unknown>()
  // Only what stands on the page is decoded; what cannot be shows as a marked box.
  for (const id of imagesOn(page)) {
    const bytes = pictures.get(id)
    const image = bytes && (await imageOf(bytes, width).catch(() => undefined))
    if (image) images.set(id, image)
  }
  const canvas = createCanvas(width, height)
  const ctx = canvas.getContext('2d')
  ctx.scale(scale, scale)
  ctx.translate(page.bleed.left, page.bleed.top)
  paintPage(ctx as unknown as Canvas2D, page, id => images.get(id))
  return { canvas, ctx, width, height }
}

/** Paints a page to a picture file. `scale`: pixels a point. */
export async function paintToFile(
  page: PageMarks,
  scale: number,
  type: 'jpeg' | 'png',
  pictures: Map<string, Uint8Array> = new Map(),
  quality = 0.92,
): Promise<{ bytes: Uint8Array; width: number; height: number }> {
  const { canvas, width, height } = await painted(page, scale, pictures)
  const bytes = type === 'jpeg' ? await canvas.encode('jpeg', Math.round(quality * 100)) : await canvas.encode('png')
  return { bytes: new Uint8Array(bytes), width, height }
}

const codecFolders: Record<CodecModule, string> = {
  'mozjpeg_enc.wasm': '@jsquash/jpeg/codec/enc',
  'mozjpeg_dec.wasm': '@jsquash/jpeg/codec/dec',
  'squoosh_oxipng_bg.wasm': '@jsquash/oxipng/codec/pkg',
}

/** Lightens pictures here and now; what it made is kept as long as the book is worked at. */
function nodeLightener(pictures: Map<string, Uint8Array>): Lightener {
  const kept = new Map<string, KeptLight>()
  const codecs = once(() =>
    loadCodecs(async name => readFile(join(projectRoot(), 'node_modules', codecFolders[name], name))),
  )
  return createLightener({
    bytes: async id => pictures.get(id),
    decode: (bytes, _picture, size) => decoded(bytes, size),
    codecs,
    kept: { read: async id => kept.get(id), write: async (id, k) => void kept.set(id, k) },
  })
}

/** The press's colours, from the project's own files. */
const nodeInks = once(async () => {
  const { loadInks } = await import('@/core/ink')
  const lcms = (await import('lcms-wasm')) as unknown as Lcms
  const [profile, wasm] = await Promise.all(
    ['colour/coated-offset.icc', 'node_modules/lcms-wasm/dist/lcms.wasm'].map(f => readFile(join(projectRoot(), f))),
  )
  return loadInks(new Uint8Array(profile!), lcms, new Uint8Array(wasm!))
})

/** The ports for a book's files, its pictures in memory. */
export const nodePorts = (pictures: Map<string, Uint8Array>): DeliveryPorts => ({
  pictures: pictureSource(pictures),
  lightener: nodeLightener(pictures),
  pageWords: async pdf => (await import('./pdfPages')).pdfWords(pdf),
  pagePictures: async pdf => (await import('./pdfPages')).pdfPictures(pdf),
  pdf: () => nodePdf(pictureSource(pictures)),
  inks: nodeInks,
  pixels: async (page, scale) => {
    const { ctx, width, height } = await painted(page, scale, pictures)
    return { width, height, rgba: ctx.getImageData(0, 0, width, height).data }
  },
  paint: (page, height, { type, quality } = { type: 'jpeg' }) =>
    paintToFile(page, height / page.height, type, pictures, quality),
})
