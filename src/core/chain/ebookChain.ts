import type { Asset, EbookSettings, TitleData } from '../book'
import { check, type Finding } from '../check'
import { type Cover, drawCover, type Flat } from '../cover'
import {
  bareWeight,
  type EbookParts,
  ebookPictures,
  fixedPages,
  goesFixed,
  ebookSnapshot,
  frontPicture,
  type MadeEbook,
  makeEbook,
  type PageElsewhere,
  pagesElsewhere,
  type PaintedPage,
  type Worked,
  workedEbook,
} from '../delivery'
import { type EbookMoney, ebookMoney, leastEbookPrice, type ListingSnapshot } from '../outlets'
import { type Interior, type InteriorStyle, type PageStart, pageStarts } from '../pages'
import { Fault, type PrintSpec, type Ticker } from '../trade'
import { canBeLightened, type LightBook, lightenBook } from '../weight'
import type { EpubFinding, FixedPages } from '../epub'
import { createGraph, type Graph } from './graph'
import { type SharedInputs, statedInputs, type Tools } from './inputs'
import type { PrintChain } from './printChain'

/** What an ebook at an outlet starts from. */
export interface EbookInputs extends SharedInputs {
  /** The flat on which its front is drawn where the book has no print edition. */
  plainFlat: Flat
  /** Its look where the book has no print edition. */
  ownStyle: InteriorStyle
  settings: EbookSettings | undefined
}

/** What an ebook takes from the book's print edition; undefined where there is none. */
export interface PrintBeside {
  printCover: Cover | undefined
  printInterior: Interior | undefined
  printStyle: InteriorStyle | undefined
  /** The print edition, as an ebook names it for its source: by its ISBN, or in words. */
  printName: string | undefined
}

/** Everything that follows from an ebook at one outlet. */
export interface EbookChain extends EbookInputs, PrintBeside {
  cover: Cover
  /** The front as a picture of the height that the outlet takes. */
  front: PaintedPage
  /** The style that it follows. */
  style: InteriorStyle
  /** Where printed pages begin, for the page list. */
  starts: PageStart[] | undefined
  /** Its pages as they print, where they stay so. */
  fixed: FixedPages | undefined
  /** Ids of the pages of PDFs on them, with a blank between them. */
  foreign: string
  elsewhere: ReadonlyMap<string, PageElsewhere>
  /** What it is made from beside the book. */
  parts: EbookParts
  /** Ids of the pictures that can be made lighter, with a blank between them. */
  heavy: string
  /** Its pictures as they go into it, where the author asks for lighter ones. */
  light: LightBook | undefined
  /** Bytes of the file beside those pictures, up to the next step: a letter more makes no picture anew. */
  bare: number
  epub: MadeEbook
  /** What a copy brings; undefined without a price. */
  money: EbookMoney | undefined
  /** Minor units. */
  leastPrice: number
  worked: Worked
  /** What the made file has against it, as any ebook is looked at. */
  faults: EpubFinding[]
  findings: Finding[]
  /** What the outlet would see if it were sent now. */
  snapshot: ListingSnapshot
}

/** Bytes. */
const BARE_STEP = 20_000

/** The graph for an ebook at an outlet. `beside`: the chain of the book's print edition, asked for each time. */
export function ebookChain(
  inputs: EbookInputs,
  beside: () => Pick<Graph<PrintChain>, 'get'> | undefined,
  { shelf, ports, ticker = () => undefined }: Tools,
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
      front: async get => frontPicture(await get('cover'), await get('profile'), ports),
      style: async get => (await get('printStyle')) ?? (await get('ownStyle')),
      starts: async get => {
        const interior = await get('printInterior')
        return interior && pageStarts(interior)
      },
      ...fixity(ports, ticker),
      parts: async get => {
        return {
          isbn: await get('isbn'),
          date: await get('date'),
          style: await get('style'),
          settings: await get('settings'),
          front: await get('front'),
          outlet: (await get('profile')).id,
          rules: (await get('profile')).ebook,
          pages: await get('starts'),
          printed: await get('printName'),
          fixed: await get('fixed'),
          elsewhere: await get('elsewhere'),
        }
      },
      ...lightness(shelf, ports, ticker),
      epub: async get => makeEbook(await get('text'), await get('parts'), await get('light'), shelf, ports),
      money: async get => {
        const price = await get('price')
        return price === undefined
          ? undefined
          : ebookMoney(await get('profile'), price, (await get('epub')).bytes.length)
      },
      leastPrice: async get => leastEbookPrice(await get('profile'), (await get('epub')).bytes.length),
      worked: async get => workedEbook(await get('money')),
      ...judged,
      snapshot: async get =>
        ebookSnapshot(await statedInputs(get), (await get('epub')).bytes.length, await get('money')),
    },
    {
      printCover: async () => beside()?.get('cover'),
      printInterior: async () => beside()?.get('interior'),
      printStyle: async () => beside()?.get('style'),
      printName: async () => {
        const print = beside()
        return print && nameOf(await print.get('isbn'), await print.get('data'), await print.get('spec'))
      },
    },
  )
}

