import type { PDFPageProxy } from 'pdfjs-dist'
import { type PictureAt, picturesOfPage, type WordsAt, wordsOfPage } from '@/core/pdf'
import { Fault } from '@/core/trade'

/** Longest side of a page of a PDF when it is painted, pixels: as sharp as a print proof. */
const LONGEST = 2400

type Library = typeof import('pdfjs-dist')
let library: Promise<Library> | undefined

/** The reader of foreign PDFs, loaded when there is one to be painted; it works in this thread, which is a worker already. */
const pdfReader = (): Promise<Library> =>
  (library ??= (async () => {
    // It looks for its own worker under this name before it would start one.
    Object.assign(globalThis, { pdfjsWorker: await import('pdfjs-dist/build/pdf.worker.min.mjs') })
    return import('pdfjs-dist')
  })())

interface CanvasAndContext {
  canvas: OffscreenCanvas | null
  context: OffscreenCanvasRenderingContext2D | null
}

/** Canvases that need no page. */
class Canvases {
  create(width: number, height: number): CanvasAndContext {
    const canvas = new OffscreenCanvas(width, height)
    return { canvas, context: canvas.getContext('2d') }
  }
  reset({ canvas }: CanvasAndContext, width: number, height: number): void {
    Object.assign(canvas!, { width, height })
  }
  destroy(of: CanvasAndContext): void {
    Object.assign(of, { canvas: null, context: null })
  }
}

/** Filters are drawn by the page in other programs; here there are none. */
class Filters {
  addFilter = (): string => 'none'
  addHCMFilter = (): string => 'none'
  addAlphaFilter = (): string => 'none'
  addLuminosityFilter = (): string => 'none'
  addHighlightHCMFilter = (): string => 'none'
  destroy(): void {}
}

async function withPage<T>(bytes: Uint8Array, use: (page: PDFPageProxy) => Promise<T>): Promise<T> {
  const { getDocument } = await pdfReader()
  const task = getDocument({
    // What is handed over is used up.
    data: bytes.slice(),
    disableFontFace: true,
    useSystemFonts: false,
    useWorkerFetch: false,
    isImageDecoderSupported: false,
    CanvasFactory: Canvases,
    FilterFactory: Filters,
    verbosity: 0,
  })
  try {
    return await use(await (await task.promise).getPage(1))
  } finally {
    await task.destroy()
  }
}

/** The first page of a PDF as it is seen, cut to its trim. Throws where it cannot be read. */
export const pdfBitmap = (bytes: Uint8Array): Promise<ImageBitmap> =>
  withPage(bytes, async page => {
    const plain = page.getViewport({ scale: 1 })
    const viewport = page.getViewport({ scale: LONGEST / Math.max(plain.width, plain.height) })
    const canvas = new OffscreenCanvas(Math.round(viewport.width), Math.round(viewport.height))
    const context = canvas.getContext('2d')
    if (!context) throw new Fault('canvas', 'The browser gives no canvas.')
    await page.render({ canvas: null, canvasContext: context as never, viewport }).promise
    return canvas.transferToImageBitmap()
  })

/** Its words. */
export const pdfWords = (bytes: Uint8Array): Promise<WordsAt[]> =>
  withPage(bytes, async page => {
    const { items } = await page.getTextContent()
    return wordsOfPage({ items, ...page.getViewport({ scale: 1 }) })
  })

/** Its pictures. */
export const pdfPictures = (bytes: Uint8Array): Promise<PictureAt[]> =>
  withPage(bytes, async page => {
    const { OPS: names } = await pdfReader()
    const { fnArray, argsArray } = await page.getOperatorList()
    return picturesOfPage({ fnArray, argsArray, names, ...page.getViewport({ scale: 1 }) })
  })
