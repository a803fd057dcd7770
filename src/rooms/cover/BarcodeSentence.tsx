'use client'
import type { BarcodeWish, Edition } from '@/core/book'
import { addOnOf, type Flat, zoneOf } from '@/core/cover'
import { formatIsbn } from '@/core/trade'
import { showSize } from '@/parts/lengths'
import { ChoiceValue } from '@/parts/Sentence'
import { useCommit } from '@/parts/useCommit'

const ways = [
  { value: 'bare', words: 'by itself' },
  { value: 'priced', words: 'with its price beside it' },
  { value: 'left clear', words: 'as a clear place for the printer’s own' },
]

const wished = ({ barcode: _b, ...edition }: Edition, wish: string): Edition => ({
  ...edition,
  ...(wish === 'bare' ? {} : { barcode: wish as BarcodeWish }),
})

/** The barcode of an edition: whether it is in the file, and what stands beside it. */
export function BarcodeSentence({
  bookId,
  edition,
  flat,
  currency,
}: {
  bookId: string
  edition: Edition
  flat: Flat
  /** What the outlet is priced in. */
  currency: string
}) {
  const commit = useCommit(bookId)
  const zone = zoneOf(flat, 'barcode', 'back')
  if (!zone) return <p>The printer places the barcode where it likes: none is in the file.</p>
  const onWish = (wish: string): void =>
    void commit('Barcode', r => ({
      editions: r.editions.map(e => (e.id === edition.id ? wished(e, wish) : e)),
    }))
  const amount = edition.prices?.[currency]
  return (
    <p>
      {edition.isbn ? `ISBN ${formatIsbn(edition.isbn)} stands` : 'The barcode waits for an ISBN; it stands'} there{' '}
      <ChoiceValue label="Barcode" value={edition.barcode ?? 'bare'} choices={ways} onChange={onWish} />,{' '}
      {showSize(zone.width, zone.height, 2)}, where the printer wants it.
      {edition.barcode === 'priced' && (
        <> Its price says {addOnOf(amount === undefined ? undefined : { amount, currency })}.</>
      )}
    </p>
  )
}
