import type { OtherBooks, RunPress } from '../activity'
import type { Asset, Book, ListingDraft, TitleData } from '../book'
import type { CoverDesign } from '../cover'
import type { DeliveryPorts, Stated } from '../delivery'
import type { Setter } from '../pages'
import type { OutletProfile, Ticker } from '../trade'
import type { FontShelf } from '../type'

/** What the chains of all editions of a book start from. A thing that changes by itself is an input by itself: what follows from others does not move. */
export interface SharedInputs {
  /** What pages and ebook are made of: sections, typefaces, page plan. Its data and pictures are read from their own inputs where they can be. */
  text: Book
  data: TitleData
  assets: Asset[]
  design: CoverDesign
  profile: OutletProfile
  isbn: string | undefined
  /** List price in the outlet's own currency, minor units. */
  price: number | undefined
  /** Prices that are set in other currencies it sells in. */
  otherPrices: Record<string, number> | undefined
  /** What the listing at this outlet states. */
  draft: ListingDraft
  /** The day that files are dated: ISO 8601, UTC, whole seconds. */
  date: string
}

/** Of the inputs, what a listing says of any edition. */
export const statedInputs = async (
  get: <K extends keyof SharedInputs>(name: K) => Promise<SharedInputs[K]>,
): Promise<Stated> => ({
  text: await get('text'),
  data: await get('data'),
  design: await get('design'),
  draft: await get('draft'),
  isbn: await get('isbn'),
  price: await get('price'),
  otherPrices: await get('otherPrices'),
})

/** What chains work with. `setter`, `runs` and `shelf` are shared, so that what is set once serves all outlets; `ticker` hears of the setting. */
export interface Tools {
  setter: Setter
  runs: RunPress
  shelf: FontShelf
  ports: DeliveryPorts
  /** Where there are no others known, none are asked. */
  others?: OtherBooks
  ticker?: Ticker
}
