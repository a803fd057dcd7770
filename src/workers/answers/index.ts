import type { OutletProfile, Progress } from '@/core/trade'
import { setOutlets } from '../outlets'
import { tellTo } from '../telling'
import { books } from './books'
import { covers } from './covers'
import { dates } from './dates'
import type { delivery as Delivery } from './delivery'
import { files } from './files'
import { hands } from './hands'
import { pages } from './pages'
import type { reading as Reading } from './reading'
import { samples } from './samples'
import { shapes } from './shapes'
import { weight } from './weight'
import { words } from './words'

// What makes files is loaded when one is made: it has no part in a book's first pages.
const delivery = async (): Promise<typeof Delivery> => (await import('./delivery')).delivery

// So is what takes an ebook apart.
const reading = async (): Promise<typeof Reading> => (await import('./reading')).reading

/** All that the press answers. */
export const answers = {
  /** Who hears how far long work has come. */
  tellTo: (report: (p: Progress) => void): void => tellTo(report),
  /** The outlets that there are. */
  setOutlets: (known: OutletProfile[]): void => setOutlets(known),
  ...files,
  ...books,
  ...pages,
  ...hands,
  ...covers,
  ...words,
  ...shapes,
  ...dates,
  ...samples,
  ...weight,
  readingCopy: async (...of: Parameters<typeof Reading.readingCopy>) => (await reading()).readingCopy(...of),
  interiorFile: async (...of: Parameters<typeof Delivery.interiorFile>) => (await delivery()).interiorFile(...of),
  templates: async (...of: Parameters<typeof Delivery.templates>) => (await delivery()).templates(...of),
  coverTemplate: async (...of: Parameters<typeof Delivery.coverTemplate>) => (await delivery()).coverTemplate(...of),
  pack: async (...of: Parameters<typeof Delivery.pack>) => (await delivery()).pack(...of),
}
