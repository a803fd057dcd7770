import type { Edition, EditionKind } from '../book'
import type { Finding } from '../check'
import type { Worked } from '../delivery'
import type { EbookChain } from './ebookChain'
import type { Graph } from './graph'
import type { PrintChain } from './printChain'

/** The live figures of an edition at one outlet; print and ebook have their own. Money in minor units, lengths in points. */
export interface Figures {
  /** Id of the edition. */
  edition: string
  kind: EditionKind
  outletId: string
  /** Its name. */
  outlet: string
  currency: string
  price?: number
  royalty?: number
  leastPrice: number
  /** Worked out in a line, for whoever asks. */
  worked: Worked
  findings: Finding[]
  pages?: number
  spinePt?: number
  wrap?: { width: number; height: number }
  cost?: number
  epubBytes?: number
}

export async function printFigures({ id, kind }: Edition, chain: Graph<PrintChain>): Promise<Figures> {
  const [profile, money, pages, spinePt] = [
    await chain.get('profile'),
    await chain.get('money'),
    await chain.get('pages'),
    await chain.get('spine'),
  ]
  const [own] = money.earnings
  return {
    edition: id,
    kind,
    outletId: profile.id,
    outlet: profile.name,
    currency: profile.currency,
    pages,
    spinePt,
    wrap: await chain.get('wrap'),
    cost: money.cost,
    leastPrice: money.leastPrice,
    ...(money.price === undefined || !own ? {} : { price: money.price, royalty: own.royalty }),
    worked: await chain.get('worked'),
    findings: await chain.get('findings'),
  }
}

export async function ebookFigures({ id, kind }: Edition, chain: Graph<EbookChain>): Promise<Figures> {
  const [profile, money] = [await chain.get('profile'), await chain.get('money')]
  return {
    edition: id,
    kind,
    outletId: profile.id,
    outlet: profile.name,
    currency: profile.currency,
    leastPrice: await chain.get('leastPrice'),
    epubBytes: (await chain.get('epub')).bytes.length,
    ...(money ? { price: money.price, royalty: money.royalty } : {}),
    worked: await chain.get('worked'),
    findings: await chain.get('findings'),
  }
}
