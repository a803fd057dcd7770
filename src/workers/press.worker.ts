// First: its fonts are fetched while the rest is read.
import './fontShelf'
import * as Comlink from 'comlink'
import type { OutletProfile, Progress } from '@/core/trade'
import { books } from './answers/books'
import { covers } from './answers/covers'
import type { delivery as Delivery } from './answers/delivery'
import { files } from './answers/files'
import { pages } from './answers/pages'
import './faults'
import { setOutlets } from './outlets'
import { tellTo } from './telling'

// What makes files is loaded when one is made: it has no part in a book's first pages.
const delivery = async (): Promise<typeof Delivery> => (await import('./answers/delivery')).delivery

/** The press: the core in a worker. A thin entry; what it answers is computed by the core. */
const api = {
  /** Who hears how far long work has come. */
  tellTo: (report: (p: Progress) => void): void => tellTo(report),
  /** The outlets that there are. */
  setOutlets: (known: OutletProfile[]): void => setOutlets(known),
  ...files,
  ...books,
  ...pages,
  ...covers,
  interiorFile: async (...of: Parameters<typeof Delivery.interiorFile>) => (await delivery()).interiorFile(...of),
  templates: async (...of: Parameters<typeof Delivery.templates>) => (await delivery()).templates(...of),
  pack: async (...of: Parameters<typeof Delivery.pack>) => (await delivery()).pack(...of),
}

export type PressApi = typeof api
Comlink.expose(api)

// While work lets messages out, the page hears that the press lives.
setInterval(() => postMessage({ pulse: true }), 1000)
