import type { Inks } from '../ink'
import type { PageMarks } from '../marks'
import type { PdfPorts, PictureAt, PictureSource, WordsAt } from '../pdf'
import type { Lightener } from '../weight'

/** The kind of a picture's file, and of a JPEG how much of it is kept, 0 to 1. */
export interface PaintedAs {
  type: 'jpeg' | 'png'
  quality?: number
}

/** A painted page as a file, and its size in pixels. */
export interface PaintedPage {
  bytes: Uint8Array
  width: number
  height: number
}

/** What making files asks of the world: a canvas, the bytes of pictures, what writing a PDF asks. */
export interface DeliveryPorts {
  /** Paints a page as a file of so many pixels in height: a JPEG where nothing else is said. */
  paint(page: PageMarks, height: number, as?: PaintedAs): Promise<PaintedPage>
  /** A page with its bleed as pixels; `scale`: pixels a point. Its pictures are what is at hand to be looked at, unless `originals` are asked for. */
  pixels(
    page: PageMarks,
    scale: number,
    of?: 'originals',
  ): Promise<{ width: number; height: number; rgba: ArrayLike<number> }>
  /** What colours become on a press: loaded when it is first asked. */
  inks(): Promise<Inks>
  pictures: PictureSource
  lightener: Lightener
  /** The words of a page of a PDF. */
  pageWords(pdf: Uint8Array): Promise<WordsAt[]>
  /** The pictures of a page of a PDF, and how fine each is. */
  pagePictures(pdf: Uint8Array): Promise<PictureAt[]>
  /** Loaded when a PDF is written. */
  pdf(): Promise<PdfPorts>
}
