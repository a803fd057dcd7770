import {
  add,
  atDisplay,
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

/** Money of a print edition at a price: cost and what each channel brings. */
export interface PrintMoney {
  currency: string
  /** Exact, for worked lines. */
  costExact: Exact
  cost: number
  price: number | undefined
  earnings: Earning[]
  /** The least price that no channel refuses: the highest of theirs. */
  leastPrice: number
}

/** Cost, royalty and least price of a print edition. `price` in minor units; without one only cost and least price. */
export function printMoney(
  profile: OutletProfile,
  spec: PrintSpec,
  pages: number,
  price?: number,
  territory = 'US',
): PrintMoney {
  const cost = printCost(profile, spec, pages)
  const vat = vatOf(profile, territory)
  const channels = profile.royalty.print ?? []
  const earnings = channels.map(c => ({
    channel: c.channel,
    share: c.share,
    royalty: price === undefined ? 0 : atDisplay(printRoyalty(c.share, exact(BigInt(price)), vat, cost)),
    leastPrice: Number(leastPrintPrice(c.share, vat, cost)),
  }))
  return {
    currency: profile.currency,
    costExact: cost,
    cost: atDisplay(cost),
    price,
    earnings,
    leastPrice: earnings.length ? Math.max(...earnings.map(e => e.leastPrice)) : atDisplay(cost),
  }
}

/** Money of an ebook at a price and weight (bytes). */
export interface EbookMoney {
  currency: string
  price: number
  share: string
  delivery: number
  royalty: number
  leastPrice: number
}

/** Royalty of an ebook: share × (list − tax) − delivery, where the share depends on the price band. */
export function ebookMoney(profile: OutletProfile, price: number, bytes: number, territory = 'US'): EbookMoney {
  const bands = profile.royalty.ebook ?? []
  const band = bands.find(b => b.upTo === undefined || price <= b.upTo)
  if (!band) throw new Fault('no-ebook', `${profile.name} sells no ebooks.`)
  const delivery = deliveryCost(profile, bytes)
  const royalty = sub(mul(exact(band.share), withoutTax(exact(BigInt(price)), vatOf(profile, territory))), delivery)
  return {
    currency: profile.currency,
    price,
    share: band.share,
    delivery: atDisplay(delivery),
    royalty: atDisplay(royalty),
    leastPrice: leastEbookPrice(profile, bytes),
  }
}

/** Delivery of one copy: a rate for each megabyte (10⁶ bytes) beyond the free ones, exact. */
export function deliveryCost(profile: OutletProfile, bytes: number): Exact {
  const rule = profile.royalty.delivery
  if (!rule) return exact(0n)
  const over = sub(div(exact(BigInt(bytes)), exact(1_000_000n)), exact(rule.freeMb))
  return compare(over, exact(0n)) > 0 ? mul(exact(rule.aMb), over) : exact(0n)
}

/** The outlet's least ebook price for a weight: a fixed part and a part for each megabyte begun. */
export function leastEbookPrice(profile: OutletProfile, bytes: number): number {
  const rule = profile.royalty.leastEbook
  return rule ? rule.fixed + rule.aMbBegun * Math.ceil(bytes / 1_000_000) : 0
}

function vatOf(profile: OutletProfile, territory: string): string {
  return (profile.vat as Record<string, string> | undefined)?.[territory] ?? '0'
}

/** An amount in another currency by the profile's table, rounded once. */
export function exchange(profile: OutletProfile, minor: number, currency: string): number {
  const rate = (profile.exchange as Record<string, string> | undefined)?.[currency]
  if (!rate) throw new Fault('no-currency', `${profile.name} has no rate for ${currency}.`)
  return Number(roundHalfUp(mul(add(exact(BigInt(minor)), exact(0n)), exact(rate))))
}
