import * as Comlink from 'comlink'
import { type Edition, slugOf, type Wrap } from '@/core/book'
import { designOf, quickCover, type Refitted, refitted } from '@/core/chain'
import { frontPicture, type PaintedAs, type PaintedPage, separationFor } from '@/core/delivery'
import type { PageMarks } from '@/core/marks'
import type { Separation } from '@/core/ink'
import { Fault } from '@/core/trade'
import {
  type Cover,
  type CoverDesign,
  drawCover,
  type Examined,
  type Flat,
  flatMeasures,
  frontPage,
  type Measure,
  type SetPiece,
} from '@/core/cover'
import { chainOf, ebookOf, editionOf, outletOf, tools } from '../chains'
import { printInputsOf } from '../editionInputs'
import { draw, withBleed } from '../draw'
import { handed } from '../handing'
import { marketCover } from '../marketFronts'
import { bookOf } from '../openBooks'
import { knownOutlets } from '../outlets'
import { ports } from '../ports'
import { withPreviews } from '../pictureShelf'

/** The cover as a view needs it. */
export interface CoverView {
  flat: Flat
  pieces: SetPiece[]
  barcode: Cover['barcode']
  /** Its lengths with the sums that they came from; none of an ebook's front. */
  measures: Measure[]
  design: CoverDesign
  /** What of it was made elsewhere, as it lies. */
  elsewhere?: Cover['elsewhere']
}

/** The front of a cover as a file; `most`: megabytes that the outlet takes. */
export interface FrontFile extends PaintedPage {
  name: string
  most?: number
}

/** Height of a front in the list of books, pixels. */
const IN_THE_LIST = 240

/** The cover an edition wears: its own flat, or for an ebook the front of the print edition's. */
const coverOf = (bookId: string, editionId: string, outletId?: string): Promise<Cover> =>
  editionOf(bookId, editionId).kind === 'ebook'
    ? ebookOf(bookId, editionId, outletId).get('cover')
    : chainOf(bookId, editionId, outletId).get('cover')

async function measuresOf(
  bookId: string,
  editionId: string,
  { flat, outletId }: { flat: Flat; outletId: string | undefined },
): Promise<Measure[]> {
  if (editionOf(bookId, editionId).kind === 'ebook') return []
  const chain = chainOf(bookId, editionId, outletId)
  return flatMeasures(await chain.get('profile'), await chain.get('spec'), flat)
}

/** The inks of an outlet; of one that prints nothing, those of any coated paper. */
async function separationAt(edition: Edition, outletId: string | undefined): Promise<Separation> {
  const profile = knownOutlets().find(p => p.id === outletOf(edition, outletId))
  if (profile?.print) return separationFor(profile, ports)
  const { Separation } = await import('@/core/ink')
  return new Separation(await ports.inks())
}

/** A book's cover before its pages are known. Undefined where no printer binds such a book, or it has no edition. */
export async function coverAtOnce(bookId: string): Promise<Cover | undefined> {
  const b = bookOf(bookId)
  const print = b.book.editions.find(e => e.kind !== 'ebook')
  if (print) return quickCover(printInputsOf(b, print, outletOf(print)), tools.shelf)
  const [first] = b.book.editions
  return first && ebookOf(bookId, first.id).get('cover')
}

/** The whole flat, so many pixels high. */
async function flatPicture({ page }: Cover, height: number): Promise<ImageBitmap> {
  const shown = withBleed(page)
  const canvas = await withPreviews([page], p => draw(page, height / shown.height, p, shown))
  return canvas.transferToImageBitmap()
}

