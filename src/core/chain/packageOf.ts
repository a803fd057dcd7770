import { type Book, draftOf, type Edition } from '../book'
import { type DeliveryPorts, makePackage } from '../delivery'
import { listingFindings, type Submission } from '../outlets'
import type { Ticker } from '../trade'
import type { EbookChain } from './ebookChain'
import type { Graph } from './graph'
import type { PrintChain } from './printChain'

/** What every chain of an edition has that goes into a package. */
type Delivered = Pick<PrintChain, 'text' | 'profile' | 'date' | 'snapshot' | 'cover' | 'front' | 'findings'>

/** A package with the account of what is in it. */
export interface MadePackage {
  submission: Submission
  zip: Uint8Array
}

async function common(chain: Pick<Graph<Delivered>, 'get'>, book: Book, e: Edition) {
  const profile = await chain.get('profile')
  const listing = listingFindings(book, e, draftOf(book, e.id, profile.id), profile)
  return {
    book: await chain.get('text'),
    kind: e.kind,
    profile,
    date: await chain.get('date'),
    snapshot: await chain.get('snapshot'),
    cover: await chain.get('cover'),
    front: await chain.get('front'),
    findings: [...(await chain.get('findings')), ...listing],
  }
}

/** The package of a print edition for the outlet of its chain. */
export async function printPackage(
  book: Book,
  e: Edition,
  chain: Graph<PrintChain>,
  ports: DeliveryPorts,
  ticker: Ticker,
): Promise<MadePackage> {
  const print = { interior: await chain.get('interior'), grey: (await chain.get('spec')).ink !== 'colour' }
  return makePackage({ ...(await common(chain, book, e)), print }, ports, ticker)
}

/** The package of an ebook for the outlet of its chain. */
export async function ebookPackage(
  book: Book,
  e: Edition,
  chain: Graph<EbookChain>,
  ports: DeliveryPorts,
  ticker: Ticker,
): Promise<MadePackage> {
  const printedPages = (await chain.get('printInterior'))?.pages.length
  const parts = { ...(await common(chain, book, e)), ebook: await chain.get('epub'), printedPages }
  return makePackage(parts, ports, ticker)
}
