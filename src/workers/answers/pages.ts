import * as Comlink from 'comlink'
import { freshSeed } from '@/core/activity'
import { type Leaves, leavesOf } from '@/core/chain'
import { imagesOn, type PageMarks, type Pictures } from '@/core/marks'
import {
  boxOn,
  findOnPage,
  type FitOffer,
  type Interior,
  type LineAsSet,
  linesOf,
  type PageBox,
  pageOf,
  type PageTurn,
  pageTurns,
  placeAt,
  printedPicture,
  type PrintedPicture,
  type Ruled,
  ruledOn,
  type RuledPoint,
  type TextPlace,
  wordAt,
} from '@/core/pages'
import { Cancelled } from '@/core/trade'
import { chainOf, tools } from '../chains'
import { draw, drawSmall, type Part } from '../draw'
import { firstLook, shown } from '../firstLook'
import { copied, handed } from '../handing'
import { bookOf } from '../openBooks'
import { wantsOriginals, withOriginals, withPreviews } from '../pictureShelf'
import { otherBooks } from '../storeReader'
import { tellAndHear } from '../telling'
import { chosenStyle, figuresIn, fitEdition, samplePage, type StyleFigures } from '../trials'

const interiorOf = (bookId: string, editionId: string): Promise<Interior> => chainOf(bookId, editionId).get('interior')

/** An edition that cannot be set says so in its own room; whoever called it off hears it. */
function notSet(e: Error): undefined {
  if (e instanceof Cancelled) throw e
}

/** How a page is painted: in pixels a point; `gain`: its fine lines are kept to be seen (`drawSmall`), but for a page with pictures, whose tones are their own. */
interface Painted {
  scale: number
  gain?: number | undefined
  part?: Part | undefined
}

const drawn = (page: PageMarks, pictures: Pictures, { scale, gain, part }: Painted): OffscreenCanvas =>
  gain && !imagesOn(page).size ? drawSmall(page, scale, pictures, { part, gain }) : draw(page, scale, pictures, part)