/** Covers, whole and in part. */
export const covers = {
  /** The front of an open book as a picture, for the list of books: at once, before its pages are set. */
  async front(bookId: string): Promise<Blob | undefined> {
    const cover = await coverAtOnce(bookId)
    if (!cover) return undefined
    const page = frontPage(cover)
    const canvas = await withPreviews([page], pictures => draw(page, IN_THE_LIST / page.height, pictures))
    return canvas.convertToBlob({ type: 'image/png' })
  },

  /** The front that a design gives this book, so many pixels high: at once, whatever its pages. */
  async designFront(bookId: string, editionId: string, design: CoverDesign, height: number, outletId?: string) {
    const b = bookOf(bookId)
    const edition = editionOf(bookId, editionId)
    const print = edition.kind === 'ebook' ? b.book.editions.find(e => e.kind !== 'ebook') : edition
    const cover = print
      ? await quickCover(
          {
            ...printInputsOf(b, print, outletOf(print, print === edition ? outletId : undefined)),
            design,
            // The design by itself, whatever is worn over it.
            ownWrap: undefined,
          },
          tools.shelf,
        )
      : await drawCover(await ebookOf(bookId, editionId, outletId).get('plainFlat'), design, b.book.data, {
          shelf: tools.shelf,
          assets: b.book.assets,
        })
    if (!cover) throw new Fault('no-binding', 'This outlet binds no such book, so no front can be drawn for it.')
    const page = frontPage(cover)
    return handed(await withPreviews([page], pictures => draw(page, height / page.height, pictures)))
  },

  /** The front as a file of the size that the outlet takes, and what it may weigh there, megabytes. */
  async frontFile(bookId: string, editionId: string, type: PaintedAs['type'], outletId?: string): Promise<FrontFile> {
    const cover = await coverOf(bookId, editionId, outletId)
    const edition = editionOf(bookId, editionId)
    const profile = knownOutlets().find(p => p.id === outletOf(edition, outletId))
    const made = await frontPicture(cover, profile ?? {}, ports, type)
    const most = profile?.ebook?.frontMb
    const name = `${slugOf(bookOf(bookId).book.data.title, 'book')}-front.${type === 'png' ? 'png' : 'jpg'}`
    return Comlink.transfer({ ...made, name, ...(most === undefined ? {} : { most }) }, [made.bytes.buffer])
  },

  /** The front of a title of the simulated marketplace. */
  async marketFront(title: string, author: string, height: number): Promise<ImageBitmap> {
    const page = frontPage(await marketCover(title, author, tools.shelf))
    return handed(draw(page, height / page.height, () => undefined))
  },

  /** A cover on the flat that it was fitted to and on another: both as pictures so many pixels high, and what fits no longer. */
  async refitOf(
    bookId: string,
    editionId: string,
    { fitted, pages, height, outletId }: { fitted: number; pages: number; height: number; outletId?: string },
  ): Promise<{ before: ImageBitmap; after: ImageBitmap; refit: Refitted }> {
    const b = bookOf(bookId)
    const edition = editionOf(bookId, editionId)
    const inputs = printInputsOf(b, edition, outletOf(edition, outletId))
    const [before, after] = [
      await quickCover({ ...inputs, coverPages: fitted }, tools.shelf),
      await quickCover({ ...inputs, coverPages: pages }, tools.shelf),
    ]
    if (!before || !after) throw new Fault('no-binding', 'This outlet binds no such book, so it has no flat.')
    const pictures = { before: await flatPicture(before, height), after: await flatPicture(after, height) }
    const refit = refitted(before, after, inputs.profile)
    return Comlink.transfer({ ...pictures, refit }, [pictures.before, pictures.after])
  },

  /** A picture of a book by itself, as wide and high as it is wanted; what of it cannot be shown is clear. */
  async pictureAt(id: string, width: number, height: number): Promise<ImageBitmap> {
    const bleed = { top: 0, right: 0, bottom: 0, left: 0 }
    const image = { kind: 'image' as const, asset: id, x: 0, y: 0, width, height }
    const layers = [{ layer: { items: [image] }, x: 0, y: 0 }]
    const page: PageMarks = { width, height, bleed, layers, label: '', side: 'recto' }
    return handed(await withPreviews([page], pictures => draw(page, 1, pictures, undefined, 'transparent')))
  },

  /** What of a cover was made elsewhere, looked over; undefined where nothing was. */
  async examinedCover(bookId: string, editionId: string, outletId?: string): Promise<Examined | undefined> {
    return editionOf(bookId, editionId).kind === 'ebook'
      ? undefined
      : chainOf(bookId, editionId, outletId).get('examined')
  },

  /** A wrap made elsewhere on the flat of now: as it was made, and following the spine. Both so many pixels high. */
  async followedOf(
    bookId: string,
    editionId: string,
    { height, outletId }: { height: number; outletId?: string },
  ): Promise<{ asMade: ImageBitmap; followed: ImageBitmap } | undefined> {
    const b = bookOf(bookId)
    const edition = editionOf(bookId, editionId)
    if (!edition.wrap) return undefined
    const { atFolds: _a, ...wrap } = edition.wrap
    const { flat } = await coverOf(bookId, editionId, outletId)
    const drawn = async (ownWrap: Wrap): Promise<ImageBitmap | undefined> => {
      const inputs = printInputsOf(b, edition, outletOf(edition, outletId))
      const cover = await quickCover({ ...inputs, coverPages: flat.pages, ownWrap }, tools.shelf)
      return cover && flatPicture(cover, height)
    }
    const [asMade, followed] = [await drawn(wrap), await drawn({ ...wrap, atFolds: 'widened' })]
    return asMade && followed && Comlink.transfer({ asMade, followed }, [asMade, followed])
  },

  async cover(bookId: string, editionId: string, outletId?: string): Promise<CoverView> {
    const { flat, pieces, barcode, elsewhere } = await coverOf(bookId, editionId, outletId)
    const measures = await measuresOf(bookId, editionId, { flat, outletId })
    const design = designOf(bookOf(bookId).book)
    return { flat, pieces, barcode, measures, design, ...(elsewhere ? { elsewhere } : {}) }
  },

  /** The cover as a picture: the whole sheet with its bleed, or the front as it is cut. */
  async paintCover(bookId: string, editionId: string, part: 'sheet' | 'front', scale: number, outletId?: string) {
    const cover = await coverOf(bookId, editionId, outletId)
    const page = part === 'front' ? frontPage(cover) : cover.page
    const shown = part === 'sheet' ? withBleed(page) : undefined
    return handed(await withPreviews([page], pictures => draw(page, scale, pictures, shown)))
  },

  /** The same as the printer’s inks make it, and how much of it they cannot; `mark`: that is striped. */
  async proofCover(
    bookId: string,
    editionId: string,
    { part, scale, outletId, mark }: { part: 'sheet' | 'front'; scale: number; outletId?: string; mark: boolean },
  ): Promise<{ picture: ImageBitmap; beyond: number }> {
    const cover = await coverOf(bookId, editionId, outletId)
    const page = part === 'front' ? frontPage(cover) : cover.page
    const shown = part === 'sheet' ? withBleed(page) : undefined
    const canvas = await withPreviews([page], pictures => draw(page, scale, pictures, shown))
    const ctx = canvas.getContext('2d')!
    const image = ctx.getImageData(0, 0, canvas.width, canvas.height)
    const { proofed } = await import('@/core/ink')
    const separation = await separationAt(editionOf(bookId, editionId), outletId)
    const beyond = proofed({ width: canvas.width, rgba: image.data }, separation, mark)
    ctx.putImageData(image, 0, 0)
    const picture = canvas.transferToImageBitmap()
    return Comlink.transfer({ picture, beyond }, [picture])
  },
}
