import { check, type Finding } from '../check'
import { type Cover, drawCover, type Flat } from '../cover'
import {
  ebookSnapshot,
  frontHeight,
  frontPicture,
  type MadeEbook,
  makeEbook,
  type PaintedPage,
  type Worked,
  workedEbook,
} from '../delivery'
import { type EbookMoney, ebookMoney, leastEbookPrice, type ListingSnapshot } from '../outlets'
import { type PageStart, pageStarts, type Interior } from '../pages'
import { createGraph, type Graph } from './graph'
import { type SharedInputs, statedInputs, type Tools } from './inputs'

/** What an ebook at an outlet starts from. */
export interface EbookInputs extends SharedInputs {
  /** The flat on which its front is drawn where the book has no print edition. */
  plainFlat: Flat
}

/** What an ebook takes from the book's print edition; undefined where there is none. */
export interface PrintBeside {
  printCover: Cover | undefined
  printInterior: Interior | undefined
}

/** Everything that follows from an ebook at one outlet. */
export interface EbookChain extends EbookInputs, PrintBeside {
  cover: Cover
  /** The front as a picture of the height that the outlet takes. */
  front: PaintedPage
  /** Where printed pages begin, for the page list. */
  starts: PageStart[] | undefined
  epub: MadeEbook
  /** What a copy brings; undefined without a price. */
  money: EbookMoney | undefined
  /** Minor units. */
  leastPrice: number
  worked: Worked
  findings: Finding[]
  /** What the outlet would see if it were sent now. */
  snapshot: ListingSnapshot
}

/** The graph for an ebook at an outlet. `beside`: the print edition's own values, asked of its chain each time. */
export function ebookChain(
  inputs: EbookInputs,
  beside: { [K in keyof PrintBeside]: () => Promise<PrintBeside[K]> },
  { shelf, ports }: Tools,
): Graph<EbookChain> {
  return createGraph<EbookChain>(
    inputs,
    {
      cover: async get => {
        const print = await get('printCover')
        if (print) return print
        const [flat, design, data] = [await get('plainFlat'), await get('design'), await get('data')]
        return drawCover(flat, design, data, { shelf, assets: await get('assets') })
      },
      front: async get => frontPicture(await get('cover'), frontHeight(await get('profile')), ports),
      starts: async get => {
        const interior = await get('printInterior')
        return interior && pageStarts(interior)
      },
      epub: async get => {
        const [isbn, pages] = [await get('isbn'), await get('starts')]
        const parts = { date: await get('date'), front: await get('front'), rules: (await get('profile')).ebook }
        return makeEbook(await get('text'), { ...parts, ...(isbn ? { isbn } : {}), ...(pages ? { pages } : {}) }, ports)
      },
      money: async get => {
        const price = await get('price')
        return price === undefined
          ? undefined
          : ebookMoney(await get('profile'), price, (await get('epub')).bytes.length)
      },
      leastPrice: async get => leastEbookPrice(await get('profile'), (await get('epub')).bytes.length),
      worked: async get => workedEbook(await get('money')),
      findings: async get => {
        const { bytes, troubles } = await get('epub')
        const { width, height } = await get('front')
        return check({
          book: await get('text'),
          profile: await get('profile'),
          ebook: {
            bytes: bytes.length,
            troubles,
            front: { width, height },
            price: await get('price'),
            leastPrice: await get('leastPrice'),
          },
        })
      },
      snapshot: async get =>
        ebookSnapshot(await statedInputs(get), (await get('epub')).bytes.length, await get('money')),
    },
    beside,
  )
}
