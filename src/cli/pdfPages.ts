import type { Pixels } from '@/core/pdf'
import { type PictureAt, picturesOfPage, type WordsAt, wordsOfPage } from '@/core/pdf'

/** Pages of PDFs in Node: painted by the canvas library, and read. */
async function withPage<T>(
  bytes: Uint8Array,
  use: (page: Page, library: typeof import('@napi-rs/canvas')) => Promise<T>,
): Promise<T> {
  const library = await import('@napi-rs/canvas')
  const { DOMMatrix, ImageData, Path2D } = library
  // The reader takes them from where browsers have them.
  Object.assign(globalThis, { DOMMatrix, ImageData, Path2D })
  const { getDocument } = await import('pdfjs-dist/legacy/build/pdf.mjs')
  // Canvases of the reader's own copy of the library cannot be drawn on ours: the process would end.
  class Canvases {
    create(width: number, height: number) {
      const canvas = library.createCanvas(width, height)
      return { canvas, context: canvas.getContext('2d') }
    }
    reset({ canvas }: CanvasAndContext, width: number, height: number): void {
      Object.assign(canvas!, { width, height })
    }
    destroy(of: CanvasAndContext): void {
      Object.assign(of, { canvas: null, context: null })
    }
  }
  const task = getDocument({
    // What is handed over is used up.
    data: bytes.slice(),
    disableFontFace: true,
    useSystemFonts: false,
    CanvasFactory: Canvases,
    verbosity: 0,
  })
  try {
    return await use(await (await task.promise).getPage(1), library)
  } finally {
    await task.destroy()
  }
}

interface CanvasAndContext {
  canvas: import('@napi-rs/canvas').Canvas | null
  context: unknown
}

type Page = import('pdfjs-dist').PDFPageProxy

/** The first page of a PDF as it is seen, so many pixels wide. */
export const pdfPixels = (bytes: Uint8Array, width: number): Promise<Pixels> =>
  withPage(bytes, async (page, { createCanvas }) => {
    const viewport = page.getViewport({ scale: width / page.getViewport({ scale: 1 }).width })
    const canvas = createCanvas(Math.round(viewport.width), Math.round(viewport.height))
    const ctx = canvas.getContext('2d')
    await page.render({ canvas: null, canvasContext: ctx as never, viewport }).promise
    const { data } = ctx.getImageData(0, 0, canvas.width, canvas.height)
    return { width: canvas.width, height: canvas.height, rgba: new Uint8ClampedArray(data.buffer) }
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
    const { OPS: names } = await import('pdfjs-dist/legacy/build/pdf.mjs')
    const { fnArray, argsArray } = await page.getOperatorList()
    return picturesOfPage({ fnArray, argsArray, names, ...page.getViewport({ scale: 1 }) })
  })