type Get = <K extends keyof EbookChain>(name: K) => Promise<EbookChain[K]>

const named = async (get: Get, which: 'heavy' | 'foreign'): Promise<Asset[]> => {
  const ids = new Set((await get(which)).split(' '))
  return (await get('assets')).filter(a => ids.has(a.id))
}

/** How its pages stay as they print. */
const fixity = (ports: Tools['ports'], ticker: Ticker) => ({
  fixed: async (get: Get): Promise<FixedPages | undefined> => {
    const [text, interior] = [await get('text'), await get('printInterior')]
    if (!goesFixed(text, await get('settings'))) return undefined
    if (!interior)
      throw new Fault(
        'no-pages',
        'An ebook of fixed pages has the pages of a printed edition, and this book has none yet: Plan adds one.',
      )
    return fixedPages(text, interior)
  },
  foreign: async (get: Get): Promise<string> => {
    const [text, fixed] = [await get('text'), await get('fixed')]
    const shown = fixed ? await ebookPictures(text, { style: await get('style'), fixed }) : []
    return shown
      .filter(a => a.type === 'application/pdf')
      .map(a => a.id)
      .join(' ')
  },
  elsewhere: async (get: Get): Promise<ReadonlyMap<string, PageElsewhere>> =>
    pagesElsewhere(await named(get, 'foreign'), ports, ticker),
})

/** How its pictures become lighter. */
const lightness = (shelf: Tools['shelf'], ports: Tools['ports'], ticker: Ticker) => ({
  heavy: async (get: Get): Promise<string> =>
    (await ebookPictures(await get('text'), { style: await get('style'), fixed: await get('fixed') }))
      .filter(canBeLightened)
      .map(a => a.id)
      .join(' '),
  bare: async (get: Get): Promise<number> => {
    const bytes = await bareWeight(await get('text'), await get('parts'), await named(get, 'heavy'), shelf, ports)
    return Math.ceil(bytes / BARE_STEP) * BARE_STEP
  },
  light: async (get: Get): Promise<LightBook | undefined> => {
    const wish = (await get('settings'))?.light
    if (!wish) return undefined
    const rest = 'weight' in wish ? await get('bare') : 0
    return lightenBook(await named(get, 'heavy'), wish, rest, ports.lightener, ticker)
  },
})

/** What there is against it. */
const judged = {
  faults: async (get: Get): Promise<EpubFinding[]> => {
    const { checkEpub } = await import('../epub')
    const { name, ebook: rules } = await get('profile')
    return checkEpub((await get('epub')).bytes, rules && { name, rules })
  },
  findings: async (get: Get): Promise<Finding[]> => {
    const { bytes, leftOut, gaps, recordingsLeftOut } = await get('epub')
    const { width, height, bytes: picture } = await get('front')
    return check({
      book: await get('text'),
      profile: await get('profile'),
      ebook: {
        bytes: bytes.length,
        leftOut,
        faults: await get('faults'),
        gaps,
        front: { width, height, bytes: picture.length },
        recordingsLeftOut,
        fixed: !!(await get('fixed')),
        price: await get('price'),
        leastPrice: await get('leastPrice'),
      },
    })
  },
}

/** How an ebook names the printed edition whose pages it lists. */
const nameOf = (isbn: string | undefined, { title, imprint }: TitleData, { binding, trim }: PrintSpec): string =>
  isbn ? `urn:isbn:${isbn}` : [title, binding, trim, imprint.name].filter(Boolean).join(', ')
