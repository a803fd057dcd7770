import {
  atDisplay,
  ceil,
  compare,
  div,
  type Exact,
  exact,
  Fault,
  leastPrintPrice,
  mul,
  type OutletProfile,
  printCost,
  printRoyalty,
  type PrintSpec,
  roundHalfUp,
  sub,
  type Territory,
  withoutTax,
} from '../trade'

/** What one copy brings through one channel. Whole minor units of the profile's currency. */
export interface Earning {
  channel: string
  share: string
  royalty: number
  /** The least list price at which this channel pays nothing less than nothing. */
  leastPrice: number
}

/** Where and how a copy is sold. */
export interface Sale {
  /** Code of the territory; the first of the profile where absent. */
  territory?: string
  /** Some channels pay less for low-content books, or do not take them. */
  lowContent?: boolean
}

/** Money of a print edition at a price: cost and what each channel brings. In the territory's currency. */
export interface PrintMoney {
  currency: string
  /** Exact, for worked lines. */
  costExact: Exact
  cost: number
  price: number | undefined
  /** Of the channels that take the book. */
  earnings: Earning[]
  /** The least price that no channel refuses: the highest of theirs. */
  leastPrice: number
}

/** Cost, royalty and least price of a print edition. `price` in minor units of the territory's currency; without one only cost and least price. */
export function printMoney(
  profile: OutletProfile,
  spec: PrintSpec,
  pages: number,
  price?: number,
  sale: Sale = {},
): PrintMoney {
  const { currency, vat } = territoryOf(profile, sale.territory)
  const cost = mul(printCost(profile, spec, pages), rateOf(profile, currency))
  const earnings = channelsOf(profile, sale).map(({ channel, share }) => ({
    channel,
    share,
    royalty: price === undefined ? 0 : atDisplay(printRoyalty(share, exact(BigInt(price)), vat, cost)),
    leastPrice: Number(leastPrintPrice(share, vat, cost)),
  }))
  return {
    currency,
    costExact: cost,
    cost: atDisplay(cost),
    price,
    earnings,
    leastPrice: earnings.length ? Math.max(...earnings.map(e => e.leastPrice)) : atDisplay(cost),
  }
}

/** The channels that take a book, with the share that each pays for it. */
function channelsOf({ royalty }: OutletProfile, { lowContent }: Sale): { channel: string; share: string }[] {
  return (royalty.print ?? [])
    .filter(c => !(lowContent && c.closedToLowContent))
    .map(c => ({ channel: c.channel, share: (lowContent && c.lowContentShare) || c.share }))
}

/** Money of an ebook at a price and weight (bytes). In the territory's currency. */
export interface EbookMoney {
  currency: string
  price: number
  share: string
  delivery: number
  royalty: number
  leastPrice: number
}

/** Royalty of an ebook: share × (list − tax) − delivery, where the share depends on the price band. */
export function ebookMoney(
  profile: OutletProfile,
  price: number,
  bytes: number,
  { territory }: Pick<Sale, 'territory'> = {},
): EbookMoney {
  const { currency, vat } = territoryOf(profile, territory)
  const rate = rateOf(profile, currency)
  const list = exact(BigInt(price))
  const bands = profile.royalty.ebook ?? []
  const band = bands.find(b => b.upTo === undefined || compare(list, mul(exact(BigInt(b.upTo)), rate)) <= 0)
  if (!band) throw new Fault('no-ebook', `${profile.name} sells no ebooks.`)
  const delivery = mul(deliveryCost(profile, bytes), rate)
  const royalty = sub(mul(exact(band.share), withoutTax(list, vat)), delivery)
  return {
    currency,
    price,
    share: band.share,
    delivery: atDisplay(delivery),
    royalty: atDisplay(royalty),
    leastPrice: leastEbookPrice(profile, bytes, territory),
  }
}

/** Delivery of one copy: a rate for each megabyte (10⁶ bytes) beyond the free ones, exact, in the profile's currency. */
export function deliveryCost(profile: OutletProfile, bytes: number): Exact {
  const rule = profile.royalty.delivery
  if (!rule) return exact(0n)
  const over = sub(div(exact(BigInt(bytes)), exact(1_000_000n)), exact(rule.freeMb))
  return compare(over, exact(0n)) > 0 ? mul(exact(rule.aMb), over) : exact(0n)
}

/** The outlet's least ebook price for a weight: a fixed part and a part for each megabyte begun. In the territory's currency, rounded up. */
export function leastEbookPrice(profile: OutletProfile, bytes: number, territory?: string): number {
  const rule = profile.royalty.leastEbook
  if (!rule) return 0
  const least = rule.fixed + rule.aMbBegun * Math.ceil(bytes / 1_000_000)
  return Number(ceil(mul(exact(BigInt(least)), rateOf(profile, territoryOf(profile, territory).currency))))
}

/** A territory of an outlet by its code; its home where none is named. */
export function territoryOf(profile: OutletProfile, code?: string): Territory {
  const found = code === undefined ? profile.territories[0] : profile.territories.find(t => t.code === code)
  if (!found) throw new Fault('no-territory', `${profile.name} does not sell in ${code ?? 'any territory'}.`)
  return found
}

/** Minor units of the profile's currency × this = minor units of another, by the profile's table. */
function rateOf(profile: OutletProfile, currency: string): Exact {
  if (currency === profile.currency) return exact(1n)
  const rate = profile.exchange?.[currency]
  if (!rate) throw new Fault('no-currency', `${profile.name} has no rate for ${currency}.`)
  return exact(rate)
}

/** An amount in another currency by the profile's table, rounded once. */
export const exchange = (profile: OutletProfile, minor: number, currency: string): number =>
  Number(roundHalfUp(mul(exact(BigInt(minor)), rateOf(profile, currency))))

/** The currencies that an outlet sells in, its own first. */
export const currenciesOf = ({ currency, territories }: OutletProfile): string[] => [
  ...new Set([currency, ...territories.map(t => t.currency)]),
]
