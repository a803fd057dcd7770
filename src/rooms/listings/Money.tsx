'use client'
import { type Edition, specOf } from '@/core/book'
import type { Figures } from '@/core/chain'
import { ebookMoney, exchange, leastEbookPrice, printMoney, type Sale } from '@/core/outlets'
import { formatMoney, type OutletProfile, type Territory } from '@/core/trade'
import { priceField } from '@/parts/priceField'
import { TextValue } from '@/parts/TextValue'
import { RoyaltyCurve } from './RoyaltyCurve'

/** What a copy brings at a price, and the least price: of the outlet's own channel. Minor units of the territory's currency. */
interface Paid {
  at: (price: number) => number
  least: number
  /** Through which channel, and which asks the least price; nothing where there is one alone. */
  channel?: string
  leastOf?: string
}

function paidIn(profile: OutletProfile, edition: Edition, figures: Figures, sale: Sale): Paid {
  if (edition.kind === 'ebook') {
    const bytes = figures.epubBytes ?? 0
    return {
      at: price => ebookMoney(profile, price, bytes, sale).royalty,
      least: leastEbookPrice(profile, bytes, sale.territory),
    }
  }
  const money = (price?: number) => printMoney(profile, specOf(edition), figures.pages ?? 0, price, sale)
  const { earnings, leastPrice } = money()
  return {
    at: price => money(price).earnings[0]?.royalty ?? 0,
    least: leastPrice,
    ...(earnings.length > 1
      ? { channel: earnings[0]!.channel, leastOf: earnings.find(e => e.leastPrice === leastPrice)!.channel }
      : {}),
  }
}

/** The price and what it brings: at home with the curve, and in the outlet's other territories. */
export function Money({
  edition,
  profile,
  figures,
  lowContent = false,
  readOnly,
  onPrice,
}: {
  edition: Edition
  profile: OutletProfile
  figures: Figures | undefined
  lowContent?: boolean
  readOnly: boolean
  onPrice: (currency: string, minor: number | undefined) => Promise<void>
}) {
  if (!figures) return <p className="quiet">reckoning …</p>
  const { currency } = profile
  const price = edition.prices?.[currency]
  const { at, least, channel, leastOf } = paidIn(profile, edition, figures, { lowContent })
  const said = (minor: number): string => formatMoney(minor, currency)
  const [, ...abroad] = profile.territories
  return (
    <>
      <p className="price">
        <TextValue
          field={{ ...priceField(currency), label: 'List price' }}
          value={price}
          empty="no price yet"
          disabled={readOnly}
          onTake={v => onPrice(currency, v)}
        />{' '}
        {price !== undefined && (
          <>
            brings <b>{said(at(price))}</b> a copy{channel ? ` in the ${channel}` : ''};{' '}
          </>
        )}
        the least is {said(least)}
        {leastOf && leastOf !== channel ? `, asked by the ${leastOf}` : ''}.
      </p>
      <RoyaltyCurve royaltyAt={at} least={least} price={price} currency={currency} />
      {abroad.map(t => (
        <Abroad
          key={t.code}
          territory={t}
          edition={edition}
          profile={profile}
          paid={paidIn(profile, edition, figures, { lowContent, territory: t.code })}
          readOnly={readOnly}
          onPrice={onPrice}
        />
      ))}
    </>
  )
}

/** The price in another territory: its own, or by the outlet's table of rates from the one at home. */
function Abroad({
  territory,
  edition,
  profile,
  paid,
  readOnly,
  onPrice,
}: {
  territory: Territory
  edition: Edition
  profile: OutletProfile
  paid: Paid
  readOnly: boolean
  onPrice: (currency: string, minor: number | undefined) => Promise<void>
}) {
  const { name, currency, vat } = territory
  const home = edition.prices?.[profile.currency]
  const own = edition.prices?.[currency]
  const price = own ?? (home === undefined ? undefined : exchange(profile, home, currency))
  const tax = Number(vat) ? `, with ${Math.round(Number(vat) * 1000) / 10} % tax in it,` : ''
  return (
    <p className="price abroad">
      {name}:{' '}
      {currency === profile.currency ? (
        price !== undefined && <b>{formatMoney(price, currency)}</b>
      ) : (
        <TextValue
          field={{ ...priceField(currency), label: `Price in ${name}` }}
          value={own}
          empty={price === undefined ? 'no price yet' : formatMoney(price, currency)}
          disabled={readOnly}
          onTake={v => onPrice(currency, v)}
        />
      )}
      {price !== undefined && (
        <>
          {own === undefined && currency !== profile.currency ? ' by the rate' : ''}
          {tax} brings <b>{formatMoney(paid.at(price), currency)}</b>
          {price < paid.least ? `; the least is ${formatMoney(paid.least, currency)}` : ''}.
        </>
      )}
    </p>
  )
}