/** The pages of a print edition: painted, searched, tried in other styles. Points from the trim's top left. */
export const pages = {
  async leaves(bookId: string, editionId: string): Promise<Leaves> {
    const chain = chainOf(bookId, editionId)
    const [{ plan }, interior] = [await chain.get('text'), await chain.get('interior')]
    shown(bookId, editionId, { interior, plan })
    return leavesOf(chain)
  },

  /** A page as a picture of `scale` pixels a point. */
  async paint(
    bookId: string,
    editionId: string,
    index: number,
    scale: number,
    { part, gain }: { part?: Part; gain?: number | undefined } = {},
  ) {
    const page = (await interiorOf(bookId, editionId)).pages[index]
    if (!page) return undefined
    return wantsOriginals(page, scale)
      ? handed(await withOriginals(page, p => draw(page, scale, p, part)))
      : withPreviews([page], p => copied(drawn(page, p, { scale, gain, part })))
  },

  /** A page as the file of a small picture. */
  async thumb(bookId: string, editionId: string, index: number, how: Painted): Promise<Blob | undefined> {
    const page = (await interiorOf(bookId, editionId)).pages[index]
    return page && withPreviews([page], p => drawn(page, p, how).convertToBlob())
  },

  /** The open spread after a change, before the whole book is set: see `firstLook`. */
  async firstLook(bookId: string, editionId: string, of: number[], { scale, gain }: Painted) {
    const seen = await firstLook(bookId, editionId, of)
    const marks = seen.map(s => s.marks)
    const bitmaps = await withPreviews(marks, p => Promise.all(marks.map(m => copied(drawn(m, p, { scale, gain })))))
    return Comlink.transfer(
      seen.map(({ page }, i) => ({ page, bitmap: bitmaps[i]! })),
      bitmaps,
    )
  },

  /** The lines of a page and how wide their gaps came out. */
  async lines(bookId: string, editionId: string, index: number): Promise<LineAsSet[]> {
    const page = (await interiorOf(bookId, editionId)).pages[index]
    return page ? linesOf(page) : []
  },

  /** Where a text stands in the pages, in their order. */
  async find(bookId: string, editionId: string, text: string): Promise<{ page: number; boxes: PageBox[] }[]> {
    const interior = await interiorOf(bookId, editionId)
    return interior.pages.flatMap((p, page) => findOnPage(p, text).map(boxes => ({ page, boxes })))
  },

  /** What stands at a point of a page, as a click there means it. */
  async placeAt(
    bookId: string,
    editionId: string,
    index: number,
    x: number,
    y: number,
  ): Promise<TextPlace | undefined> {
    const place = placeAt(await interiorOf(bookId, editionId), index, x, y)
    return place && !place.section.startsWith('run:') ? place : undefined
  },

  /** A seed with which a run has nothing in common with the author's other books, or as little as can be. */
  async freshSeed(bookId: string, runId: string): Promise<number | undefined> {
    const { plan, data } = bookOf(bookId).book
    const runs = plan?.runs ?? []
    const run = runs.find(r => r.id === runId)
    const elsewhere = await otherBooks.asking(bookId)
    return run && freshSeed(run, { runs, language: data.language, press: tools.runs, elsewhere, ticker: tellAndHear })
  },

  /** Where the things that the style's notes rule stand on pages. */
  async ruled(bookId: string, editionId: string, of: number[]): Promise<Partial<Record<Ruled, RuledPoint>>[]> {
    const chain = chainOf(bookId, editionId)
    const [interior, { sections }] = [await chain.get('interior'), await chain.get('text')]
    return of.map(page => ruledOn(interior, sections, page))
  },

  async boxOn(bookId: string, editionId: string, index: number, section: string, block: string) {
    return boxOn(await interiorOf(bookId, editionId), index, section, block)
  },

  async pageOf(bookId: string, editionId: string, section: string, block?: string): Promise<number | undefined> {
    return pageOf(await interiorOf(bookId, editionId), section, block)
  },

  /** Where printed pages turn in a section. */
  async turns(bookId: string, editionId: string, section: string): Promise<PageTurn[]> {
    return pageTurns(await interiorOf(bookId, editionId), section)
  },

  /** How the picture of a block is printed in each print edition, by the edition's id; those that cannot be set say nothing of it. */
  async printed(bookId: string, section: string, block: string): Promise<Record<string, PrintedPicture>> {
    const { book } = bookOf(bookId)
    const out: Record<string, PrintedPicture> = {}
    for (const { id, kind } of book.editions) {
      const interior = kind === 'ebook' ? undefined : await interiorOf(bookId, id).catch(notSet)
      const printed = interior && printedPicture(interior, book, section, block)
      if (printed) out[id] = printed
    }
    return out
  },

  /** Where a place of the text stands in the pages: the page, its label, and the word. */
  async wordInPages(bookId: string, editionId: string, place: TextPlace) {
    const interior = await interiorOf(bookId, editionId)
    const page = pageOf(interior, place.section, place.block, place.chars)
    const marks = page === undefined ? undefined : interior.pages[page]
    return marks && { page: page!, label: marks.label, boxes: wordAt(interior, page!, place) }
  },

  /** The opening of this book's first chapter in a style, as a picture `width` pixels wide. */
  async sample(bookId: string, editionId: string, style: string | object, width: number) {
    const page = await samplePage(bookId, editionId, chosenStyle(bookId, style))
    return page && handed(await withPreviews([page], pictures => draw(page, width / page.width, pictures)))
  },

  /** Sets an edition in another style beside its own, and says what it comes to. */
  tryStyle: (bookId: string, editionId: string, style: string | object): Promise<StyleFigures> =>
    figuresIn(bookId, editionId, chosenStyle(bookId, style)),

  /** Changes of the style with which the edition takes so many pages, or comes nearest without going over. */
  fit: (bookId: string, editionId: string, count: number): Promise<FitOffer | undefined> =>
    fitEdition(bookId, editionId, count),
}
